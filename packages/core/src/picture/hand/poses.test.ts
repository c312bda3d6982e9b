import { describe, expect, test } from '@jest/globals';
import { handLoad } from '../../mechanics/hand-load.js';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import type { Level, Movement } from '../../model/movement.js';
import { FINGER_NAMES, type FingerName, HAND_JOINT_NAMES, HAND_JOINTS, type HandPose } from '../../vocabulary/hand-joints.js';
import { HAND_SETTINGS } from '../../vocabulary/hand-settings.js';
import { barsOf, barTo, forearmBars, fromBar, partsIn, type PlacedHand, skinOf } from './flesh.js';
import { eyeFor, frameAround } from './framing.js';
import { type HandPicture, handPictureOf } from './hand-picture.js';
import type { HandMoment3d } from './moment.js';
import { handSizeOf, skeletonOf } from './skeleton.js';
import { dot, lengthOf, placed, seenFrom, sub, type Vec3 } from './space.js';
import { settingOf } from './setting-of.js';
import { shapePose } from './shapes.js';
import { fromThing, type Thing } from './things.js';
import { padOf, thumbOn } from './touching.js';

const BODY = REFERENCE_BODIES['not stated'];
const START = 0;
const MIDDLE = 0.5;
const END = 1;

interface Drawn {
  readonly name: string;
  readonly movement: Movement;
  readonly level: Level;
  readonly picture: HandPicture;
}
/** What a level’s hand is drawn from: levels that differ in none of it are drawn the same. */
const drawnFrom = ({ hand, shapes, contact, facing, load, equipment, name }: Level) =>
  JSON.stringify([hand, shapes, contact, facing, load, equipment, name.includes('pairs') || name.startsWith('Two')]);
const different = ({ ladder }: Movement) =>
  ladder.filter((level, i) => ladder.findIndex((other) => drawnFrom(other) === drawnFrom(level)) === i);
const ALL: readonly Drawn[] = LIBRARY.flatMap((movement) =>
  different(movement).map((level) => ({
    name: `${movement.id} ${level.id}`,
    movement,
    level,
    picture: handPictureOf(BODY, movement, level),
  })),
);
/** Movements in which each finger has its turn. */
const IN_TURN = ['free.finger-touches', 'free.finger-lifts-air', 'stretch.single-finger', 'grip.putty-pinch', 'grip.single-finger-opening'];
const turnsOf = ({ movement }: Drawn) => (IN_TURN.includes(movement.id) ? [0, 1, 2, 3] : [0]);

const drawn = (movementId: string, levelAt = 0): Drawn => {
  const movement = shippedMovement(movementId)!;
  const level = movement.ladder[levelAt]!;
  return { name: movementId, movement, level, picture: handPictureOf(BODY, movement, level) };
};
const pose = ({ picture }: Drawn, phase: number, turn = 0) => picture.at({ phase, turn }, 'right').hands[0]!.pose;
const knuckles = (of: HandPose) => FINGER_NAMES.map((finger) => of[`${finger}McpDeg`]);
const middles = (of: HandPose) => FINGER_NAMES.map((finger) => of[`${finger}PipDeg`]);
const isClosed = (of: HandPose) => Math.min(...middles(of)) > 75 && Math.min(...knuckles(of)) > 50;
const isOpen = (of: HandPose) => Math.max(...middles(of)) < 30;

/** Metres above what keeps a hand out: of floors everything below counts as inside. */
const above = (thing: Thing, at: Vec3) =>
  thing.shape === 'slab' && thing.look === 'floor' ? seenFrom(thing.placement, at)[2] - thing.sizeM[2] / 2 : fromThing(thing, at);

