import { ACTION_NAMES } from '../vocabulary/actions.js';
import { CAUTION_IDS } from '../vocabulary/cautions.js';
import { CONTACTS, FACINGS } from '../vocabulary/contacts.js';
import { DIGITS } from '../vocabulary/digits.js';
import type { Fault } from '../vocabulary/fault.js';
import { HAND_SHAPE_NAMES } from '../vocabulary/hand-shapes.js';
import { SIDE_PLANS, type SidePlan } from '../vocabulary/hands.js';
import { CORNERS, LOADINGS, MOTIONS } from '../vocabulary/motions.js';
import { MUSCLE_GROUPS } from '../vocabulary/muscles.js';
import type { Phase } from '../vocabulary/phases.js';
import { EQUIPMENT, type Equipment, POSTURES } from '../vocabulary/places.js';
import { list, type Of, oneOf, optional, orNull, twoOf, record, someOf, text, trueOrFalse, bounded } from '../vocabulary/schema.js';
import { STRENGTH_NAMES } from '../vocabulary/strengths.js';
import { type DosingKind, USUAL_RANGES } from '../vocabulary/usual-ranges.js';
import { type DirectionPlan, WORK_KINDS } from '../vocabulary/work.js';
import { BODY_LIMITS, SEXES } from './body.js';
import { type Dose, DOSE, MOST_POSITION_LETTERS, MOST_POSITIONS } from './dose.js';
import { HAND_PICTURE } from './hand-picture.js';
import { LEVEL_LOAD, type LoadKind } from './load.js';

/** The library's skeleton: thirteen families, in teaching order. */
export const FAMILIES = {
  'free-motion': 'Free movement',
  'tendon-glides': 'Tendon and nerve glides',
  'assisted-stretches': 'Assisted stretches',
  'planted-rocks': 'Planted rocks',
  'planted-strength': 'Planted strength',
  'bearing-holds': 'Bearing holds',
  isometrics: 'Isometrics',
  'free-weights': 'Free weights and levers',
  grip: 'Grip',
  'edge-work': 'Edge work',
  hangs: 'Hangs',
  neighbours: 'Elbow and shoulder',
  settle: 'Settle',
} as const;
/** The id of a family of movements. */
export type FamilyId = keyof typeof FAMILIES;

/** Where a family's movements usually stand in a session. */
export const USUAL_PHASE: Record<FamilyId, Phase> = {
  'free-motion': 'prepare',
  'tendon-glides': 'prepare',
  'assisted-stretches': 'range',
  'planted-rocks': 'range',
  'planted-strength': 'strength',
  'bearing-holds': 'skill',
  isometrics: 'load',
  'free-weights': 'strength',
  grip: 'strength',
  'edge-work': 'strength',
  hangs: 'strength',
  neighbours: 'prepare',
  settle: 'settle',
};

/** What a ladder raises from level to level, with its unit: each is computed from the levels' loads and doses. */
export const CLIMBS = {
  effort: '% of maximum',
  'hand load': '% of body weight',
  'wrist angle': '°',
  stretch: 'N·m',
  speed: 'per minute',
  time: 's of work',
  pressure: 'N',
} as const;
/** What makes a ladder harder, rung by rung. */
export type Climb = keyof typeof CLIMBS;

/** Bounds of a movement document. */
export const MOVEMENT_LIMITS = {
  levels: 8,
  levelIdLength: 60,
  lines: 12,
  lineLength: 200,
  nameLength: 80,
  textLength: 300,
  wordLength: 40,
} as const;
const { levels, levelIdLength, lines, lineLength, nameLength, textLength, wordLength } = MOVEMENT_LIMITS;

/** Different words of a list. */
const wordsOf = <const W extends string>(words: readonly W[]) => list(oneOf(words), { max: words.length, unique: true });
const SHAPES = twoOf(oneOf(HAND_SHAPE_NAMES), 'two shapes');
const LINES = list(text(lineLength, 1), { max: lines });

/** A reason to be careful with this movement, shown to everyone, and flagged for athletes who have the named restriction. */
export const MOVEMENT_CAUTION = record({
  text: text(textLength, 1, 'Caution'),
  concerns: wordsOf(CAUTION_IDS),
  /** Whether those concerned should leave the movement out, rather than do it with care. */
  avoid: trueOrFalse(),
});
/** A reason to be careful with a movement, and whom it concerns. */
export type MovementCaution = Of<typeof MOVEMENT_CAUTION>;

