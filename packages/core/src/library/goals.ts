import type { Goal as AskedGoal } from '../vocabulary/intake-words.js';
import type { TrainingGoal, TrainingGoalLookup, Want } from '../compose/goal.js';

/** Every goal wants a hand that is whole: moved in all directions, thumb and little finger too. */
const WHOLE_HAND: Want = {
  words: 'the whole hand moved freely',
  weight: 2,
  share: 8,
  such: [{ loadings: ['unloaded'], families: ['free-motion', 'tendon-glides'] }],
};
const OPENING: Want = {
  words: 'opening against resistance',
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
  words: 'range of the bent-back wrist',
  weight: 2,
  share: 5,
  such: [
    { loadings: ['assisted'], motions: ['wrist extension'] },
    { loadings: ['planted'], families: ['planted-rocks'], motions: ['wrist extension'] },
  ],
};
const BENDING_IN: Want = {
  words: 'range of the bent-in wrist',
  weight: 1,
  share: 3,
  such: [
    { loadings: ['assisted'], motions: ['wrist flexion'] },
    { loadings: ['planted'], contacts: ['back of hand'] },
  ],
};
const SETTLING: Want = {
  words: 'time to settle',
  weight: 1,
  share: 5,
  such: [{ families: ['settle'] }],
};

/** What sessions are composed for. Weights and shares are working values: a coach reads what came of them, and changes the sequence. */
export const TRAINING_GOALS = [
  {
    id: 'handstand-load',
    name: 'Weight on the bent-back wrist, for handstands',
    purpose: 'Hands that will carry the whole body: loaded extension, awake fingers, and the way back.',
    wants: [
      {
        words: 'weight on the bent-back wrist',
        weight: 6,
        share: 14,
        such: [{ loadings: ['planted'], families: ['bearing-holds'], motions: ['wrist extension'] }],
        asks: { loadPercentBW: 50 },
      },
      {
        words: 'palm and fingers that press',
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
    purpose: 'Wrists far bent back with fingers turned outward and backward, under a part of the weight.',
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
        words: 'forearms turned both ways',
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
    purpose: 'Finger flexors that hold small edges, with as much care for what opens the hand.',
    wants: [
      {
        words: 'fingers held on an edge or hanging',
        weight: 6,
        share: 10,
        such: [{ families: ['edge-work', 'hangs'] }],
        asks: { effortPercent: 60 },
      },
      {
        words: 'fingers that close and glide',
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
    purpose: 'Paddles, straps, staffs and bags held for long: many holds at a middling effort, and the hand opened again.',
    wants: [
      {
        words: 'grip that holds',
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
    purpose: 'The side of the wrist and the forearm that brake a throw, and the other hand brought up to it.',
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
        words: 'elbow and shoulder that carry the arm',
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
    name: 'An arm for rackets and blades',
    purpose: 'Extensors and turns that take the shock of a hit, a grip that lets go in between.',
    wants: [
      { ...EXTENSORS, weight: 6, share: 10 },
      { ...TURNS, weight: 3, share: 6 },
      { ...FLEXORS, weight: 2 },
      { ...OPENING, weight: 3 },
      {
        words: 'a grip that holds and lets go',
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
    purpose: 'Gentle motion and easy stretches against hours of one position; nothing heavy, nothing on the floor.',
    places: ['seated', 'standing'],
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 18 },
      { ...BENDING_BACK, weight: 3, share: 8 },
      { ...BENDING_IN, weight: 3, share: 8 },
      { ...OPENING, weight: 3, share: 5 },
      {
        words: 'thumb moved and stretched',
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
    name: 'Careful return to load',
    purpose: 'After trouble: pushes at low effort and several angles, free motion, and no more than that.',
    wants: [
      {
        words: 'pushes at low effort',
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
    purpose: 'Something of everything, at levels that everybody in the room can take.',
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
        words: 'a grip that holds',
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
    purpose: 'All ends of wrist, fingers and thumb visited, unloaded and planted, little enough to do it daily.',
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 18 },
      { ...BENDING_BACK, weight: 4, share: 8 },
      { ...BENDING_IN, weight: 3, share: 6 },
      {
        words: 'forearms turned both ways',
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
        words: 'strength at the end of the range',
        weight: 2,
        share: 4,
        such: [{ families: ['isometrics'] }],
      },
      SETTLING,
    ],
  },
  {
    id: 'easy-day',
    name: 'An easy day, nothing that loads',
    purpose: 'Moved in every direction and stretched, with nothing on the hands: for the days between those that load.',
    wants: [
      { ...WHOLE_HAND, weight: 5, share: 22 },
      {
        words: 'easy range of the bent-back wrist',
        weight: 3,
        share: 8,
        such: [{ loadings: ['assisted'], motions: ['wrist extension'] }],
      },
      {
        words: 'easy range of the bent-in wrist',
        weight: 3,
        share: 8,
        such: [{ loadings: ['assisted'], motions: ['wrist flexion'] }],
      },
      {
        words: 'forearms turned both ways',
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