/** How deep hands go into things and into each other, millimetres, with what. */
function depths({ skeleton }: HandPicture, { hands, things }: HandMoment3d): { mm: number; what: string }[] {
  const found = hands.map((hand) => {
    const parts = partsIn(skeleton, hand);
    return {
      skin: skinOf(skeleton, hand.side, parts),
      flesh: [...barsOf(skeleton, hand.side, parts), ...forearmBars(skeleton, parts)],
    };
  });
  return found.flatMap(({ skin }, i) => {
    const intoThings = things.flatMap((thing) =>
      skin.map(({ at, part }) => ({ mm: -above(thing, at) * 1000, what: `${part} in ${thing.shape} ${thing.look}` })),
    );
    const others = found.filter((_, j) => j !== i);
    const intoHands = others.flatMap(({ flesh }) =>
      skin.map(({ at, part }) => ({ mm: -Math.min(...flesh.map((bar) => fromBar(bar, at))) * 1000, what: `${part} in the other hand` })),
    );
    return [...intoThings, ...intoHands];
  });
}

describe('every level of every movement', () => {
  test('has start, middle and end within what the joints of a hand can do', () => {
    const beyond = ALL.flatMap((each) =>
      turnsOf(each).flatMap((turn) =>
        [START, MIDDLE, END].flatMap((phase) =>
          each.picture.at({ phase, turn }, 'right').hands.flatMap((hand) =>
            HAND_JOINT_NAMES.filter((joint) => {
              const { min, max } = HAND_JOINTS[joint];
              return !(hand.pose[joint] >= min - 1e-6 && hand.pose[joint] <= max + 1e-6);
            }).map((joint) => `${each.name}: ${joint} ${hand.pose[joint]}`),
          ),
        ),
      ),
    );
    expect(beyond).toEqual([]);
  });

  // Fingers between fingers press each other flat; these are stiff, and as thick as they are alone.
  const mostMm = ({ movement, level }: (typeof ALL)[number]) => (settingOf(movement, level) === 'interlaced' ? 11 : 3);
  test('lets nothing pass through the floor, a thing or the other hand by more than 3 mm, between interlaced fingers 11', () => {
    const through = ALL.flatMap((each) =>
      turnsOf(each).flatMap((turn) =>
        [START, MIDDLE, END].flatMap((phase) => {
          const all = depths(each.picture, each.picture.at({ phase, turn }, 'right'));
          const deepest = all.reduce((most, one) => (one.mm > most.mm ? one : most), { mm: 0, what: '' });
          return deepest.mm > mostMm(each) ? [`${each.name} at ${phase}: ${deepest.mm.toFixed(1)} mm, ${deepest.what}`] : [];
        }),
      ),
    );
    expect(through).toEqual([]);
  });

  test('moves where it says that it moves, and comes back to its start', () => {
    const odd = ALL.filter(({ picture }) => {
      const [from, end] = [picture.at({ phase: 0, turn: 0 }, 'left'), picture.at({ phase: 2, turn: 0 }, 'left')];
      const back = lengthOf(sub(from.hands[0]!.forearm.at, end.hands[0]!.forearm.at));
      const steps = picture.planted && picture.moves;
      return back > 0.001 && !steps;
    });
    expect(odd.map(({ name }) => name)).toEqual([]);
  });

  test('fits into a frame around it, from its own view, for either hand', () => {
    for (const { picture } of ALL) {
      for (const side of ['left', 'right'] as const) {
        const moment = picture.at(picture.still, side);
        const frame = frameAround(picture.skeleton, [moment], eyeFor(picture.view, side));
        expect(frame.halfWidthM).toBeGreaterThan(0.03);
        expect(frame.halfHeightM).toBeLessThan(0.4);
        const tip = partsIn(picture.skeleton, moment.hands[0]!).middle3.at;
        const from = sub(tip, frame.middle);
        expect(Math.abs(dot(from, frame.right))).toBeLessThan(frame.halfWidthM);
        expect(Math.abs(dot(from, frame.up))).toBeLessThan(frame.halfHeightM);
      }
    }
  });

  test('every setting that there is is used by some level', () => {
    const used = new Set(ALL.map(({ movement, level }) => settingOf(movement, level)));
    expect(HAND_SETTINGS.filter((setting) => !used.has(setting))).toEqual([]);
  });
});

