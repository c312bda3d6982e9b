import { type Support, type SupportPosture, USUAL_HAND } from './posture.js';

/** What every posture starts from: flat palms on the floor, arms straight, both hands alike. */
const BASE: SupportPosture = {
  ...USUAL_HAND,
  support: 'knees',
  supportHeightM: 0,
  shanks: 'resting',
  surface: 'level',
  handHeightM: 0,
  face: 'front',
  elbowBendDeg: 0,
  leftShare: 0.5,
};

/** The named postures, free of body size, that ladders and the bench start from. */
export const USUAL_POSTURES = {
  wallLean: {
    ...BASE,
    support: 'soles',
    surface: 'wall',
    handHeightM: 'shoulder height',
    hipAngleDeg: 175,
    distanceM: 0.75,
  },
  atTable: { ...BASE, support: 'soles', handHeightM: 0.75, leanDeg: 'square', hipAngleDeg: 130 },
  tableLean: { ...BASE, support: 'soles', leanDeg: 'square', hipAngleDeg: 178, handHeightM: 0.74 },
  hipsBack: { ...BASE, leanDeg: -20, hipAngleDeg: 85 },
  allFours: { ...BASE, leanDeg: 0, hipAngleDeg: 105 },
  kneesBack: { ...BASE, leanDeg: 0, hipAngleDeg: 135 },
  kneePlank: { ...BASE, shanks: 'lifted', leanDeg: 0, hipAngleDeg: 178 },
  bench: { ...BASE, support: 'toes', leanDeg: 'square', hipAngleDeg: 178, handHeightM: 0.45 },
  plank: { ...BASE, support: 'toes', leanDeg: 0, hipAngleDeg: 178 },
  feetRaised: { ...BASE, support: 'toes', leanDeg: 0, hipAngleDeg: 178, supportHeightM: 0.45 },
  pike: { ...BASE, support: 'toes', leanDeg: -10, hipAngleDeg: 85 },
  pikeRaised: { ...BASE, support: 'toes', leanDeg: 0, hipAngleDeg: 90, supportHeightM: 0.45 },
  sideSupportKnees: { ...BASE, face: 'side', leanDeg: 0, hipAngleDeg: 178, leftShare: 1 },
  sideSupport: { ...BASE, support: 'side of feet', face: 'side', leanDeg: 0, hipAngleDeg: 178, leftShare: 1 },
  reversePlank: { ...BASE, support: 'heels', face: 'back', facing: 'backward', leanDeg: 0, hipAngleDeg: 178 },
  wallHandstand: { ...BASE, support: 'feet on wall', leanDeg: 0, hipAngleDeg: 178, distanceM: 0.35 },
  handstand: { ...BASE, support: 'none', leanDeg: 0, hipAngleDeg: 180 },
} as const satisfies Record<string, SupportPosture>;
/** The name of a usual posture. */
export type UsualPosture = keyof typeof USUAL_POSTURES;

/** The usual posture of what the body rests on, where no other is named. */
export const USUAL_OF_SUPPORT: Record<Support, UsualPosture> = {
  knees: 'allFours',
  toes: 'plank',
  soles: 'tableLean',
  heels: 'reversePlank',
  'side of feet': 'sideSupport',
  'feet on wall': 'wallHandstand',
  none: 'handstand',
};

/** What they are called where one is chosen. */
export const POSTURE_NAMES: Record<UsualPosture, string> = {
  wallLean: 'Standing, hands on a wall',
  atTable: 'Standing at a table',
  tableLean: 'Leaning on a table',
  hipsBack: 'Kneeling, hips back',
  allFours: 'All fours',
  kneesBack: 'Knees back',
  kneePlank: 'Plank on knees',
  bench: 'Hands on a bench',
  plank: 'Plank',
  feetRaised: 'Plank, feet raised',
  pike: 'Pike',
  pikeRaised: 'Pike, feet raised',
  sideSupportKnees: 'Side plank on knees',
  sideSupport: 'Side plank',
  reversePlank: 'Reverse plank',
  wallHandstand: 'Wall handstand',
  handstand: 'Handstand',
};
