import { ACTIVE_RANGE, PASSIVE_GAIN } from '../../mechanics/norms.js';
import type { HandStation } from '../../model/hand-picture.js';
import { handSaid, shapesOf } from '../../model/level-shapes.js';
import { answerFor, type LoadKind, type LoadOf, type LoadTable } from '../../model/load.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Action } from '../../vocabulary/actions.js';
import {
  FINGER_NAMES,
  type FingerName,
  HAND_JOINTS,
  type HandJoint,
  type HandPose,
  PALM_DOWN_DEG,
  PALM_UP_DEG,
} from '../../vocabulary/hand-joints.js';
import { itemAt } from '../../vocabulary/lists.js';
import { isRangeMotion } from '../../vocabulary/motions.js';
import { poseBetween } from './closing.js';
import { shapePose } from './shapes.js';
import type { Skeleton } from './skeleton.js';
import { touchOf } from './touching.js';

/**
 * A moment of a repetition: `phase` runs from 0 (start) over 1 (end of the way out) to 2 (back at the start), `turn` counts repetitions, so that
 * fingers can take turns.
 */
export interface Beat {
  readonly phase: number;
  readonly turn: number;
}

/** How far on the way out a moment is: 0 at the start, 1 at the end, and 0 again. */
export const outShare = ({ phase }: Pick<Beat, 'phase'>): number => (phase <= 1 ? phase : 2 - phase);

/** What the joints of a hand do in a repetition. */
export interface Course {
  readonly poseAt: (beat: Beat) => HandPose;
  readonly moves: boolean;
  /** Whether it goes on round rather than back the way it came. */
  readonly round: boolean;
  readonly stations: number;
}

/** Angles of some joints. */
type Joints = Partial<Record<HandJoint, number>>;
/** A first and a last state of the joints that a load moves. */
type Ends = readonly [from: Joints, to: Joints];

/** Which finger's turn it is. */
export const fingerOnTurn = (turn: number): FingerName => itemAt(FINGER_NAMES, ((turn % 4) + 4) % 4);

/** The way of a level's hand: its stations where it names them, else from the load. */
export function courseOf(skeleton: Skeleton, movement: Movement, level: Level): Course {
  const named = namedCourse(movement, level);
  const stations = named ? scaledStations(named, level) : loadStations(movement, level);
  const round = handSaid(movement, level).round === true;
  const last = stations.length - 1;
  const poseOf = (index: number, turn: number) => poseOfStation(skeleton, itemAt(stations, index), fingerOnTurn(turn));
  const poseAt = ({ phase, turn }: Beat): HandPose => {
    if (last === 0) return poseOf(0, turn);
    const way = round ? (phase / 2) * stations.length : outShare({ phase }) * last;
    const from = Math.min(Math.floor(way), round ? stations.length - 1 : last - 1);
    const to = (from + 1) % stations.length;
    return poseBetween(poseOf(from, turn), poseOf(to, turn), way - from);
  };
  return { poseAt, moves: last > 0, round, stations: stations.length };
}

/** The stations that a level or its movement names, in the shapes that the level keeps. */
function namedCourse(movement: Movement, level: Level): readonly HandStation[] | undefined {
  const { course } = handSaid(movement, level);
  const { shapes } = level;
  return shapes ? course?.map((station, index) => ({ ...station, shape: shapes[index === 0 ? 0 : 1] })) : course;
}

/** The stations of a level's hand at the whole of their way: as it names them, else as its load has them. */
export const stationsOf = (movement: Movement, level: Level): readonly HandStation[] =>
  namedCourse(movement, level) ?? loadStations(movement, level);

/** The joints of a station; where one finger does it, which one. */
export function poseOfStation(skeleton: Skeleton, { shape, joints }: HandStation, finger: FingerName): HandPose {
  const shaped = shape === 'thumb to a finger' ? touchOf(skeleton, finger) : shapePose(shape, finger);
  return withJoints(shaped, joints ?? {});
}

/** A pose with some joints set, each within what a hand can do. */
function withJoints(pose: HandPose, joints: Joints): HandPose {
  const set = { ...pose };
  for (const [joint, deg] of Object.entries(joints) as [HandJoint, number][]) {
    const { min, max } = HAND_JOINTS[joint];
    set[joint] = Math.min(max, Math.max(min, deg));
  }
  return set;
}

/** How far of its whole way a free motion goes at this level; wrist and forearm keep to it. */
function scaledStations(course: readonly HandStation[], { load }: Level): readonly HandStation[] {
  const share = load.kind === 'move' ? load.reachPercent / 100 : 1;
  return course.map(({ shape, joints }) => {
    const scaled = { ...joints };
    for (const joint of SCALED) {
      const deg = scaled[joint];
      if (deg !== undefined) scaled[joint] = deg * share;
    }
    return { shape, joints: scaled };
  });
}
const SCALED = ['wristExtensionDeg', 'wristRadialDeg'] as const;

