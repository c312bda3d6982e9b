import {
  checkPosture,
  FACES,
  POSTURE_LIMITS,
  PostureError,
  type SupportPosture,
  SUPPORTS,
  SURFACES,
  USUAL_HAND,
} from './posture.js';
import { type Action, ACTIONS } from '../vocabulary/actions.js';
import { EDGE_GRIPS, type EdgeGrip, type Fingers, FINGERS } from '../vocabulary/contacts.js';
import type { Fault } from '../vocabulary/fault.js';
import type { Limit } from '../vocabulary/limit.js';
import { STRETCHES, type StretchMotion } from '../vocabulary/motions.js';

/** A posture on the hands without contact and facing, which stand on the level itself. */
export type Stance = Omit<SupportPosture, 'contact' | 'facing'>;

/** What the hand holds on to: a bar or handle, an edge, or a block between thumb and fingers. */
export interface Hold {
  readonly on: 'bar' | 'edge' | 'pinch';
  readonly handleMm?: number;
  readonly edgeMm?: number;
  readonly edgeGrip?: EdgeGrip;
  readonly pinchMm?: number;
}

/** What a level asks for, as numbers that a demand is computed from. Units are in the names. */
export type LevelLoad =
  /** The body rests on the hands in a posture. */
  | { readonly kind: 'body'; readonly stance: Stance }
  /** The body hangs from the hands; feet may carry a share. */
  | ({
      readonly kind: 'hang';
      readonly feetPercentBW: number;
      readonly hands: number;
      readonly addedKg: number;
      readonly wristBendDeg: number;
    } & Hold)
  /** Each hand lifts or carries a mass. */
  | ({ readonly kind: 'lift'; readonly massKg: number; readonly distanceM?: number } & Hold)
  /** A mass turns a joint: in the palm, or at the end of a lever. */
  | {
      readonly kind: 'weight';
      readonly action: Action;
      readonly massKg: number;
      readonly leverM?: number;
      readonly angleDeg: number;
      readonly handleMm?: number;
    }
  /** A rope winds on a drum and lifts a mass. */
  | {
      readonly kind: 'roller';
      readonly action: Action;
      readonly massKg: number;
      readonly drumMm: number;
      readonly ropeM: number;
      readonly arms: 'in front' | 'resting';
    }
  /** Pressing against something that does not give: the athlete chooses the effort. */
  | { readonly kind: 'press'; readonly action: Action; readonly effortPercent: number }
  /** Closing or opening something that pushes back with a known force. */
  | { readonly kind: 'resist'; readonly action: Action; readonly forceN: number }
  /** Moving the hand or arm itself, and what it holds. */
  | {
      readonly kind: 'move';
      readonly actions: readonly Action[];
      readonly reachPercent: number;
      readonly perMinute: number;
      readonly heldKg: number;
    }
  /** Brought toward the end of a range by help. */
  | {
      readonly kind: 'stretch';
      readonly motion: StretchMotion;
      readonly reachPercent: number;
      readonly fingers: Fingers;
      /** Gentle push against the helper at the end, for contract–relax. */
      readonly pushPercent: number;
    }
  /** Nothing is asked but to let go; something may press on a muscle. */
  | { readonly kind: 'rest'; readonly pressN: number };
export type LoadKind = LevelLoad['kind'];

/** One field of a load: a number within limits, or one of a few words. */
export type LoadField =
  | { readonly label: string; readonly limit: Limit; readonly optional?: true }
  | { readonly label: string; readonly words: readonly string[]; readonly optional?: true; readonly many?: true };

const number = (label: string, min: number, max: number, step: number, unit: string): LoadField => ({
  label,
  limit: { min, max, step, unit },
});
const words = (label: string, list: readonly string[]): LoadField => ({ label, words: list });
const maybe = <F extends LoadField>(field: F) => ({ ...field, optional: true as const });
const ALL_ACTIONS = Object.keys(ACTIONS) as Action[];
const MASS = number('Weight', 0, 200, 0.1, 'kg');
const ACTION = words('Action', ALL_ACTIONS);
const HOLD = {
  on: words('Hold', ['bar', 'edge', 'pinch']),
  handleMm: maybe(number('Handle diameter', 15, 120, 1, 'mm')),
  edgeMm: maybe(number('Edge depth', 4, 80, 1, 'mm')),
  edgeGrip: maybe(words('Grip on the edge', EDGE_GRIPS)),
  pinchMm: maybe(number('Pinch width', 5, 150, 1, 'mm')),
};

