import type { Athlete, AthleteInput, AthleteListItem, AthleteOrder, AthletesQuery } from '@clay-pot/contracts';
import { addDays, checkAthlete, checkStopsStand, groupedBy, same } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { BY_ID, latestFirst, type ListOrder, pageFrom, type PageOf, pageWanted, wordsIn } from '../database/paging.js';
import type { StudioScope } from '../database/studio-scope.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { Clock, dayIn } from '../http/clock.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { etagOf, versionOf } from '../http/etag.js';
import { invalid } from '../http/problem.js';
import { AthleteRow } from './athlete.entity.js';

/** How far the strip of sessions beside a name looks back. */
const STRIP_DAYS = 56;

/** How people are sorted; those of one name, or without a session, by their ids. */
const ORDERS: Readonly<Record<AthleteOrder, ListOrder<AthleteRow>>> = {
  name: { columns: [{ column: 'name', direction: 'ASC' }, BY_ID], placeOf: ({ name, id }) => [name, id] },
  'last-session': latestFirst('last_session_at', ({ lastSessionAt }) => lastSessionAt),
};

const ATHLETES_KEPT = new VersionedRows(AthleteRow, 'athlete');

/** Keeps athletes’ records, by their versions. */
@Injectable()
export class AthletesService {
  constructor(private readonly clock: Clock) {}

  /** Found by name and practice. */
  async list(scope: StudioScope, { find = '', sort = 'name', ...page }: AthletesQuery): Promise<PageOf<AthleteListItem>> {
    const { columns, placeOf } = ORDERS[sort];
    const wanted = pageWanted(page, columns);
    const rows = await scope.of(AthleteRow).find({ ...wanted, also: [...wanted.also, ...wordsIn(find, ['name', 'practice'])] });
    const { shown, end } = pageFrom(rows, page, placeOf);
    const recent = await this.recentDays(
      scope,
      shown.map(({ id }) => id),
    );
    const items = shown.map((row) => ({
      ...athleteView(row),
      lastSessionAt: row.lastSessionAt?.toISOString() ?? null,
      recentDays: (recent.get(row.id) ?? []).map(({ onDay, sessions }) => ({ day: onDay, sessions: Number(sessions) })),
    }));
    return { items, end };
  }

  /** On how many sessions of the last weeks each day had. */
  private async recentDays(scope: StudioScope, ids: readonly string[]) {
    if (ids.length === 0) return new Map<string, DayCount[]>();
    const since = addDays(dayIn(scope.timeZone, this.clock.now()), -STRIP_DAYS);
    const rows = await scope.select<DayCount>(
      `SELECT athlete_id AS athleteId, on_day AS onDay, COUNT(*) AS sessions FROM sessions
       WHERE studio_id = ? AND athlete_id IN (?) AND started_at >= ? AND on_day >= ? GROUP BY athlete_id, on_day ORDER BY on_day`,
      [ids, addDays(since, -1), since],
    );
    return groupedBy(rows, ({ athleteId }) => athleteId);
  }

  async get(scope: StudioScope, id: string): Promise<Athlete> {
    return athleteView(await scope.of(AthleteRow).get(id, 'athlete'));
  }

  /** Creates or replaces. Creating twice with the same content is one creation; replacing needs the version that was edited. */
  async put(scope: StudioScope, id: string, { leftOut = [], ...sent }: AthleteInput, ifMatch: string | undefined): Promise<Athlete> {
    const input = { ...sent, ...(leftOut.length > 0 && { leftOut }) };
    const faults = checkAthlete(input, dayIn(scope.timeZone, this.clock.now()));
    if (faults.length) throw invalid(faults);
    await this.checkStops(scope, id, input, ifMatch);
    return ATHLETES_KEPT.put(scope, id, {
      ifMatch,
      content: { ...input, leftOut },
      fresh: { evidenceRevision: 0, lastSessionAt: null },
      get: (of) => this.get(of, id),
      isSame: ({ id: _id, etag: _etag, ...content }) => same<AthleteInput>(content, input),
      written: (held) => raiseEvidence(held, id),
    });
  }

  /** An edit neither invents nor loses stops. A version that has changed since is reported first. @throws 422 */
  private async checkStops(scope: StudioScope, id: string, input: AthleteInput, ifMatch: string | undefined): Promise<void> {
    const before = ifMatch === undefined ? null : await scope.of(AthleteRow).get(id, 'athlete');
    const isStale = before !== null && before.rowVersion !== versionOf(ifMatch);
    const faults = isStale ? [] : checkStopsStand(before?.cautions ?? [], input.cautions);
    if (faults.length > 0) throw invalid(faults);
  }
}

/** Sessions of an athlete on a day; the driver hands counts over as text. */
interface DayCount {
  readonly athleteId: string;
  readonly onDay: string;
  readonly sessions: string;
}

/** A row as the API shows it. */
export function athleteView({
  studioId: _studioId,
  rowVersion,
  evidenceRevision: _revision,
  lastSessionAt: _last,
  leftOut,
  ...row
}: AthleteRow): Athlete {
  return { ...row, ...(leftOut.length > 0 && { leftOut }), etag: etagOf(rowVersion) };
}
