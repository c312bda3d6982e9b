import type { PastSession, Person } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { ownShelfOf } from '../library/library.service.js';
import { carriedOut } from '../sessions/carried-out.js';
import { HeavyWork } from '../work/heavy-work.js';

/** What an athlete's sessions of the last days came to, by what was done: computed beside the event loop. */
@Injectable()
export class PastService {
  constructor(private readonly work: HeavyWork) {}

  /** Ended sessions that began within some days before an instant, oldest first. */
  async of(scope: StudioScope, athleteId: string, person: Person, until: Date, days: number): Promise<PastSession[]> {
    const carried = await carriedOut(scope, athleteId, until, { days });
    return carried.length === 0 ? [] : this.work.run('answerPast', { person, carried, ...(await ownShelfOf(scope)) });
  }
}
