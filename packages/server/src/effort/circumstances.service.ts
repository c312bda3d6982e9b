import type { PersonInput } from '@clay-pot/contracts';
import { cautionsOn, type Subject, type PastSession, type SessionQuestion } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { LibraryService } from '../library/library.service.js';
import { PersonsService } from '../persons/persons.service.js';
import { PastService } from './past.service.js';

/** Four weeks are what the checks look back on. */
const PAST_DAYS = 28;

/** Everything besides the sequence that a session is judged by. */
export interface Circumstances {
  readonly library: StudioLibrary;
  readonly subject: Subject;
  readonly athlete: SessionQuestion['athlete'];
  readonly past: readonly PastSession[];
  /** ISO 8601 instant. */
  readonly now: string;
}

/** For whom, with what on record and behind them, and when. */
@Injectable()
export class CircumstancesService {
  constructor(
    private readonly persons: PersonsService,
    private readonly library: LibraryService,
    private readonly past: PastService,
    private readonly clock: Clock,
  ) {}

  /** @param pastDays how far to look back @throws 404 for an athlete of nobody here */
  async of(scope: StudioScope, question: PersonInput & { readonly at?: string | undefined }, pastDays = PAST_DAYS): Promise<Circumstances> {
    const library = await this.library.of(scope);
    const subject = await this.persons.subjectOf(scope, question);
    const now = question.at ? new Date(question.at) : this.clock.now();
    const { athleteId } = question;
    const row = athleteId ? await scope.of(AthleteRow).get(athleteId, 'athlete') : null;
    const past = athleteId ? await this.past.of(scope, athleteId, subject.person, now, pastDays) : [];
    const athlete = row && { cautions: cautionsOn(row, dayIn(scope.timeZone, now)), equipment: row.equipment, leftOut: row.leftOut };
    return { library, subject: subject, athlete, past, now: now.toISOString() };
  }
}
