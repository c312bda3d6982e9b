import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { motionDemand } from './limb-motion.js';
import { segmentsOf } from './segments.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { type Action, ACTIONS } from '../vocabulary/actions.js';
import { GRAVITY } from '../vocabulary/gravity.js';
import { runs } from '../properties.fixture.js';

const MAN = REFERENCE_BODIES.male;
const still = { reachPercent: 100, perMinute: 0, heldKg: 0 };
const actions = Object.keys(ACTIONS) as Action[];

describe('what moving a limb takes', () => {
  test('an arm held out level weighs its segments at their levers', () => {
    const { upperArm, forearm, hand } = segmentsOf(MAN);
    const at = (lengthM: number, part: typeof hand) => part.massKg * (lengthM + part.lengthM * part.comFraction);
    const moment = GRAVITY * (at(0, upperArm) + at(upperArm.lengthM, forearm) + at(upperArm.lengthM + forearm.lengthM, hand));
    // Full reach is 85° from hanging: all but level.
    expect(motionDemand(MAN, 'shoulder flexion', still)).toBeCloseTo(moment * Math.sin((85 * Math.PI) / 180), 6);
  });

  test.each(actions)('%s: further, faster and with more in the hand never takes less', (action) => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(5, 90), number(1, 150), number(0, 3), (reachPercent, perMinute, heldKg) => {
        const base = motionDemand(MAN, action, { reachPercent, perMinute, heldKg });
        expect(base).toBeGreaterThan(0);
        for (const more of [{ reachPercent: reachPercent + 5 }, { perMinute: perMinute * 1.2 }, { heldKg: heldKg + 0.2 }]) {
          const harder = motionDemand(MAN, action, { reachPercent, perMinute, heldKg, ...more });
          expect(harder).toBeGreaterThanOrEqual(base - 1e-12);
        }
      }),
      runs(40),
    );
  });

  test('a bigger body moves more of itself', () => {
    const big = { ...MAN, statureM: 1.95, massKg: 100 };
    for (const action of ['wrist extension', 'elbow flexion', 'shoulder flexion'] as const) {
      expect(motionDemand(big, action, still)).toBeGreaterThan(motionDemand(MAN, action, still));
    }
  });
});
