import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { capacityLeft, enduranceTimeS, holdTimeS, RESTED, restingShare, step, type Units } from './compartments.js';
import { enduranceS, type Rates, RATES } from './rates.js';
import { runs } from '../properties.fixture.js';

/** The same system by fourth-order Runge–Kutta at a fixed step, to hold the closed form against. */
function rungeKutta(rates: Rates, from: Units, target: number, seconds: number, stepS: number): Units {
  const R = target >= 0.05 ? rates.recoveryPerS : rates.recoveryPerS * rates.restMultiplier;
  const slope = ({ active, fatigued }: Units): Units => {
    const resting = 1 - active - fatigued;
    const drive = active < target ? 10 * Math.min(resting, target - active) : 10 * (target - active);
    return { active: drive - rates.fatiguePerS * active, fatigued: rates.fatiguePerS * active - R * fatigued };
  };
  const along = (a: Units, b: Units, h: number): Units => ({
    active: a.active + b.active * h,
    fatigued: a.fatigued + b.fatigued * h,
  });
  let units = from;
  for (let index = 0; index < Math.round(seconds / stepS); index++) {
    const k1 = slope(units);
    const k2 = slope(along(units, k1, stepS / 2));
    const k3 = slope(along(units, k2, stepS / 2));
    const k4 = slope(along(units, k3, stepS));
    units = {
      active: units.active + (stepS / 6) * (k1.active + 2 * k2.active + 2 * k3.active + k4.active),
      fatigued: units.fatigued + (stepS / 6) * (k1.fatigued + 2 * k2.fatigued + 2 * k3.fatigued + k4.fatigued),
    };
  }
  return units;
}

const anyRates = fc.constantFrom<Rates>(RATES.handGrip, RATES.elbow, RATES.shoulder);
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('three compartments', () => {
  // Frey Law, Avin 2010: endurance = a · share^b.
  const efforts = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];
  test.each(['handGrip', 'shoulder'] as const)('%s: 20–90 %% of the most are held as the law says, within a quarter', (joint) => {
    for (const effort of efforts) {
      const law = enduranceS(RATES[joint], effort);
      expect([effort, Math.abs(holdTimeS(RATES[joint], RESTED, effort, 3600)! / law - 1) < 0.25]).toEqual([effort, true]);
    }
  });

  /** Efforts of some seconds with rests between: whether all are held, and what is left of the maximum in the last of them. */
  function bouts(effort: number, onS: number, offS: number, count: number, units: Units = RESTED) {
    let held = true;
    let active = 0;
    for (let bout = 0; bout < count; bout++) {
      held &&= holdTimeS(RATES.handGrip, units, effort, onS) === null;
      units = step(RATES.handGrip, units, effort, onS);
      ({ active } = units);
      units = step(RATES.handGrip, units, 0, offS);
    }
    return { held, active, units };
  }

  test('24 all-out bouts of 7 s on and 3 s off end at 30–45 % of the most', () => {
    const { active } = bouts(1, 7, 3, 24);
    expect(active).toBeGreaterThan(0.3);
    expect(active).toBeLessThan(0.45);
  });

  test('4 sets of 4 × 3 s on 3 s off at 70 % with two minutes between are held', () => {
    let units = RESTED;
    for (let set = 0; set < 4; set++) {
      const after = bouts(0.7, 3, 3, 4, units);
      expect(after.held).toBe(true);
      units = step(RATES.handGrip, after.units, 0, 120);
    }
  });

  test('5 × 45 s at 70 % with two minutes between is hard, but done', () => {
    const { held, units } = bouts(0.7, 45, 120, 5);
    expect(held).toBe(true);
    expect(holdTimeS(RATES.handGrip, units, 0.7, 120)!).toBeLessThan(60);
  });

  test('an effort of a few hundredths is rest', () => {
    const spent = step(RATES.handGrip, RESTED, 0.7, 60);
    const waved = capacityLeft(step(RATES.handGrip, spent, 0.03, 60));
    expect(waved).toBeGreaterThan(capacityLeft(step(RATES.handGrip, spent, 0.08, 60)) + 0.1);
    expect(enduranceTimeS(RATES.handGrip, 0.03)).toBe(Infinity);
  });

  test('the closed form is what Runge–Kutta at a millisecond finds, through changes of regime', () => {
    for (const rates of Object.values(RATES)) {
      for (const [from, target, seconds] of [
        [RESTED, 0.5, 30],
        [RESTED, 0.9, 40],
        [{ active: 0.4, fatigued: 0.3 }, 0.2, 20],
        [{ active: 0.1, fatigued: 0.6 }, 0.8, 25],
        [{ active: 0.3, fatigued: 0.6 }, 0, 60],
      ] as const) {
        const exact = step(rates, from, target, seconds);
        const stepped = rungeKutta(rates, from, target, seconds, 0.001);
        expect(exact.active).toBeCloseTo(stepped.active, 5);
        expect(exact.fatigued).toBeCloseTo(stepped.fatigued, 5);
      }
    }
  });

  test('shares stay in 0–1 and sum to 1, and two half steps are one whole', () => {
    const start = fc.tuple(share, share).map(([a, b]): Units => ({ active: a * (1 - b), fatigued: b }));
    fc.assert(
      fc.property(anyRates, start, share, fc.double({ min: 0.01, max: 400, noNaN: true }), (rates, from, target, seconds) => {
        // Where not even a light effort is left to bring, what is brought is cut off at what there is, at each look anew.
        fc.pre(target >= 0.05 || from.fatigued <= 1 - target);
        const whole = step(rates, from, target, seconds);
        for (const part of [whole.active, whole.fatigued, restingShare(whole)]) {
          expect(part).toBeGreaterThanOrEqual(-1e-9);
          expect(part).toBeLessThanOrEqual(1 + 1e-9);
        }
        const halves = step(rates, step(rates, from, target, seconds / 2), target, seconds / 2);
        expect(halves.fatigued).toBeCloseTo(whole.fatigued, 6);
        expect(halves.active).toBeCloseTo(whole.active, 6);
      }),
      runs(300),
    );
  });

  test('rest after failure recovers steadily, and faster than carrying on lightly', () => {
    const spent = step(RATES.handGrip, RESTED, 0.7, 120);
    let before = capacityLeft(spent);
    for (let seconds = 10; seconds <= 300; seconds += 10) {
      const now = capacityLeft(step(RATES.handGrip, spent, 0, seconds));
      expect(now).toBeGreaterThan(before);
      before = now;
    }
    expect(capacityLeft(step(RATES.handGrip, spent, 0, 60))).toBeGreaterThan(capacityLeft(step(RATES.handGrip, spent, 0.06, 60)));
  });

  test('harder efforts are held for less time, and the lightest for as long as anybody asks', () => {
    const times = [0.4, 0.5, 0.6, 0.8, 1].map((target) => holdTimeS(RATES.handGrip, RESTED, target, 3600)!);
    expect([...times].sort((a, b) => b - a)).toEqual(times);
    expect(holdTimeS(RATES.handGrip, RESTED, 0.04, 3600)).toBeNull();
  });
});
