import type { TObject, TSchema } from '@sinclair/typebox';
import { ACTION_NAMES } from '../vocabulary/actions.js';
import { EDGE_GRIPS, FINGERS } from '../vocabulary/contacts.js';
import { DIGITS } from '../vocabulary/digits.js';
import { type Fault, under } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Limit } from '../vocabulary/limit.js';
import { STRETCHES } from '../vocabulary/motions.js';
import { between, kind, kinds, list, type Of, oneOf, optional, record } from '../vocabulary/schema.js';
import { checkPosture, PostureError, type Stance, STANCE, USUAL_HAND } from './posture.js';

const number = (label: string, min: number, max: number, step: number, unit: string) => between({ min, max, step, unit }, label);

const MASS = number('Weight', 0, 200, 0.1, 'kg');
const ACTION = oneOf(ACTION_NAMES, 'Action');
/** Which digits hold or press, all of them where it is not said. */
const DIGITS_THAT_HOLD = optional(list(oneOf(DIGITS, 'Digit'), { min: 1, max: DIGITS.length, unique: true, what: 'digits' }));
const HANDLE = optional(number('Handle diameter', 15, 120, 1, 'mm'));

/** What the hand holds on to: a bar or handle, an edge, or a block between thumb and fingers. */
const HOLD_FIELDS = {
  on: oneOf(['bar', 'edge', 'pinch'], 'Hold'),
  handleMm: HANDLE,
  edgeMm: optional(number('Edge depth', 4, 80, 1, 'mm')),
  edgeGrip: optional(oneOf(EDGE_GRIPS, 'Grip on the edge')),
  pinchMm: optional(number('Pinch width', 5, 150, 1, 'mm')),
  digits: DIGITS_THAT_HOLD,
};
/** A hold by itself. */
export const HOLD = record(HOLD_FIELDS);
/** What the hand holds on to, with its size. */
export type Hold = Of<typeof HOLD>;
/** Which sizes a hold needs. */
const SIZES_OF = { bar: ['handleMm'], edge: ['edgeMm', 'edgeGrip'], pinch: ['pinchMm'] } as const satisfies Record<
  Hold['on'],
  readonly (keyof Hold)[]
>;

/** What a level asks for, kind by kind, as numbers that a demand is computed from. Units are in the names. */
const KINDS = {
  /** The body rests on the hands in a posture. */
  body: record({
    kind: kind('body'),
    stance: STANCE,
    /** What a planted hand does meanwhile. */
    meanwhile: optional(oneOf(['fingers lifted'], 'Meanwhile')),
  }),
  /** The body hangs from the hands; feet may carry a share. */
  hang: record({
    kind: kind('hang'),
    feetPercentBW: number('Carried by the feet', 0, 95, 1, '% of body weight'),
    hands: number('Hands on the hold', 1, 2, 1, 'hands'),
    addedKg: number('Added weight', 0, 100, 0.5, 'kg'),
    wristBendDeg: number('Wrist bent', 0, 90, 1, '°'),
    ...HOLD_FIELDS,
  }),
  /** Each hand lifts or carries a mass. */
  lift: record({
    kind: kind('lift'),
    massKg: MASS,
    distanceM: optional(number('Distance', 1, 1000, 1, 'm')),
    ...HOLD_FIELDS,
  }),
  /** A mass turns a joint: in the palm, or at the end of a lever. */
  weight: record({
    kind: kind('weight'),
    action: ACTION,
    massKg: MASS,
    leverM: optional(number('Lever', 0.02, 1.5, 0.01, 'm')),
    angleDeg: number('Angle above level', -89, 89, 1, '°'),
    handleMm: HANDLE,
    digits: DIGITS_THAT_HOLD,
  }),
  /** A rope winds on a drum and lifts a mass. */
  roller: record({
    kind: kind('roller'),
    action: oneOf(['wrist flexion', 'wrist extension'], 'Action'),
    massKg: MASS,
    drumMm: number('Drum diameter', 15, 120, 1, 'mm'),
    ropeM: number('Rope', 0.2, 5, 0.1, 'm'),
    arms: oneOf(['in front', 'resting'], 'Arms'),
  }),
  /** Pressing against something that does not give: the athlete chooses the effort. */
  press: record({ kind: kind('press'), action: ACTION, effortPercent: number('Effort', 1, 100, 1, '%') }),
  /** Closing or opening something that pushes back with a known force. */
  resist: record({
    kind: kind('resist'),
    action: ACTION,
    forceN: number('Resistance', 0.5, 2000, 0.5, 'N'),
    digits: DIGITS_THAT_HOLD,
  }),
  /** Moving the hand or arm itself, and what it holds. */
  move: record({
    kind: kind('move'),
    actions: list(ACTION, {
      min: 1,
      max: ACTION_NAMES.length,
      unique: true,
      what: `a list of ${ACTION_NAMES.join(', ')}`,
    }),
    reachPercent: number('Reach', 5, 100, 1, '% of active range'),
    perMinute: number('Pace', 0.5, 300, 0.5, 'per minute'),
    heldKg: number('Held in the hand', 0, 20, 0.05, 'kg'),
  }),
  /** Brought toward the end of a range by help. */
  stretch: record({
    kind: kind('stretch'),
    motion: oneOf(STRETCHES, 'Toward'),
    reachPercent: number('Reach', 5, 100, 1, '% of passive range'),
    fingers: oneOf(FINGERS, 'Fingers'),
    /** Gentle push against the helper at the end, for contract–relax. */
    pushPercent: number('Push against the resistance', 0, 100, 1, '%'),
  }),
  /** Nothing is asked but to let go; something may press on a muscle. */
  rest: record({ kind: kind('rest'), pressN: number('Pressure', 0, 200, 1, 'N') }),
};
const { body, hang, lift, weight, roller, press, resist, move, stretch, rest } = KINDS;
/** What a level asks for: one of the kinds. */
export const LEVEL_LOAD = kinds([body, hang, lift, weight, roller, press, resist, move, stretch, rest], 'an object with a kind');
/** What a level asks for, as one of the kinds. */
export type LevelLoad = Of<typeof LEVEL_LOAD>;
/** The name of a kind of load. */
export type LoadKind = LevelLoad['kind'];
/** The load of one kind. */
export type LoadOf<K extends LoadKind> = Extract<LevelLoad, { kind: K }>;

