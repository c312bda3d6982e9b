import { firstOf, itemAt } from '../vocabulary/lists.js';
import type { SessionAccount } from './session-account.js';
import type { Demand } from '../mechanics/demand.js';
import { ACTIVE_RANGE } from '../mechanics/norms.js';
import { shapesOf } from '../model/level-shapes.js';
import type { Level, Movement } from '../model/movement.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { type Corner, CORNERS, type Loading, LOADINGS, type RangeMotion } from '../vocabulary/motions.js';

/** Eight directions of the wrist, clockwise for a right hand seen from above with the fingers away: extension is up. */
export const DIRECTIONS = [
  'extension',
  'radial extension',
  'radial',
  'radial flexion',
  'flexion',
  'ulnar flexion',
  'ulnar',
  'ulnar extension',
] as const;
/** A direction of the wrist. */
export type Direction = (typeof DIRECTIONS)[number];

/** How the hand is while the wrist moves. */
export const HAND_FORMS = ['fist', 'open'] as const;
/** Whether the fingers are open or closed. */
export type HandForm = (typeof HAND_FORMS)[number];

/** The four main directions as motions with a range. */
export const MAIN: Record<'extension' | 'flexion' | 'radial' | 'ulnar', RangeMotion> = {
  extension: 'wrist extension',
  flexion: 'wrist flexion',
  radial: 'radial deviation',
  ulnar: 'ulnar deviation',
};
type MainDirection = keyof typeof MAIN;
/** The four directions of which each is one motion of the wrist. */
export const MAIN_DIRECTIONS = Object.keys(MAIN) as MainDirection[];
const mainOf = (motion: string) => MAIN_DIRECTIONS.find((direction) => MAIN[direction] === motion);

/** Where a level takes the wrist. */
export interface Visit {
  readonly directions: readonly Direction[];
  readonly loading: Loading;
  readonly forms: readonly HandForm[];
}

const FIST_SHAPES = ['fist', 'hook', 'flat fist', 'around a ball', 'around a bar', 'on an edge', 'pinch'];
const FIST_CONTACTS = ['fist', 'handle', 'ball', 'edge'];

/**
 * The directions that a level visits. A planted wrist starts where its posture bends it, and rocks from there; a circle (a movement with
 * directions) passes the diagonals between the motions that it names; two pairs without directions are the two ends of one diagonal.
 */
export function visitOf(movement: Movement, level: Level, demand: Demand | null): Visit {
  const bentTo = demand?.posture ? (demand.left.angle?.motion ?? '') : '';
  let ofLevel = visits.get(level);
  if (!ofLevel) visits.set(level, (ofLevel = new Map<string, Visit>()));
  let visit = ofLevel.get(bentTo);
  if (!visit) ofLevel.set(bentTo, (visit = visited(movement, level, bentTo)));
  return visit;
}

/** A level goes where it goes: asked for once, kept as long as the level is. */
const visits = new WeakMap<Level, Map<string, Visit>>();

function visited(movement: Movement, level: Level, bentTo: string): Visit {
  const named = movement.motions.map(mainOf).filter((direction) => direction !== undefined);
  const bent = mainOf(bentTo);
  const planted = level.loading === 'planted';
  const sides = named.filter((direction) => direction === 'radial' || direction === 'ulnar');
  const main = planted ? [...(bent ? [bent] : []), ...sides] : named;
  return {
    directions: [...new Set(spread(main, movement, planted))],
    loading: level.loading,
    forms: formsOf(movement, level),
  };
}

function spread(main: readonly MainDirection[], movement: Movement, planted: boolean): Direction[] {
  const bends = main.filter((direction) => direction === 'extension' || direction === 'flexion');
  const sides = main.filter((direction) => direction === 'radial' || direction === 'ulnar');
  const between = (bend: string, side: string) => `${side} ${bend}` as Direction;
  const all = bends.flatMap((bend) => sides.map((side) => between(bend, side)));
  if (planted || (movement.directions && main.length >= 3)) return [...main, ...all];
  // Extension with one side, flexion with the other, named in that order: a diagonal.
  if (main.length === 4) return [between(firstOf(main), itemAt(main, 1)), between(itemAt(main, 2), itemAt(main, 3))];
  return [...main];
}

function formsOf(movement: Movement, level: Level): HandForm[] {
  if (FIST_CONTACTS.includes(level.contact)) return ['fist'];
  if (level.loading === 'planted') return ['open'];
  const closed = shapesOf(movement, level).map((shape) => FIST_SHAPES.includes(shape));
  return HAND_FORMS.filter((form) => closed.includes(form === 'fist'));
}

