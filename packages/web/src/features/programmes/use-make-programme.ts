import { readable } from '../../domain/measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  apart,
  EASY_PLAN,
  hardWeekdays,
  joinSentences,
  LIGHTER_PLAN,
  LOADING_PLAN,
  newProgramme,
  type ProgrammePlan,
  type Sequence,
  spacingOf,
} from '@clay-pot/core';
import { EASY_GOAL, TRAINING_GOALS } from '@clay-pot/core/library';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useCreateProgramme } from '../../api/programme-queries.js';
import { fetchSequence, usePast } from '../../api/queries.js';
import { composeBeside } from '../../domain/composing/composer.js';
import { useComposeWork } from '../../domain/composing/wishes.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { type PlanWish, scheduleWishOf } from './plan-wish.js';
import { circumstancesOf } from './use-programme-view.js';

/** Making a programme, as a page follows it. */
export interface Making {
  /** What is being done; null while nothing is. */
  readonly step: string | null;
  /** Why it could not be made. */
  readonly trouble: string | null;
  /** @returns the id of the programme; null where it could not be made */
  readonly make: (wish: PlanWish) => Promise<string | null>;
}

interface Planned {
  readonly plan: ProgrammePlan;
  readonly sequence: Sequence;
}

/** Thrown where nothing can be composed: says the least that would have to give way. */
class NothingComposed extends Error {}

/** Composes what a programme has no sequence for yet, stores it, and makes the programme of it. */
export function useMakeProgramme(athlete: Athlete): Making {
  const [step, setStep] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const workOf = useComposeWork(athlete);
  const newSequence = useNewSequence();
  const create = useCreateProgramme();
  const { person } = useSubject(athlete.id);
  const past = usePast(athlete.id);
  const cautions = useStandingCautions(athlete);

  async function composed(goalId: string, wish: PlanWish, minutes: number, isLight: boolean): Promise<Sequence> {
    const { methodId } = wish;
    const work = workOf({ goalId, minutes, methodId, equipment: athlete.equipment, notAt: [], leftOut: [] });
    const { sequence, giveUp } = await composeBeside({ ...work, isLight }, () => undefined);
    if (sequence) return sequence;
    throw new NothingComposed(
      `Not all of it can be had together in ${minutes} minutes. ${readable(joinSentences(giveUp.map(({ text }) => text)))}`,
    );
  }

  /** A plan by the sequence that was chosen, or by one that is composed and stored for it. */
  async function plan(id: string, chosenId: string, title: string, compose: () => Promise<Sequence>): Promise<Planned> {
    if (chosenId !== '') {
      const { document } = await fetchSequence(chosenId);
      return { plan: { id, sequenceId: chosenId }, sequence: document };
    }
    setStep(`Generating “${title}” …`);
    const sequence = await compose();
    return { plan: { id, sequenceId: await newSequence(`${title}, ${athlete.name}`, sequence) }, sequence };
  }

  /** The sequence for loading days, a lighter one where those lie too near each other for what is hard in it, and one for easy days. */
  async function planned(wish: PlanWish, circumstances: ReturnType<typeof circumstancesOf>): Promise<Planned[]> {
    const { goalId, loadingMin, easyMin } = wish;
    const loading = await plan(LOADING_PLAN, wish.loadingId, 'Load day', () => composed(goalId, wish, loadingMin, false));
    const plans = [loading];
    const hardDays = hardWeekdays(wish, spacingOf(loading.sequence, circumstances));
    if (hardDays.length < apart(wish.weekdays, wish.loadingDays).length) {
      plans.push(await plan(LIGHTER_PLAN, '', 'Lighter load day', () => composed(goalId, wish, loadingMin, true)));
    }
    if (wish.hasEasy) plans.push(await plan(EASY_PLAN, wish.easyId, 'Easy day', () => composed(EASY_GOAL, wish, easyMin, true)));
    return plans;
  }

  async function make(wish: PlanWish): Promise<string | null> {
    setTrouble(null);
    try {
      const circumstances = circumstancesOf({
        person,
        cautions,
        equipment: athlete.equipment,
        leftOut: athlete.leftOut,
        methodId: wish.methodId,
        past: past.data ?? [],
      });
      const plans = await planned(wish, circumstances);
      setStep('Saving…');
      const { goalId, methodId } = wish;
      const named = TRAINING_GOALS.find(({ id }) => id === goalId)?.name ?? 'Programme';
      const document = newProgramme({
        ...circumstances,
        head: { title: wish.title.trim() || named, goalId, methodId, plans: plans.map((each) => each.plan) },
        wish: scheduleWishOf(wish),
        sequences: new Map(plans.map((each) => [each.plan.id, each.sequence])),
      });
      const id = uuid();
      await create.mutateAsync({ id, athleteId: athlete.id, document });
      return id;
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
      return null;
    } finally {
      setStep(null);
    }
  }

  return { step, trouble, make };
}
