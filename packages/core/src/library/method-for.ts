import type { RecordedCaution } from '../model/athlete.js';
import type { Method } from '../model/method.js';
import { CAUTIONS, type CautionId } from '../vocabulary/cautions.js';
import type { TrainingGoalId } from './goals.js';
import { METHODS } from './methods.js';

/** The method that each goal is usually trained by. */
const METHOD_OF_GOAL: Record<TrainingGoalId, keyof typeof METHODS> = {
  'handstand-load': 'floor-loading',
  'elbow-lever-range': 'floor-loading',
  'edge-strength': 'grip-and-iron',
  'grip-endurance': 'grip-and-iron',
  'throwing-hand': 'grip-and-iron',
  'racket-arm': 'grip-and-iron',
  'desk-hands': 'daily-range',
  'everyday-range': 'daily-range',
  'easy-day': 'daily-range',
  'gentle-return': 'careful-return',
  'mixed-class': 'woven-into-practice',
};
/** Who trains with one of these returns carefully, whatever the goal is. */
const CAREFUL_WITH: readonly CautionId[] = ['sore-place', 'tendon-pain', 'past-sprain', 'past-injury'];

/**
 * The method to start from for a person: that of the goal, the careful one while a hand hurts or is not cleared. The coach may choose another.
 * @example methodFor('edge-strength', []).id → 'grip-and-iron'
 */
export function methodFor(goalId: TrainingGoalId, cautions: readonly Pick<RecordedCaution, 'caution' | 'clearedOn'>[]): Method {
  const isCareful = cautions.some(
    ({ caution, clearedOn }) => CAREFUL_WITH.includes(caution) || (CAUTIONS[caution].rule === 'refer' && !clearedOn),
  );
  return METHODS[isCareful ? 'careful-return' : METHOD_OF_GOAL[goalId]];
}