/** Seconds of each hand in one cell of the wheel. */
export interface WheelCell {
  readonly direction: Direction;
  readonly loading: Loading;
  readonly form: HandForm;
  readonly seconds: Readonly<Record<Hand, number>>;
}

/** Where a session takes the wrist, and how it is loaded there. */
export interface Coverage {
  /** Visited cells only. Time of a block counts for every cell that it passes. */
  readonly cells: readonly WheelCell[];
  /** Blocks that visit each two-joint corner. */
  readonly corners: Readonly<Record<Corner, readonly string[]>>;
  /** The furthest that the wrist is taken toward each main direction, degrees. */
  readonly reachDeg: Readonly<Record<Hand, Partial<Record<MainDirection, number>>>>;
}

/** What coverage reads of a block. */
export interface CoverageBlock {
  readonly id: string;
  readonly movement: Movement;
  readonly level: Level;
  readonly demand: Demand | null;
  readonly visit: Visit;
}

/** Where blocks take the wrist. @param account of the same blocks, in the same order */
export function coverageOf(blocks: readonly CoverageBlock[], account: SessionAccount): Coverage {
  const cells = new Map<string, WheelCell>();
  const corners = Object.fromEntries(CORNERS.map((corner) => [corner, [] as string[]])) as Record<Corner, string[]>;
  const reachDeg: Record<Hand, Partial<Record<MainDirection, number>>> = { left: {}, right: {} };
  blocks.forEach(({ id, movement, level, demand, visit }, index) => {
    const { left, right } = itemAt(account.blocks, index);
    const seconds = { left: left.workS, right: right.workS };
    if (seconds.left + seconds.right === 0) return;
    const { directions, loading, forms } = visit;
    for (const direction of directions) {
      for (const form of forms) {
        const key = `${direction}|${loading}|${form}`;
        const before = cells.get(key)?.seconds ?? { left: 0, right: 0 };
        const sum = { left: before.left + seconds.left, right: before.right + seconds.right };
        cells.set(key, { direction, loading, form, seconds: sum });
      }
    }
    for (const corner of movement.corners) corners[corner].push(id);
    for (const hand of HANDS) if (seconds[hand] > 0) reach(reachDeg[hand], movement, level, demand, hand);
  });
  return { cells: [...cells.values()], corners, reachDeg };
}

function reach(into: Partial<Record<MainDirection, number>>, movement: Movement, level: Level, demand: Demand | null, hand: Hand): void {
  const take = (direction: MainDirection | undefined, deg: number) => {
    if (direction) into[direction] = Math.max(into[direction] ?? 0, deg);
  };
  const angle = demand?.[hand].angle;
  if (angle) return take(mainOf(angle.motion), angle.deg);
  const { load } = level;
  if (load.kind !== 'move') return;
  for (const motion of movement.motions) {
    const direction = mainOf(motion);
    if (direction) take(direction, (ACTIVE_RANGE[MAIN[direction]].mean.value * load.reachPercent) / 100);
  }
}

/** Coverage of several sessions together, as for a week. */
export function mergeCoverage(all: readonly Coverage[]): Coverage {
  const cells = new Map<string, WheelCell>();
  const corners = Object.fromEntries(CORNERS.map((corner) => [corner, [] as string[]])) as Record<Corner, string[]>;
  const reachDeg: Record<Hand, Partial<Record<MainDirection, number>>> = { left: {}, right: {} };
  for (const one of all) {
    for (const cell of one.cells) {
      const key = `${cell.direction}|${cell.loading}|${cell.form}`;
      const before = cells.get(key)?.seconds ?? { left: 0, right: 0 };
      const seconds = { left: before.left + cell.seconds.left, right: before.right + cell.seconds.right };
      cells.set(key, { ...cell, seconds });
    }
    for (const corner of CORNERS) corners[corner].push(...one.corners[corner]);
    for (const hand of HANDS) {
      for (const direction of MAIN_DIRECTIONS) {
        const deg = one.reachDeg[hand][direction];
        if (deg !== undefined) reachDeg[hand][direction] = Math.max(reachDeg[hand][direction] ?? 0, deg);
      }
    }
  }
  return { cells: [...cells.values()], corners, reachDeg };
}

/** Rings of the wheel, from the middle outward. Work against resistance has its own, between help and the floor. */
export const WHEEL_RINGS = LOADINGS;
