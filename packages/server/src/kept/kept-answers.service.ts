import { Injectable } from '@nestjs/common';
import { LessThanOrEqual } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { shared } from '../http/request-context.js';
import { KeptAnswerRow, type KeptKind } from './kept-answer.entity.js';
import { RULES_VERSION } from './rules-version.js';

/** An athlete at a revision of what is computed about them. */
export type Revised = Pick<AthleteRow, 'id' | 'evidenceRevision'>;

/** Keeps what is computed about athletes while everything holds that it rests on: their record, the studio’s day, and the rules themselves. */
@Injectable()
export class KeptAnswersService {
  /** What is being computed right now, so that two who ask at once wait for one. */
  private readonly underWay = new Map<string, Promise<unknown>>();

  constructor(private readonly clock: Clock) {}

  /** The answer about an athlete: as it is kept, else found and kept. @throws 404 */
  async of<T>(scope: StudioScope, athleteId: string, kind: KeptKind, find: () => Promise<T>): Promise<T> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const row = await scope.of(KeptAnswerRow).one({ athleteId, kind });
    return row && this.holds(scope, row, athlete) ? (row.answer as T) : this.found(scope, athlete, kind, find);
  }

  /** What is kept of a kind for the whole studio, by athlete; with those whose answer holds no more or was never found. */
  async ofStudio<T>(scope: StudioScope, athletes: readonly Revised[], kind: KeptKind): Promise<{ kept: Map<string, T>; stale: Revised[] }> {
    const rows = await scope.of(KeptAnswerRow).find({ where: { kind } });
    const rowOf = new Map(rows.map((row) => [row.athleteId, row]));
    const stale = athletes.filter((athlete) => {
      const row = rowOf.get(athlete.id);
      return !row || !this.holds(scope, row, athlete);
    });
    return { kept: new Map(rows.map(({ athleteId, answer }) => [athleteId, answer as T])), stale };
  }

  /**
   * Finds an answer and keeps it. The revision is the one of before the first look: what was written meanwhile makes it stale.
   * @param background nobody waits for it: whoever asks meanwhile has it found at once, rather than wait behind all that nobody waits for
   */
  async found<T>(scope: StudioScope, athlete: Revised, kind: KeptKind, find: () => Promise<T>, { background = false } = {}): Promise<T> {
    const key = `${athlete.id} ${kind} ${athlete.evidenceRevision} ${this.today(scope)} ${background}`;
    const cached = this.underWay.get(key) as Promise<T> | undefined;
    if (cached) return cached;
    const work = shared(find)
      .then(async (answer) => {
        await this.keep(scope, athlete, kind, answer);
        return answer;
      })
      .finally(() => this.underWay.delete(key));
    this.underWay.set(key, work);
    return work;
  }

  private async keep(scope: StudioScope, { id: athleteId, evidenceRevision }: Revised, kind: KeptKind, answer: unknown): Promise<void> {
    const content = { evidenceRevision, onDay: this.today(scope), rules: RULES_VERSION, answer };
    const rows = scope.of(KeptAnswerRow);
    // Of two that were found at once the one of the later record stays.
    const older = { athleteId, kind, evidenceRevision: LessThanOrEqual(evidenceRevision) };
    if ((await rows.update(older, content)) === 0) await rows.insertUnlessDuplicate({ id: uuid(), athleteId, kind, ...content });
  }

  private holds(scope: StudioScope, row: KeptAnswerRow, { evidenceRevision }: Revised): boolean {
    return row.evidenceRevision === evidenceRevision && row.onDay === this.today(scope) && row.rules === RULES_VERSION;
  }

  private today(scope: StudioScope): string {
    return dayIn(scope.timeZone, this.clock.now());
  }
}