/** One row for each of these kinds of load: what to answer for it. */
export type LoadTable<K extends LoadKind, Answer, Rest extends unknown[] = []> = {
  readonly [Kind in K]: (load: LoadOf<Kind>, ...rest: Rest) => Answer;
};

/** What a table answers for a load. @example answerFor({ press: ({ effortPercent }) => effortPercent }, { kind: 'press', action: 'grip', effortPercent: 40 }) → 40 */
export function answerFor<K extends LoadKind, Answer, Rest extends unknown[]>(
  table: LoadTable<K, Answer, Rest>,
  load: LoadOf<K>,
  ...rest: Rest
): Answer {
  const row: (load: LoadOf<K>, ...rest: Rest) => Answer = table[load.kind];
  return row(load, ...rest);
}

/** The kinds, as forms list them. */
export const LOAD_KINDS = Object.keys(KINDS) as LoadKind[];

/** One field of a load as a form shows it: a number within limits, or one of a few words (or many of them). */
export type LoadField =
  | { readonly label: string; readonly limit: Limit; readonly optional: boolean }
  | { readonly label: string; readonly words: readonly string[]; readonly optional: boolean; readonly many: boolean };

/** The fields of each kind beside a posture's own, for forms and for whoever solves for one of them. */
export const LOAD_FIELDS = Object.fromEntries(LOAD_KINDS.map((name) => [name, fieldsOf(KINDS[name])])) as Record<
  LoadKind,
  Readonly<Record<string, LoadField>>
>;

function fieldsOf({ properties, required = [] }: Pick<TObject, 'properties' | 'required'>): Record<string, LoadField> {
  const fields = Object.entries(properties).filter(([name]) => name !== 'kind' && name !== 'stance');
  return Object.fromEntries(fields.map(([name, schema]) => [name, fieldOf(schema, !required.includes(name))]));
}

/** What `between` and `oneOf` write beside the type. */
interface Named {
  title: string;
  minimum: number;
  maximum: number;
  step: number;
  unit: string;
}

function fieldOf(schema: TSchema, isOptional: boolean): LoadField {
  const items = schema['items'] as TSchema | undefined;
  const { title, minimum, maximum, step, unit } = (items ?? schema) as TSchema & Named;
  const words = (items ?? schema)['enum'] as readonly string[] | undefined;
  if (words) return { label: items ? `${title}s` : title, words, optional: isOptional, many: items !== undefined };
  return { label: title, limit: { min: minimum, max: maximum, step, unit }, optional: isOptional };
}

/** Within what a number of a load must lie. @throws RangeError when the kind has no such number */
export function loadLimit(kind: LoadKind, field: string): Limit {
  const spec = LOAD_FIELDS[kind][field];
  if (!spec || !('limit' in spec)) throw new RangeError(`A load of the kind ${kind} has no number ${field}`);
  return spec.limit;
}

/** What is wrong with a load, by JSON pointer; empty when it can be computed. Takes anything, e.g. the body of a request. */
export function checkLoad(value: unknown): Fault[] {
  const shape = faultsOf(LEVEL_LOAD, value);
  if (shape.length > 0) return shape;
  const load = value as LevelLoad;
  if (load.kind === 'body') return under('/stance', checkStance(load.stance));
  return load.kind === 'hang' || load.kind === 'lift' ? checkHold(load) : [];
}

function checkHold(hold: Hold): Fault[] {
  return SIZES_OF[hold.on]
    .filter((name) => hold[name] === undefined)
    .map((name) => {
      const { title } = HOLD_FIELDS[name] as { title?: string };
      return { pointer: `/${name}`, message: `a hold on ${hold.on} needs its ${(title ?? name).toLowerCase()}` };
    });
}

/** What keeps the numbers of a posture from going together. */
function checkStance(stance: Stance): Fault[] {
  try {
    checkPosture({ ...USUAL_HAND, ...stance });
    return [];
  } catch (error) {
    if (error instanceof PostureError) return [{ pointer: `/${error.field}`, message: error.message }];
    throw error;
  }
}