describe('what the words say is what the hand does', () => {
  test('corners of the two-joint muscles: hand open or closed, wrist bent that way', () => {
    const corners = {
      'open hand, wrist extended': (of: HandPose) => of.wristExtensionDeg > 20,
      'fist, wrist flexed': (of: HandPose) => isClosed(of) && of.wristExtensionDeg < -20,
      'fist, wrist extended': (of: HandPose) => of.wristExtensionDeg > 20,
      'open hand, wrist flexed': (of: HandPose) => !isClosed(of) && of.wristExtensionDeg < -20,
    };
    const missing = LIBRARY.flatMap((movement) =>
      movement.corners
        .filter((corner) => {
          const levels = ALL.filter((each) => each.movement === movement);
          return !levels.some((each) => [0, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75].some((phase) => corners[corner](pose(each, phase))));
        })
        .map((corner) => `${movement.id}: ${corner}`),
    );
    expect(missing).toEqual([]);
  });

  test('a hook has straight knuckles and bent middle joints; a tabletop the other way round; a flat fist straight ends', () => {
    const hook = pose(drawn('glide.hook'), END);
    expect(Math.max(...knuckles(hook))).toBeLessThan(10);
    expect(Math.min(...middles(hook))).toBeGreaterThan(80);
    const table = pose(drawn('glide.tabletop'), END);
    expect(Math.min(...knuckles(table))).toBeGreaterThan(75);
    expect(Math.max(...middles(table))).toBeLessThan(10);
    const flat = pose(drawn('glide.flat-fist'), END);
    expect(isClosed(flat)).toBe(true);
    expect(Math.abs(flat.middleDipDeg)).toBeLessThan(10);
    expect(pose(drawn('glide.full-fist'), END).middleDipDeg).toBeGreaterThan(50);
    for (const id of ['glide.hook', 'glide.tabletop', 'glide.flat-fist', 'glide.full-fist']) {
      expect(isOpen(pose(drawn(id), START))).toBe(true);
      expect(Math.abs(pose(drawn(id), END).wristExtensionDeg)).toBeLessThan(1);
    }
  });

  test('five shapes come in their order', () => {
    const five = drawn('glide.five-shapes');
    const [straight, hook, table, flat, fist] = [0, 0.25, 0.5, 0.75, 1].map((phase) => pose(five, phase));
    expect(isOpen(straight!)).toBe(true);
    expect(knuckles(hook!)[1]! < 10 && middles(hook!)[1]! > 80).toBe(true);
    expect(knuckles(table!)[1]! > 75 && middles(table!)[1]! < 10).toBe(true);
    expect(isClosed(flat!) && Math.abs(flat!.middleDipDeg) < 10).toBe(true);
    expect(isClosed(fist!) && fist!.middleDipDeg > 50).toBe(true);
  });

  test('the thumb touches the finger that it is said to touch, to 3 mm, on hands of any size', () => {
    for (const body of Object.values(REFERENCE_BODIES)) {
      const skeleton = skeletonOf(handSizeOf(body));
      for (const finger of FINGER_NAMES) {
        const touching = thumbOn(skeleton, shapePose('thumb to a finger', finger), finger);
        expect(apartMm(skeleton, touching, finger)).toBeLessThan(3);
      }
    }
    const touches = drawn('free.finger-touches');
    FINGER_NAMES.forEach((finger, turn) => {
      expect(apartMm(touches.picture.skeleton, pose(touches, END, turn), finger)).toBeLessThan(3);
    });
  });

  test('palm up and palm down turns go opposite ways', () => {
    expect(pose(drawn('stretch.palm-up-turn'), END).supinationDeg).toBeGreaterThan(50);
    expect(pose(drawn('stretch.palm-down-turn'), END).supinationDeg).toBeLessThan(-50);
  });

  test('a wrist bends as far as its level asks: further from level to level', () => {
    const stretch = shippedMovement('stretch.flexors')!;
    const ends = stretch.ladder.map((_, at) => pose(drawn(stretch.id, at), END).wristExtensionDeg);
    for (const [at, deg] of ends.entries()) if (at > 0) expect(deg).toBeGreaterThan(ends[at - 1]! - 1);
    const circles = drawn('free.wrist-circles', 3);
    const quarters = [0, 0.5, 1, 1.5].map((phase) => pose(circles, phase));
    expect(quarters[0]!.wristExtensionDeg).toBeGreaterThan(60);
    expect(quarters[1]!.wristRadialDeg).toBeGreaterThan(15);
    expect(quarters[2]!.wristExtensionDeg).toBeLessThan(-60);
    expect(quarters[3]!.wristRadialDeg).toBeLessThan(-25);
  });
});