function loadStations(movement: Movement, level: Level): readonly HandStation[] {
  const [from, to] = shapesOf(movement, level);
  const [first, last] = answerFor(ENDS, level.load);
  const still = from === to && JSON.stringify(first) === JSON.stringify(last);
  return still
    ? [{ shape: to, joints: last }]
    : [
        { shape: from, joints: first },
        { shape: to, joints: last },
      ];
}

const kept = (joints: Joints): Ends => [joints, joints];
const DOWN: Joints = { supinationDeg: PALM_DOWN_DEG };
const UP: Joints = { supinationDeg: PALM_UP_DEG };

/** How far a weight goes, and a roller turns the hand: short of the ends of the range. */
const LIFTED: Partial<Record<Action, Ends>> = {
  'wrist flexion': [
    { ...UP, wristExtensionDeg: 30 },
    { ...UP, wristExtensionDeg: -50 },
  ],
  'wrist extension': [
    { ...DOWN, wristExtensionDeg: -40 },
    { ...DOWN, wristExtensionDeg: 45 },
  ],
  'radial deviation': [{ wristRadialDeg: -24 }, { wristRadialDeg: 18 }],
  'ulnar deviation': [{ wristRadialDeg: 14 }, { wristRadialDeg: -28 }],
  supination: [{ ...DOWN }, { supinationDeg: 0 }],
  pronation: [{ ...UP }, { supinationDeg: 0 }],
};
/** Near end range a muscle is short, and presses there are drawn so. */
const MIDDLE_OF_RANGE_DEG = 10;

const ENDS: LoadTable<LoadKind, Ends> = {
  body: () => kept({}),
  hang: ({ wristBendDeg }) => kept({ wristExtensionDeg: -wristBendDeg }),
  lift: () => kept({}),
  weight: ({ action }) => LIFTED[action] ?? kept(DOWN),
  roller: ({ action }) => LIFTED[action] ?? kept(DOWN),
  press: ({ action }) => kept(PRESSED[action] ?? DOWN),
  resist: () => kept({ supinationDeg: -20 }),
  move: freeEnds,
  stretch: stretchEnds,
  rest: () => kept(DOWN),
};
/** How a hand is held that presses without moving. */
const PRESSED: Partial<Record<Action, Joints>> = {
  'wrist extension': { ...DOWN, wristExtensionDeg: MIDDLE_OF_RANGE_DEG },
  'wrist flexion': { ...UP, wristExtensionDeg: MIDDLE_OF_RANGE_DEG },
  'radial deviation': { supinationDeg: 0 },
  'ulnar deviation': { supinationDeg: 0 },
  supination: { supinationDeg: 0 },
  pronation: { supinationDeg: 0 },
  grip: { supinationDeg: 0 },
};

function freeEnds({ actions, reachPercent }: LoadOf<'move'>): Ends {
  const reach = reachPercent / 100;
  const far = (motion: 'wrist flexion' | 'wrist extension' | 'radial deviation' | 'ulnar deviation') =>
    actions.includes(motion) ? ACTIVE_RANGE[motion].mean.value * reach : 0;
  const [flexion, extension] = [far('wrist flexion'), far('wrist extension')];
  if (flexion || extension)
    return [
      { ...DOWN, wristExtensionDeg: extension },
      { ...DOWN, wristExtensionDeg: -flexion },
    ];
  if (actions.includes('radial deviation')) {
    return [
      { ...DOWN, wristRadialDeg: -far('ulnar deviation') },
      { ...DOWN, wristRadialDeg: far('radial deviation') },
    ];
  }
  if (actions.includes('pronation')) {
    return [{ supinationDeg: PALM_DOWN_DEG * reach }, { supinationDeg: PALM_UP_DEG * reach }];
  }
  return kept(DOWN);
}

/** Where a stretch begins, of its own way. */
const STRETCH_FROM = 0.25;

function stretchEnds({ motion, reachPercent }: LoadOf<'stretch'>): Ends {
  if (!isRangeMotion(motion)) return kept(DOWN);
  const deg = ((ACTIVE_RANGE[motion].mean.value + PASSIVE_GAIN.value) * reachPercent) / 100;
  const along = (joint: HandJoint, sign: 1 | -1, rest: Joints): Ends => [
    { ...rest, [joint]: sign * deg * STRETCH_FROM },
    { ...rest, [joint]: sign * deg },
  ];
  switch (motion) {
    case 'wrist extension':
      return along('wristExtensionDeg', 1, DOWN);
    case 'wrist flexion':
      return along('wristExtensionDeg', -1, DOWN);
    case 'radial deviation':
      return along('wristRadialDeg', 1, { supinationDeg: 0 });
    case 'ulnar deviation':
      return along('wristRadialDeg', -1, { supinationDeg: 0 });
    case 'supination':
      return along('supinationDeg', 1, {});
    case 'pronation':
      return along('supinationDeg', -1, {});
  }
}

/** Whether a level's load says anything about the hand: what only rests and names no course has no picture of its own yet. */
export const saysNothing = (movement: Movement, level: Level): boolean =>
  level.load.kind === 'rest' && !handSaid(movement, level).course && !level.shapes && !movement.shapes;
