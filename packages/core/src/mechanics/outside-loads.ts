import { type Ask, PUSHING, type RawDemand, TO_AND_FRO } from './action-demand.js';
import type { Person } from './capacity.js';
import { weightMomentNm } from './external-load.js';
import {
  BEST_HANDLE_MM,
  edgeFactor,
  fingersFactor,
  handleFactor,
  openingFactor,
  PINCH_FRICTION,
  pinchFactor,
  pinchOf,
  SUPPORT,
} from './hold-size.js';
import { limbMomentNm, motionDemand, speedPercent } from './limb-motion.js';
import { PINCH } from './norms.js';
import { stretchMomentNm } from './passive.js';
import { PRESSING_PALM, STEADY_SHOULDER } from './planted.js';
import { RAD } from './plane.js';
import { PALM_LEVER, segmentsOf } from './segments.js';
import type { Body } from '../model/body.js';
import type { Hold, LoadKind, LoadOf, LoadTable } from '../model/load.js';
import { type Action, oppositeAction } from '../vocabulary/actions.js';
import { must } from '../vocabulary/lists.js';
import { isRangeMotion, type StretchMotion } from '../vocabulary/motions.js';
import { published, working } from '../vocabulary/constant.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** As `checkLoad` sees to. */
const SIZE = 'the size of a hold';

/** What is left of the whole-hand grip on a hold, with these fingers. */
export function holdFactor({ on, handleMm, edgeMm, edgeGrip, pinchMm, digits }: Hold): number {
  const fingers = fingersFactor(digits);
  if (on === 'edge') return fingers * edgeFactor(must(edgeMm, SIZE), must(edgeGrip, SIZE));
  if (on === 'pinch') return PINCH.palmar.value * pinchOf(digits) * pinchFactor(must(pinchMm, SIZE));
  return fingers * handleFactor(must(handleMm, SIZE));
}

/** Fingers need this much force to hold a load: on a pinch, friction of both faces carries it. */
export const gripForceN = (hold: Hold, loadN: number) => (hold.on === 'pinch' ? loadN / (2 * PINCH_FRICTION.value) : loadN);

/** Holding on: a pinch by thumb and fingers, an edge by the fingertips, a bar with what it takes to open the hand. */
function holding(hold: Hold, loadN: number): Partial<Record<Action, Ask>> {
  if (hold.on === 'pinch') {
    const factor = pinchOf(hold.digits) * pinchFactor(must(hold.pinchMm, SIZE));
    return { pinch: { demand: gripForceN(hold, loadN), factor } };
  }
  return { grip: { demand: loadN, factor: holdFactor(hold) * (hold.on === 'bar' ? SUPPORT.value : 1) } };
}

/** What each kind of load asks of a hand. */
export const RAW: LoadTable<Exclude<LoadKind, 'body'>, RawDemand, [Person]> = {
  hang: hanging,
  lift: (load) => {
    const loadN = load.massKg * GRAVITY;
    return { loadN, actions: holding(load, loadN) };
  },
  weight: turningWeight,
  roller: rolling,
  press: ({ action, effortPercent }) => ({ actions: { [action]: { sharePercent: effortPercent } } }),
  resist: ({ action, forceN, digits }) => {
    if (action === 'finger extension') return { actions: { [action]: { demand: forceN, factor: openingFactor(digits) } } };
    if (digits?.includes('thumb')) return { actions: { pinch: { demand: forceN, factor: pinchOf(digits) } } };
    return { actions: { [action]: { demand: forceN, factor: fingersFactor(digits) } } };
  },
  move: (load, { body }) => ({
    actions: Object.fromEntries(load.actions.map((action) => [action, moving(body, action, load)])),
  }),
  stretch: ({ motion, reachPercent, fingers, pushPercent }, { body }) => ({
    stretchNm: stretchMomentNm(body, motion, reachPercent, fingers),
    ...(pushPercent > 0 && {
      actions: { [pushingBack(motion)]: { sharePercent: pushPercent, moving: PUSHING.value, still: PUSHING.value } },
    }),
    ...(isRangeMotion(motion) && { angle: { motion, reach: reachPercent } }),
  }),
  rest: () => ({}),
};

/** How far from the wrist the palm carries, metres. */
const palmLeverM = ({ body }: Person) => segmentsOf(body).hand.lengthM * PALM_LEVER.value;

function hanging(load: LoadOf<'hang'>, person: Person): RawDemand {
  const { wristBendDeg } = load;
  const all = (person.body.massKg * (1 - load.feetPercentBW / 100) + load.addedKg) * GRAVITY;
  const loadN = all / load.hands;
  const bendNm = loadN * palmLeverM(person) * Math.sin(wristBendDeg * RAD);
  return {
    loadN,
    actions: {
      ...holding(load, loadN),
      ...(bendNm > 0 && { 'wrist flexion': { demand: bendNm, factor: PRESSING_PALM.value } }),
      'shoulder flexion': { demand: STEADY_SHOULDER.value * loadN },
    },
    ...(wristBendDeg > 0 && { angle: { motion: 'wrist flexion', deg: wristBendDeg } }),
  };
}

