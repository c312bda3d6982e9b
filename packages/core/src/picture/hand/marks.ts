import type { HandLoad, PostureLoad } from '../../mechanics/hand-load.js';
import type { Contact } from '../../vocabulary/contacts.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { Beat } from './course.js';
import { partsIn, type PlacedHand } from './flesh.js';
import type { HandPicture } from './hand-picture.js';
import type { Part, Skeleton } from './skeleton.js';
import { lengthOf, placed, sub, times, turnAbout, turned, type Vec3, X, Y } from './space.js';

/** Points whose way is drawn: the tips, the knuckles of a fist, and over a planted hand the wrist and the forearm. */
const TRACKED: readonly (readonly [Part, Vec3])[] = [
  ['middle3', [0, 0.018, 0]],
  ['index3', [0, 0.016, 0]],
  ['thumb3', [0, 0.018, 0]],
  ['little3', [0, 0.016, 0]],
  ['hand', [0, 0.098, 0.006]],
  ['forearm', [0, 0, 0]],
  ['forearm', [0, -0.075, 0.02]],
];
/** How many points a way has, and how long it has to be to be worth drawing, metres. */
const WAY_POINTS = 24;
const LEAST_M = 0.016;

/** The way of what moves most in a repetition, from start to end (all the way round where it goes round); null where nothing goes far. */
export function trailOf(picture: HandPicture, side: Hand, turn = 0): readonly Vec3[] | null {
  if (!picture.moves) return null;
  const last = picture.round ? 2 : 1;
  const beats = Array.from({ length: WAY_POINTS + 1 }, (_, i): Beat => ({ phase: (i / WAY_POINTS) * last, turn }));
  const parts = beats.map((beat) => {
    const [hand] = picture.at(beat, side).hands;
    return hand ? partsIn(picture.skeleton, hand) : null;
  });
  const ways = TRACKED.map(([part, at]) => parts.flatMap((each) => (each ? [placed(each[part], at)] : [])));
  const longest = ways.reduce((best, way) => (lengthOfWay(way) > lengthOfWay(best) * 1.15 ? way : best));
  return lengthOfWay(longest) < LEAST_M ? null : longest;
}
const lengthOfWay = (way: readonly Vec3[]) => way.reduce((sum, at, i) => sum + (i === 0 ? 0 : lengthOf(sub(at, way[i - 1] ?? at))), 0);

/** A spot of pressure on the skin of a hand at rest: where on the measured right hand (millimetres), how wide, and how hard. */
export interface PressureSpot {
  readonly atMm: Vec3;
  readonly radiusMm: number;
  readonly newtonsPerCm2: number;
}

/** Area that bears, in square centimetres of an adult hand: heel, knuckle line, pads. Working values. */
const AREA_CM2 = { heel: 26, knuckles: 18, pads: 11 };
/** The pressure that is shown as the most, N/cm². */
export const MOST_N_CM2 = 14;

type Zone = keyof typeof AREA_CM2;
interface Place {
  readonly zone: Zone;
  readonly atMm: Vec3;
  readonly radiusMm: number;
}
const place = (zone: Zone, radiusMm: number, ...all: readonly Vec3[]): Place[] => all.map((atMm) => ({ zone, atMm, radiusMm }));

const PADS = place('pads', 10, [-19.6, 167, -18], [6.6, 175, -15], [35, 162, -21], [51, 136, -27]);
const THUMB_PAD = place('pads', 11, [-74, 84, -53]);
const PALM = [
  ...place('heel', 19, [-14, 24, -33], [16, 26, -30]),
  ...place('knuckles', 14, [-22, 86, -22], [-2, 88, -21], [17, 85, -22], [34, 78, -26]),
  ...PADS,
  ...THUMB_PAD,
];
const FIST = place('knuckles', 13, [-22, 112, 2], [0, 114, 4]);
const BACK = [
  ...place('heel', 17, [-4, 22, 17], [14, 24, 14]),
  ...place('knuckles', 13, [-22, 88, 8], [0, 92, 9], [18, 86, 7], [34, 78, 0]),
];
/** What bears, by contact. */
const BEARING: Readonly<Partial<Record<Contact, readonly Place[]>>> = {
  'open palm': PALM,
  'raised palm': PALM,
  ball: PALM,
  fingertips: [...PADS, ...THUMB_PAD],
  fist: FIST,
  'back of hand': BACK,
  handle: place('knuckles', 15, [-20, 80, -24], [0, 82, -22], [18, 78, -24], [32, 70, -26]),
};

/** Pressure on the parts of a bearing hand, N/cm². */
export function zonePressure(
  { loadN }: Pick<HandLoad, 'loadN'>,
  { pressure }: Pick<PostureLoad, 'pressure'>,
): Readonly<Record<Zone, number>> {
  const on = (zone: Zone) => (loadN * pressure[zone]) / AREA_CM2[zone];
  return { heel: on('heel'), knuckles: on('knuckles'), pads: on('pads') };
}

/** Pressure on a planted hand’s skin, from its load and how that is spread. */
export function pressureOn(hand: Pick<HandLoad, 'loadN'>, load: Pick<PostureLoad, 'pressure'>, contact: Contact): PressureSpot[] {
  const on = zonePressure(hand, load);
  return (BEARING[contact] ?? []).map(({ zone, atMm, radiusMm }) => ({ atMm, radiusMm, newtonsPerCm2: on[zone] }));
}

/** The wrist’s bend as an arc: from the straight hand to where it is, and on to where it can go; points in space. */
export interface WristArc {
  readonly wrist: Vec3;
  readonly straight: Vec3;
  readonly hand: Vec3;
  readonly bend: readonly Vec3[];
  readonly reach: readonly Vec3[];
}
/** How far from the wrist the arc is drawn, metres; and degrees from point to point. */
const ARC_M = 0.078;
const ARC_STEP_DEG = 3;

/** The arc of a hand’s wrist, and of the range in the same direction. */
export function wristArcOf(skeleton: Skeleton, hand: PlacedHand, rangeDeg: number): WristArc {
  const { forearm } = partsIn(skeleton, hand);
  const deg = hand.pose.wristExtensionDeg;
  const sign = deg < 0 ? -1 : 1;
  const at = (bent: number) => placed(forearm, times(turned(turnAbout(X, bent), Y), ARC_M));
  const arc = (to: number) => {
    const steps = Math.max(2, Math.ceil(Math.abs(to) / ARC_STEP_DEG));
    return Array.from({ length: steps + 1 }, (_, i) => at((to * i) / steps));
  };
  return { wrist: forearm.at, straight: at(0), hand: at(deg), bend: arc(deg), reach: arc(sign * rangeDeg) };
}
