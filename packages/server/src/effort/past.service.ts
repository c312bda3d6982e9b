import { type PastSession, pastSessions, type Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { DoneSetRow, SessionRow } from '../sessions/session.entities.js';

const DAY_MS = 86_400_000;

/** What an athlete's sessions of the last days came to, by what was done. */
@Injectable()
export class PastService {
  constructor(private readonly library: LibraryService) {}

  /** Ended sessions that began within some days before an instant, oldest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date, days: number): Promise<PastSession[]> {
    const rows = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.athlete_id = :athleteId', { athleteId })
      .andWhere('session.ending IS NOT NULL')
      .andWhere('session.started_at > :from', { from: new Date(until.getTime() - days * DAY_MS) })
      .andWhere('session.started_at <= :until', { until })
      .getMany();
    if (rows.length === 0) return [];
    const sets = await scope.of(DoneSetRow).find({ where: { sessionId: In(rows.map(({ id }) => id)) } });
    const carried = rows.map(({ id, startedAt, endedAt, plan }) => ({
      id,
      startedAt: startedAt.toISOString(),
      endedAt: (endedAt ?? startedAt).toISOString(),
      plan,
      sets: sets.filter(({ sessionId }) => sessionId === id),
    }));
    return pastSessions(person, carried, (await this.library.of(scope)).movement);
  }
}
