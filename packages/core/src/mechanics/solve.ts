import type { Person } from './capacity.js';
import type { ActionEffort } from './action-demand.js';
import { intervalOf } from './belief.js';
import { type Demand, demandOf, type Loaded, postureDemand } from './demand.js';
import { handLoad } from './hand-load.js';
import { HoldError } from './hold-size.js';
import { rootsIn, type Sample, sampleRuns } from './root.js';
import { withField } from './vary.js';
import { type LevelLoad, LOAD_FIELDS } from '../model/load.js';
import { POSTURE_LIMITS, PostureError, type PostureField, type Stance, type SupportPosture } from '../model/posture.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';

/** What can be aimed at. */
export const QUANTITIES = {
  loadPercentBW: { label: 'load on a hand', unit: '% of body weight', min: 0, max: 200 },
  effortPercent: { label: 'effort', unit: '% of maximum', min: 0, max: 300 },
  wristAngleDeg: { label: 'wrist angle', unit: '°', min: -180, max: 180 },
  wristMomentNm: { label: 'wrist torque', unit: 'N·m', min: 0, max: 200 },
} as const;
/** What can be solved for. */
export type Quantity = keyof typeof QUANTITIES;

/** A wish: this much of a quantity on this hand. */
export interface Target {
  readonly quantity: Quantity;
  readonly value: number;
  readonly hand: Hand;
}

/** Thrown where no value of the field gives what is wanted. */
export class NotReachedError extends Error {
  override readonly name = 'NotReachedError';
  constructor(
    readonly field: string,
    message: string,
    /** What comes closest: the field's value and the quantity there. */
    readonly nearest: Sample | null,
  ) {
    super(message);
  }
}

/** Reads a quantity of a demand for a hand. Extension counts up, flexion down. */
export function quantityOf(demand: Demand, { quantity, hand }: Pick<Target, 'quantity' | 'hand'>): number {
  const mine = demand[hand];
  switch (quantity) {
    case 'loadPercentBW':
      return mine.loadPercentBW;
    case 'effortPercent':
      return mine.effortPercent;
    case 'wristAngleDeg':
      return mine.angle ? mine.angle.deg * (mine.angle.motion === 'wrist flexion' ? -1 : 1) : 0;
    case 'wristMomentNm':
      return demand.posture?.[hand].wristMomentNm ?? mine.efforts.find(({ action }) => action !== 'grip')?.demand ?? 0;
  }
}

/**
 * The value of one field of a posture at which a hand bears, bends or works as much as wanted; of several the one nearest to where the
 * posture is now. Bracketed over the whole range of the field, then halved to 1e-14 of the field's unit.
 * @throws NotReachedError with the nearest that is possible
 */
export function solvePosture(
  person: Person,
  posture: SupportPosture,
  field: PostureField,
  target: Target,
): { value: number; posture: SupportPosture; demand: Demand } {
  const now = handLoad(person.body, posture);
  const at = (value: number) => withField(posture, now, field, value);
  const demandAt = (value: number) => {
    const varied = at(value);
    return postureDemand(person, varied, handLoad(person.body, varied));
  };
  const { min, max } = POSTURE_LIMITS[field];
  const from = field in now ? now[field as 'leanDeg'] : posture[field as 'supportHeightM'];
  const value = solve(field, { min, max, from }, (x) => quantityOf(demandAt(x), target), target);
  return { value, posture: at(value), demand: demandAt(value) };
}

/** Fields of a load that are numbers and can be solved for. */
export function solvableFields({ load }: Loaded): string[] {
  if (load.kind === 'body') return Object.keys(POSTURE_LIMITS);
  return Object.entries(LOAD_FIELDS[load.kind])
    .filter(([name, field]) => 'limit' in field && name !== 'hands' && name in load)
    .map(([name]) => name);
}

/** Four fifths of people of whom as much is known would need a value between; null on a side where none gives it. */
export type SolvedInterval = readonly [low: number | null, high: number | null];

/**
 * The interval of a value that was found for an effort: what the weakest and the strongest tenth of people of whom as much is known would need. Null where
 * what was aimed at is no effort.
 */
export function solvedInterval(person: Person, level: Loaded, field: string, target: Target, found: Demand): SolvedInterval | null {
  const hardest = found[target.hand].efforts[0];
  if (target.quantity !== 'effortPercent' || !hardest) return null;
  const bounds = intervalOf(target.value, hardest.logSd).map((value) => {
    try {
      return solveLevel(person, level, field, { ...target, value }).value;
    } catch (error) {
      if (error instanceof NotReachedError) return null;
      throw error;
    }
  });
  const [a = null, b = null] = bounds;
  return a !== null && b !== null && a > b ? [b, a] : [a, b];
}

