import type { Limit } from '../dose/dose.js';
import { SEGMENTS, type SegmentName } from './segments.js';

export const SEXES = ['female', 'male', 'not stated'] as const;
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
    throw new BodyError('statureM', `Stature must be within ${range}, not ${body.statureM} m.`);
  }
  if (!(body.massKg >= massKg.min && body.massKg <= massKg.max)) {
    throw new BodyError('massKg', `Body mass must be within ${massKg.min}–${massKg.max} kg, not ${body.massKg} kg.`);
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
  if ((record?.statureCm ?? null) === null) estimated.push(`stature (${reference.statureM.toFixed(2)} m)`);
  if ((record?.massKg ?? null) === null) estimated.push(`body mass (${reference.massKg} kg)`);
  const statureM = record?.statureCm ? record.statureCm / 100 : reference.statureM;
  return { body: { sex, statureM, massKg: record?.massKg ?? reference.massKg }, estimated };
}

export interface Segment {
  readonly massKg: number;
  readonly lengthM: number;
  /** Centre of mass, from the proximal end, as a share of the length. */
  readonly comFraction: number;
}

/** A body's segments: each limb segment is one of a pair. Lengths in metres. */
export interface Segments extends Readonly<Record<SegmentName, Segment>> {
  /** Mid-shoulder to the angle of the jaw, along the trunk. */
  readonly neckM: number;
  /** Middle finger, knuckle to tip. */
  readonly fingerM: number;
  /** Sole to ankle joint. */
  readonly ankleHeightM: number;
  /** Ankle to the ball of the foot, along the sole. */
  readonly ankleToBallM: number;
  /** Floor to the knee joint when kneeling. */
  readonly kneelHeightM: number;
}

/** Drillis & Contini 1966 (in Winter, Biomechanics and Motor Control of Human Movement): ankle height over stature. */
const ANKLE_HEIGHT = 0.039;
/** The ankle stands a quarter along the foot from the heel, the ball at 0.72 of it: working values for a bare foot. */
const ANKLE_ON_FOOT = 0.25;
const BALL_ON_FOOT = 0.72;
/** Half the depth of a knee over stature: working value for kneeling on a mat. */
const KNEEL_HEIGHT = 0.028;

/** Scales the segment table to a body: lengths by stature, masses by body mass (the printed fractions are rounded; together they are the whole body). */
export function segmentsOf(body: Body): Segments {
  const known = SCALED.get(body);
  if (known) return known;
  const segments = scaled(body);
  SCALED.set(body, segments);
  return segments;
}
/** A search tries one body in thousands of postures: its segments are scaled once. */
const SCALED = new WeakMap<Body, Segments>();

function scaled({ sex, statureM, massKg }: Body): Segments {
  const table = SEGMENTS[sex];
  const scale = statureM / table.statureM;
  const segment = (name: SegmentName): Segment => {
    const [massFraction, lengthM, comFraction] = table.segments[name];
    return { massKg: (massFraction / table.massSum) * massKg, lengthM: lengthM * scale, comFraction };
  };
  const foot = segment('foot');
  return {
    head: segment('head'),
    trunk: segment('trunk'),
    upperArm: segment('upperArm'),
    forearm: segment('forearm'),
    hand: segment('hand'),
    thigh: segment('thigh'),
    shank: segment('shank'),
    foot,
    neckM: table.neckM * scale,
    fingerM: table.fingerM * scale,
    ankleHeightM: ANKLE_HEIGHT * statureM,
    ankleToBallM: (BALL_ON_FOOT - ANKLE_ON_FOOT) * foot.lengthM,
    kneelHeightM: KNEEL_HEIGHT * statureM,
  };
}
