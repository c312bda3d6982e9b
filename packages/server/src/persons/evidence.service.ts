import { type Evidence, evidenceOf, heldAndTested, type Person, type Reading } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { carriedOut } from '../sessions/carried-out.js';
import { BlockReportRow } from '../sessions/session.entities.js';

/** Sets of longer ago, and of more sessions than these, tell next to nothing beside those of since: ratings of one person lean one way. */
const TELLS = { days: 120, latest: 12 };

/** Somebody by body and readings. */
export interface Known {
  readonly person: Person;
  readonly readings: readonly Reading[];
}

/** What an athlete's sets, holds and tests tell of their maxima, beside the maxima that were tested. */
@Injectable()
export class EvidenceService {
  constructor(private readonly library: LibraryService) {}

  /** Of the readings, and of the last sessions that ended before an instant, the newest first. */
  async of(scope: StudioScope, athleteId: string, known: Known, until: Date): Promise<Evidence[]> {
    const { movement } = await this.library.of(scope);
    const tested = heldAndTested(known.person, known.readings, movement);
    const sessions = await carriedOut(scope, athleteId, until, TELLS);
    if (sessions.length === 0) return tested;
    const sessionId = In(sessions.map(({ id }) => id));
    const reports = await scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC' } });
    const told = sessions.map((session) => ({
      ...session,
      reports: reports.filter((report) => report.sessionId === session.id),
    }));
    return [...tested, ...evidenceOf(known.person, told, movement)];
  }

  /** What holds, repetitions and all-out tests tell. */
  async ofReadings(scope: StudioScope, { person, readings }: Known): Promise<Evidence[]> {
    return readings.length === 0 ? [] : heldAndTested(person, readings, (await this.library.of(scope)).movement);
  }
}
