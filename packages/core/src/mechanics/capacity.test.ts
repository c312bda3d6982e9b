import { describe, expect, test } from '@jest/globals';
import { type Evidence, maximum } from './belief.js';
import { capacityOf, effortPercent, MEASURED_FOR_DAYS, type Person, rangeWithHelpDeg } from './capacity.js';
import { carryDistanceM, carryTimeS, leverForMomentM, rollerWork, weightForMomentKg, weightMomentNm } from './external-load.js';
import { edgeFactor, handleFactor, HoldError, pinchFactor } from './hold-size.js';
import { stretchMomentNm } from './passive.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { ACTION_NAMES } from '../vocabulary/actions.js';
import { GRAVITY } from '../vocabulary/gravity.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 25, evidence: [], today: '2026-11-24' };

describe('capacity', () => {
  test('without measurements the published tables answer, and say that they are estimates', () => {
    // Delp, Grierson, Buchanan 1996; Massy-Westropp et al. 2011, men 20–29.
    const flexion = capacityOf(MAN, 'wrist flexion', 'right');
    expect(flexion).toMatchObject({ unit: 'N·m', source: 'estimated', evidence: [] });
    expect(flexion.value).toBeCloseTo(12.2, 9);
    expect(capacityOf(MAN, 'wrist extension', 'right').value).toBeCloseTo(7.1, 9);
    expect(capacityOf(MAN, 'grip', 'left').value).toBeCloseTo(45 * GRAVITY, 9);
  });

  test('age, sex and mass scale the estimate the way the norms do', () => {
    const older = { ...MAN, ageYears: 64 };
    expect(capacityOf(older, 'grip', 'right').value).toBeCloseTo(40 * GRAVITY, 9);
    const woman = { ...MAN, body: REFERENCE_BODIES.female };
    expect(capacityOf(woman, 'wrist flexion', 'right').value).toBeCloseTo((12.2 * 30) / 47, 9);
    const small = { ...MAN, body: { ...MAN.body, massKg: 50 } };
    expect(capacityOf(small, 'grip', 'right').value).toBeLessThan(capacityOf(MAN, 'grip', 'right').value);
    const youth = { ...MAN, ageYears: 15, body: { ...MAN.body, massKg: 95 } };
    expect(capacityOf(youth, 'grip', 'right').value).toBeCloseTo(47 * GRAVITY, 9);
  });

  test('a measured maximum moves the belief nearly all the way, an old one less, a future one not at all', () => {
    const of = (...evidence: Evidence[]) => capacityOf({ ...MAN, evidence }, 'wrist flexion', 'right');
    const tested = of(maximum('wrist flexion', 'right', 16, '2026-11-01'));
    expect(tested).toMatchObject({ source: 'measured', from: 'measured on 2026-11-01' });
    expect(tested.value).toBeGreaterThan(15.5);
    expect(tested.logSd).toBeLessThan(0.1);
    const old = of(maximum('wrist flexion', 'right', 16, '2024-01-01'));
    expect(old.source).toBe('from sets');
    expect(old.value).toBeLessThan(tested.value);
    expect(old.logSd).toBeGreaterThan(2 * tested.logSd);
    expect(of(maximum('wrist flexion', 'right', 40, '2026-12-01'))).toMatchObject({
      evidence: [],
      source: 'estimated',
    });
    expect(MEASURED_FOR_DAYS).toBe(120);
  });

  test('a measured grip scales the rest of that hand, and narrows what is believed of it', () => {
    const plain = capacityOf(MAN, 'wrist flexion', 'right');
    const gripped = { ...MAN, evidence: [maximum('grip', 'right', 23.5 * GRAVITY, '2026-11-01')] };
    const scaled = capacityOf(gripped, 'wrist flexion', 'right');
    expect(scaled.value).toBeGreaterThan(6.1);
    expect(scaled.value).toBeLessThan(7.2);
    expect(scaled.logSd).toBeLessThan(plain.logSd);
    // One strength ratio for both hands: the other hand follows most of the way.
    expect(capacityOf(gripped, 'grip', 'left').value).toBeLessThan(0.65 * capacityOf(MAN, 'grip', 'left').value);
    expect(capacityOf(gripped, 'grip', 'left').from).toBe('norm, scaled by the other hand');
  });

  test('spread is that of the published norms, and wider where less is known', () => {
    expect(capacityOf(MAN, 'grip', 'right').logSd).toBeCloseTo(0.2, 9);
    // Delp, Grierson, Buchanan 1996: flexion ranged from 5.2 to 18.7 around 12.2 N·m.
    expect(capacityOf(MAN, 'wrist flexion', 'right').logSd).toBeCloseTo(0.35, 2);
    const anybody = { ...MAN, body: REFERENCE_BODIES['not stated'], unknowns: 3 };
    expect(capacityOf(anybody, 'grip', 'right').logSd).toBeGreaterThan(0.3);
  });

  test('maxima 1.4 times the norm are just that, for every action', () => {
    const practised = { ...MAN, strengthOfNorm: 1.4 };
    for (const action of ACTION_NAMES) {
      const [one, other] = [capacityOf(MAN, action, 'left').value, capacityOf(practised, action, 'left').value];
      expect(other / one).toBeCloseTo(1.4, 9);
    }
  });

  test('effort is demand over capacity, and may pass a hundred', () => {
    expect(effortPercent(24.4, capacityOf(MAN, 'wrist flexion', 'right'))).toBeCloseTo(200, 9);
  });

  test('passive range: measured, else the norm and the usual gain', () => {
    expect(rangeWithHelpDeg(MAN, 'wrist extension', 'left')).toMatchObject({ deg: 89, source: 'estimated' });
    const measuredMan = { ...MAN, rangeDeg: { left: { 'wrist extension': 78 } } };
    expect(rangeWithHelpDeg(measuredMan, 'wrist extension', 'left')).toMatchObject({ deg: 78, source: 'measured' });
  });
});