/** One rung of a ladder. */
export const LEVEL = record({
  id: text(levelIdLength, 1),
  name: text(nameLength, 1, 'Name'),
  /** How this rung differs from the others. */
  description: text(textLength, 0, 'What’s different'),
  posture: oneOf(POSTURES, 'Body position'),
  contact: oneOf(CONTACTS, 'Contact'),
  facing: oneOf(FACINGS, 'Fingers point'),
  loading: oneOf(LOADINGS),
  /** The numbers that its demand is computed from. */
  load: LEVEL_LOAD,
  /** Shapes that the hand goes between at this level, where they are not the movement's. */
  shapes: optional(SHAPES),
  /** How this level’s hand is drawn, where it differs from the movement’s. */
  hand: optional(HAND_PICTURE),
  /** Whom its usual dose is meant for; everybody where it is not said. */
  meantFor: optional(oneOf(STRENGTH_NAMES, 'Meant for')),
  /** Needed for this level beyond the movement's own equipment. */
  equipment: wordsOf(EQUIPMENT),
  /** The usual dose to start from. For repetitions it always carries a tempo. */
  dose: DOSE,
  /** Which published or working dose range applies. */
  dosing: oneOf(Object.keys(USUAL_RANGES) as DosingKind[], 'Usual dose range'),
});
/** One rung of a ladder. */
export type Level = Of<typeof LEVEL>;

/** Whose body a ladder was made for. */
const MADE_FOR = record({
  name: text(nameLength, 1, 'Equipment size'),
  sex: oneOf(SEXES, 'Sex'),
  statureCm: bounded(BODY_LIMITS.statureCm, 'Stature'),
  massKg: bounded(BODY_LIMITS.massKg, 'Mass'),
});

/** One of the fingers or positions that a set goes through in turn, and what differs in it. */
const POSITION = record(
  {
    name: text(MOST_POSITION_LETTERS, 1, 'Position'),
    /** What works there, where the load is a weight, a press or a spring. */
    action: optional(oneOf(ACTION_NAMES, 'Action')),
    /** The digits that work there. */
    digits: optional(list(oneOf(DIGITS, 'Digit'), { min: 1, max: DIGITS.length, unique: true, what: 'digits' })),
  },
  { what: 'a position' },
);
/** One of the fingers or positions that a set goes through in turn. */
export type Position = Of<typeof POSITION>;

/** What is called one by one: all of it within each repetition, or one a repetition. */
const CALLS = record(
  {
    names: list(text(wordLength, 1), { min: 2, max: lines, what: '2–12 names' }),
    each: oneOf(['within a repetition', 'one a repetition'], 'Called'),
  },
  { what: 'what is called' },
);

/** What the hand beside the working one may do: help lightly, or push back as hard as the working one pushes. */
export const OTHER_HAND_WORK = ['helps', 'resists'] as const;

/** The fields of a movement besides its id, which is the address it is stored under. */
export const MOVEMENT_FIELDS = {
  name: text(nameLength, 1, 'Name'),
  family: oneOf(Object.keys(FAMILIES) as FamilyId[], 'Family'),
  purpose: text(textLength, 1, 'Purpose'),
  howTo: list(text(lineLength, 1), { min: 1, max: lines }),
  cues: LINES,
  faults: LINES,
  cautions: list(MOVEMENT_CAUTION, { max: lines }),
  trains: wordsOf(MUSCLE_GROUPS),
  motions: wordsOf(MOTIONS),
  equipment: wordsOf(EQUIPMENT),
  /** Digits that do the work, where it is not all of them. */
  digits: optional(someOf(oneOf(DIGITS), { max: DIGITS.length, unique: true })),
  /** Two-joint corners that it visits. */
  corners: wordsOf(CORNERS),
  /** Shapes that the hand goes between, for its picture; without them they follow from the load. */
  shapes: optional(SHAPES),
  /** How the hand is drawn, where it does not follow from the load. */
  hand: optional(HAND_PICTURE),
  /** What rises along the ladder. */
  climbs: oneOf(Object.keys(CLIMBS) as Climb[], 'Levels differ by'),
  /** Allowed ways to spread the work over the hands; the first is the usual one. */
  sides: someOf(oneOf(SIDE_PLANS), { max: SIDE_PLANS.length, unique: true }),
  /** Names of the two directions, or null when direction means nothing here. */
  directions: orNull(twoOf(text(wordLength, 1), 'two names or null')),
  /** Fingers or positions that each set goes through in turn, by name: the amount counts for each. */
  positions: optional(list(POSITION, { min: 2, max: MOST_POSITIONS, what: '2–6 positions' })),
  /** Fingers or shapes that are called one by one. Backwards in the second direction. */
  calls: optional(CALLS),
  /** What the way out and the way back of one repetition are called when counting aloud. */
  strokes: twoOf(text(wordLength, 1), 'two names'),
  work: someOf(oneOf(WORK_KINDS), { max: WORK_KINDS.length, unique: true }),
  /** What the hand does that is not working, where the level is not free of load: it helps a stretch, or holds against a press. */
  otherHand: optional(oneOf(OTHER_HAND_WORK)),
  /** Whether work for time is held still or keeps moving. */
  timed: oneOf(['hold', 'bout']),
  /** The person by whom the ladder is judged, where it was made for one; else it rises for women and men. */
  madeFor: optional(MADE_FOR),
  /** Ordered from easiest to hardest. */
  ladder: someOf(LEVEL, { max: levels }),
};

