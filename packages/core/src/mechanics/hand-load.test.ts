import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { handLoad } from './hand-load.js';
import { closeChain } from './linkage.js';
import { nearestPossible } from './nearest.js';
import { segmentsOf } from './segments.js';
import { type Body, BodyError, bodyOf, checkBody, REFERENCE_BODIES } from '../model/body.js';
import { PostureError, type SupportPosture } from '../model/posture.js';
import { USUAL_POSTURES } from '../model/usual-postures.js';
import { shippedMovement } from '../library/index.js';
import { withOwnLoad } from '../model/own-load.js';
import { runs } from '../properties.fixture.js';

const MAN = REFERENCE_BODIES.male;
const { plank, kneePlank, allFours, kneesBack, bench, handstand, wallHandstand, sideSupport } = USUAL_POSTURES;
const both = (posture: SupportPosture, body: Body = MAN) => handLoad(body, posture).bothPercentBW;
const straight = { leanDeg: 0, hipAngleDeg: 180 };

/** The bottom of a press: hands and feet stay where they stood with straight arms, the elbows bend. */
function lowered(posture: SupportPosture): SupportPosture {
  const { leanDeg: _lean, ...rest } = posture;
  return { ...rest, hipAngleDeg: 180, distanceM: handLoad(MAN, posture).distanceM, elbowBendDeg: 120 };
}

const anybody = fc.record({
  sex: fc.constantFrom('female' as const, 'male' as const, 'not stated' as const),
  statureM: fc.double({ min: 1.5, max: 2, noNaN: true }),
  massKg: fc.double({ min: 45, max: 110, noNaN: true }),
});
const anyPosture = fc.constantFrom<SupportPosture>(...Object.values(USUAL_POSTURES));

describe('hand load', () => {
  // Suprak, Dawes, Stephenson 2011, J Strength Cond Res 25(2):497–503; percent of body weight on both hands.
  test.each([
    ['plank on feet, straight arms', { ...plank, ...straight }, 69.16],
    ['plank on feet, bottom of the press', lowered({ ...plank, ...straight }), 75.04],
    ['plank on knees, straight arms', { ...kneePlank, ...straight }, 53.56],
    ['plank on knees, bottom of the press', lowered({ ...kneePlank, ...straight }), 61.8],
  ])('%s is within four points of the force plates', (_name, posture, measured) => {
    expect(Math.abs(both(posture) - measured)).toBeLessThan(4);
  });

  test('upside down all of the body is on the hands, and each bears its share', () => {
    for (const posture of [handstand, wallHandstand]) {
      const load = handLoad(MAN, { ...posture, leftShare: 0.7 });
      expect(load.bothPercentBW).toBeCloseTo(100, 9);
      expect(load.left.loadPercentBW).toBeCloseTo(70, 9);
      expect(load.right.loadN).toBeCloseTo(0.3 * 73 * 9.80665, 6);
    }
    expect(handLoad(MAN, sideSupport).right.loadN).toBe(0);
  });

  test('over the whole range of people and postures: inside 0–100 %, forces and moments in balance, links of their length', () => {
    fc.assert(
      fc.property(anybody, anyPosture, (body, posture) => {
        let load;
        try {
          load = handLoad(body, posture);
        } catch (error) {
          // Too small for that table or wall: an error that says so is an answer too.
          expect(error).toBeInstanceOf(PostureError);
          return;
        }
        expect(load.bothPercentBW).toBeGreaterThanOrEqual(0);
        expect(load.bothPercentBW).toBeLessThanOrEqual(100 + 1e-9);
        expect(load.freeBodyResidual).toBeLessThan(1e-9);
        const { hip, shoulder, elbow, wrist } = load.joints;
        const segments = segmentsOf(body);
        const between = (a: typeof hip, b: typeof hip) => Math.hypot(a.x - b.x, a.y - b.y);
        expect(between(hip, shoulder)).toBeCloseTo(segments.trunk.lengthM, 9);
        expect(between(shoulder, elbow)).toBeCloseTo(segments.upperArm.lengthM, 9);
        expect(between(elbow, wrist)).toBeCloseTo(segments.forearm.lengthM, 9);
      }),
      runs(400),
    );
  });

  test.each<[string, (x: number) => SupportPosture, number, number, 1 | -1]>([
    ['knees move back', (hipAngleDeg) => ({ ...allFours, hipAngleDeg }), 90, 178, 1],
    ['feet are raised', (supportHeightM) => ({ ...plank, leanDeg: 'square', supportHeightM }), 0, 0.8, 1],
    ['shoulders lean forward', (leanDeg) => ({ ...plank, leanDeg }), -20, 25, 1],
    ['shoulders lean forward on all fours', (leanDeg) => ({ ...kneesBack, leanDeg }), -20, 25, 1],
    ['hands are raised on a bench', (handHeightM) => ({ ...bench, handHeightM }), 0.05, 0.9, -1],
  ])('load changes one way only when %s', (_name, at, from, to, sign) => {
    fc.assert(
      fc.property(anybody, fc.double({ min: 0, max: 0.97, noNaN: true }), (body, part) => {
        const x = (share: number) => from + (to - from) * share;
        const step = both(at(x(part + 0.03)), body) - both(at(x(part)), body);
        expect(step * sign).toBeGreaterThan(0);
      }),
    );
  });

  test('shares do not depend on how heavy somebody is, only the newtons do', () => {
    const heavy = { ...MAN, massKg: 146 };
    expect(both(plank, heavy)).toBeCloseTo(both(plank), 9);
    expect(handLoad(heavy, plank).left.loadN).toBeCloseTo(2 * handLoad(MAN, plank).left.loadN, 6);
  });
});

