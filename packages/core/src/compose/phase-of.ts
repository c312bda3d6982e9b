import { LOADS_FROM_PERCENT } from '../rules/checks/warm-up.js';
import { type Level, type Movement, USUAL_PHASE } from '../model/movement.js';
import type { Method } from '../model/method.js';
import type { Phase } from '../vocabulary/phases.js';
import type { Posture } from '../vocabulary/places.js';

/** With part of the weight on the hands these prepare for the posture that is trained for. */
const ON_THE_WAY: readonly Posture[] = ['all fours', 'knees back', 'incline', 'kneeling', 'seated', 'standing'];

/** The phases in which a level may be used by default, the usual one first; where the method stretches after strength, a stretch is allowed there too. */
export function phasesOf({ family }: Movement, level: Level, effortPercent: number, { stretching }: Method): readonly Phase[] {
  const usual = USUAL_PHASE[family];
  if (family === 'assisted-stretches')
    return stretching === 'after each strength block' ? ['range', 'strength', 'settle'] : ['range', 'settle'];
  if (family === 'bearing-holds') return [ON_THE_WAY.includes(level.posture) ? 'load' : 'skill'];
  const isEasy = level.loading === 'unloaded' || level.loading === 'assisted' || effortPercent < LOADS_FROM_PERCENT;
  if (usual === 'prepare') return [isEasy ? 'prepare' : 'strength'];
  if (usual === 'range') return [isEasy ? 'range' : 'load'];
  return [usual];
}
