import type { Limit } from '../vocabulary/limit.js';

/** What is asked for the norms. */
export const SEXES = ['female', 'male', 'not stated'] as const;
/** For norms; they are averaged where it is not stated. */
export type Sex = (typeof SEXES)[number];

/** Bounds of the body measures that computations accept. */
export const BODY_LIMITS = {
  statureCm: { min: 120, max: 230, step: 0.5, unit: 'cm' },
  massKg: { min: 25, max: 200, step: 0.1, unit: 'kg' },
} as const satisfies Record<string, Limit>;

/** What the mechanics need to know of a person. `not stated` takes the mean of both sexes' proportions. */
export interface Body {
  readonly sex: Sex;
  readonly statureM: number;
  readonly massKg: number;
}

/** A person's record as far as the mechanics read it. */
export interface BodyRecord {
  readonly sex: Sex;
  readonly statureCm: number | null;
  readonly massKg: number | null;
}

/** The people that the segment table was measured on (de Leva 1996): mean stature and mass. */
export const REFERENCE_BODIES: Record<Sex, Body> = {
  female: { sex: 'female', statureM: 1.735, massKg: 61.9 },
  male: { sex: 'male', statureM: 1.741, massKg: 73 },
  'not stated': { sex: 'not stated', statureM: 1.738, massKg: 67.5 },
};

/** Thrown where a measure is outside what the computation accepts. Names the field and what would be right. */
export class BodyError extends Error {
  override readonly name = 'BodyError';
  constructor(
    readonly field: 'statureM' | 'massKg',
    message: string,
  ) {
    super(message);
  }
}

/** @throws BodyError for a stature outside 1.20–2.30 m or a mass outside 25–200 kg. */
export function checkBody(body: Body): void {
  const { statureCm, massKg } = BODY_LIMITS;
  const cm = body.statureM * 100;
  if (!(cm >= statureCm.min && cm <= statureCm.max)) {
    const range = `${(statureCm.min / 100).toFixed(2)}–${(statureCm.max / 100).toFixed(2)} m`;
    throw new BodyError('statureM', `Height must be within ${range}, not ${body.statureM} m.`);
  }
  if (!(body.massKg >= massKg.min && body.massKg <= massKg.max)) {
    throw new BodyError('massKg', `Weight must be within ${massKg.min}–${massKg.max} kg, not ${body.massKg} kg.`);
  }
}

/**
 * The body of an athlete, with what is missing taken from the reference person of the same sex.
 * `estimated` names what was not on record, for screens to say so.
 */
export function bodyOf(record: BodyRecord | null): { body: Body; estimated: string[] } {
  const sex = record?.sex ?? 'not stated';
  const reference = REFERENCE_BODIES[sex];
  const estimated: string[] = [];
  if (sex === 'not stated') estimated.push('proportions (mean of women and men)');
  if ((record?.statureCm ?? null) === null) estimated.push(`height (${reference.statureM.toFixed(2)} m)`);
  if ((record?.massKg ?? null) === null) estimated.push(`weight (${reference.massKg} kg)`);
  const statureM = record?.statureCm ? record.statureCm / 100 : reference.statureM;
  return { body: { sex, statureM, massKg: record?.massKg ?? reference.massKg }, estimated };
}
