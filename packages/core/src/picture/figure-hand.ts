import { ACTIVE_RANGE_DEG, PASSIVE_GAIN_DEG } from '../mechanics/norms.js';
import { shapesOf } from '../model/level-shapes.js';
import type { LevelLoad } from '../model/load.js';
import type { Level, Movement } from '../model/movement.js';
import { betweenShapes, HAND_SHAPES, type HandShape } from './hand-shape.js';
import type { Action } from '../vocabulary/actions.js';

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
  const course = courseOf(load);
  const planted = level.loading === 'planted' && level.contact !== 'none';
  const at = (share: number): HandMoment => ({
    shape: betweenShapes(HAND_SHAPES[from], HAND_SHAPES[to], share),
    wristDeg: mix(course.wrist, share),
    sideDeg: mix(course.side, share),
    turnDeg: mix(course.turn, share),
  });
  const flat = ([a, b]: readonly [number, number]) => a === b;
  const push = pushOf(load);
  const sideways = push === 'thumb side' || push === 'little side' || push === 'turning' || push === 'opening';
  const above =
    sideways || !flat(course.side) || !flat(course.turn) || (flat(course.wrist) && fansOnly(movement, load));
  return {
    kind: planted ? 'planted' : above ? 'above' : 'side',
    palm: palmUp(load) ? 'up' : 'down',
    pointing: load.kind === 'hang' ? 'up' : load.kind === 'lift' ? 'down' : 'ahead',
    held: heldBy(movement, level),
    push,
    at,
    moves: from !== to || !flat(course.wrist) || !flat(course.side) || !flat(course.turn),
  };
}

const mix = ([a, b]: readonly [number, number], share: number) => a + (b - a) * share;

/** Movements that only spread fingers or move the thumb read best from above. */
function fansOnly({ motions }: Movement, load: LevelLoad): boolean {
  if (load.kind === 'stretch') return load.motion === 'finger spreading' || load.motion === 'thumb extension';
  return motions.length > 0 && motions.every((motion) => motion === 'finger spreading' || motion.startsWith('thumb'));
}

const palmUp = (load: LevelLoad) =>
  (load.kind === 'weight' || load.kind === 'roller') && load.action === 'wrist flexion';

interface Course {
  readonly wrist: readonly [number, number];
  readonly side: readonly [number, number];
  readonly turn: readonly [number, number];
}
const still: Course = { wrist: [0, 0], side: [0, 0], turn: [0, 0] };

/** How far the joints go, from start to end. */
function courseOf(load: LevelLoad): Course {
  switch (load.kind) {
    case 'move': {
      const reach = load.reachPercent / 100;
      const has = (action: Action) => load.actions.includes(action);
      const flex = has('wrist flexion') ? ACTIVE_RANGE_DEG['wrist flexion'].mean * reach : 0;
      const extend = has('wrist extension') ? ACTIVE_RANGE_DEG['wrist extension'].mean * reach : 0;
      if (flex || extend) return { ...still, wrist: [-flex * 0.8, extend * 0.8] };
      if (has('radial deviation')) return { ...still, side: [-30 * reach, 20 * reach] };
      if (has('pronation')) return { ...still, turn: [0, 160 * reach] };
      return still;
    }
    case 'stretch': {
      const share = load.reachPercent / 100;
      const far = (motion: keyof typeof ACTIVE_RANGE_DEG) => (ACTIVE_RANGE_DEG[motion].mean + PASSIVE_GAIN_DEG) * share;
      switch (load.motion) {
        case 'wrist extension':
          return { ...still, wrist: [10, far('wrist extension')] };
        case 'wrist flexion':
          return { ...still, wrist: [-10, -far('wrist flexion')] };
        case 'radial deviation':
          return { ...still, side: [0, far('radial deviation')] };
        case 'ulnar deviation':
          return { ...still, side: [0, -far('ulnar deviation')] };
        case 'pronation':
        case 'supination':
          return { ...still, turn: [0, far(load.motion)] };
        case 'finger extension':
          return { ...still, wrist: [10, 40] };
        default:
          return still;
      }
    }
    case 'weight':
    case 'roller': {
      if (load.action === 'wrist flexion') return { ...still, wrist: [25, -45] };
      if (load.action === 'wrist extension') return { ...still, wrist: [-35, 40] };
      if (load.action === 'radial deviation') return { ...still, side: [-18, 15] };
      if (load.action === 'ulnar deviation') return { ...still, side: [12, -22] };
      if (load.action === 'pronation' || load.action === 'supination') return { ...still, turn: [0, 85] };
      return still;
    }
    case 'hang':
      return { ...still, wrist: [-load.wristBendDeg, -load.wristBendDeg] };
    default:
      return still;
  }
}

function heldBy(movement: Movement, { load, contact, equipment, loading }: Level): Held {
  const things = [...movement.equipment, ...equipment];
  switch (load.kind) {
    case 'hang':
    case 'lift':
      return ({ bar: 'bar', edge: 'edge', pinch: 'block' } as const)[load.on];
    case 'weight':
      return load.leverM === undefined ? 'weight' : 'lever';
    case 'roller':
      return 'bar';
    case 'resist':
    case 'press':
      if (load.action === 'finger extension') return load.kind === 'resist' ? 'band' : 'other hand';
      // A wall or a table pushes back by itself.
      if (things.includes('wall') || (things.includes('table') && load.action !== 'grip')) return null;
      if (things.includes('putty')) return 'ball';
      if (things.includes('towel') || things.includes('paper')) return 'cloth';
      if (contact === 'ball') return 'ball';
      if (contact === 'handle') return 'bar';
      // A movement that shapes the hand by itself has nothing to hold against.
      return movement.shapes ? null : 'other hand';
    case 'stretch':
      return loading === 'assisted' ? 'other hand' : null;
    case 'rest':
      if (contact === 'ball') return 'ball';
      return load.pressN > 0 ? 'tool' : null;
    case 'move':
      if (contact === 'ball') return 'ball';
      if (contact !== 'handle') return null;
      return things.includes('stick') ? 'lever' : 'weight';
    case 'body':
      return null;
  }
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
