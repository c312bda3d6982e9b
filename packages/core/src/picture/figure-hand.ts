import { ACTIVE_RANGE, PASSIVE_GAIN } from '../mechanics/norms.js';
import { shapesOf } from '../model/level-shapes.js';
import { answerFor, type LevelLoad, type LoadKind, type LoadOf, type LoadTable } from '../model/load.js';
import type { Level, Movement } from '../model/movement.js';
import { betweenShapes, HAND_SHAPES, type HandShape } from './hand-shape.js';
import type { Action } from '../vocabulary/actions.js';
import { isRangeMotion } from '../vocabulary/motions.js';

/** How the close-up of a hand is seen: planted hands and fans from above, bends from the side. */
export type HandViewKind = 'planted' | 'side' | 'above';

/** What the hand has hold of, for the close-up. */
export type Held =
  'ball' | 'bar' | 'edge' | 'block' | 'band' | 'other hand' | 'lever' | 'weight' | 'cloth' | 'tool' | null;

/** A hand at a moment of the movement. Degrees; extension and the thumb's side count up. */
export interface HandMoment {
  readonly shape: HandShape;
  readonly wristDeg: number;
  readonly sideDeg: number;
  /** Turn of the forearm: 0 as first seen, 180 turned over. */
  readonly turnDeg: number;
}

/** A hand close up: from where it is seen, what it holds, and where its joints are at any moment. */
export interface HandView {
  readonly kind: HandViewKind;
  readonly palm: 'down' | 'up';
  /** Where the side view's fingers point. */
  readonly pointing: 'ahead' | 'up' | 'down';
  readonly held: Held;
  /** Which way the hand pushes when nothing moves, or null. */
  readonly push: 'flexion' | 'extension' | 'thumb side' | 'little side' | 'opening' | 'closing' | 'turning' | null;
  readonly at: (share: number) => HandMoment;
  readonly moves: boolean;
}

/** The close-up of a level's hand: what it does follows from the load, its shapes from the movement where it names them. */
export function handView(movement: Movement, level: Level): HandView {
  const { load } = level;
  const [from, to] = shapesOf(movement, level);
  const { course, held } = answerFor(CLOSE_UPS, load, level, movement);
  const at = (share: number): HandMoment => ({
    shape: betweenShapes(HAND_SHAPES[from], HAND_SHAPES[to], share),
    wristDeg: mix(course.wrist, share),
    sideDeg: mix(course.side, share),
    turnDeg: mix(course.turn, share),
  });
  const push = pushOf(load);
  return {
    kind: kindOf(movement, level, course, push),
    palm: palmUp(load) ? 'up' : 'down',
    pointing: load.kind === 'hang' ? 'up' : load.kind === 'lift' ? 'down' : 'ahead',
    held,
    push,
    at,
    moves: from !== to || !Object.values(course).every(isStill),
  };
}

const isStill = ([from, to]: Path) => from === to;
/** Pushes that the side view would hide. */
const SEEN_FROM_ABOVE: readonly HandView['push'][] = ['thumb side', 'little side', 'turning', 'opening'];

function kindOf(movement: Movement, level: Level, course: Course, push: HandView['push']): HandViewKind {
  if (level.loading === 'planted' && level.contact !== 'none') return 'planted';
  if (SEEN_FROM_ABOVE.includes(push) || !isStill(course.side) || !isStill(course.turn)) return 'above';
  return isStill(course.wrist) && fansOnly(movement, level.load) ? 'above' : 'side';
}

const mix = ([from, to]: Path, share: number) => from + (to - from) * share;

/** Movements that only spread fingers or move the thumb read best from above. */
function fansOnly({ motions }: Movement, load: LevelLoad): boolean {
  if (load.kind === 'stretch') return load.motion === 'finger spreading' || load.motion === 'thumb extension';
  return motions.length > 0 && motions.every((motion) => motion === 'finger spreading' || motion.startsWith('thumb'));
}

const palmUp = (load: LevelLoad) =>
  (load.kind === 'weight' || load.kind === 'roller') && load.action === 'wrist flexion';

/** What a load has the hand do: how far its joints go from start to end, in degrees, and what it has hold of. */
interface CloseUp {
  readonly course: Course;
  readonly held: Held;
}

type Path = readonly [from: number, to: number];
interface Course {
  readonly wrist: Path;
  readonly side: Path;
  readonly turn: Path;
}
const STILL: Course = { wrist: [0, 0], side: [0, 0], turn: [0, 0] };

/** How far a weight goes, and a roller turns the hand: short of the ends of the range. */
const LIFTED: Partial<Record<Action, Course>> = {
  'wrist flexion': { ...STILL, wrist: [25, -45] },
  'wrist extension': { ...STILL, wrist: [-35, 40] },
  'radial deviation': { ...STILL, side: [-18, 15] },
  'ulnar deviation': { ...STILL, side: [12, -22] },
  pronation: { ...STILL, turn: [0, 85] },
  supination: { ...STILL, turn: [0, 85] },
};

