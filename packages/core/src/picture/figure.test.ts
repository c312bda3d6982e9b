import { describe, expect, test } from '@jest/globals';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { handLoad } from '../mechanics/hand-load.js';
import type { Point } from '../mechanics/plane.js';
import { segmentsOf } from '../mechanics/segments.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { findLevel } from '../model/movement.js';
import { handView } from './figure-hand.js';
import { figureOf } from './figure.js';
import { postureFigure } from './support-figure.js';
import { fingerLine, HAND_SHAPES, topFingers } from './hand-shape.js';
import type { BodyPose } from './pose.js';
import { checkMovement } from '../rules/ladders/check-movement.js';

const between = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);
const levels = LIBRARY.flatMap((movement) => movement.ladder.map((level) => [`${movement.id} ${level.id}`, movement, level] as const));
const { female, male } = REFERENCE_BODIES;

/** Every limb of a pose with the length that the body's segments give it. */
function limbs(pose: BodyPose, body: typeof female): [string, number, number][] {
  const { upperArm, forearm, thigh, shank, trunk } = segmentsOf(body);
  const sides = [pose.near, pose.far].flatMap(({ arm, leg }): [string, number, number][] => [
    ['upper arm', between(pose.shoulder, arm.elbow), upperArm.lengthM],
    ['forearm', between(arm.elbow, arm.wrist), forearm.lengthM],
    ['thigh', between(pose.hip, leg.knee), thigh.lengthM],
    ['shank', between(leg.knee, leg.ankle), shank.lengthM],
  ]);
  return [['trunk', between(pose.hip, pose.shoulder), trunk.lengthM], ...sides];
}

describe('the figure', () => {
  test.each(levels)(
    '%s: is drawn from start to end with limbs of their length, above the floor, for both sexes',
    (_name, movement, level) => {
      for (const body of [female, male]) {
        const figure = figureOf(body, movement, level);
        for (const share of [0, 0.5, 1]) {
          const pose = figure.poseAt(share);
          for (const [name, drawn, measured] of limbs(pose, body)) expect([name, drawn]).toEqual([name, expect.closeTo(measured, 2)]);
          const points = [pose.vertex, pose.hip, pose.shoulder, pose.near.arm.wrist, pose.near.leg.ankle, pose.near.leg.knee];
          for (const { y } of points) expect(y).toBeGreaterThan(-0.02);
        }
        const ends = JSON.stringify(figure.poseAt(0)) !== JSON.stringify(figure.poseAt(1));
        if (ends) expect(figure.moves).toBe(true);
      }
    },
  );

  test('a posture on the hands is drawn at the very joints that its load was computed from', () => {
    const level = findLevel(shippedMovement('bearing.forward-lean')!, 'clear')!;
    const figure = figureOf(male, shippedMovement('bearing.forward-lean')!, level);
    const { joints } = figure.load!;
    const pose = figure.poseAt(1);
    expect([pose.hip, pose.shoulder, pose.near.arm.wrist, pose.near.leg.knee]).toEqual([
      joints.hip,
      joints.shoulder,
      joints.wrist,
      joints.knee,
    ]);
    if (level.load.kind !== 'body') throw new Error('a posture');
    const again = handLoad(male, { ...level.load.stance, contact: level.contact, facing: level.facing });
    expect(again.joints).toEqual(joints);
  });

  test('lifts begin with the palm flat, presses with straight arms, rocks with the shoulders behind', () => {
    const of = (movementId: string, levelId: string) => {
      const movement = shippedMovement(movementId)!;
      return figureOf(male, movement, findLevel(movement, levelId)!);
    };
    const lift = of('strength.palm-lift', 'all-fours');
    expect([lift.poseAt(0).hand.pitchDeg, lift.poseAt(1).hand.pitchDeg]).toEqual([0, 20]);
    const press = of('strength.low-press', 'low');
    const straightness = (pose: BodyPose) => between(pose.shoulder, pose.near.arm.wrist);
    expect(straightness(press.poseAt(0))).toBeGreaterThan(1.5 * straightness(press.poseAt(1)));
    const rock = of('rock.palm-fore-aft', 'over');
    expect(rock.poseAt(0).shoulder.x).toBeLessThan(rock.poseAt(1).shoulder.x - 0.05);
    expect(of('bearing.palm-support', 'plank').moves).toBe(false);
  });

  test('benches, tables and walls stand where the posture has them', () => {
    const movement = shippedMovement('bearing.incline-support')!;
    const [table] = figureOf(female, movement, movement.ladder[0]).props;
    expect(table).toMatchObject({ kind: 'block', name: 'table', height: 0.74 });
    const stand = shippedMovement('bearing.handstand')!;
    expect(figureOf(female, stand, stand.ladder[0]).props).toEqual([expect.objectContaining({ kind: 'wall' })]);
    const posture = { ...handLoadPosture(), supportHeightM: 0.4 };
    expect(postureFigure(male, posture, handView(stand, stand.ladder[0])).props).toMatchObject([{ kind: 'block', height: 0.4 }]);
  });

  test('the close-up shows what the load does: bends from the side, turns and fans from above, planted hands from above', () => {
    const kind = (id: string, index = 0) => {
      const movement = shippedMovement(id)!;
      return handView(movement, movement.ladder[index]!);
    };
    expect(kind('strength.palm-lift').kind).toBe('planted');
    expect(kind('weight.curl')).toMatchObject({ kind: 'side', palm: 'up', held: 'weight' });
    expect(kind('free.side-sweeps').kind).toBe('above');
    expect(kind('isometric.radial')).toMatchObject({ kind: 'above', push: 'thumb side' });
    expect(kind('edge.hang')).toMatchObject({ held: 'edge', pointing: 'up' });
    const stretch = kind('stretch.flexors', 2);
    expect(stretch.at(1).wristDeg).toBeGreaterThan(stretch.at(0).wristDeg + 40);
  });

  test('fingers keep their length however they bend, and a fist is short from above', () => {
    for (const shape of Object.values(HAND_SHAPES)) {
      const line = fingerLine({ x: 0, y: 0 }, 0, 0.1, shape, -1);
      const length = line.slice(1).reduce((sum, at, index) => sum + between(at, line[index]!), 0);
      expect(length).toBeCloseTo(0.1, 9);
    }
    const reach = (name: keyof typeof HAND_SHAPES) => Math.max(...topFingers(HAND_SHAPES[name]).map(({ tip }) => tip.y));
    expect(reach('fist')).toBeLessThan(0.6 * reach('spread'));
  });
});