/** As `solvePosture`, for any level: a weight, a lever, an edge, the feet's share, or a field of the posture. */
export function solveLevel<L extends Loaded>(
  person: Person,
  level: L,
  field: string,
  target: Target,
): { value: number; level: L; demand: Demand } {
  const { load } = level;
  if (load.kind === 'body') {
    const posture = { ...load.stance, contact: level.contact, facing: level.facing };
    const { value, posture: found } = solvePosture(person, posture, field as PostureField, target);
    const { contact: _contact, facing: _facing, ...stance } = found;
    const solved = { ...level, load: { kind: 'body' as const, stance: stance as Stance } };
    return { value, level: solved, demand: demandOf(person, solved) };
  }
  const spec = LOAD_FIELDS[load.kind][field];
  const fields: Readonly<Record<string, unknown>> = load;
  const from = fields[field];
  if (!spec || !('limit' in spec) || typeof from !== 'number') {
    throw new NotReachedError(field, `${field} can’t be changed for this load. Use ${solvableFields(level).join(', ')}.`, null);
  }
  const at = (value: number): L => ({ ...level, load: { ...load, [field]: value } });
  const { min, max } = spec.limit;
  const value = solve(field, { min, max, from }, (x) => quantityOf(demandOf(person, at(x)), target), target);
  return { value, level: at(value), demand: demandOf(person, at(value)) };
}

function solve(
  field: string,
  { min, max, from }: { min: number; max: number; from: number },
  quantity: (x: number) => number,
  target: Target,
): number {
  const tried = possible(quantity);
  const runs = sampleRuns(tried, min, max);
  const roots = rootsIn(runs, tried, target.value);
  if (roots.length) return roots.reduce((a, b) => (Math.abs(b - from) < Math.abs(a - from) ? b : a));
  const samples = runs.flat();
  const { label, unit } = QUANTITIES[target.quantity];
  if (samples.length === 0) throw new NotReachedError(field, `No value of ${field} gives a possible position.`, null);
  const off = ({ y }: Sample) => Math.abs(y - target.value);
  const nearest = samples.reduce((a, b) => (off(b) < off(a) ? b : a));
  const round = (value: number) => Number(value.toFixed(2));
  throw new NotReachedError(
    field,
    `No ${field} gives ${round(target.value)} ${unit}. The nearest ${label} is ${round(nearest.y)} ${unit}, at ${round(nearest.x)}.`,
    nearest,
  );
}

/** Where a posture or a hold is impossible there is nothing to compare with. */
function possible(quantity: (x: number) => number): (x: number) => number | null {
  return (x) => {
    try {
      return quantity(x);
    } catch (error) {
      if (error instanceof PostureError || error instanceof HoldError) return null;
      throw error;
    }
  };
}

/** A curve of a quantity over a field's whole range, in unbroken runs: what charts show. */
export function demandCurve(
  person: Person,
  posture: SupportPosture,
  field: PostureField,
  target: Pick<Target, 'quantity' | 'hand'>,
  samples = 60,
): Sample[][] {
  const now = handLoad(person.body, posture);
  const { min, max } = POSTURE_LIMITS[field];
  const quantity = (x: number) => {
    const varied = withField(posture, now, field, x);
    return quantityOf(postureDemand(person, varied, handLoad(person.body, varied)), target);
  };
  return sampleRuns(possible(quantity), min, max, samples);
}

/** As `demandCurve`, for a number of any other load. */
export function sampleCurve(
  person: Person,
  level: Loaded,
  field: string,
  target: Pick<Target, 'quantity' | 'hand'>,
  samples = 60,
): Sample[][] {
  const spec = LOAD_FIELDS[level.load.kind][field];
  if (!spec || !('limit' in spec)) return [];
  const at = (x: number) => ({ ...level, load: { ...level.load, [field]: x } as LevelLoad });
  const { min, max } = spec.limit;
  return sampleRuns(
    possible((x) => quantityOf(demandOf(person, at(x)), target)),
    min,
    max,
    samples,
  );
}

/** The hardest action of the hand that works harder; undefined when nothing has to be held. @param hands that are looked at */
export const hardestOf = (demand: Demand, hands: readonly Hand[] = HANDS): ActionEffort | undefined =>
  hands
    .flatMap((hand) => demand[hand].efforts[0] ?? [])
    .reduce<ActionEffort | undefined>((most, each) => (most && most.effortPercent >= each.effortPercent ? most : each), undefined);
