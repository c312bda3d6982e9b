import { type Evidence, heldAndTested, type Person, type Reading } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { KeptAnswersService } from '../kept/kept-answers.service.js';
import { LibraryService, ownOf } from '../library/library.service.js';
import { HeavyWork } from '../work/heavy-work.js';
import { type RecordOf, loadSubjectWork } from './subject-work.js';

/** Somebody by body and readings. */
export interface EvidenceContext {
  readonly person: Person;
  readonly readings: readonly Reading[];
}

/** What an athlete's sets, holds and tests tell of their maxima, beside the maxima that were tested. */
@Injectable()
export class EvidenceService {
  constructor(
    private readonly library: LibraryService,
    private readonly kept: KeptAnswersService,
    private readonly work: HeavyWork,
  ) {}

  /** By their record, as it is kept. @throws 404 */
  ofRecord(scope: StudioScope, athleteId: string, context: EvidenceContext & { record: RecordOf }, until: Date): Promise<Evidence[]> {
    return this.kept.of(scope, athleteId, 'evidence', () => this.found(scope, athleteId, context, until));
  }

  /** With another body than the recorded one: what a set shows depends on it. */
  async found(scope: StudioScope, athleteId: string, context: EvidenceContext & { record: RecordOf }, until: Date): Promise<Evidence[]> {
    const { today } = context.person;
    const [subject, { movements }] = await Promise.all([loadSubjectWork(scope, athleteId, { ...context, today }, until), ownOf(scope)]);
    // No thread is started where nothing tells anything.
    if (subject.sessions.length + subject.readings.length === 0) return [];
    return this.work.run('answerEvidence', { ...subject, ownMovements: movements });
  }

  /** What holds, repetitions and all-out tests tell. */
  async ofReadings(scope: StudioScope, { person, readings }: EvidenceContext): Promise<Evidence[]> {
    return readings.length === 0 ? [] : heldAndTested(person, readings, (await this.library.of(scope)).movement);
  }
}
