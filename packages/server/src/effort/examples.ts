import type { EffortQuestion } from '@clay-pot/contracts';
import { findLevel, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { bodyAlone } from '../mechanics/mechanics.service.js';
import { answerTimeline } from './effort.service.js';

const body = { sex: 'male', statureM: 1.78, massKg: 80, ageYears: 27 } as const;

function blockOf(id: string, phase: 'load' | 'strength', movementId: string, levelId: string) {
  const { dose } = findLevel(shippedMovement(movementId)!, levelId)!;
  return { id, phase, movementId, levelId, dose };
}

const sequence: Sequence = {
  title: 'Two blocks',
  purpose: '',
  budgetMin: 5,
  pacing: USUAL_PACING,
  blocks: [
    blockOf('b1', 'load', 'isometric.flexion', 'medium'),
    blockOf('b2', 'strength', 'bearing.palm-support', 'plank'),
  ],
};

/** A question and the core's own answer, for the API's description. */
export const EFFORT_EXAMPLE = {
  question: { body, sequence } as unknown as EffortQuestion,
  answer: answerTimeline(bodyAlone(body, '2026-01-01'), sequence, shippedMovement),
};
