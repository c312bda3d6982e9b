import { type Evidence, evidenceOf, type Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { BlockReportRow, DoneSetRow, SessionRow } from '../sessions/session.entities.js';

const DAY_MS = 86_400_000;
/** Sets of longer ago, and of more sessions than these, tell next to nothing beside those of since: ratings of one person lean one way. */
const TELLS = { days: 120, sessions: 12 };

/** What an athlete's sets tell of their maxima. */
@Injectable()
export class EvidenceService {
  constructor(private readonly library: LibraryService) {}

  /** Of the last sessions that ended before an instant, the newest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date): Promise<Evidence[]> {
    const rows = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.athlete_id = :athleteId', { athleteId })
      .andWhere('session.ended_at IS NOT NULL')
      .andWhere('session.started_at > :from', { from: new Date(until.getTime() - TELLS.days * DAY_MS) })
      .andWhere('session.started_at <= :until', { until })
      .orderBy('session.started_at', 'DESC')
      .take(TELLS.sessions)
      .getMany();
    if (rows.length === 0) return [];
    const sessionId = In(rows.map(({ id }) => id));
    const [sets, reports] = await Promise.all([
      scope.of(DoneSetRow).find({ where: { sessionId } }),
      scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC' } }),
    ]);
    const told = rows.map(({ id, startedAt, endedAt, plan }) => ({
      id,
      startedAt: startedAt.toISOString(),
      endedAt: (endedAt ?? startedAt).toISOString(),
      plan,
      sets: sets.filter((set) => set.sessionId === id),
      reports: reports.filter((report) => report.sessionId === id),
    }));
    return evidenceOf(person, told, (await this.library.of(scope)).movement);
  }
}
