import { answerSession, answerTimeline, type EffortWork } from '@clay-pot/core/answers';
import { resolveBlock, type Sequence, USUAL_PACING } from '@clay-pot/core';
import type { EffortQuestion, PersonInput } from '@clay-pot/contracts';
import { shippedMovement, USUAL_METHOD } from '@clay-pot/core/library';
import { bodyAlone, withMore } from '../persons/persons.service.js';

const body = { sex: 'male', statureM: 1.78, massKg: 80, ageYears: 27 } as const;

function blockOf(id: string, phase: 'load' | 'strength', movementId: string, levelId: string) {
  const { dose } = resolveBlock({ movementId, levelId }, shippedMovement).level;
  return { id, phase, movementId, levelId, dose };
}

const sequence: Sequence = {
  title: 'Two blocks',
  purpose: '',
  budgetMin: 5,
  pacing: USUAL_PACING,
  blocks: [blockOf('b1', 'load', 'isometric.flexion', 'medium'), blockOf('b2', 'strength', 'bearing.palm-support', 'plank')],
};

const whose = {
  body,
  strengthOfNorm: 1.4,
  measured: [{ kind: 'maximum', of: 'wrist flexion', hand: 'left', value: 17 }],
} satisfies PersonInput;
const subject = withMore(bodyAlone(body, '2026-01-01'), whose);
const work: EffortWork = {
  ...{ sequence, ...subject, method: USUAL_METHOD, athlete: null, past: [] },
  ...{ now: `${subject.person.today}T00:00:00.000Z`, own: [], removedIds: [] },
};

/** A question and the core's own answers, for the API's description. */
export const EFFORT_EXAMPLE = {
  question: { ...whose, sequence, at: '2026-01-01T00:00:00.000Z' } satisfies EffortQuestion,
  timeline: answerTimeline(work),
  session: answerSession(work),
};
