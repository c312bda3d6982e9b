import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { segmentsOf } from '../../mechanics/segments.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { HAND_JOINT_NAMES, HAND_JOINTS, type HandPose } from '../../vocabulary/hand-joints.js';
import { MEASURED_BONES } from './bones-measured.js';
import { barsOf, fromBar, partsIn, skinOf } from './flesh.js';
import { SHAPE_POSES } from './shapes.js';
import { HAND_BONES, handSizeOf, MEASURED_SIZE, partsOf, skeletonOf } from './skeleton.js';
import { HERE, lengthOf, placed, sub, turned, type Vec3, Y, Z } from './space.js';
import { runs } from '../../properties.fixture.js';

const skeleton = skeletonOf(MEASURED_SIZE);
const joints = Object.fromEntries(
  HAND_JOINT_NAMES.map((joint) => [joint, fc.integer({ min: HAND_JOINTS[joint].min, max: HAND_JOINTS[joint].max })]),
);
const pose = fc.record(joints) as unknown as fc.Arbitrary<HandPose>;
const STILL = SHAPE_POSES.together;
const along = (of: HandPose, bone: 'hand' | (typeof HAND_BONES)[number]) => turned(partsOf(skeleton, of)[bone].turn, Y);
const degBetween = (a: Vec3, b: Vec3) => (Math.acos(Math.min(1, a[0] * b[0] + a[1] * b[1] + a[2] * b[2])) * 180) / Math.PI;

describe('the bones of a hand', () => {
  test('keep their lengths in any pose', () => {
    fc.assert(
      fc.property(pose, (any) => {
        const parts = partsOf(skeleton, any);
        for (const finger of ['index', 'middle', 'ring', 'little'] as const) {
          for (const bone of [1, 2] as const) {
            const { at, to } = MEASURED_BONES[`${finger}${bone}`];
            const moved = sub(parts[`${finger}${(bone + 1) as 2 | 3}`].at, parts[`${finger}${bone}`].at);
            expect(lengthOf(moved) * 1000).toBeCloseTo(lengthOf(sub(to, at)), 3);
          }
        }
      }),
    );
  });

  test('a joint bends by its own angle: wrist back and to the thumb, knuckle, middle joint', () => {
    const straight = along(STILL, 'hand');
    const back = along({ ...STILL, wristExtensionDeg: 60 }, 'hand');
    expect(degBetween(straight, back)).toBeCloseTo(60, 6);
    expect(back[2]).toBeGreaterThan(0);
    // A right hand's thumb is on the side of −x.
    expect(along({ ...STILL, wristRadialDeg: 20 }, 'hand')[0]).toBeLessThan(-0.3);
    const bent = { ...STILL, middlePipDeg: STILL.middlePipDeg + 90 };
    expect(degBetween(along(STILL, 'middle2'), along(bent, 'middle2'))).toBeCloseTo(90, 6);
    expect(degBetween(along(STILL, 'middle1'), along(bent, 'middle1'))).toBeCloseTo(0, 6);
    expect(along(bent, 'middle2')[2]).toBeLessThan(-0.9);
  });

  test('palm up is a turn of the forearm that the elbow does not make', () => {
    const up = partsOf(skeleton, { ...STILL, supinationDeg: 90 });
    expect(turned(up.hand.turn, Z)[2]).toBeCloseTo(1, 9);
    expect(Math.abs(turned(up.elbow.turn, Z)[2])).toBeLessThan(1e-9);
  });

  test('ring and little finger come in with their knuckles, the middle finger does not', () => {
    const fist = partsOf(skeleton, SHAPE_POSES.fist);
    const flat = partsOf(skeleton, STILL);
    expect(flat.little1.at[2] - fist.little1.at[2]).toBeGreaterThan(0.004);
    expect(Math.abs(flat.middle1.at[2] - fist.middle1.at[2])).toBeLessThan(1e-9);
  });

  test('a body’s hand is as long as the mechanics have it, and a woman’s is narrower for its length', () => {
    for (const sex of ['female', 'male', 'not stated'] as const) {
      const body = REFERENCE_BODIES[sex];
      const own = skeletonOf(handSizeOf(body));
      const knuckle = partsOf(own, STILL).middle1.at;
      expect(knuckle[1]).toBeCloseTo(segmentsOf(body).hand.lengthM, 3);
      expect(own.forearmM).toBeCloseTo(segmentsOf(body).forearm.lengthM, 6);
    }
    const [woman, man] = [handSizeOf(REFERENCE_BODIES.female), handSizeOf(REFERENCE_BODIES.male)];
    expect(woman.breadthTimes / woman.lengthTimes).toBeLessThan(man.breadthTimes / man.lengthTimes);
    expect(handSizeOf(REFERENCE_BODIES.male)).toBe(man);
  });

  test('a left hand is a right one in a mirror, skin and all', () => {
    fc.assert(
      fc.property(pose, (any) => {
        const right = skinOf(skeleton, 'right', partsIn(skeleton, { side: 'right', forearm: HERE, pose: any }));
        const left = skinOf(skeleton, 'left', partsIn(skeleton, { side: 'left', forearm: HERE, pose: any }));
        right.forEach(({ at: [x, y, z] }, i) => {
          const other = left[i]!.at;
          expect(lengthOf(sub(other, [-x, y, z]))).toBeLessThan(1e-9);
        });
      }),
      runs(10),
    );
  });

  test('the flesh about the bones lies under the skin: a millimetre and a half off on the whole, in the folds at most seven', () => {
    const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose: STILL });
    const bars = barsOf(skeleton, 'right', parts);
    const off = skinOf(skeleton, 'right', parts)
      .filter(({ at }) => at[1] > 0.02)
      .map(({ at }) => Math.min(...bars.map((bar) => fromBar(bar, at))) * 1000);
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(7);
    expect(Math.sqrt(off.reduce((sum, mm) => sum + mm * mm, 0) / off.length)).toBeLessThan(1.5);
    expect(placed(parts.hand, [0, 0, 0])).toEqual([0, 0, 0]);
  });
});
