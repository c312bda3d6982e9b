import type { Goal as AskedGoal } from '../vocabulary/intake-words.js';
import type { TrainingGoal, TrainingGoalLookup, Want } from '../compose/goal.js';

/** Every goal wants a hand that is whole: moved in all directions, thumb and little finger too. */
const WHOLE_HAND: Want = {
  words: 'free movement of the whole hand',
  weight: 2,
  share: 8,
  such: [{ loadings: ['unloaded'], families: ['free-motion', 'tendon-glides'] }],
};
const OPENING: Want = {
  words: 'hand opening against resistance',
  weight: 2,
  share: 4,
  such: [{ loadings: ['resisted'], groups: ['finger extensors'] }],
};
const EXTENSORS: Want = {
  words: 'strength of the wrist extensors',
  weight: 3,
  share: 5,
  such: [{ loadings: ['resisted'], groups: ['wrist extensors'] }],
};
const FLEXORS: Want = {
  words: 'strength of the wrist flexors',
  weight: 2,
  share: 4,
  such: [{ loadings: ['resisted'], groups: ['wrist flexors'] }],
};
const TURNS: Want = {
  words: 'forearm turned against resistance',
  weight: 2,
  share: 4,
  such: [{ loadings: ['resisted'], groups: ['pronators', 'supinators'] }],
};
const BENDING_BACK: Want = {
  words: 'wrist extension range',
  weight: 2,
  share: 5,
  such: [
    { loadings: ['assisted'], motions: ['wrist extension'] },
    { loadings: ['planted'], families: ['planted-rocks'], motions: ['wrist extension'] },
  ],
};
const BENDING_IN: Want = {
  words: 'wrist flexion range',
  weight: 1,
  share: 3,
  such: [
    { loadings: ['assisted'], motions: ['wrist flexion'] },
    { loadings: ['planted'], contacts: ['back of hand'] },
  ],
};
const SETTLING: Want = {
  words: 'time to cool down',
  weight: 1,
  share: 5,
  such: [{ families: ['settle'] }],
};

