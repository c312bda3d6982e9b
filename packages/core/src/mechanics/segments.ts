import { type SegmentName, SEGMENTS } from './segment-table.js';
import type { Body } from '../model/body.js';
import { published, working } from '../vocabulary/constant.js';

/** A segment of the body: its length, mass and where its centre lies. */
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

const ANKLE_HEIGHT = published(
  'Ankle height',
  0.039,
  'of height',
  'Drillis & Contini 1966, in Winter, Biomechanics and Motor Control of Human Movement',
);
const ANKLE_ON_FOOT = working('Ankle along the foot', 0.25, 'of foot length from the heel', 'a bare foot', [0.22, 0.28]);
const BALL_ON_FOOT = working('Ball of the foot', 0.72, 'of foot length from the heel', 'a bare foot', [0.68, 0.76]);
const KNEEL_HEIGHT = working('Knee above the floor when kneeling', 0.028, 'of height', 'half the depth of a knee, on a mat', [0.02, 0.04]);

/** Scales the segment table to a body: lengths by stature, masses by body mass (the printed fractions are rounded; together they are the whole body). */
export function segmentsOf(body: Body): Segments {
  const cached = SCALED.get(body);
  if (cached) return cached;
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
    ankleHeightM: ANKLE_HEIGHT.value * statureM,
    ankleToBallM: (BALL_ON_FOOT.value - ANKLE_ON_FOOT.value) * foot.lengthM,
    kneelHeightM: KNEEL_HEIGHT.value * statureM,
  };
}

/** Standing shoulders above the floor, metres. */
export const shoulderHeightM = ({ ankleHeightM, shank, thigh, trunk }: Segments) =>
  ankleHeightM + shank.lengthM + thigh.lengthM + trunk.lengthM;

/** What is held sits in the middle of the palm. */
export const PALM_LEVER = working(
  'Palm beyond the wrist',
  0.75,
  'of hand length (wrist to middle knuckle)',
  'what is held lies in the middle of the palm',
  [0.65, 0.85],
);