describe('outside loads', () => {
  test('weight, lever and moment are each other’s inverse', () => {
    expect(weightMomentNm(5, 0.08)).toBeCloseTo(3.923, 3);
    expect(weightForMomentKg(weightMomentNm(3.3, 0.4, 25), 0.4, 25)).toBeCloseTo(3.3, 12);
    expect(leverForMomentM(weightMomentNm(3.3, 0.4, 25), 3.3, 25)).toBeCloseTo(0.4, 12);
    expect(() => weightForMomentKg(4, 0)).toThrow('leverM');
    expect(() => leverForMomentM(4, 0)).toThrow('massKg');
  });

  test('a wrist roller: moment by the drum’s radius, turns by its girth, work by the rope', () => {
    const { momentNm, turns, workJ } = rollerWork({ drumRadiusM: 0.016, massKg: 5, ropeM: 1.1 });
    expect(momentNm).toBeCloseTo(5 * GRAVITY * 0.016, 12);
    expect(turns * 2 * Math.PI * momentNm).toBeCloseTo(workJ, 9);
    expect(() => rollerWork({ drumRadiusM: 0, massKg: 5, ropeM: 1 })).toThrow('drumRadiusM');
  });

  test('distance and time of a carry', () => {
    expect(carryTimeS(24)).toBeCloseTo(20, 9);
    expect(carryDistanceM(carryTimeS(37))).toBeCloseTo(37, 9);
    expect(() => carryTimeS(-1)).toThrow('distanceM');
  });

  test('holds: best at a middling handle, poorer when thick; deeper edges are easier; sizes no hand can hold are refused', () => {
    expect(handleFactor(38)).toBe(1);
    expect(handleFactor(76)).toBeCloseTo(0.59, 2);
    for (let mm = 10; mm < 60; mm += 5) expect(edgeFactor(mm + 5, 'open hand')).toBeGreaterThan(edgeFactor(mm, 'open hand'));
    expect(edgeFactor(20, 'half crimp')).toBeGreaterThan(edgeFactor(20, 'open hand'));
    expect(pinchFactor(50)).toBeGreaterThan(pinchFactor(90));
    expect(() => handleFactor(200)).toThrow(HoldError);
    expect(() => edgeFactor(2, 'open hand')).toThrow('edgeMm must be within 4–80 mm, not 2.');
  });

  test('stretched tissue answers more and more, and the fingers change it as two-joint muscles do', () => {
    expect(stretchMomentNm(MAN.body, 'wrist extension', 0, 'relaxed')).toBe(0);
    const half = stretchMomentNm(MAN.body, 'wrist extension', 50, 'relaxed');
    const full = stretchMomentNm(MAN.body, 'wrist extension', 100, 'relaxed');
    expect(full).toBeGreaterThan(4 * half);
    expect(stretchMomentNm(MAN.body, 'wrist extension', 80, 'straight')).toBeGreaterThan(
      stretchMomentNm(MAN.body, 'wrist extension', 80, 'curled'),
    );
    expect(stretchMomentNm(MAN.body, 'wrist flexion', 80, 'curled')).toBeGreaterThan(
      stretchMomentNm(MAN.body, 'wrist flexion', 80, 'straight'),
    );
    const small = { ...MAN.body, statureM: 1.5 };
    expect(stretchMomentNm(small, 'wrist flexion', 80, 'relaxed')).toBeLessThan(stretchMomentNm(MAN.body, 'wrist flexion', 80, 'relaxed'));
  });
});