/** The fields of each kind: read by the check, by the editor's form and by the API's description. */
export const LOAD_FIELDS: Record<LoadKind, Record<string, LoadField>> = {
  body: {},
  hang: {
    feetPercentBW: number('Carried by the feet', 0, 95, 1, '% of body weight'),
    hands: number('Hands on the hold', 1, 2, 1, 'hands'),
    addedKg: number('Added weight', 0, 100, 0.5, 'kg'),
    wristBendDeg: number('Wrist bent', 0, 90, 1, '°'),
    ...HOLD,
  },
  lift: { massKg: MASS, distanceM: maybe(number('Distance', 1, 1000, 1, 'm')), ...HOLD },
  weight: {
    action: ACTION,
    massKg: MASS,
    leverM: maybe(number('Lever', 0.02, 1.5, 0.01, 'm')),
    angleDeg: number('Angle above level', -89, 89, 1, '°'),
    handleMm: maybe(number('Handle diameter', 15, 120, 1, 'mm')),
  },
  roller: {
    action: words('Action', ['wrist flexion', 'wrist extension']),
    massKg: MASS,
    drumMm: number('Drum diameter', 15, 120, 1, 'mm'),
    ropeM: number('Rope', 0.2, 5, 0.1, 'm'),
    arms: words('Arms', ['in front', 'resting']),
  },
  press: { action: ACTION, effortPercent: number('Effort', 1, 100, 1, '%') },
  resist: { action: ACTION, forceN: number('Resistance', 0.5, 2000, 0.5, 'N') },
  move: {
    actions: { label: 'Actions', words: ALL_ACTIONS, many: true },
    reachPercent: number('Reach', 5, 100, 1, '% of active range'),
    perMinute: number('Pace', 0.5, 300, 0.5, 'per minute'),
    heldKg: number('Held in the hand', 0, 20, 0.05, 'kg'),
  },
  stretch: {
    motion: words('Toward', STRETCHES),
    reachPercent: number('Reach', 5, 100, 1, '% of range with help'),
    fingers: words('Fingers', FINGERS),
    pushPercent: number('Push against the help', 0, 100, 1, '%'),
  },
  rest: { pressN: number('Pressure', 0, 200, 1, 'N') },
};
export const LOAD_KINDS = Object.keys(LOAD_FIELDS) as LoadKind[];

/** Which size a hold needs. */
const SIZE_OF = { bar: ['handleMm'], edge: ['edgeMm', 'edgeGrip'], pinch: ['pinchMm'] } as const;

/** The words of a stance and what they may be. */
const STANCE_WORDS: Partial<Record<keyof Stance, readonly string[]>> = {
  support: SUPPORTS,
  shanks: ['resting', 'lifted'],
  surface: SURFACES,
  face: FACES,
};

/** What is wrong with a load, by JSON pointer; empty when it can be computed. Takes anything, e.g. the body of a request. */
export function checkLoad(value: unknown, at = ''): Fault[] {
  if (!isRecord(value)) return [{ pointer: at, message: 'must be an object with a kind' }];
  const kind = value.kind as LoadKind;
  if (!LOAD_KINDS.includes(kind)) {
    return [{ pointer: `${at}/kind`, message: `must be one of ${LOAD_KINDS.join(', ')}` }];
  }
  if (kind === 'body') return checkStance(value.stance, `${at}/stance`);
  const fields = LOAD_FIELDS[kind];
  const faults = Object.keys(value)
    .filter((name) => name !== 'kind' && !(name in fields))
    .map((name) => ({ pointer: `${at}/${name}`, message: `is not a field of a ${kind} load` }));
  for (const [name, field] of Object.entries(fields)) faults.push(...checkField(value[name], field, `${at}/${name}`));
  if (faults.length === 0 && 'on' in fields) {
    for (const name of SIZE_OF[value.on as Hold['on']]) {
      if (value[name] === undefined) {
        faults.push({ pointer: `${at}/${name}`, message: `a hold on ${value.on} needs its ${label(fields[name]!)}` });
      }
    }
  }
  return faults;
}

const label = (field: LoadField) => field.label.toLowerCase();
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function checkField(value: unknown, field: LoadField, pointer: string): Fault[] {
  if (value === undefined) return field.optional ? [] : [{ pointer, message: `${field.label} is needed` }];
  if ('limit' in field) {
    const { min, max, unit } = field.limit;
    const fits = typeof value === 'number' && value >= min && value <= max;
    return fits ? [] : [{ pointer, message: `must be a number within ${min}–${max} ${unit}` }];
  }
  const message = `must be ${field.many ? 'a list of' : 'one of'} ${field.words.join(', ')}`;
  const known = (word: unknown) => field.words.includes(word as string);
  const fits = field.many ? Array.isArray(value) && value.length > 0 && value.every(known) : known(value);
  return fits ? [] : [{ pointer, message }];
}

function checkStance(value: unknown, at: string): Fault[] {
  if (!isRecord(value)) return [{ pointer: at, message: 'must be a posture on the hands' }];
  const known = [...Object.keys(STANCE_WORDS), ...Object.keys(POSTURE_LIMITS)];
  const faults = Object.keys(value)
    .filter((name) => !known.includes(name))
    .map((name) => ({ pointer: `${at}/${name}`, message: 'is not a field of a posture' }));
  for (const [name, list] of Object.entries(STANCE_WORDS)) {
    if (!list.includes(value[name] as string)) {
      faults.push({ pointer: `${at}/${name}`, message: `must be one of ${list.join(', ')}` });
    }
  }
  for (const name of ['supportHeightM', 'handHeightM', 'elbowBendDeg', 'leftShare', 'padPressure', 'heelLiftDeg']) {
    if (typeof value[name] !== 'number') faults.push({ pointer: `${at}/${name}`, message: 'must be a number' });
  }
  if (faults.length) return faults;
  try {
    checkPosture({ ...USUAL_HAND, ...(value as unknown as Stance) });
    return [];
  } catch (error) {
    if (error instanceof PostureError) return [{ pointer: `${at}/${error.field}`, message: error.message }];
    throw error;
  }
}
