import type { Athlete, AthleteInput, AthleteListItem } from '@clay-pot/contracts';
import { checkAthlete, checkStopsStand, same } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import type { StudioScope } from '../database/studio-scope.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { Clock, dayIn } from '../http/clock.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { etagOf, versionOf } from '../http/etag.js';
import { invalid } from '../http/problem.js';
import { SessionRow } from '../sessions/session.entities.js';
import { AthleteRow } from './athlete.entity.js';

/** How far the strip of sessions beside a name looks back. */
const STRIP_DAYS = 56;

const ATHLETES_KEPT = new VersionedRows(AthleteRow, 'athlete');

/** Keeps athletes’ records, by their versions. */
@Injectable()
export class AthletesService {
  constructor(private readonly clock: Clock) {}

  async list(scope: StudioScope): Promise<AthleteListItem[]> {
    const rows = await scope.of(AthleteRow).find({ order: { name: 'ASC' } });
    const since = subDays(this.clock.now(), STRIP_DAYS);
    const recent: { athleteId: string; onDay: string }[] = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.started_at >= :since', { since })
      .select(['session.athlete_id AS athleteId', 'session.on_day AS onDay'])
      .getRawMany();
    const last: { athleteId: string; at: Date }[] = await scope
      .of(SessionRow)
      .query('session')
      .select(['session.athlete_id AS athleteId', 'MAX(session.started_at) AS at'])
      .groupBy('session.athlete_id')
      .getRawMany();
    const lastOf = new Map(last.map((row) => [row.athleteId, row.at.toISOString()]));
    const sessionsOf = (id: string) => recent.filter((session) => session.athleteId === id);
    return rows.map((row) => ({
      ...athleteView(row),
      lastSessionAt: lastOf.get(row.id) ?? null,
      recentDays: countByDay(sessionsOf(row.id).map(({ onDay }) => onDay)),
    }));
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
      fresh: { evidenceRevision: 0 },
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

/** A row as the API shows it. */
export function athleteView({ studioId: _studioId, rowVersion, evidenceRevision: _revision, leftOut, ...row }: AthleteRow): Athlete {
  return { ...row, ...(leftOut.length > 0 && { leftOut }), etag: etagOf(rowVersion) };
}

function countByDay(days: readonly string[]): { day: string; sessions: number }[] {
  const counts = new Map<string, number>();
  for (const day of days) counts.set(day, (counts.get(day) ?? 0) + 1);
  return [...counts].map(([day, sessions]) => ({ day, sessions })).sort((a, b) => a.day.localeCompare(b.day));
}