const handLoadPosture = () => {
  const level = findLevel(shippedMovement('bearing.palm-support')!, 'plank')!;
  if (level.load.kind !== 'body') throw new Error('a posture');
  return { ...level.load.stance, contact: level.contact, facing: level.facing };
};

describe('checking a movement', () => {
  const support = shippedMovement('bearing.palm-support')!;
  test('the whole library passes the rules that a studio’s own movements are held to', () => {
    for (const movement of LIBRARY) expect([movement.id, checkMovement(movement)]).toEqual([movement.id, []]);
  });

  test('a posture that the reference people cannot take is named with its field', () => {
    const [first] = support.ladder;
    if (first.load.kind !== 'body') throw new Error('a posture');
    const { hipAngleDeg: _hip, ...tied } = first.load.stance;
    const far = { ...first, load: { kind: 'body' as const, stance: { ...tied, distanceM: 2 } } };
    const [fault] = checkMovement({ ...support, ladder: [far] });
    expect(fault).toMatchObject({
      pointer: '/ladder/0/load/stance/distanceM',
      message: expect.stringContaining('too short'),
    });
  });

  test('an effort that is not the dose’s, and a planted level that bears nothing, are found', () => {
    const press = shippedMovement('isometric.flexion')!;
    const [gentle] = press.ladder;
    const other = { ...gentle, dose: { ...gentle.dose, effortPercent: 55 } };
    expect(checkMovement({ ...press, ladder: [other] })[0]).toMatchObject({ pointer: '/ladder/0/load/effortPercent' });
    const planted = { ...gentle, loading: 'planted' as const };
    expect(checkMovement({ ...press, ladder: [planted] })[0]).toMatchObject({ pointer: '/ladder/0/loading' });
  });
});