/** A movement with its ladder of levels, as a coach would send it. */
export const MOVEMENT = record(MOVEMENT_FIELDS, { what: 'a movement' });
/** A movement with its ladder of levels, easiest first. */
export type Movement = Of<typeof MOVEMENT> & { readonly id: string };

/** Finds a movement by id; lets a studio's own movements stand beside the shipped ones. */
export type MovementLookup = (movementId: string) => Movement | undefined;

/** The level of a ladder by its id; undefined when it has none such. */
export function findLevel(movement: Pick<Movement, 'ladder'>, levelId: string): Level | undefined {
  return movement.ladder.find((level) => level.id === levelId);
}

/** The next harder (+1) or easier (−1) level, or undefined at the end of the ladder. */
export function neighbourLevel(movement: Movement, levelId: string, step: 1 | -1): Level | undefined {
  const index = movement.ladder.findIndex((level) => level.id === levelId);
  return index < 0 ? undefined : movement.ladder[index + step];
}

/** The movement's usual way with hands and directions, for doses that do not say. */
export function usualWay(movement: Movement): { sides: SidePlan; directions: DirectionPlan } {
  return { sides: movement.sides[0], directions: movement.directions ? 'each' : 'none' };
}

/** What a written dose means that says nothing of hands or directions: no second one is added, but hands that cannot work together follow each other. */
export function writtenWay({ sides, directions }: Movement): { sides: SidePlan; directions: DirectionPlan } {
  return { sides: sides.includes('together') ? 'together' : sides[0], directions: directions ? 'first' : 'none' };
}

/** What the effort of a dose is, by what a level is loaded with: nothing has none but letting go. */
const EFFORT_OF: Record<LoadKind, 'pressed' | 'finds the load' | 'kept' | 'pushed' | null> = {
  press: 'pressed',
  weight: 'finds the load',
  lift: 'finds the load',
  roller: 'finds the load',
  resist: 'finds the load',
  hang: 'finds the load',
  move: 'kept',
  body: 'kept',
  stretch: 'pushed',
  rest: null,
};
/**
 * What the effort of a dose means for a level: a press is as hard as one makes it; a weight or a spring is chosen so that it asks this much of this
 * person; a hand that moves or carries weight keeps it up besides; a stretch pushes back with it.
 */
export const effortMeans = ({ load }: Pick<Level, 'load'>) => EFFORT_OF[load.kind];

/** Whether the effort that a dose names is all that is done: a press is as hard as one makes it. */
export const obeysEffort = (level: Pick<Level, 'load'>): boolean => effortMeans(level) === 'pressed';

/** Everything that has to be in the room for this level, and for what a dose adds to it: a wedge is a folded towel at the least. */
export function equipmentFor(movement: Movement, level: Level, dose?: Pick<Dose, 'load'>): Equipment[] {
  const wedge: Equipment[] = (dose?.load?.wedgeDeg ?? 0) > 0 ? ['towel'] : [];
  return [...new Set([...movement.equipment, ...level.equipment, ...wedge])];
}

/** Whether what a level says of itself agrees with its load: the effort of a press, and what is planted. Pointers are relative to the level. */
export function loadAgreesWithLevel({ load, loading, contact, dose }: Level): Fault[] {
  if (load.kind === 'press' && dose.effortPercent !== load.effortPercent) {
    return [
      {
        pointer: '/load/effortPercent',
        message: `must be the dose’s effort, ${dose.effortPercent ?? 'which is missing'}`,
      },
    ];
  }
  const bears = load.kind === 'body' && contact !== 'none';
  if (bears !== (loading === 'planted')) {
    return [
      {
        pointer: '/loading',
        message: bears ? 'must be planted if the body rests on the hands' : 'can only be planted if the body rests on the hands',
      },
    ];
  }
  return [];
}

/** The positions that a dose works through, in its order; none for a movement that has none. */
export function positionsIn({ positions = [] }: Pick<Movement, 'positions'>, dose: Pick<Dose, 'positions'>): readonly Position[] {
  if (!dose.positions) return positions;
  return dose.positions.flatMap((name) => positions.find((position) => position.name === name) ?? []);
}