function turningWeight(load: LoadOf<'weight'>, person: Person): RawDemand {
  const { forearm, upperArm } = segmentsOf(person.body);
  const { action, massKg, angleDeg, digits } = load;
  const beyondPalm: Partial<Record<Action, number>> = {
    'elbow flexion': forearm.lengthM,
    'elbow extension': forearm.lengthM,
    'shoulder flexion': forearm.lengthM + upperArm.lengthM,
  };
  const leverM = load.leverM ?? palmLeverM(person) + (beyondPalm[action] ?? 0);
  const loadN = massKg * GRAVITY;
  // The limb beyond the joint weighs itself; turned about its own axis it does not.
  const turns = action === 'pronation' || action === 'supination';
  const limbNm = turns ? 0 : limbMomentNm(person.body, action) * Math.cos(angleDeg * RAD);
  const held: Hold = digits?.includes('thumb')
    ? { on: 'pinch', pinchMm: load.handleMm ?? BEST_HANDLE_MM, digits }
    : { on: 'bar', handleMm: load.handleMm ?? BEST_HANDLE_MM, ...(digits && { digits }) };
  return {
    loadN,
    actions: { [action]: { demand: weightMomentNm(massKg, leverM, angleDeg) + limbNm }, ...holding(held, loadN) },
  };
}

/** A roller is squeezed harder than friction asks, as everything that must not slip. */
const ROLLER_FRICTION = working('Friction of a hand on a roller', 0.5, 'of the pressing force', 'dry skin on wood or rubber', [0.35, 0.8]);
const GRIP_MARGIN = published(
  'Squeeze over what friction asks',
  1.5,
  'times',
  'Westling & Johansson 1984, Exp Brain Res 53:277–84',
  'what is lifted without slipping is held with 1.4–2 times the force that just holds it',
);
const BENT_GRIP = published(
  'Grip left in a wrist that turns',
  0.7,
  'of the best grip',
  'O’Driscoll et al. 1992, J Hand Surg 17A:169–77',
  'grip falls by a quarter to two fifths between the best and the ends of a wrist’s way',
);
const GRIP_BENDS = working(
  'Wrist flexion by the grip itself',
  0.03,
  'N·m per N of grip',
  'finger tendons carry two to three times the grip and pass the wrist about 12 mm in front of it',
  [0.02, 0.04],
);
/** Each hand turns for about half of the time, and holds the drum while the other takes hold again. */
const TAKES_TURNS = working('Share of winding that one hand turns', 0.6, 'of the time', 'a hand turns, holds, and lets go', [0.5, 0.8]);

/**
 * One hand at a time turns the drum against the weight, and squeezes it so that it does not slip. Finger flexors bend the wrist as they squeeze: that
 * spares the flexors, and the extensors must hold against it beside what they turn.
 */
function rolling(load: LoadOf<'roller'>, { body }: Person): RawDemand {
  const { hand, forearm, upperArm } = segmentsOf(body);
  const loadN = load.massKg * GRAVITY;
  const armM = hand.lengthM + forearm.lengthM + upperArm.lengthM;
  const turningNm = (loadN * load.drumMm) / 2000;
  // Two opposite sides of the drum share what friction must hold.
  const gripN = (GRIP_MARGIN.value * loadN) / (2 * ROLLER_FRICTION.value);
  const gripBendsNm = gripN * GRIP_BENDS.value;
  const isExtension = load.action === 'wrist extension';
  const moving = TAKES_TURNS.value;
  return {
    loadN: loadN / 2,
    actions: {
      grip: { demand: gripN, factor: BENT_GRIP.value * handleFactor(load.drumMm), moving },
      'wrist extension': { demand: isExtension ? turningNm + gripBendsNm : Math.max(0, gripBendsNm - turningNm), moving },
      ...(!isExtension && { 'wrist flexion': { demand: turningNm, factor: SHORT_END.value, moving } }),
      ...(load.arms === 'in front' && {
        'shoulder flexion': { demand: (loadN / 2) * armM + limbMomentNm(body, 'shoulder flexion'), moving: 1 },
      }),
    },
  };
}
const SHORT_END = working(
  'Wrist flexion left at the end of a turn',
  0.5,
  'of the best',
  'a turn ends where the flexors are short and give about half',
  [0.35, 0.7],
);

const carries = (action: Action) => action === 'shoulder flexion' || action === 'elbow flexion' || action === 'elbow extension';

/** While the wrist or the fingers move, the arm that carries them is held still. */
function moving(body: Body, action: Action, load: LoadOf<'move'>): Ask {
  if (carries(action) && !load.actions.every(carries)) {
    return { demand: motionDemand(body, action, { ...load, perMinute: 0 }), moving: 1 };
  }
  return {
    demand: motionDemand(body, action, load),
    sharePercent: speedPercent(action, load),
    moving: TO_AND_FRO.value,
    still: 1,
  };
}

/** The action that pushes back against a stretch: the opposite of a wrist's or forearm's motion, else what closes or opens the fingers. */
function pushingBack(motion: StretchMotion): Action {
  if (isRangeMotion(motion)) return must(oppositeAction(motion), `an opposite of ${motion}`);
  return motion === 'finger flexion' ? 'finger extension' : 'grip';
}