/** What sessions are composed for. Weights and shares are working values: a coach reads what came of them, and changes the sequence. */
export const TRAINING_GOALS = [
  {
    id: 'handstand-load',
    name: 'Weight bearing in wrist extension, for handstands',
    purpose: 'For hands that carry the whole body: loaded extension, strong fingers and a way back.',
    wants: [
      {
        words: 'weight bearing in wrist extension',
        weight: 6,
        share: 14,
        such: [{ loadings: ['planted'], families: ['bearing-holds'], motions: ['wrist extension'] }],
        asks: { loadPercentBW: 50 },
      },
      {
        words: 'pressing strength of palm and fingers',
        weight: 4,
        share: 9,
        such: [{ loadings: ['planted'], families: ['planted-strength'] }],
      },
      { ...BENDING_BACK, weight: 3 },
      EXTENSORS,
      BENDING_IN,
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'elbow-lever-range',
    name: 'Range for levers on the elbows',
    purpose: 'Wrists in deep extension with fingers turned outward and backward, under part of the weight.',
    wants: [
      { ...BENDING_BACK, weight: 6, share: 12 },
      {
        words: 'weight with turned hands',
        weight: 4,
        share: 10,
        such: [{ loadings: ['planted'], motions: ['wrist extension'] }],
        asks: { extensionDeg: 90 },
      },
      {
        words: 'forearm rotation both ways',
        weight: 2,
        share: 5,
        such: [{ motions: ['supination', 'pronation'] }],
      },
      EXTENSORS,
      BENDING_IN,
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'edge-strength',
    name: 'Strength on edges',
    purpose: 'Finger flexors that hold small edges, and equal care for opening the hand.',
    wants: [
      {
        words: 'finger holds on an edge or hanging',
        weight: 6,
        share: 10,
        such: [{ families: ['edge-work', 'hangs'] }],
        asks: { effortPercent: 60 },
      },
      {
        words: 'finger closing and tendon glides',
        weight: 2,
        share: 6,
        such: [{ families: ['tendon-glides'] }, { families: ['grip'], groups: ['finger flexors'] }],
      },
      { ...OPENING, weight: 3, share: 6 },
      EXTENSORS,
      BENDING_BACK,
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'grip-endurance',
    name: 'Grip that lasts',
    purpose: 'For paddles, straps, staffs and bags held for long: many medium holds, and opening the hand in between.',
    wants: [
      {
        words: 'lasting grip',
        weight: 6,
        share: 14,
        such: [{ families: ['grip', 'hangs'], groups: ['finger flexors'] }],
        asks: { effortPercent: 35 },
      },
      { ...OPENING, weight: 4, share: 7 },
      EXTENSORS,
      FLEXORS,
      TURNS,
      BENDING_BACK,
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'throwing-hand',
    name: 'Balance for a hand that throws',
    purpose: 'For the side of the wrist and forearm that brakes a throw, and for balance with the other hand.',
    wants: [
      { ...EXTENSORS, weight: 4, share: 8 },
      { ...TURNS, weight: 4, share: 8 },
      {
        words: 'strength toward thumb and little finger',
        weight: 3,
        share: 6,
        such: [{ loadings: ['resisted'], groups: ['radial deviators', 'ulnar deviators'] }],
      },
      {
        words: 'elbow and shoulder strength',
        weight: 2,
        share: 5,
        such: [{ families: ['neighbours'] }],
      },
      OPENING,
      FLEXORS,
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'racket-arm',
    name: 'Arms for rackets and paddles',
    purpose: 'Extensors and rotators that absorb the shock of a hit, and a grip that relaxes in between.',
    wants: [
      { ...EXTENSORS, weight: 6, share: 10 },
      { ...TURNS, weight: 3, share: 6 },
      { ...FLEXORS, weight: 2 },
      { ...OPENING, weight: 3 },
      {
        words: 'gripping and letting go',
        weight: 2,
        share: 5,
        such: [{ families: ['grip'], groups: ['finger flexors'] }],
        asks: { effortPercent: 30 },
      },
      { ...BENDING_IN, weight: 2, share: 4 },
      WHOLE_HAND,
      SETTLING,
    ],
  },
  {
    id: 'desk-hands',
    name: 'Relief for hands at a desk',
    purpose: 'Gentle movement and easy stretches after hours in one position; nothing heavy, nothing on the floor.',
    places: ['seated', 'standing'],
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 18 },
      { ...BENDING_BACK, weight: 3, share: 8 },
      { ...BENDING_IN, weight: 3, share: 8 },
      { ...OPENING, weight: 3, share: 5 },
      {
        words: 'thumb movement and stretch',
        weight: 2,
        share: 4,
        such: [{ groups: ['thumb muscles'], loadings: ['unloaded', 'assisted'] }],
      },
      { ...EXTENSORS, weight: 2, share: 4 },
      { ...SETTLING, weight: 2, share: 8 },
    ],
  },
  {
    id: 'gentle-return',
    name: 'Careful return to loading',
    purpose: 'After an injury: low-effort holds at several angles, free movement, and no more.',
    wants: [
      {
        words: 'low-effort holds',
        weight: 6,
        share: 14,
        such: [{ families: ['isometrics'] }],
        asks: { effortPercent: 20 },
      },
      { ...WHOLE_HAND, weight: 4, share: 16 },
      {
        words: 'a little weight on the hands',
        weight: 2,
        share: 5,
        such: [{ loadings: ['planted'] }],
      },
      { ...BENDING_BACK, weight: 2 },
      { ...BENDING_IN, weight: 2 },
      { ...OPENING, weight: 2 },
      { ...SETTLING, weight: 2, share: 8 },
    ],
  },
  {
    id: 'mixed-class',
    name: 'A class of mixed levels',
    purpose: 'Something of everything, at levels that everyone in the room can do.',
    wants: [
      { ...WHOLE_HAND, weight: 3, share: 12 },
      { ...BENDING_BACK, weight: 3, share: 6 },
      { ...BENDING_IN, weight: 2, share: 4 },
      {
        words: 'part of the weight on the hands',
        weight: 3,
        share: 8,
        such: [{ loadings: ['planted'], families: ['bearing-holds', 'planted-strength', 'planted-rocks'] }],
      },
      EXTENSORS,
      {
        words: 'gripping',
        weight: 2,
        share: 5,
        such: [{ families: ['grip'], groups: ['finger flexors'] }],
      },
      OPENING,
      SETTLING,
    ],
  },
  {
    id: 'everyday-range',
    name: 'Every direction, every day',
    purpose: 'Every end position of wrist, fingers and thumb, unloaded and planted, light enough to do daily.',
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 18 },
      { ...BENDING_BACK, weight: 4, share: 8 },
      { ...BENDING_IN, weight: 3, share: 6 },
      {
        words: 'forearm rotation both ways',
        weight: 2,
        share: 5,
        such: [{ motions: ['supination', 'pronation'], loadings: ['unloaded', 'assisted', 'planted'] }],
      },
      {
        words: 'hands rocked on the floor',
        weight: 3,
        share: 8,
        such: [{ families: ['planted-rocks'] }],
      },
      {
        words: 'end-range strength',
        weight: 2,
        share: 4,
        such: [{ families: ['isometrics'] }],
      },
      SETTLING,
    ],
  },
  {
    id: 'easy-day',
    name: 'Easy day without load',
    purpose: 'Move in every direction and stretch, with no weight on the hands: for days between loading.',
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 22 },
      {
        words: 'easy extension range',
        weight: 3,
        share: 8,
        such: [{ loadings: ['assisted'], motions: ['wrist extension'] }],
      },
      {
        words: 'easy flexion range',
        weight: 3,
        share: 8,
        such: [{ loadings: ['assisted'], motions: ['wrist flexion'] }],
      },
      {
        words: 'forearm rotation both ways',
        weight: 2,
        share: 5,
        such: [{ motions: ['supination', 'pronation'], loadings: ['unloaded', 'assisted'] }],
      },
      { ...SETTLING, share: 8 },
    ],
  },
] as const satisfies readonly TrainingGoal[];

/** The id of a shipped goal. */
export type TrainingGoalId = (typeof TRAINING_GOALS)[number]['id'];

/** Finds a shipped goal by its id. */
export const shippedGoal: TrainingGoalLookup = (id) => TRAINING_GOALS.find((goal) => goal.id === id);
/** The ids of the shipped goals. */
export const GOAL_NAMES = TRAINING_GOALS.map(({ id }) => id);

/** What answers before training say that somebody wants, as the goal that sessions for it are composed by. */
export const GOAL_OF_ASKED: Record<AskedGoal, TrainingGoalId> = {
  'floor-weight': 'handstand-load',
  grip: 'grip-endurance',
  edges: 'edge-strength',
  swing: 'racket-arm',
  ease: 'desk-hands',
  return: 'gentle-return',
};