describe('up a wall', () => {
  const wall = shippedMovement('bearing.handstand')!.ladder.find(({ id }) => id === 'wall')!;
  const away = (awayM: number) => {
    const { load } = withOwnLoad(wall, { awayM });
    if (load.kind !== 'body') throw new Error('A handstand bears the body.');
    return handLoad(MAN, { ...wallHandstand, ...load.stance });
  };

  test('hands that a dose sets away from it leave the feet as high as they then are: the wall pushes more, and never without end', () => {
    const pushes = [0.2, 0.35, 0.59, 0.9, 1.2].map((awayM) => away(awayM).forces.at(-1)!.force.x);
    for (const push of pushes) expect(Number.isFinite(push)).toBe(true);
    expect(pushes).toEqual([...pushes].sort((a, b) => a - b));
    expect(pushes.at(-1)!).toBeLessThan(MAN.massKg * 9.81 * 2);
  });

  test('feet as low as the hands stand on no wall', () => {
    expect(() => handLoad(MAN, { ...wallHandstand, hipAngleDeg: undefined, distanceM: 0.6 } as never)).toThrow(PostureError);
  });
});

describe('impossible postures', () => {
  const fault = (posture: SupportPosture): PostureError => {
    try {
      handLoad(MAN, posture);
    } catch (error) {
      if (error instanceof PostureError) return error;
      throw error;
    }
    throw new Error('was possible');
  };
  const { hipAngleDeg: _hip, ...tied } = plank;

  test('hands too far from the feet: names what is too short, and the nearest distance works', () => {
    const error = fault({ ...tied, distanceM: 2.4 });
    expect([error.field, error.message]).toEqual(['distanceM', expect.stringMatching(/trunk and legs are too short.*133 cm/)]);
    expect(() => handLoad(MAN, { ...tied, distanceM: error.nearest! - 1e-6 })).not.toThrow();
  });

  test('hands too near: the weight would tip the body back, and the nearest distance that works is found', () => {
    const posture = { ...tied, distanceM: 0.1 };
    const error = fault(posture);
    expect([error.field, error.message]).toEqual(['distanceM', expect.stringContaining('weight is behind')]);
    const nearest = nearestPossible(MAN, posture, error)!;
    expect(both({ ...tied, distanceM: nearest + 1e-6 })).toBeCloseTo(0, 3);
  });

  test('kneeling, the trunk and thighs fold only so far', () => {
    const { hipAngleDeg: _fours, ...kneeling } = allFours;
    const error = fault({ ...kneeling, distanceM: 0.05 });
    expect(error.message).toMatch(/can’t fold|weight is behind/);
    expect(() =>
      handLoad(MAN, { ...kneeling, distanceM: nearestPossible(MAN, { ...kneeling, distanceM: 0.05 }, error)! + 1e-6 }),
    ).not.toThrow();
  });

  test('hands out of reach above: says how low they must be', () => {
    const error = fault({ ...plank, handHeightM: 1.9 });
    expect([error.field, error.message]).toEqual(['handHeightM', expect.stringMatching(/too short \(\d+ cm\)/)]);
    const lower = { ...plank, handHeightM: error.nearest! - 1e-6 };
    // It closes there; whether the body would tip is a question of its own.
    expect(() => closeChain(segmentsOf(MAN), lower)).not.toThrow();
  });

  test('a value outside its limits, or a chain tied too often or too little', () => {
    expect(fault({ ...plank, elbowBendDeg: 200 })).toMatchObject({ field: 'elbowBendDeg', nearest: 140 });
    expect(fault({ ...plank, leftShare: Number.NaN }).field).toBe('leftShare');
    expect(fault({ ...plank, distanceM: 1.2 }).message).toContain('exactly two of');
    expect(fault(tied).message).toContain('given: leanDeg');
  });

  test('a body outside what the tables answer for', () => {
    expect(() => checkBody({ ...MAN, statureM: 1.19 })).toThrow('Height must be within 1.20–2.30 m, not 1.19 m.');
    expect(() => checkBody({ ...MAN, massKg: 201 })).toThrow(BodyError);
    expect(() => handLoad({ ...MAN, massKg: 24 }, plank)).toThrow('Weight must be within 25–200 kg');
  });

  test('what is missing from a record is taken from the reference person and named', () => {
    expect(bodyOf({ sex: 'female', statureCm: 166, massKg: 58 }).estimated).toEqual([]);
    const { body, estimated } = bodyOf({ sex: 'not stated', statureCm: null, massKg: null });
    expect(body).toMatchObject({ statureM: 1.738, massKg: 67.5 });
    expect(estimated).toHaveLength(3);
    const segments = segmentsOf(body);
    const { head, trunk, ...limbs } = segments;
    const parts = [limbs.upperArm, limbs.forearm, limbs.hand, limbs.thigh, limbs.shank, limbs.foot];
    const whole = head.massKg + trunk.massKg + 2 * parts.reduce((sum, { massKg }) => sum + massKg, 0);
    expect(whole).toBeCloseTo(body.massKg, 9);
  });
});

