import { itemAt } from '../vocabulary/lists.js';
import { minus, plus, type Point } from '../mechanics/plane.js';
import type { Sex } from '../model/body.js';

/** A cross-section of a limb: where along it, and how far it reaches to the front and to the back, over stature. */
type Section = readonly [at: number, front: number, back: number];

/** Half-depths of the parts of a body in side view, over stature: measured by eye from anatomical plates, working values. */
const PARTS = {
  upperArm: [
    [-0.08, 0.018, 0.018],
    [0.05, 0.029, 0.029],
    [0.35, 0.027, 0.026],
    [0.75, 0.022, 0.022],
    [1, 0.02, 0.021],
    [1.05, 0.013, 0.014],
  ],
  forearm: [
    [-0.06, 0.014, 0.016],
    [0.05, 0.021, 0.021],
    [0.28, 0.025, 0.022],
    [0.7, 0.017, 0.016],
    [1, 0.0135, 0.0135],
    [1.04, 0.009, 0.009],
  ],
  thigh: [
    [-0.1, 0.03, 0.034],
    [0.02, 0.05, 0.05],
    [0.35, 0.049, 0.044],
    [0.75, 0.036, 0.033],
    [1, 0.031, 0.028],
    [1.05, 0.02, 0.016],
  ],
  shank: [
    [-0.05, 0.018, 0.016],
    [0.03, 0.029, 0.026],
    [0.28, 0.025, 0.037],
    [0.6, 0.021, 0.027],
    [0.9, 0.018, 0.018],
    [1, 0.018, 0.02],
    [1.05, 0.012, 0.014],
  ],
} as const satisfies Record<string, readonly Section[]>;
/** One part of a limb: its ends and its thickness along it. */
export type LimbPart = keyof typeof PARTS;

const TRUNK: Record<'female' | 'male', readonly Section[]> = {
  male: [
    [-0.12, 0.018, 0.026],
    [-0.02, 0.038, 0.05],
    [0.2, 0.068, 0.062],
    [0.42, 0.066, 0.055],
    [0.65, 0.056, 0.048],
    [0.85, 0.056, 0.056],
    [1, 0.05, 0.066],
    [1.12, 0.036, 0.056],
    [1.18, 0.02, 0.03],
  ],
  female: [
    [-0.12, 0.016, 0.024],
    [-0.02, 0.034, 0.044],
    [0.2, 0.062, 0.055],
    [0.33, 0.07, 0.05],
    [0.5, 0.054, 0.046],
    [0.66, 0.048, 0.044],
    [0.86, 0.054, 0.058],
    [1, 0.05, 0.07],
    [1.12, 0.036, 0.058],
    [1.18, 0.02, 0.03],
  ],
};

/** Points around a part from `from` to `to`, closed, in the drawing's metres. `front` tells on which side of the line the front lies. */
function around(sections: readonly Section[], from: Point, to: Point, statureM: number, front: number): Point[] {
  const line = minus(to, from);
  const length = Math.sqrt(line.x ** 2 + line.y ** 2) || 1e-6;
  const side = { x: (-line.y / length) * front * statureM, y: (line.x / length) * front * statureM };
  const at = ([share, forward, backward]: Section, back: boolean): Point => ({
    x: from.x + line.x * share + side.x * (back ? -backward : forward),
    y: from.y + line.y * share + side.y * (back ? -backward : forward),
  });
  return [...sections.map((section) => at(section, false)), ...[...sections].reverse().map((section) => at(section, true))];
}

/** The part of a profile between two shares of its line, with the cut ends where they fall. */
function cut(sections: readonly Section[], from: number, to: number): Section[] {
  const inside = sections.filter(([at]) => at > from && at < to);
  return [sectionAt(sections, from), ...inside, sectionAt(sections, to)];
}

