import { type PastSession, pastSessions, type Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { LibraryService } from '../library/library.service.js';
import { carriedOut } from '../sessions/carried-out.js';

/** What an athlete's sessions of the last days came to, by what was done. */
@Injectable()
export class PastService {
  constructor(private readonly library: LibraryService) {}

  /** Ended sessions that began within some days before an instant, oldest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date, days: number): Promise<PastSession[]> {
    const carried = await carriedOut(scope, athleteId, until, { days });
    if (carried.length === 0) return [];
    return pastSessions(person, carried, (await this.library.of(scope)).movement);
  }
}
