import type { ComposeAnswer, ComposeQuestion, ComposeWork, SwapAnswer, SwapQuestion } from '@clay-pot/contracts';
import { checkSequence, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { CircumstancesService } from '../effort/circumstances.service.js';
import { invalid } from '../http/problem.js';
import { LevelsService } from '../levels/levels.service.js';
import { ownShelfOf } from '../library/library.service.js';
import { soundSequence } from '../sequences/sound-sequence.js';
import { HeavyWork } from '../work/heavy-work.js';

/** For so long a better answer is looked for; what is found by then is answered, with how much better it could still be. */
const WITHIN_MS = 10_000;

/** Sequences made for somebody, beside the event loop. */
@Injectable()
export class ComposeService {
  constructor(
    private readonly circumstances: CircumstancesService,
    private readonly levels: LevelsService,
    private readonly work: HeavyWork,
  ) {}

  async compose(scope: StudioScope, question: ComposeQuestion): Promise<ComposeAnswer> {
    return this.work.run('answerCompose', { work: await this.workOf(scope, question), withinMs: WITHIN_MS });
  }

  /** @throws 422 for a block that the sequence does not have */
  async swaps(scope: StudioScope, { blockId, ...question }: SwapQuestion): Promise<SwapAnswer> {
    if (!question.from.blocks.some(({ id }) => id === blockId)) {
      throw invalid([{ pointer: '/blockId', message: 'must be a block of the sequence' }]);
    }
    return this.work.run('answerSwap', { work: await this.workOf(scope, question), blockId });
  }

  /** Where an athlete’s hands stand; of a body alone nothing is known. */
  private async standingsOf(scope: StudioScope, athleteId: string | undefined): Promise<NonNullable<ComposeWork['standings']>> {
    if (athleteId === undefined) return [];
    const standings = await this.levels.standings(scope, athleteId);
    return standings.map(({ movementId, levelId, step, last }) => ({ movementId, levelId, step, last }));
  }

  private async workOf(scope: StudioScope, question: ComposeQuestion): Promise<ComposeWork> {
    const { goal: goalId, minutes, methodId, equipment, locked, rounds, from, others } = question;
    const { library, subject, athlete, past, now } = await this.circumstances.of(scope, question);
    if (methodId !== undefined && !library.method(methodId)) {
      throw invalid([{ pointer: '/methodId', message: `There is no method “${methodId}”.` }]);
    }
    if (from) soundSequence(from, library, '/from');
    const frame: Sequence = {
      title: goalId,
      purpose: '',
      budgetMin: minutes,
      pacing: USUAL_PACING,
      blocks: locked ?? [],
      ...(rounds && { rounds }),
    };
    const faults = checkSequence(frame, library.movement);
    if (faults.length > 0) throw invalid(faults.map(lockedFault));
    const shelf = await ownShelfOf(scope);
    const standings = await this.standingsOf(scope, question.athleteId);
    return {
      goalId,
      minutes,
      method: methodOf({ methodId: methodId ?? from?.methodId }, library.method),
      person: subject.person,
      athlete: equipment ? { cautions: athlete?.cautions ?? [], equipment } : athlete,
      past,
      standings,
      now,
      ...shelf,
      ...withoutUnsaid({ notAt: question.notAt, leftOut: question.leftOut, isLight: question.isLight, locked, rounds }),
      from,
      others,
    };
  }
}

/** Only what was said. */
const withoutUnsaid = <T extends object>(all: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as { [K in keyof T]?: Exclude<T[K], undefined> };

/** A fault of a locked block is reported where it was sent. */
const lockedFault = ({ pointer, message }: { readonly pointer: string; readonly message: string }) => ({
  pointer: pointer.replace(/^\/blocks/, '/locked'),
  message,
});
