import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Person } from './capacity.js';
import { demandOf, postureDemand } from './demand.js';
import { handLoad } from './hand-load.js';
import { shippedMovement } from '../library/index.js';
import { type Body, REFERENCE_BODIES } from '../model/body.js';
import { findLevel } from '../model/movement.js';
import type { SupportPosture } from '../model/posture.js';
import { USUAL_POSTURES } from '../model/usual-postures.js';
import type { Action } from '../vocabulary/actions.js';
import { CONTACTS } from '../vocabulary/contacts.js';
import { runs } from '../properties.fixture.js';

const of = (body: Body): Person => ({ body, ageYears: 30, evidence: [], today: '2026-11-26' });
const MAN = of(REFERENCE_BODIES.male);
const WOMAN = of({ sex: 'female', statureM: 1.65, massKg: 62 });
const { plank, allFours, bench, feetRaised, wallLean } = USUAL_POSTURES;
const left = (person: Person, posture: SupportPosture) => postureDemand(person, posture, handLoad(person.body, posture)).left;
const effort = (person: Person, posture: SupportPosture, action: Action) =>
  left(person, posture).efforts.find((each) => each.action === action)?.effortPercent ?? 0;
const level = (movementId: string, levelId: string) => findLevel(shippedMovement(movementId)!, levelId)!;

describe('a hand that bears', () => {
  // Ebben et al. 2011, J Strength Cond Res 25(10):2891–4: both hands, percent of body weight.
  test.each<[string, SupportPosture, number]>([
    ['hands on a box of 30 cm', { ...bench, handHeightM: 0.305 }, 55],
    ['hands on a box of 61 cm', { ...bench, handHeightM: 0.61 }, 41],
    ['feet raised by 30 cm', { ...feetRaised, supportHeightM: 0.305 }, 70],
    ['feet raised by 61 cm', { ...feetRaised, supportHeightM: 0.61 }, 74],
  ])('%s: within four points of the plates', (_what, posture, percent) => {
    const { bothPercentBW, freeBodyResidual } = handLoad(MAN.body, posture);
    expect(Math.abs(bothPercentBW - percent)).toBeLessThan(4);
    expect(freeBodyResidual).toBeLessThan(1e-9);
  });

  test('stretched tissue takes its part off what muscles hold, and never more than at its end: a deep lean asks more of them', () => {
    const flat = left(MAN, plank);
    const load = handLoad(MAN.body, plank).left;
    const flexion = flat.efforts.find(({ action }) => action === 'wrist flexion')!;
    expect(flat.stretchNm).toBeGreaterThan(1.5);
    expect(flexion.demand + flat.stretchNm).toBeCloseTo(load.wristMomentNm, 9);
    const leaning = left(MAN, { ...plank, leanDeg: 30 });
    expect(leaning.stretchNm).toBeCloseTo(3, 6);
    expect(leaning.efforts.find(({ action }) => action === 'wrist flexion')!.demand).toBeGreaterThan(flexion.demand);
  });

  test('of a stiffer wrist more, by its own measured range', () => {
    const range = (deg: number) => ({ ...MAN, rangeDeg: { left: { 'wrist extension': deg } } });
    expect(left(range(84), allFours).stretchNm).toBeGreaterThan(left(range(100), allFours).stretchNm);
  });

  test('a fist, a handle, a tent and a forearm are not free, though nothing bends them', () => {
    for (const contact of ['fist', 'handle', 'fingertips'] as const) {
      const posture = { ...plank, contact };
      for (const action of ['wrist flexion', 'wrist extension'] as const)
        expect([contact, action, effort(MAN, posture, action) > 5]).toEqual([contact, action, true]);
    }
    expect(effort(MAN, { ...plank, contact: 'none', facing: 'free' }, 'shoulder flexion')).toBeGreaterThan(5);
  });

  test('the thumb takes its quarter in a tent, and the fingers are the limit', () => {
    const tent = left(MAN, { ...plank, contact: 'fingertips' });
    const { loadN } = handLoad(MAN.body, { ...plank, contact: 'fingertips' }).left;
    const knuckles = tent.efforts.find(({ action }) => action === 'MCP flexion')!;
    expect(knuckles.demand / loadN).toBeLessThan(0.75 * 0.06);
    expect(tent.efforts[0]!.action).toBe('MCP flexion');
  });

  test('elbows and shoulders answer for what bends them', () => {
    const low = { ...plank, elbowBendDeg: 90, leanDeg: 9 };
    expect(effort(MAN, low, 'elbow extension')).toBeGreaterThan(3 * effort(MAN, plank, 'elbow extension'));
    expect(effort(MAN, { ...plank, leanDeg: 20 }, 'shoulder flexion')).toBeGreaterThan(3 * effort(MAN, plank, 'shoulder flexion'));
  });

  test('a wall’s hands are where the shoulders are, small or tall: the load of one differs little from the other’s', () => {
    const percents = [1.5, 1.65, 1.8, 2].map((statureM) => {
      const body: Body = { sex: 'male', statureM, massKg: 24 * statureM ** 2 };
      return handLoad(body, { ...wallLean, distanceM: 0.43 * statureM }).bothPercentBW;
    });
    expect(Math.max(...percents) - Math.min(...percents)).toBeLessThan(1);
    expect(handLoad(WOMAN.body, wallLean).handHeightM).toBeLessThan(handLoad(MAN.body, wallLean).handHeightM);
  });

  test('fingers that lift off the planted palm are worked, those that stay are not', () => {
    const lifts = demandOf(WOMAN, level('strength.finger-lifts', 'all-fours')).left;
    expect(lifts.efforts.find(({ action }) => action === 'finger extension')!.effortPercent).toBeGreaterThan(20);
    expect(
      demandOf(WOMAN, level('bearing.palm-support', 'all-fours')).left.efforts.some(({ action }) => action === 'finger extension'),
    ).toBe(false);
  });

  test('no contact at any lean asks for less than nothing, and every effort is a number', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CONTACTS),
        fc.double({ min: -25, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (contact, leanDeg, elbowBendDeg) => {
          const demand = left(MAN, { ...allFours, contact, leanDeg, elbowBendDeg });
          for (const { effortPercent, demand: effortDemand, interval } of demand.efforts) {
            expect(effortDemand).toBeGreaterThanOrEqual(0);
            expect(effortPercent).toBeGreaterThanOrEqual(0);
            expect(interval[0]).toBeLessThanOrEqual(effortPercent);
            expect(interval[1]).toBeGreaterThanOrEqual(effortPercent);
          }
          expect(demand.stretchNm).toBeGreaterThanOrEqual(0);
        },
      ),
      runs(60),
    );
  });
});

