import { describe, expect, test } from '@jest/globals';
import { capacityOf, effortPercent, MEASURED_FOR_DAYS, type Person, rangeWithHelpDeg } from './capacity.js';
import {
  carryDistanceM,
  carryTimeS,
  leverForMomentM,
  rollerWork,
  weightForMomentKg,
  weightMomentNm,
} from './external-load.js';
import { GRAVITY } from './hand-load.js';
import { edgeFactor, handleFactor, HoldError, pinchFactor } from './hold-size.js';
import { stretchMomentNm } from './passive.js';
import { REFERENCE_BODIES } from '../model/body.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 25, measured: [], today: '2026-11-24' };

describe('capacity', () => {
  test('without measurements the published tables answer, and say that they are estimates', () => {
    // Delp, Grierson, Buchanan 1996; Massy-Westropp et al. 2011, men 20–29.
    expect(capacityOf(MAN, 'wrist flexion', 'right')).toMatchObject({ value: 12.2, unit: 'N·m', source: 'estimated' });
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

  test('a recent measured maximum wins, an old or future one does not, and a measured grip scales the rest', () => {
    const measured = (value: number, onDay: string) => ({
      action: 'wrist flexion' as const,
      hand: 'right' as const,
      value,
      onDay,
    });
    const person = {
      ...MAN,
      measured: [
        measured(14, '2026-11-01'),
        measured(16, '2026-10-01'),
        measured(30, '2025-01-01'),
        measured(40, '2026-12-01'),
      ],
    };
    expect(capacityOf(person, 'wrist flexion', 'right')).toMatchObject({
      value: 16,
      source: 'measured',
      from: 'measured on 2026-10-01',
    });
    expect(capacityOf(person, 'wrist flexion', 'left').source).toBe('estimated');
    const gripped = {
      ...MAN,
      measured: [{ action: 'grip' as const, hand: 'right' as const, value: 23.5 * GRAVITY, onDay: '2026-11-01' }],
    };
    expect(capacityOf(gripped, 'wrist flexion', 'right').value).toBeCloseTo(6.1, 9);
    expect(MEASURED_FOR_DAYS).toBe(120);
  });

  test('effort is demand over capacity, and may pass a hundred', () => {
    expect(effortPercent(24.4, capacityOf(MAN, 'wrist flexion', 'right'))).toBeCloseTo(200, 9);
  });

  test('range with help: measured, else the norm and the usual gain', () => {
    expect(rangeWithHelpDeg(MAN, 'wrist extension', 'left')).toEqual({ deg: 89, source: 'estimated' });
    const known = { ...MAN, rangeDeg: { left: { 'wrist extension': 78 } } };
    expect(rangeWithHelpDeg(known, 'wrist extension', 'left')).toEqual({ deg: 78, source: 'measured' });
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
    for (let mm = 10; mm < 60; mm += 5)
      expect(edgeFactor(mm + 5, 'open hand')).toBeGreaterThan(edgeFactor(mm, 'open hand'));
    expect(edgeFactor(20, 'half crimp')).toBeGreaterThan(edgeFactor(20, 'open hand'));
    expect(pinchFactor(50)).toBeGreaterThan(pinchFactor(90));
    expect(() => handleFactor(200)).toThrow(HoldError);
    expect(() => edgeFactor(2, 'open hand')).toThrow('edgeMm must be within 4–80 mm, not 2.');
  });

  test('stretched tissue answers more and more, and the fingers change it as two-joint muscles do', () => {
    expect(stretchMomentNm('wrist extension', 0, 'relaxed')).toBe(0);
    const half = stretchMomentNm('wrist extension', 50, 'relaxed');
    const full = stretchMomentNm('wrist extension', 100, 'relaxed');
    expect(full).toBeGreaterThan(4 * half);
    expect(stretchMomentNm('wrist extension', 80, 'straight')).toBeGreaterThan(
      stretchMomentNm('wrist extension', 80, 'curled'),
    );
    expect(stretchMomentNm('wrist flexion', 80, 'curled')).toBeGreaterThan(
      stretchMomentNm('wrist flexion', 80, 'straight'),
    );
  });
});
