import type { EvaluateAnswer, EvaluateQuestion } from '@clay-pot/contracts';
import { carriedOutOn, checkProgramme, lookBackDays, type Sequence, under } from '@clay-pot/core';
import { methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { CircumstancesService } from '../effort/circumstances.service.js';
import { Clock, dayIn } from '../http/clock.js';
import { invalid } from '../http/problem.js';
import { ownShelfOf } from '../library/library.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { soundSequence } from '../sequences/sound-sequence.js';
import { HeavyWork } from '../work/heavy-work.js';

/** What a programme comes to, beside the event loop. Nothing is stored. */
@Injectable()
export class EvaluateService {
  constructor(
    private readonly circumstances: CircumstancesService,
    private readonly work: HeavyWork,
    private readonly clock: Clock,
  ) {}

  /** @throws 422 for a programme or a sequence that is not sound @throws 404 for an athlete of nobody here */
  async evaluate(scope: StudioScope, question: EvaluateQuestion): Promise<EvaluateAnswer> {
    const { programme } = question;
    const faults = checkProgramme(programme);
    if (faults.length > 0) throw invalid(under('/programme', faults));
    const today = question.today ?? dayIn(scope.timeZone, this.clock.now());
    const { library, subject, athlete, past } = await this.circumstances.of(scope, question, lookBackDays(programme, today));
    if (programme.methodId !== undefined && !library.method(programme.methodId)) {
      throw invalid([{ pointer: '/programme/methodId', message: `There is no method “${programme.methodId}”.` }]);
    }
    question.sequences?.forEach(({ sequence }, index) => soundSequence(sequence, library, `/sequences/${index}/sequence`));
    return this.work.run('answerEvaluate', {
      programme,
      sequences: await sequencesFor(scope, question),
      ...(await ownShelfOf(scope)),
      person: subject.person,
      method: methodOf(programme, library.method),
      athlete,
      ...carriedOutOn(past),
      today,
    });
  }
}

/** The sequences of the plans: as they were sent, else as they are kept; those that were removed are missing. */
async function sequencesFor(
  scope: StudioScope,
  { programme: { plans }, sequences: sent = [] }: EvaluateQuestion,
): Promise<[string, Sequence][]> {
  const kept = await scope.of(SequenceRow).find({ where: { id: In(plans.map(({ sequenceId }) => sequenceId)), removedAt: IsNull() } });
  return plans.flatMap(({ id, sequenceId }): [string, Sequence][] => {
    const sequence = sent.find(({ planId }) => planId === id)?.sequence ?? kept.find((row) => row.id === sequenceId)?.document;
    return sequence ? [[id, sequence]] : [];
  });
}
