import { answerFor, type LevelLoad, type LoadKind, type LoadOf, type LoadTable } from '../model/load.js';
import type { Level, Movement } from '../model/movement.js';
import { courseOf } from './hand/course.js';
import { MEASURED_SIZE, skeletonOf } from './hand/skeleton.js';
import { flatShape, type HandShape } from './hand-shape.js';
import type { Action } from '../vocabulary/actions.js';

/** How the close-up of a hand is seen: planted hands and fans from above, bends from the side. */
export type HandViewKind = 'planted' | 'side' | 'above';

/** What the hand has hold of, for the close-up. */
export type Held = 'ball' | 'bar' | 'edge' | 'block' | 'band' | 'other hand' | 'lever' | 'weight' | 'cloth' | 'tool' | null;

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
  const course = courseOf(skeletonOf(MEASURED_SIZE), movement, level);
  const poseAt = (share: number) => course.poseAt({ phase: share, turn: 0 });
  const start = poseAt(0);
  const at = (share: number): HandMoment => {
    const pose = poseAt(share);
    return {
      shape: flatShape(pose),
      wristDeg: pose.wristExtensionDeg,
      sideDeg: pose.wristRadialDeg,
      turnDeg: Math.abs(pose.supinationDeg - start.supinationDeg),
    };
  };
  const push = pushOf(load);
  return {
    kind: kindOf(movement, level, at, push),
    palm: palmUp(load) ? 'up' : 'down',
    pointing: load.kind === 'hang' ? 'up' : load.kind === 'lift' ? 'down' : 'ahead',
    held: answerFor(HELD, load, level, movement),
    push,
    at,
    moves: course.moves,
  };
}

/** Pushes that the side view would hide. */
const SEEN_FROM_ABOVE: readonly HandView['push'][] = ['thumb side', 'little side', 'turning', 'opening'];

function kindOf(movement: Movement, level: Level, at: HandView['at'], push: HandView['push']): HandViewKind {
  if (level.loading === 'planted' && level.contact !== 'none') return 'planted';
  const [from, to] = [at(0), at(1)];
  if (SEEN_FROM_ABOVE.includes(push) || from.sideDeg !== to.sideDeg || from.turnDeg !== to.turnDeg) return 'above';
  return from.wristDeg === to.wristDeg && fansOnly(movement, level.load) ? 'above' : 'side';
}

/** Movements that only spread fingers or move the thumb read best from above. */
function fansOnly({ motions }: Movement, load: LevelLoad): boolean {
  if (load.kind === 'stretch') return load.motion === 'finger spreading' || load.motion === 'thumb extension';
  return motions.length > 0 && motions.every((motion) => motion === 'finger spreading' || motion.startsWith('thumb'));
}

const palmUp = (load: LevelLoad) => (load.kind === 'weight' || load.kind === 'roller') && load.action === 'wrist flexion';

/** What the hand holds for each kind of load; equipment is named beside the level. */
const HELD: LoadTable<LoadKind, Held, [Level, Movement]> = {
  body: () => null,
  hang: ({ on }) => HOLDS[on],
  lift: ({ on }) => HOLDS[on],
  weight: ({ leverM }) => (leverM === undefined ? 'weight' : 'lever'),
  roller: () => 'bar',
  press: pressedOn,
  resist: pressedOn,
  move: (_, level, movement) => movedWith(level, movement),
  stretch: (_, { loading }) => (loading === 'assisted' ? 'other hand' : null),
  rest: ({ pressN }, { contact }) => (contact === 'ball' ? 'ball' : pressN > 0 ? 'tool' : null),
};
const HOLDS = { bar: 'bar', edge: 'edge', pinch: 'block' } as const;

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
