import type { Sex } from '../model/body.js';

/** The segments of a body, as the published table names them. */
export const SEGMENT_NAMES = ['head', 'trunk', 'upperArm', 'forearm', 'hand', 'thigh', 'shank', 'foot'] as const;
/** One of the segments. */
export type SegmentName = (typeof SEGMENT_NAMES)[number];

/** Share of body mass; length in metres at the reference stature; centre of mass as a share of the length from the proximal end. */
type Row = readonly [massFraction: number, lengthM: number, comFraction: number];

interface Proportions {
  readonly statureM: number;
  readonly segments: Readonly<Record<SegmentName, Row>>;
  /** Mid-shoulder to mid-gonion: what the table leaves between trunk and head. */
  readonly neckM: number;
  /** Third metacarpal head to the tip of the middle finger. */
  readonly fingerM: number;
}

/**
 * Body segments by sex: de Leva 1996, J Biomech 29(9):1223–30 (adjusted Zatsiorsky–Seluyanov). Head from vertex to mid-gonion,
 * trunk from mid-shoulder to mid-hip, hand from wrist to third metacarpal head, foot from heel to toe.
 * The neck follows from the same paper's cervicale lengths (vertex–cervicale plus cervicale–mid-hip, less head and trunk),
 * the finger from its wrist–dactylion length.
 */
const FEMALE: Proportions = {
  statureM: 1.735,
  segments: {
    head: [0.0668, 0.2002, 0.5894],
    trunk: [0.4257, 0.4979, 0.3782],
    upperArm: [0.0255, 0.2751, 0.5754],
    forearm: [0.0138, 0.2643, 0.4559],
    hand: [0.0056, 0.078, 0.7474],
    thigh: [0.1478, 0.3685, 0.3612],
    shank: [0.0481, 0.4386, 0.4352],
    foot: [0.0129, 0.2283, 0.4014],
  },
  neckM: 0.2437 + 0.6148 - 0.2002 - 0.4979,
  fingerM: 0.1701 - 0.078,
};

const MALE: Proportions = {
  statureM: 1.741,
  segments: {
    head: [0.0694, 0.2033, 0.5976],
    trunk: [0.4346, 0.5155, 0.431],
    upperArm: [0.0271, 0.2817, 0.5772],
    forearm: [0.0162, 0.2689, 0.4574],
    hand: [0.0061, 0.0862, 0.79],
    thigh: [0.1416, 0.4222, 0.4095],
    shank: [0.0433, 0.4403, 0.4395],
    foot: [0.0137, 0.2581, 0.4415],
  },
  neckM: 0.2429 + 0.6033 - 0.2033 - 0.5155,
  fingerM: 0.1879 - 0.0862,
};

const mean = (a: number, b: number) => (a + b) / 2;
const meanRow = (name: SegmentName): Row => {
  const [a, b] = [FEMALE.segments[name], MALE.segments[name]];
  return [mean(a[0], b[0]), mean(a[1], b[1]), mean(a[2], b[2])];
};

/** Where sex is not stated, proportions are the mean of both tables. */
const MEAN: Proportions = {
  statureM: mean(FEMALE.statureM, MALE.statureM),
  segments: Object.fromEntries(SEGMENT_NAMES.map((name) => [name, meanRow(name)])) as Record<SegmentName, Row>,
  neckM: mean(FEMALE.neckM, MALE.neckM),
  fingerM: mean(FEMALE.fingerM, MALE.fingerM),
};

/** Head and trunk once, limb segments twice. */
const massSum = ({ segments }: Proportions) =>
  SEGMENT_NAMES.reduce((sum, name) => sum + segments[name][0] * (name === 'head' || name === 'trunk' ? 1 : 2), 0);
const summed = (table: Proportions) => ({ ...table, massSum: massSum(table) });

/** Mass, centre and length of each segment, by sex. */
export const SEGMENTS = {
  female: summed(FEMALE),
  male: summed(MALE),
  'not stated': summed(MEAN),
} as const satisfies Record<Sex, Proportions>;
