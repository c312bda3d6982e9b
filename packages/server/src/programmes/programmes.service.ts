import type { ProgrammeInput, ProgrammeListItem, ProgrammeSort, ProgrammesQuery, StoredProgramme } from '@clay-pot/contracts';
import { checkProgramme, compareProgrammes, type Fault, nextInProgramme, type Programme, same, under } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { namesOf } from '../athletes/names.js';
import { BY_ID, type ListOrder, pageFrom, type PageOf, pageWanted, wordsIn } from '../database/paging.js';
import type { StudioScope } from '../database/studio-scope.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { Clock, dayIn } from '../http/clock.js';
import { etagOf } from '../http/etag.js';
import { invalid } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SessionRow } from '../sessions/session.entities.js';
import { ProgrammeRow } from './programme.entity.js';
import { storedProgramme } from './stored-programme.js';

const LISTED = { id: true, title: true, athleteId: true, fromDay: true, lastDay: true, updatedAt: true } as const;

type Listed = Pick<ProgrammeRow, keyof typeof LISTED>;
const SORTS: Readonly<Record<ProgrammeSort, ListOrder<Listed>>> = {
  'last-day': { columns: [{ column: 'last_day', direction: 'DESC' }, BY_ID], placeOf: ({ lastDay, id }) => [lastDay, id] },
  title: { columns: [{ column: 'title', direction: 'ASC' }, BY_ID], placeOf: ({ title, id }) => [title, id] },
};
const NAME = '(SELECT athletes.name FROM athletes WHERE athletes.id = programmes.athlete_id)';

const PROGRAMMES_KEPT = new VersionedRows(ProgrammeRow, 'programme');

/** Keeps programmes. */
@Injectable()
export class ProgrammesService {
  constructor(private readonly clock: Clock) {}

  /** Of one athlete or of everybody, found by title and name; those that end last first. */
  async list(
    scope: StudioScope,
    { athleteId, find = '', sort = 'last-day', ...page }: ProgrammesQuery,
  ): Promise<PageOf<ProgrammeListItem>> {
    const { columns, placeOf } = SORTS[sort];
    const wanted = pageWanted(page, columns);
    const where = { removedAt: IsNull(), ...(athleteId !== undefined && { athleteId }) };
    const also = [...wanted.also, ...wordsIn(find, ['title', NAME])];
    const rows = await scope.of(ProgrammeRow).find({ select: LISTED, where, ...wanted, also });
    const { shown, end } = pageFrom(rows, page, placeOf);
    const today = dayIn(scope.timeZone, this.clock.now());
    // Of those that are over no document is read.
    const runningIds = shown.filter(({ lastDay }) => lastDay >= today).map(({ id }) => id);
    const [running, names, ledToday] = await Promise.all([
      scope.of(ProgrammeRow).find({ select: { id: true, athleteId: true, document: true }, where: { id: In(runningIds) } }),
      namesOf(scope, shown),
      scope.of(SessionRow).find({
        select: { athleteId: true, sequenceId: true },
        where: { athleteId: In(shown.map((row) => row.athleteId)), startedAt: MoreThanOrEqual(subDays(this.clock.now(), 2)), onDay: today },
      }),
    ]);
    const doneBy = (whose: string) => ledToday.filter((session) => session.athleteId === whose).map(({ sequenceId }) => sequenceId);
    const nextOf = new Map(running.map(({ id, athleteId: whose, document }) => [id, nextInProgramme(document, today, doneBy(whose))]));
    const items = shown.map(({ updatedAt, ...row }) => ({
      ...row,
      athleteName: names.get(row.athleteId) ?? '',
      next: nextOf.get(row.id) ?? null,
      updatedAt: updatedAt.toISOString(),
    }));
    return { items, end };
  }

  async get(scope: StudioScope, id: string): Promise<StoredProgramme> {
    const row = await scope.of(ProgrammeRow).get(id, 'programme');
    const { name } = await scope.of(AthleteRow).get(row.athleteId, 'athlete');
    const { rowVersion, updatedAt, removedAt, athleteId, document } = row;
    return {
      ...{ id, athleteId, document },
      athleteName: name,
      etag: etagOf(rowVersion),
      updatedAt: updatedAt.toISOString(),
      removed: removedAt !== null,
    };
  }

  /** Creates or replaces; see `VersionedRows.put` for the rules. */
  async put(
    scope: StudioScope,
    id: string,
    { athleteId, document }: ProgrammeInput,
    ifMatch: string | undefined,
  ): Promise<StoredProgramme> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const faults = [...checkProgramme(document), ...(await this.unknownSequences(scope, document))];
    if (ifMatch === undefined) faults.push(...eventGone(document, dayIn(scope.timeZone, this.clock.now())));
    if (faults.length > 0) throw invalid(under('/document', faults));
    if (ifMatch !== undefined) await this.checkAthlete(scope, id, athleteId);
    return PROGRAMMES_KEPT.put(scope, id, {
      ifMatch,
      content: { athleteId, ...storedProgramme(document), updatedAt: this.clock.now() },
      fresh: { removedAt: null },
      get: (of) => this.get(of, id),
      isSame: (stored) => stored.athleteId === athleteId && same(stored.document, document),
      written: (held) => raiseEvidence(held, athleteId),
      changes: (current) => ({ changes: compareProgrammes(current.document, document) }),
    });
  }

  /** @throws 422 where it would become another’s */
  private async checkAthlete(scope: StudioScope, id: string, athleteId: string): Promise<void> {
    const before = await scope.of(ProgrammeRow).get(id, 'programme');
    if (before.athleteId === athleteId) return;
    throw invalid([{ pointer: '/athleteId', message: 'A programme stays with its athlete. Make a copy for someone else.' }]);
  }

  /** Takes it off the list, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredProgramme> {
    const { athleteId } = await scope.of(ProgrammeRow).get(id, 'programme');
    const removedAt = removed ? this.clock.now() : null;
    await PROGRAMMES_KEPT.setRemovedAt(scope, id, removedAt, (held) => raiseEvidence(held, athleteId));
    return this.get(scope, id);
  }

  /** Removed sequences are still known: a rule of the programme tells of them. */
  private async unknownSequences(scope: StudioScope, { plans }: Programme): Promise<Fault[]> {
    const ids = plans.map(({ sequenceId }) => sequenceId);
    const rows = await scope.of(SequenceRow).find({ select: { id: true }, where: { id: In(ids) } });
    return plans.flatMap(({ sequenceId }, index) =>
      rows.some(({ id }) => id === sequenceId)
        ? []
        : [{ pointer: `/plans/${index}/sequenceId`, message: 'must be a sequence of this studio' }],
    );
  }
}

/** A programme is not begun toward a day that is gone. */
function eventGone({ event }: Programme, today: string): Fault[] {
  if (!event || event.day >= today) return [];
  return [{ pointer: '/event/day', message: `is in the past: the programme must lead to a day from ${today} on` }];
}