function sectionAt(sections: readonly Section[], at: number): Section {
  const after = sections.findIndex(([share]) => share >= at);
  const b = itemAt(sections, after === -1 ? sections.length - 1 : after);
  const a = itemAt(sections, Math.max(0, after - 1));
  if (after <= 0 || b[0] === a[0]) return [at, b[1], b[2]];
  const share = (at - a[0]) / (b[0] - a[0]);
  return [at, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}

/** Trousers to above the knee: the piece on the thigh, and the piece around the hips. */
export function shortsOutline(
  sex: Sex,
  { shoulder, hip, knee }: { shoulder: Point; hip: Point; knee: Point },
  statureM: number,
  front: 1 | -1 | 0,
): { thigh: Point[]; hips: Point[] } {
  const trunk = TRUNK[sex === 'male' ? 'male' : 'female'];
  const even = (list: readonly Section[]) => list.map(([at, a, b]): Section => [at, (a + b) * 0.62, (a + b) * 0.62]);
  const hips = cut(trunk, 0.8, 1.18);
  return {
    thigh: around(cut(PARTS.thigh, -0.1, 0.5), hip, knee, statureM * 1.03, front || 1),
    hips: around(front === 0 ? even(hips) : hips, shoulder, hip, statureM * 1.02, front || 1),
  };
}

/** The outline of a limb’s part, thicker where its muscles are. */
export function limbOutline(part: LimbPart, from: Point, to: Point, statureM: number, front: 1 | -1 = 1): Point[] {
  return around(PARTS[part], from, to, statureM, front);
}

/** Sex not stated: the mean of both outlines would be neither; the drawing takes the slimmer one. */
export function trunkOutline(sex: Sex, shoulder: Point, hip: Point, statureM: number, front: 1 | -1 | 0): Point[] {
  const sections = TRUNK[sex === 'male' ? 'male' : 'female'];
  if (front !== 0) return around(sections, shoulder, hip, statureM, front);
  // Seen from the front both sides are alike, and wider at shoulder and hip.
  const even = sections.map(([at, forward, backward]): Section => [at, (forward + backward) * 0.62, (forward + backward) * 0.62]);
  return around(even, shoulder, hip, statureM, 1);
}

/** Profile of head and neck, chin to vertex, over the head's length; x forward, y up. From the nape over the skull to the throat. */
const PROFILE: readonly (readonly [number, number])[] = [
  [-0.2, -0.42],
  [-0.24, -0.05],
  [-0.42, 0.2],
  [-0.5, 0.52],
  [-0.42, 0.82],
  [-0.18, 1.0],
  [0.1, 1.0],
  [0.3, 0.86],
  [0.36, 0.64],
  [0.37, 0.5],
  [0.47, 0.36],
  [0.39, 0.3],
  [0.39, 0.2],
  [0.38, 0.08],
  [0.28, -0.02],
  [0.1, -0.02],
  [0.06, -0.2],
  [0.1, -0.45],
];
/** The hair: from the brow over the skull to the nape. */
const HAIR: readonly (readonly [number, number])[] = [
  [0.33, 0.8],
  [0.3, 0.9],
  [0.1, 1.04],
  [-0.2, 1.04],
  [-0.46, 0.86],
  [-0.55, 0.52],
  [-0.46, 0.18],
  [-0.3, 0.12],
  [-0.22, 0.36],
  [-0.08, 0.42],
  [-0.02, 0.62],
  [0.14, 0.78],
];

/** Head and hair, looking where the front of the body looks. */
export function headOutline(chin: Point, vertex: Point, front: 1 | -1 | 0): { head: Point[]; hair: Point[] } {
  const up = minus(vertex, chin);
  // Front lies to the left of shoulder → hip, which is to the right of chin → vertex.
  const ahead = { x: up.y * (front || 1), y: -up.x * (front || 1) };
  const place = ([x, y]: readonly [number, number]): Point => plus(chin, { x: ahead.x * x + up.x * y, y: ahead.y * x + up.y * y });
  return { head: PROFILE.map(place), hair: HAIR.map(place) };
}

/** Outline of a foot from its marks. */
export function footOutline(ankle: Point, heel: Point, ball: Point, toe: Point, statureM: number): Point[] {
  const sole = minus(ball, heel);
  const length = Math.sqrt(sole.x ** 2 + sole.y ** 2) || 1e-6;
  // The instep lies on the ankle's side of the sole.
  const raw = { x: -sole.y / length, y: sole.x / length };
  const toAnkle = minus(ankle, heel);
  const sign = raw.x * toAnkle.x + raw.y * toAnkle.y >= 0 ? 1 : -1;
  const above = (at: Point, share: number): Point => plus(at, { x: raw.x * sign * share * statureM, y: raw.y * sign * share * statureM });
  const mix = (a: Point, b: Point, share: number): Point => ({
    x: a.x + (b.x - a.x) * share,
    y: a.y + (b.y - a.y) * share,
  });
  return [
    heel,
    above(heel, 0.02),
    plus(mix(heel, ankle, 0.9), { x: 0, y: 0 }),
    above(mix(heel, ball, 0.62), 0.03),
    above(ball, 0.016),
    above(toe, 0.01),
    toe,
    ball,
    mix(heel, ball, 0.5),
  ];
}
