import type { AnsweredCall, AthleteCall, CallsOfAthlete, StudioCalls } from '@clay-pot/contracts';
import type { CallsAnswer } from '@clay-pot/core/answers';
import { type Call, openCalls, worstFirst } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { MoreThanOrEqual } from 'typeorm';
import { subDays } from 'date-fns';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { type Revised, KeptAnswersService } from '../kept/kept-answers.service.js';
import { CallAnswerRow } from './call.entities.js';
import { CallWorkService } from './call-work.service.js';

/** One answer to a request is worked on no longer than this; who is left is looked at when it is asked again. */
const WORK_MS = 1500;
/** What one gathers another computes meanwhile. */
const AT_ONCE = 1;
/** What was answered longer ago rests on evidence that nobody calls by any more. */
const ANSWERS_DAYS = 200;
const ANSWERED_SHOWN = 60;

/** Tells what waits for a coach’s answer. */
@Injectable()
export class CallsService {
  constructor(
    private readonly clock: Clock,
    private readonly work: CallWorkService,
    private readonly kept: KeptAnswersService,
  ) {}

  /** Over all athletes, the gravest first. */
  async ofStudio(scope: StudioScope): Promise<StudioCalls> {
    const athletes = await scope.of(AthleteRow).find({ select: { id: true, name: true, evidenceRevision: true }, order: { name: 'ASC' } });
    const [{ kept, stale }, answers] = await Promise.all([this.kept.ofStudio<CallsAnswer>(scope, athletes, 'calls'), this.answers(scope)]);
    const fresh = await this.foundOf(scope, stale);
    const calls = athletes.flatMap((athlete) => {
      // What was found before is shown until it is found anew.
      const found = fresh.get(athlete.id) ?? kept.get(athlete.id);
      const mine = answers.filter(({ athleteId }) => athleteId === athlete.id);
      return openCalls(found?.calls ?? [], mine).map((call) => athleteCall(athlete, call));
    });
    return { calls: calls.sort(worstFirst), toLookAt: stale.length - fresh.size };
  }

  /** As many as can be looked at in the time of one answer. */
  private async foundOf(scope: StudioScope, stale: readonly Revised[]): Promise<Map<string, CallsAnswer>> {
    const until = performance.now() + WORK_MS;
    const fresh = new Map<string, CallsAnswer>();
    const left = [...stale];
    const oneAfterTheOther = async () => {
      while (performance.now() < until) {
        const next = left.shift();
        if (!next) return;
        fresh.set(next.id, await this.kept.found(scope, next, 'calls', () => this.work.find(scope, next.id)));
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, oneAfterTheOther));
    return fresh;
  }

  /** @throws 404 */
  async ofAthlete(scope: StudioScope, athleteId: string): Promise<CallsOfAthlete> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const [{ calls }, answers] = await Promise.all([this.current(scope, athleteId), this.answers(scope, athleteId)]);
    return {
      open: openCalls(calls, answers).map((call) => athleteCall(athlete, call)),
      answered: answers.toReversed().slice(0, ANSWERED_SHOWN).map(answered),
    };
  }

  /** What is proposed by what is known now. @throws 404 */
  current(scope: StudioScope, athleteId: string): Promise<CallsAnswer> {
    return this.kept.of(scope, athleteId, 'calls', () => this.work.find(scope, athleteId));
  }

  private answers(scope: StudioScope, athleteId?: string): Promise<CallAnswerRow[]> {
    const at = MoreThanOrEqual(subDays(this.clock.now(), ANSWERS_DAYS));
    return scope.of(CallAnswerRow).find({
      where: { at, ...(athleteId !== undefined && { athleteId }) },
      order: { at: 'ASC', id: 'ASC' },
    });
  }
}

function athleteCall({ id, name }: Pick<AthleteRow, 'id' | 'name'>, call: Call): AthleteCall {
  const places = call.options.flatMap(({ effect }) => (effect.kind === 'blocks' ? effect.plans.map(({ place }) => place) : []));
  const alone = places.find(({ programmeId }) => programmeId === null);
  return { ...call, athleteId: id, athleteName: name, sequenceId: alone?.sequenceId ?? null };
}

/** An answer as the API shows it. */
export const answered = ({ id, key, kind, hands, why, answer, words, reason, sessionId, changed, at }: CallAnswerRow): AnsweredCall => ({
  ...{ id, key, kind, hands: [...hands], why, answer, words, reason, sessionId },
  programmeId: changed[0]?.programmeId ?? null,
  at: at.toISOString(),
});
