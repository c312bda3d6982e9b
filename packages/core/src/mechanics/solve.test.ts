import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import type { Person } from './capacity.js';
import { demandOf, postureDemand } from './demand.js';
import { handLoad } from './hand-load.js';
import { rootsIn, sampleRuns } from './root.js';
import { demandCurve, hardestOf, NotReachedError, quantityOf, solveLevel, solvePosture } from './solve.js';
import { withField } from './vary.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { findLevel } from '../model/movement.js';
import { USUAL_POSTURES } from '../model/usual-postures.js';
import { runs } from '../properties.fixture.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 25, evidence: [], today: '2026-11-24' };
const WOMAN: Person = { ...MAN, body: REFERENCE_BODIES.female };
const level = (movementId: string, levelId: string) => findLevel(shippedMovement(movementId)!, levelId)!;

describe('the inverse', () => {
  test.each(['distanceM', 'leanDeg', 'leftShare'] as const)('all fours: %s is found for a wanted load, and gives it', (field) => {
    fc.assert(
      fc.property(fc.constantFrom(MAN, WOMAN), fc.double({ min: 19, max: 28, noNaN: true }), (person, value) => {
        const found = solvePosture(person, USUAL_POSTURES.allFours, field, {
          quantity: 'loadPercentBW',
          value,
          hand: 'left',
        });
        expect(found.demand.left.loadPercentBW).toBeCloseTo(value, 6);
        const again = postureDemand(person, found.posture, handLoad(person.body, found.posture));
        expect(quantityOf(again, { quantity: 'loadPercentBW', hand: 'left' })).toBeCloseTo(value, 6);
      }),
      runs(30),
    );
  });

  test('a wanted wrist angle by leaning, a wanted moment by pressing the pads, a wanted effort by the bench', () => {
    const angle = solvePosture(MAN, USUAL_POSTURES.plank, 'leanDeg', {
      quantity: 'wristAngleDeg',
      value: 78.463 + 10,
      hand: 'right',
    });
    expect(angle.value).toBeCloseTo(10, 2);
    const moment = solvePosture(MAN, USUAL_POSTURES.plank, 'padPressure', {
      quantity: 'wristMomentNm',
      value: 4,
      hand: 'right',
    });
    expect(moment.demand.posture!.right.wristMomentNm).toBeCloseTo(4, 8);
    const effort = solvePosture(MAN, { ...USUAL_POSTURES.bench, contact: 'raised palm' }, 'handHeightM', {
      quantity: 'effortPercent',
      value: 60,
      hand: 'right',
    });
    expect(effort.demand.right.effortPercent).toBeCloseTo(60, 6);
    expect(effort.demand.right.efforts[0]!.action).toBe('wrist flexion');
  });

  test('a straight body stays straight and walks its hands, a bent one keeps its knees', () => {
    const plank = handLoad(MAN.body, USUAL_POSTURES.plank);
    const leaned = handLoad(MAN.body, withField(USUAL_POSTURES.plank, plank, 'leanDeg', 12));
    expect(leaned.hipAngleDeg).toBeCloseTo(plank.hipAngleDeg, 9);
    expect(leaned.distanceM).toBeLessThan(plank.distanceM);
    const fours = handLoad(MAN.body, USUAL_POSTURES.allFours);
    const forward = handLoad(MAN.body, withField(USUAL_POSTURES.allFours, fours, 'leanDeg', 12));
    expect(forward.distanceM).toBeCloseTo(fours.distanceM, 9);
  });

  test.each([
    ['grip.thick-hold', 'light', 'massKg', 40],
    ['hang.feet-supported', 'half', 'feetPercentBW', 40],
    ['weight.lever-turn-up', 'medium', 'leverM', 30],
    ['edge.lift-open', 'deep', 'massKg', 60],
    ['grip.gripper-close', 'light', 'forceN', 50],
    ['weight.roller-up', 'resting', 'massKg', 20],
  ])('%s/%s: %s for %d %% effort', (movementId, levelId, field, value) => {
    const { level: solved, demand } = solveLevel(WOMAN, level(movementId, levelId), field, {
      quantity: 'effortPercent',
      value,
      hand: 'right',
    });
    expect(demand.right.effortPercent).toBeCloseTo(value, 6);
    expect(demandOf(WOMAN, solved).right.effortPercent).toBeCloseTo(value, 6);
  });

  test('what cannot be reached is refused with the nearest that can', () => {
    const target = { quantity: 'loadPercentBW' as const, value: 60, hand: 'left' as const };
    let error: NotReachedError | undefined;
    try {
      solvePosture(MAN, USUAL_POSTURES.allFours, 'hipAngleDeg', target);
    } catch (thrown) {
      error = thrown as NotReachedError;
    }
    expect(error).toBeInstanceOf(NotReachedError);
    expect(error!.message).toMatch(/^No hipAngleDeg gives 60 % of body weight\. The nearest load on a hand is \d/);
    expect(error!.nearest!.y).toBeLessThan(60);
    expect(() => solveLevel(MAN, level('grip.ball-squeeze', 'soft'), 'colour', target)).toThrow('Use effortPercent');
  });

  test('the curve is unbroken where the posture is possible and covers what the solver finds', () => {
    const runs = demandCurve(MAN, USUAL_POSTURES.allFours, 'distanceM', { quantity: 'loadPercentBW', hand: 'left' });
    expect(runs).toHaveLength(1);
    const ys = runs[0]!.map(({ y }) => y);
    expect(Math.max(...ys)).toBeGreaterThan(25);
    expect(Math.min(...ys)).toBeLessThan(10);
  });

  test('roots are found on both sides of a gap, and its edges to the tolerance', () => {
    const f = (x: number) => (x > 2 && x < 3 ? null : x * x);
    const runs = sampleRuns(f, -5, 5);
    expect(runs).toHaveLength(2);
    expect(runs[0]!.at(-1)!.x).toBeCloseTo(2, 6);
    expect(rootsIn(runs, f, 9.61).map((x) => Number(x.toFixed(9)))).toEqual([-3.1, 3.1]);
  });
});

