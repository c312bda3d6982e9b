import { intervalOf } from './belief.js';
import { type Capacity, capacityOf, effortPercent, type Person } from './capacity.js';
import type { Action } from '../vocabulary/actions.js';
import { working } from '../vocabulary/constant.js';
import type { Hand } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';

/** What one action has to bring, against what it can. */
export interface ActionEffort {
  readonly action: Action;
  /** In the capacity's unit. */
  readonly demand: number;
  readonly capacity: Capacity;
  readonly effortPercent: number;
  /** What the way of doing it leaves of the plain maximum, or adds to it; in `capacity` already. */
  readonly factor: number;
  /** Four fifths of people of whom as much is known lie between; the effort itself where it is what was asked. */
  readonly interval: readonly [number, number];
  /** Spread of the effort, a log-sd: that of the capacity, 0 where the effort itself is what was asked. */
  readonly logSd: number;
  /** What is charged on average while it moves, and while it is held still, as a share of the effort. */
  readonly moving: number;
  readonly still: number;
}

/** The demand on an action. */
export interface Ask {
  readonly demand?: number;
  /** A share of the person's own maximum, where effort itself is what is asked, or speed. */
  readonly sharePercent?: number;
  /** What the way of doing it leaves of the plain maximum: a thick handle, one finger of four; more than 1 where others help. */
  readonly factor?: number;
  /** Charged on average while moving, and while held still. */
  readonly moving?: number;
  readonly still?: number;
}

/** What a level asks of a hand, before it is held against what the hand can. */
export interface RawDemand {
  readonly loadN?: number;
  readonly actions?: Partial<Record<Action, Ask>>;
  readonly angle?: { readonly motion: RangeMotion; readonly deg: number } | { readonly motion: RangeMotion; readonly reach: number };
  readonly stretchNm?: number;
}

/** A stroke up and a stroke down ask less than their peak: a sine’s two thirds up, and less down, where muscles are stronger. */
const STROKE = working(
  'Stroke of a repetition',
  0.6,
  'of its peak, on average',
  'two thirds of a sine on the way up; lowering takes some three quarters of lifting',
  [0.5, 0.75],
);
/** A free motion to and fro. */
export const TO_AND_FRO = working(
  'Free motion to and fro',
  0.4,
  'of its peak, on average',
  'each opposite works half of the way, as half a sine does, and brakes a little on the other',
  [0.3, 0.5],
);
/** Pushing against a stretch. */
export const PUSHING = working(
  'Push against a stretch',
  0.4,
  'of its effort, on average',
  'a contraction of some seconds, then letting go',
  [0.25, 0.6],
);

/** The demand on an action against the estimate of its maximum. */
export function effortOf(person: Person, hand: Hand, action: Action, ask: Ask): ActionEffort {
  const { demand = 0, sharePercent = 0, factor = 1, moving = STROKE.value, still = 1 } = ask;
  const own = capacityOf(person, action, hand);
  const capacity = factor === 1 ? own : { ...own, value: own.value * factor };
  const byLoad = effortPercent(demand, capacity);
  const percent = byLoad + sharePercent;
  // Only what is compared with the capacity is as uncertain as the capacity.
  const logSd = percent > 0 ? (own.logSd * byLoad) / percent : 0;
  return {
    action,
    demand: (percent * capacity.value) / 100,
    capacity,
    factor,
    effortPercent: percent,
    interval: intervalOf(percent, logSd),
    logSd,
    moving,
    still,
  };
}
