import { type Evidence, evidenceOf, type Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { BlockReportRow, DoneSetRow, SessionRow } from '../sessions/session.entities.js';

const DAY_MS = 86_400_000;
/** Sets of longer ago tell next to nothing of today beside those of since. */
const TELLS_FOR_DAYS = 120;

/** What an athlete's sets tell of their maxima. */
@Injectable()
export class EvidenceService {
  constructor(private readonly library: LibraryService) {}

  /** Of sessions that ended within the last months before an instant, oldest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date): Promise<Evidence[]> {
    const rows = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.athlete_id = :athleteId', { athleteId })
      .andWhere('session.ended_at IS NOT NULL')
      .andWhere('session.started_at > :from', { from: new Date(until.getTime() - TELLS_FOR_DAYS * DAY_MS) })
      .andWhere('session.started_at <= :until', { until })
      .orderBy('session.started_at')
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