describe('demand', () => {
  test('every level names its hardest action first, with the capacity it is held against', () => {
    const demand = demandOf(WOMAN, level('strength.palm-lift', 'knees-back'));
    expect(demand.left.efforts[0]!.action).toBe('wrist flexion');
    const efforts = demand.left.efforts.map(({ effortPercent }) => effortPercent);
    expect([...efforts].sort((a, b) => b - a)).toEqual(efforts);
    expect(demand.left.effortPercent).toBe(demand.left.efforts[0]!.effortPercent);
    expect(demand.left.efforts[0]!.capacity.source).toBe('estimated');
    expect(hardestOf(demand)!.effortPercent).toBeGreaterThan(50);
  });

  test('a one-sided level asks each hand in its turn, a posture as it stands asks the heavier one', () => {
    const shifted = demandOf(MAN, level('bearing.one-hand-shift', 'plank'));
    expect(shifted.left.loadPercentBW).toBeCloseTo(shifted.right.loadPercentBW, 9);
    const posture = { ...USUAL_POSTURES.plank, leftShare: 0.75 };
    const still = postureDemand(MAN, posture, handLoad(MAN.body, posture));
    expect(still.left.loadPercentBW).toBeCloseTo(3 * still.right.loadPercentBW, 9);
  });

  test('hanging is body weight less what the feet carry, over the hands', () => {
    const demand = demandOf(MAN, level('hang.feet-supported', 'half'));
    expect(demand.left.loadPercentBW).toBeCloseTo((100 - 33) / 2, 9);
    expect(demandOf(MAN, level('hang.one-hand', 'half')).right.loadPercentBW).toBeCloseTo(50, 9);
  });

  test('an arm held out while the wrist moves is not swung at the wrist’s pace', () => {
    const overhead = demandOf(MAN, level('free.open-close', 'overhead'));
    const shoulder = overhead.left.efforts.find(({ action }) => action === 'shoulder flexion')!;
    expect(shoulder.effortPercent).toBeLessThan(25);
  });
});
