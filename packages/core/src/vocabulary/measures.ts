import { type Action, ACTION_NAMES, ACTIONS } from './actions.js';
import type { Limit } from './limit.js';
import { RANGE_MOTIONS } from './motions.js';

/** What a reading measures: a maximum, an active or passive range or one under load, how long or how often something is held or done. */
export const READING_KINDS = [
  'maximum',
  'active range',
  'passive range',
  'loaded range',
  'hold',
  'repetitions',
  'hand load',
  'critical force',
  'capacity above',
] as const;
/** What kind of thing was measured. */
export type ReadingKind = (typeof READING_KINDS)[number];

/** The kinds in plain words. */
export const READING_NAMES = {
  maximum: 'maximum strength',
  'active range': 'active range',
  'passive range': 'passive range',
  'loaded range': 'range under load',
  hold: 'longest hold',
  repetitions: 'clean repetitions',
  'hand load': 'weight on the hand',
  'critical force': 'sustainable force (critical force)',
  'capacity above': 'work capacity above it',
} as const satisfies Record<ReadingKind, string>;

/** Bounds of a reading by unit: beyond them a slip of the finger is likelier than a hand. */
export const READING_LIMITS = {
  'N·m': { min: 0.1, max: 150, step: 0.1, unit: 'N·m' },
  N: { min: 1, max: 1500, step: 1, unit: 'N' },
  '°': { min: 0, max: 130, step: 1, unit: '°' },
  cm: { min: 0, max: 40, step: 0.1, unit: 'cm' },
  s: { min: 0.5, max: 1200, step: 0.1, unit: 's' },
  times: { min: 0, max: 300, step: 1, unit: 'times' },
  'N·s': { min: 0, max: 60_000, step: 1, unit: 'N·s' },
} as const satisfies Record<string, Limit>;
/** The unit that a reading is kept in. */
export type ReadingUnit = keyof typeof READING_LIMITS;

/** Forces that are measured beside the maxima of actions. */
const OTHER_FORCES = ['tip pinch', 'key pinch', 'index finger', 'middle finger', 'ring finger', 'little finger', 'edge pull'] as const;
/** Lengths that say how far fingers and thumb go. */
const SPANS = ['finger spread', 'thumb span', 'finger-to-palm gap'] as const;
/** Holds that are timed. */
const TIMED_HOLDS = ['all fours', 'plank on the palms', 'fingertip support', 'hang', 'pinch hold'] as const;
/** Repetitions that are counted to the loss of form. */
const COUNTED_REPETITIONS = ['palm lift', 'fingertip pump'] as const;

const all = (names: readonly string[], unit: ReadingUnit): Record<string, ReadingUnit> =>
  Object.fromEntries(names.map((name) => [name, unit]));
const RANGES = { ...all(RANGE_MOTIONS, '°'), ...all(SPANS, 'cm') };
const TESTED_ALL_OUT = ['grip', 'edge pull'] as const;

/** Everything that can be measured: by kind, what it is of, and the unit of it. */
export const MEASURABLE: Readonly<Record<ReadingKind, Readonly<Record<string, ReadingUnit>>>> = {
  maximum: { ...ACTIONS, ...all(OTHER_FORCES, 'N') },
  'active range': RANGES,
  'passive range': RANGES,
  'loaded range': { 'wrist extension': '°' },
  hold: all(TIMED_HOLDS, 's'),
  repetitions: all(COUNTED_REPETITIONS, 'times'),
  'hand load': { 'all fours': 'N' },
  'critical force': all(TESTED_ALL_OUT, 'N'),
  'capacity above': all(TESTED_ALL_OUT, 'N·s'),
};

/** The names of everything that can be measured. */
export const MEASURED_NAMES: readonly string[] = [...new Set(Object.values(MEASURABLE).flatMap((named) => Object.keys(named)))];

/** The unit of a reading, or undefined when nothing of that name is measured this way. */
export const readingUnit = (kind: ReadingKind, of: string): ReadingUnit | undefined =>
  Object.hasOwn(MEASURABLE[kind], of) ? MEASURABLE[kind][of] : undefined;

/** Whether a maximum is of an action, and so tells of what efforts are computed from. */
export const isAction = (of: string): of is Action => (ACTION_NAMES as readonly string[]).includes(of);

/** With what something was measured. */
export const GAUGES = [
  'goniometer',
  'photo',
  'phone',
  'dynamometer',
  'hand plates',
  'edge',
  'scales',
  'ruler',
  'stopwatch',
  'counted',
] as const;
/** With what something was measured. */
export type Gauge = (typeof GAUGES)[number];