describe('arms square to the trunk', () => {
  const { hipAngleDeg: _hip, ...tied } = bench;
  test('at a given distance the hip angle follows, and the arms are square there', () => {
    const straight = handLoad(MAN, bench);
    const nearer = handLoad(MAN, { ...tied, distanceM: straight.distanceM - 0.1 });
    expect(nearer.distanceM).toBeCloseTo(straight.distanceM - 0.1, 9);
    expect(nearer.hipAngleDeg).toBeLessThan(straight.hipAngleDeg);
    const { hip, shoulder, wrist } = nearer.joints;
    const dot = (hip.x - shoulder.x) * (wrist.x - shoulder.x) + (hip.y - shoulder.y) * (wrist.y - shoulder.y);
    expect(dot).toBeCloseTo(0, 9);
  });
  test('too far and too near are told with the nearest that works', () => {
    for (const [distanceM, words] of [
      [2.5, 'too short'],
      [0.05, /can’t fold|weight is behind/],
    ] as const) {
      let error: PostureError | undefined;
      try {
        handLoad(MAN, { ...tied, distanceM });
      } catch (thrown) {
        error = thrown as PostureError;
      }
      expect([error!.field, error!.message]).toEqual(['distanceM', expect.stringMatching(words)]);
      expect(nearestPossible(MAN, { ...tied, distanceM }, error!)).toBeGreaterThan(0);
    }
  });
});