describe('planted hands', () => {
  const planted = ALL.filter(({ picture, level }) => picture.planted && level.load.kind === 'body');
  const level = planted.filter((each) => each.level.load.kind === 'body' && each.level.load.stance.surface === 'level');

  test('stand on their pads to 2 mm: fingers of an open or raised palm, and of a tent, with the thumb', () => {
    const off = level
      .filter((each) => ['open palm', 'raised palm', 'fingertips'].includes(each.level.contact))
      .filter(
        (each) =>
          !['planted, fingers in turn', 'planted, fingers in pairs', 'planted, stepping'].includes(settingOf(each.movement, each.level)),
      )
      .flatMap((each) => {
        const { skeleton } = each.picture;
        const hand = each.picture.at({ phase: END, turn: 0 }, 'right').hands[0]!;
        return (['thumb', ...FINGER_NAMES] as const).flatMap((digit) => {
          const mm = lowestMm(each.picture, hand, digit);
          return Math.abs(mm) > 2.5 ? [`${each.name}: ${digit} ${mm.toFixed(1)} mm (${skeleton.size.lengthTimes.toFixed(2)})`] : [];
        });
      });
    expect(off).toEqual([]);
  });

  test('have the wrist that the load is computed with', () => {
    for (const each of planted) {
      const { load, contact, facing } = each.level;
      if (load.kind !== 'body' || each.movement.hand?.course || each.level.hand || contact === 'none') continue;
      const { wristExtensionDeg } = handLoad(BODY, { ...load.stance, contact, facing });
      if (settingOf(each.movement, each.level) !== 'planted') continue;
      expect(pose(each, END).wristExtensionDeg).toBeCloseTo(Math.max(-95, Math.min(95, wristExtensionDeg)), 6);
    }
  });

  test('a palm lift lifts the heel: it is off the floor at the end, on it at the start', () => {
    const lift = drawn('strength.palm-lift', 1);
    const heel = (phase: number) => {
      const hand = lift.picture.at({ phase, turn: 0 }, 'right').hands[0]!;
      const parts = partsIn(lift.picture.skeleton, hand);
      const skin = skinOf(lift.picture.skeleton, 'right', parts);
      return Math.min(
        ...skin.filter(({ at, part }) => part === 'hand' && at[1] < placed(parts.hand, [0, 0.03, 0])[1]).map(({ at }) => at[2]),
      );
    };
    expect(heel(START) * 1000).toBeLessThan(3);
    expect(heel(END) * 1000).toBeGreaterThan(15);
  });

  test('one finger after the other is lifted, the rest stay', () => {
    const lifts = drawn('strength.finger-lifts', 1);
    (['thumb', ...FINGER_NAMES] as const).forEach((digit, i) => {
      const hand = lifts.picture.at({ phase: (i + 0.5) * 0.4, turn: 0 }, 'right').hands[0]!;
      expect(lowestMm(lifts.picture, hand, digit)).toBeGreaterThan(10);
      for (const other of (['thumb', ...FINGER_NAMES] as const).filter((each) => each !== digit)) {
        expect(lowestMm(lifts.picture, hand, other)).toBeLessThan(4);
      }
    });
  });
});

function apartMm(skeleton: HandPicture['skeleton'], of: HandPose, finger: FingerName): number {
  const parts = partsIn(skeleton, { side: 'right', forearm: { at: [0, 0, 0], turn: [0, 0, 0, 1] }, pose: of });
  return lengthOf(sub(padOf(skeleton, parts, 'thumb').at, padOf(skeleton, parts, finger).at)) * 1000;
}

function lowestMm({ skeleton }: HandPicture, hand: PlacedHand, digit: 'thumb' | FingerName): number {
  const parts = partsIn(skeleton, hand);
  const bars = barsOf(skeleton, hand.side, parts, (part) => part === `${digit}3` || (digit !== 'thumb' && part === `${digit}2`));
  return Math.min(...bars.map((bar) => barTo(bar, ([, , z]) => z))) * 1000;
}