describe('holds and free motion', () => {
  const grips = (movementId: string, levelId: string, action: Action = 'grip') =>
    demandOf(WOMAN, level(movementId, levelId)).left.efforts.find((each) => each.action === action)!;

  test('a bar is hung from with more than a squeeze, an edge is not', () => {
    expect(grips('hang.full', 'bar').factor).toBeGreaterThan(1.3);
    expect(grips('edge.hang', 'deep').factor).toBeLessThan(1);
  });

  test('a pinch is held against pinch, by thumb and fingers; one finger has less than two', () => {
    const two = grips('grip.pinch-hold', 'light', 'pinch');
    // Mathiowetz et al. 1985: palmar pinch of women is about a quarter of their grip.
    expect(two.capacity.value / two.factor / grips('hang.full', 'bar').capacity.value).toBeCloseTo(0.255 / 1.42, 1);
    expect(grips('grip.putty-pinch', 'soft', 'pinch').factor).toBeLessThan(0.8);
  });

  test('fast opening and closing is felt, slow is not: speed takes its share of a muscle', () => {
    const [slow, fast] = ['slow', 'fast'].map((id) => grips('free.open-close', id, 'finger extension').effortPercent);
    expect(slow).toBeLessThan(20);
    expect(fast).toBeGreaterThan(50);
  });
});