/** A free motion of the hand, drawn a little short of the range that it is asked to reach. */
const FREE_SHARE = 0.8;
/** Free motion to both sides, and the turn of the forearm, at full reach. */
const FREE_SIDE: Path = [-30, 20];
const FREE_TURN_DEG = 160;
/** Where a stretch toward extension begins, and how far the wrist goes when only the fingers are stretched. */
const STRETCH_FROM_DEG = 10;
const FINGERS_STRETCHED: Path = [STRETCH_FROM_DEG, 40];

/** What each kind of load has the hand do, things at hand told beside the level. */
const CLOSE_UPS: LoadTable<LoadKind, CloseUp, [Level, Movement]> = {
  body: () => ({ course: STILL, held: null }),
  hang: ({ wristBendDeg, on }) => ({ course: { ...STILL, wrist: [-wristBendDeg, -wristBendDeg] }, held: HOLDS[on] }),
  lift: ({ on }) => ({ course: STILL, held: HOLDS[on] }),
  weight: ({ action, leverM }) => ({
    course: LIFTED[action] ?? STILL,
    held: leverM === undefined ? 'weight' : 'lever',
  }),
  roller: ({ action }) => ({ course: LIFTED[action] ?? STILL, held: 'bar' }),
  press: (load, level, movement) => ({ course: STILL, held: pressedOn(load, level, movement) }),
  resist: (load, level, movement) => ({ course: STILL, held: pressedOn(load, level, movement) }),
  move: (load, level, movement) => ({ course: freeCourse(load), held: movedWith(level, movement) }),
  stretch: (load, { loading }) => ({
    course: stretchCourse(load),
    held: loading === 'assisted' ? 'other hand' : null,
  }),
  rest: ({ pressN }, { contact }) => ({
    course: STILL,
    held: contact === 'ball' ? 'ball' : pressN > 0 ? 'tool' : null,
  }),
};
const HOLDS = { bar: 'bar', edge: 'edge', pinch: 'block' } as const;

function freeCourse({ actions, reachPercent }: LoadOf<'move'>): Course {
  const reach = reachPercent / 100;
  const far = (motion: 'wrist flexion' | 'wrist extension') =>
    actions.includes(motion) ? ACTIVE_RANGE[motion].mean.value * reach * FREE_SHARE : 0;
  const [flexionDeg, extensionDeg] = [far('wrist flexion'), far('wrist extension')];
  if (flexionDeg || extensionDeg) return { ...STILL, wrist: [-flexionDeg, extensionDeg] };
  if (actions.includes('radial deviation')) return { ...STILL, side: [FREE_SIDE[0] * reach, FREE_SIDE[1] * reach] };
  if (actions.includes('pronation')) return { ...STILL, turn: [0, FREE_TURN_DEG * reach] };
  return STILL;
}

function stretchCourse({ motion, reachPercent }: LoadOf<'stretch'>): Course {
  if (motion === 'finger extension') return { ...STILL, wrist: FINGERS_STRETCHED };
  if (!isRangeMotion(motion)) return STILL;
  const deg = ((ACTIVE_RANGE[motion].mean.value + PASSIVE_GAIN.value) * reachPercent) / 100;
  switch (motion) {
    case 'wrist extension':
      return { ...STILL, wrist: [STRETCH_FROM_DEG, deg] };
    case 'wrist flexion':
      return { ...STILL, wrist: [-STRETCH_FROM_DEG, -deg] };
    case 'radial deviation':
      return { ...STILL, side: [0, deg] };
    case 'ulnar deviation':
      return { ...STILL, side: [0, -deg] };
    case 'pronation':
    case 'supination':
      return { ...STILL, turn: [0, deg] };
  }
}

const thingsFor = (movement: Movement, level: Level) => new Set([...movement.equipment, ...level.equipment]);

function pressedOn({ kind, action }: LoadOf<'press' | 'resist'>, level: Level, movement: Movement): Held {
  if (action === 'finger extension') return kind === 'resist' ? 'band' : 'other hand';
  const things = thingsFor(movement, level);
  // A wall or a table pushes back by itself.
  if (things.has('wall') || (things.has('table') && action !== 'grip')) return null;
  if (things.has('putty')) return 'ball';
  if (things.has('towel') || things.has('paper')) return 'cloth';
  if (level.contact === 'ball') return 'ball';
  if (level.contact === 'handle') return 'bar';
  // A movement that shapes the hand by itself has nothing to hold against.
  return movement.shapes ? null : 'other hand';
}

function movedWith(level: Level, movement: Movement): Held {
  if (level.contact === 'ball') return 'ball';
  if (level.contact !== 'handle') return null;
  return thingsFor(movement, level).has('stick') ? 'lever' : 'weight';
}

const PUSH: Partial<Record<Action, NonNullable<HandView['push']>>> = {
  'wrist flexion': 'flexion',
  'wrist extension': 'extension',
  'radial deviation': 'thumb side',
  'ulnar deviation': 'little side',
  grip: 'closing',
  'finger extension': 'opening',
  pronation: 'turning',
  supination: 'turning',
};
const pushOf = (load: LevelLoad) => (load.kind === 'press' ? (PUSH[load.action] ?? null) : null);
