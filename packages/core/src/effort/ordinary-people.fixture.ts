import type { Person } from '../mechanics/capacity.js';
import type { Body } from '../model/body.js';
import { STRENGTHS, type StrengthName } from '../vocabulary/strengths.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';

/** How something goes: at little effort and held; completed; hard, and completed or failing in its last third; not to be done. */
export type Verdict = 'easy' | 'can' | 'hard' | 'cannot';

/** What practitioners ask of somebody, and how it goes. A working table from coaching practice. */
export type TableRow = readonly [
  movementId: string,
  levelId: string,
  who: `${'untrained' | 'practised'} ${'woman' | 'man'}`,
  dose: string,
  verdict: Verdict,
  lookAt: MuscleGroup | 'all',
];

const BODIES: Record<'woman' | 'man', Body> = {
  woman: { sex: 'female', statureM: 1.65, massKg: 62 },
  man: { sex: 'male', statureM: 1.78, massKg: 78 },
};

/** Somebody of thirty of whom nothing was measured; practised are maxima 1.4 times the norm. */
export function personOfTable(who: TableRow[2]): Person {
  const [strength, body] = who.split(' ') as ['untrained' | 'practised', 'woman' | 'man'];
  const name: StrengthName = strength === 'practised' ? 'practised' : 'ordinary';
  return { body: BODIES[body], ageYears: 30, evidence: [], strengthOfNorm: STRENGTHS[name], today: '2026-11-01' };
}

/** Every row of the table. */
export const ORDINARY_PEOPLE: readonly TableRow[] = [
  ['free.wrist-circles', 'free-fist', 'untrained woman', '1x3 tempo4-4 L,R <>', 'easy', 'all'],
  ['free.open-close', 'slow', 'untrained woman', '1x10 tempo2-2', 'easy', 'all'],
  ['free.open-close', 'fast', 'untrained man', '1x30s', 'can', 'finger extensors'],
  ['free.open-close', 'fast', 'untrained woman', '1x60s', 'hard', 'finger extensors'],
  ['free.bending-waves', 'arms-side', 'untrained woman', '1x10 tempo2-2 L/R', 'can', 'wrist extensors'],
  ['rock.palm-fore-aft', 'behind', 'untrained woman', '1x10 tempo2-2', 'easy', 'wrist flexors'],
  ['rock.palm-fore-aft', 'over', 'untrained man', '1x12 tempo2-2', 'can', 'wrist flexors'],
  ['rock.forearm-turns', 'hips-back', 'untrained woman', '1x10 tempo2-2', 'easy', 'wrist flexors'],
  ['strength.palm-lift', 'table', 'untrained woman', '1x10 tempo1-2', 'can', 'wrist flexors'],
  ['strength.palm-lift', 'all-fours', 'untrained man', '1x8 tempo1-2', 'can', 'wrist flexors'],
  ['strength.palm-lift', 'all-fours', 'untrained woman', '1x5 tempo1-2', 'hard', 'wrist flexors'],
  ['strength.palm-lift', 'plank', 'untrained woman', '2x5 tempo1-3 rest60', 'cannot', 'wrist flexors'],
  ['strength.palm-lift', 'plank', 'practised man', '1x5 tempo1-3', 'hard', 'wrist flexors'],
  ['strength.finger-lifts', 'all-fours', 'untrained woman', '1x5 tempo5-5 L,R <>', 'can', 'finger extensors'],
  ['strength.fist-to-back', 'both-back', 'practised woman', '2x5 tempo3-2 rest40', 'can', 'wrist extensors'],
  ['bearing.palm-support', 'plank', 'untrained woman', '1x30s', 'can', 'wrist flexors'],
  ['bearing.palm-support', 'plank', 'practised woman', '1x60s', 'easy', 'wrist flexors'],
  ['bearing.side-support', 'feet', 'untrained man', '1x15s L,R', 'can', 'wrist flexors'],
  ['bearing.fist-support', 'plank', 'untrained man', '1x20s', 'can', 'all'],
  ['bearing.fingertip-support', 'hips-back', 'untrained woman', '1x15s', 'can', 'all'],
  ['bearing.fingertip-support', 'plank', 'untrained man', '1x10s', 'cannot', 'all'],
  ['bearing.back-of-hand-support', 'half-way', 'untrained woman', '1x15s', 'can', 'wrist extensors'],
  ['hang.full', 'bar', 'untrained man', '1x30s', 'can', 'finger flexors'],
  ['hang.full', 'bar', 'untrained woman', '1x15s', 'hard', 'finger flexors'],
  ['hang.feet-supported', 'light', 'untrained woman', '2x20s rest30', 'can', 'finger flexors'],
  ['edge.hang', 'medium', 'untrained man', '1x8s', 'cannot', 'finger flexors'],
  ['edge.hang', 'deep', 'practised man', '1x8s', 'can', 'finger flexors'],
  ['edge.feet-assisted', 'most-on-feet', 'untrained woman', '3x10s rest60', 'can', 'finger flexors'],
  ['isometric.extension', 'gentle', 'untrained woman', '1x10 @30% 5s tempo1-1 L,R', 'easy', 'wrist extensors'],
  ['isometric.end-extension', 'near-most', 'practised man', '1x5 @85% 6s tempo1-2 L,R', 'hard', 'wrist extensors'],
  ['weight.curl', 'light', 'untrained man', '2x10 tempo1-2 rest30 L,R', 'easy', 'wrist flexors'],
  ['weight.raises-three', 'light', 'untrained woman', '1x10 tempo1-2 L,R', 'easy', 'wrist extensors'],
  ['weight.thumb-one-finger', 'light', 'untrained man', '1x10 tempo1-2 L,R', 'can', 'finger flexors'],
  ['grip.band-opening', 'light', 'practised man', '1x100 tempo1-1', 'hard', 'finger extensors'],
  ['grip.bar-carry', 'medium', 'untrained man', '2x25s rest60', 'can', 'finger flexors'],
  ['grip.pinch-hold', 'heavy', 'untrained woman', '3x20s @70% rest60', 'hard', 'finger flexors'],
];
