import type { EffortQuestion, EffortSessionAnswer, EffortTimelineAnswer, OffersAnswer, OffersQuestion } from '@clay-pot/contracts';
import type { EffortWork } from '@clay-pot/core/answers';
import { methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { ownShelfOf } from '../library/library.service.js';
import { soundSequence } from '../sequences/sound-sequence.js';
import { HeavyWork } from '../work/heavy-work.js';
import { CircumstancesService } from './circumstances.service.js';

/** What a sequence does to somebody's muscles, asked by another program: computed beside the event loop. */
@Injectable()
export class EffortService {
  constructor(
    private readonly circumstances: CircumstancesService,
    private readonly work: HeavyWork,
  ) {}

  async timeline(scope: StudioScope, question: EffortQuestion): Promise<EffortTimelineAnswer> {
    return this.work.run('answerTimeline', await this.workOf(scope, question));
  }

  async session(scope: StudioScope, question: EffortQuestion): Promise<EffortSessionAnswer> {
    return this.work.run('answerSession', await this.workOf(scope, question));
  }

  /** What would answer one finding: each answer is carried out once, so one finding is asked about at a time. */
  async offers(scope: StudioScope, { check, blockIds, ...question }: OffersQuestion): Promise<OffersAnswer> {
    const answer = await this.work.run('answerOffers', { ...(await this.workOf(scope, question)), check, blockIds });
    if (!answer) throw invalid([{ pointer: '/check', message: 'finds nothing in these blocks of this sequence' }]);
    return answer;
  }

  private async workOf(scope: StudioScope, question: EffortQuestion): Promise<EffortWork> {
    const { library, subject, athlete, past, now } = await this.circumstances.of(scope, question);
    const sequence = soundSequence(question.sequence, library, '/sequence');
    return {
      sequence,
      person: subject.person,
      estimated: subject.estimated,
      method: methodOf(sequence, library.method),
      athlete,
      past,
      now,
      ...(await ownShelfOf(scope)),
    };
  }
}
