import type { PostureQuestion, SolveQuestion } from '@clay-pot/contracts';
import { bodyAlone } from '../persons/persons.service.js';
import { answerPosture, answerSolve, postureFrom } from './mechanics.service.js';

const body = { sex: 'female', statureM: 1.66, massKg: 58, ageYears: 31 } as const;
const plank: PostureQuestion = { body, posture: { from: 'plank' } };
const shifted: PostureQuestion = {
  body,
  posture: { from: 'allFours', facing: 'outward', leanDeg: 10, leftShare: 0.6 },
};
const quarter: SolveQuestion = {
  body,
  posture: { from: 'allFours' },
  vary: 'distanceM',
  target: { quantity: 'loadPercentBW', value: 25, hand: 'left' },
};
const gentle: SolveQuestion = {
  body,
  posture: { from: 'bench', contact: 'raised palm' },
  vary: 'handHeightM',
  target: { quantity: 'effortPercent', value: 60, hand: 'right' },
};
const DAY = '2026-01-01';

/** Questions and the core's own answers, for the API's description: they cannot go stale. */
export const EXAMPLES = {
  posture: {
    questions: {
      plank: { summary: 'A plank', value: plank },
      shifted: { summary: 'All fours, fingers outward, leaning and shifted to the left hand', value: shifted },
    },
    answer: answerPosture(bodyAlone(body, DAY), postureFrom(plank.posture)),
  },
  solve: {
    questions: {
      quarter: { summary: 'How far apart for a quarter of the body on each hand', value: quarter },
      gentle: { summary: 'How high a bench for 60 % effort with the heels of the hands lifted', value: gentle },
    },
    answer: answerSolve(bodyAlone(body, DAY), quarter),
  },
};
