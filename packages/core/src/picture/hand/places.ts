import { FINGER_NAMES } from '../../vocabulary/hand-joints.js';
import type { HandPlace } from '../../vocabulary/hand-places.js';
import type { HandViewName } from '../../vocabulary/hand-settings.js';
import type { Hand } from '../../vocabulary/hands.js';
import { freeForearm } from './free-hand.js';
import { partsIn, type PlacedHand } from './flesh.js';
import type { HandPicture } from './hand-picture.js';
import { mirroredHand } from './moment.js';
import { SHAPE_POSES } from './shapes.js';
import { keptFor, ownMm, type Part, type Skeleton } from './skeleton.js';
import { placed, type Vec3 } from './space.js';
import { VIEW_POINTS } from './views.js';

/** A place on a part of the measured right hand, millimetres in the part's own frame. */
type Spot = readonly [part: Part, atMm: Vec3];

const fingerSpots = Object.fromEntries(
  FINGER_NAMES.flatMap((finger) => [
    [`${finger}-mcp`, [`${finger}1`, [0, 0, 0]]],
    [`${finger}-pip`, [`${finger}2`, [0, 0, 0]]],
    [`${finger}-dip`, [`${finger}3`, [0, 0, 0]]],
    [`${finger}-tip`, [`${finger}3`, [0, 12, 0]]],
  ]),
) as Record<Extract<HandPlace, `${(typeof FINGER_NAMES)[number]}-${string}`>, Spot>;

/** Where the places are. The elbow's two sides lie at the forearm's end, the inner one toward the little finger when the palm is up. */
const SPOTS: Readonly<Record<HandPlace, Spot>> = {
  ...fingerSpots,
  'thumb-base': ['thumb1', [0, 4, 0]],
  'thumb-mcp': ['thumb2', [0, 0, 0]],
  'thumb-ip': ['thumb3', [0, 0, 0]],
  'thumb-tip': ['thumb3', [0, 13, 0]],
  palm: ['hand', [2, 60, -14]],
  heel: ['hand', [20, 24, -22]],
  back: ['hand', [4, 56, 12]],
  'wrist-front': ['forearm', [0, -2, -16]],
  'wrist-back': ['forearm', [0, -2, 16]],
  'wrist-thumb-side': ['forearm', [-25, -4, 0]],
  'wrist-little-side': ['forearm', [24, -6, 0]],
  'forearm-front': ['forearm', [0, -150, -26]],
  'forearm-back': ['forearm', [0, -150, 26]],
  'elbow-inner': ['forearm', [32, -272, 0]],
  'elbow-outer': ['forearm', [-32, -272, 0]],
};

/** Where a place of a placed hand is, metres. */
export function placeOn(skeleton: Skeleton, hand: PlacedHand, place: HandPlace): Vec3 {
  const [part, atMm] = SPOTS[place];
  return placed(partsIn(skeleton, hand)[part], ownMm(skeleton, atMm, hand.side));
}

/** Sides of hand and forearm on which places are pointed at. */
export const PLACE_SIDES = ['palm', 'back of the hand', 'forearm, palm side', 'forearm, back'] as const;
/** A side of hand or forearm on which places are pointed at. */
export type PlaceSide = (typeof PLACE_SIDES)[number];

const digits = (Object.keys(SPOTS) as HandPlace[]).filter((place) => /-(?:tip|dip|pip|mcp|ip)$/.test(place));
const SIDES_OF_WRIST = ['wrist-thumb-side', 'wrist-little-side'] as const;
const ELBOW = ['elbow-inner', 'elbow-outer'] as const;
/** What is seen, and so pointed at, on each side. */
export const PLACES_ON: Readonly<Record<PlaceSide, readonly HandPlace[]>> = {
  palm: [...digits, 'thumb-base', 'palm', 'heel', 'wrist-front', ...SIDES_OF_WRIST],
  'back of the hand': [...digits, 'thumb-base', 'back', 'wrist-back', ...SIDES_OF_WRIST],
  'forearm, palm side': ['palm', 'wrist-front', ...SIDES_OF_WRIST, 'forearm-front', ...ELBOW],
  'forearm, back': ['back', 'wrist-back', ...SIDES_OF_WRIST, 'forearm-back', ...ELBOW],
};
const VIEW_OF: Readonly<Record<PlaceSide, HandViewName>> = {
  palm: 'from below',
  'back of the hand': 'from above',
  'forearm, palm side': 'from below',
  'forearm, back': 'from above',
};
/** How much of the forearm is in the picture, metres from the wrist; the whole of it where that is what is pointed at. */
const SHORT_M = 0.03;

/** The picture of an open hand on which places are pointed at, fingers up. */
export const placePicture = (skeleton: Skeleton, on: PlaceSide): HandPicture =>
  keptFor(skeleton, `places ${on}`, () => pictureOf(skeleton, on));

function pictureOf(skeleton: Skeleton, on: PlaceSide): HandPicture {
  const pose = { ...SHAPE_POSES.spread, supinationDeg: -90 };
  const hand: PlacedHand = { side: 'right', pose, forearm: freeForearm(pose) };
  const moment = (side: Hand) => ({ hands: [side === 'right' ? hand : mirroredHand(hand)], things: [] });
  return {
    skeleton,
    at: (_, side) => moment(side),
    view: VIEW_POINTS[VIEW_OF[on]],
    still: { phase: 1, turn: 0 },
    forearmM: on.startsWith('forearm') ? skeleton.forearmM : SHORT_M,
    ...{ moves: false, round: false, unposed: false, about: 'hand', withBody: false, planted: false, push: null },
  };
}
