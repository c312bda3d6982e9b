import type { Dose } from './dose.js';
import type { LevelLoad } from './load.js';
import type { CautionId } from '../vocabulary/cautions.js';
import type { Contact, Facing } from '../vocabulary/contacts.js';
import type { Digit } from '../vocabulary/digits.js';
import type { HandShapeName } from '../vocabulary/hand-shapes.js';
import type { SidePlan } from '../vocabulary/hands.js';
import type { Fault } from '../vocabulary/fault.js';
import type { Corner, Loading, Motion } from '../vocabulary/motions.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';
import type { Equipment, Posture } from '../vocabulary/places.js';
import type { DosingKind } from '../vocabulary/usual-ranges.js';
import type { DirectionPlan, WorkKind } from '../vocabulary/work.js';

/** The library's skeleton: thirteen families, in teaching order. */
export const FAMILIES = {
  'free-motion': 'Free motion',
  'tendon-glides': 'Tendon glides',
  'assisted-stretches': 'Assisted stretches',
  'planted-rocks': 'Planted rocks',
  'planted-strength': 'Planted strength',
  'bearing-holds': 'Bearing holds',
  isometrics: 'Isometrics',
  'free-weights': 'Free weights and levers',
  grip: 'Grip',
  'edge-work': 'Edge work',
  hangs: 'Hangs',
  neighbours: 'Neighbours',
  settle: 'Settle',
} as const;
export type FamilyId = keyof typeof FAMILIES;

/** A reason to be careful with this movement, told to everyone, and flagged for athletes who have the named caution. */
export interface MovementCaution {
  readonly text: string;
  readonly concerns: readonly CautionId[];
  /** Whether those concerned should leave the movement out, rather than do it with care. */
  readonly avoid: boolean;
}

/** What a ladder raises from level to level, with its unit: each is computed from the levels' loads and doses. */
export const CLIMBS = {
  effort: '% of own maximum',
  'hand load': '% of body weight',
  'wrist angle': '°',
  stretch: 'N·m',
  speed: 'per minute',
  time: 's of work',
  pressure: 'N',
} as const;
export type Climb = keyof typeof CLIMBS;

/** One rung of a ladder. */
export interface Level {
  readonly id: string;
  readonly name: string;
  /** How this rung differs from the others. */
  readonly description: string;
  readonly posture: Posture;
  readonly contact: Contact;
  readonly facing: Facing;
  readonly loading: Loading;
  /** The numbers that its demand is computed from. */
  readonly load: LevelLoad;
  /** Shapes that the hand goes between at this level, where they are not the movement's. */
  readonly shapes?: readonly [HandShapeName, HandShapeName];
  /** Needed for this level beyond the movement's own equipment. */
  readonly equipment: readonly Equipment[];
  /** The usual dose to start from. For repetitions it always carries a tempo. */
  readonly dose: Dose;
  /** Which published or working dose range applies. */
  readonly dosing: DosingKind;
}

export interface Movement {
  readonly id: string;
  readonly name: string;
  readonly family: FamilyId;
  readonly purpose: string;
  readonly howTo: readonly string[];
  readonly cues: readonly string[];
  readonly faults: readonly string[];
  readonly cautions: readonly MovementCaution[];
  readonly trains: readonly MuscleGroup[];
  readonly motions: readonly Motion[];
  readonly equipment: readonly Equipment[];
  /** Digits that do the work, where it is not all of them. */
  readonly digits?: readonly Digit[];
  /** Two-joint corners that it visits. */
  readonly corners: readonly Corner[];
  /** Shapes that the hand goes between, for its picture; without them they follow from the load. */
  readonly shapes?: readonly [HandShapeName, HandShapeName];
  /** What rises along the ladder. */
  readonly climbs: Climb;
  /** Allowed ways to spread the work over the hands; the first is the usual one. */
  readonly sides: readonly [SidePlan, ...SidePlan[]];
  /** Names of the two directions, or null when direction means nothing here. */
  readonly directions: readonly [string, string] | null;
  /** What the way out and the way back of one repetition are called when counting aloud. */
  readonly strokes: readonly [string, string];
  readonly work: readonly [WorkKind, ...WorkKind[]];
  /** Whether work for time is held still or keeps moving. */
  readonly timed: 'hold' | 'bout';
  /** Ordered from easiest to hardest. */
  readonly ladder: readonly [Level, ...Level[]];
}

/** Finds a movement by id; lets a studio's own movements stand beside the shipped ones. */
export type MovementLookup = (movementId: string) => Movement | undefined;

export function findLevel(movement: Movement, levelId: string): Level | undefined {
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

/** Everything that has to be in the room for this level. */
export function equipmentFor(movement: Movement, level: Level): Equipment[] {
  return [...new Set([...movement.equipment, ...level.equipment])];
}

export const MOVEMENT_LIMITS = { levels: 8, lines: 12, lineLength: 200, nameLength: 80, textLength: 300 } as const;

export function loadAgreesWithLevel({ load, loading, contact, dose }: Level, at: string): Fault[] {
  if (load.kind === 'press' && dose.effortPercent !== load.effortPercent) {
    return [
      {
        pointer: `${at}/load/effortPercent`,
        message: `must be the dose’s effort, ${dose.effortPercent ?? 'which is missing'}`,
      },
    ];
  }
  const bears = load.kind === 'body' && contact !== 'none';
  if (bears !== (loading === 'planted')) {
    return [
      {
        pointer: `${at}/loading`,
        message: bears
          ? 'must be planted when the body rests on the hands'
          : 'is planted only when the body rests on the hands',
      },
    ];
  }
  return [];
}

/** Whether a dose suits a movement: its kinds of work, its hands, its directions. */
export function checkFit(dose: Dose, movement: Movement): Fault[] {
  const faults: Fault[] = [];
  if (!movement.work.includes(dose.work.kind)) {
    const message = `“${movement.name}” is dosed in ${movement.work.join(' or ')}, not ${dose.work.kind}.`;
    faults.push({ pointer: '/dose/work/kind', message });
  }
  if (!movement.sides.includes(dose.sides)) {
    const message = `“${movement.name}” is done ${movement.sides.join(' or ')}, not ${dose.sides}.`;
    faults.push({ pointer: '/dose/sides', message });
  }
  if (!movement.directions && dose.directions !== 'none') {
    faults.push({ pointer: '/dose/directions', message: `“${movement.name}” has no directions: leave them out.` });
  }
  if (movement.directions && dose.directions === 'none') {
    const [first, second] = movement.directions;
    const message = `Say which directions: first (${first}), second (${second}) or each.`;
    faults.push({ pointer: '/dose/directions', message });
  }
  return faults;
}
