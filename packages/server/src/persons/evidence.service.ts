import { type Evidence, evidenceOf, type Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { carriedOut } from '../sessions/carried-out.js';
import { BlockReportRow } from '../sessions/session.entities.js';

/** Sets of longer ago, and of more sessions than these, tell next to nothing beside those of since: ratings of one person lean one way. */
const TELLS = { days: 120, latest: 12 };

/** What an athlete's sets tell of their maxima. */
@Injectable()
export class EvidenceService {
  constructor(private readonly library: LibraryService) {}

  /** Of the last sessions that ended before an instant, the newest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date): Promise<Evidence[]> {
    const sessions = await carriedOut(scope, athleteId, until, TELLS);
    if (sessions.length === 0) return [];
    const sessionId = In(sessions.map(({ id }) => id));
    const reports = await scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC' } });
    const told = sessions.map((session) => ({
      ...session,
      reports: reports.filter((report) => report.sessionId === session.id),
    }));
    return evidenceOf(person, told, (await this.library.of(scope)).movement);
  }
}
