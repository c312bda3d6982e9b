import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { checkReading, meanOf } from '../model/reading.js';
import { MEASURABLE, READING_KINDS, readingUnit } from '../vocabulary/measures.js';
import { whyNotMeasured } from '../rules/safety/may-measure.js';
import { placeInNorm } from './place-in-norm.js';
import { BATTERIES, batteryMinutes, LED_PROTOCOLS, PROTOCOLS, protocolOf, sidesInTurn } from './protocols.js';
import { readingDoubt, unitDoubt } from './unit-doubt.js';

describe('protocols', () => {
  test('each measures something that can be kept, says how, and has its picture', () => {
    for (const { id, kind, of, steps, figure } of LED_PROTOCOLS) {
      expect([id, readingUnit(kind, of)]).toEqual([id, expect.any(String)]);
      expect(steps.length).toBeGreaterThanOrEqual(2);
      const movement = shippedMovement(figure.movementId);
      expect([id, movement?.id]).toEqual([id, figure.movementId]);
      if (figure.levelId) expect(movement!.ladder.map((level) => level.id)).toContain(figure.levelId);
    }
    expect(new Set(PROTOCOLS.map(({ id }) => id)).size).toBe(PROTOCOLS.length);
  });

  test('a first visit takes twelve minutes, every four weeks six, and the hands take turns', () => {
    expect(batteryMinutes(BATTERIES['first-visit'].protocolIds)).toBe(12);
    expect(batteryMinutes(BATTERIES['four-weekly'].protocolIds)).toBe(6);
    for (const { protocolIds } of Object.values(BATTERIES)) for (const id of protocolIds) expect(protocolOf(id)).toBeDefined();
    expect(sidesInTurn(3, 'left')).toEqual(['left', 'right', 'right', 'left', 'left', 'right']);
  });
});

describe('what may be measured of whom', () => {
  const grip = protocolOf('force.grip')!;
  const active = protocolOf('active.wrist-extension')!;
  const passive = protocolOf('passive.wrist-extension')!;
  test('who is not cleared moves freely and no more; a stopped hand rests; capped efforts have no maximum', () => {
    const numb = [{ caution: 'numbness', hand: 'left' }] as const;
    expect(whyNotMeasured(grip, numb, 'left')).toContain('no loading until');
    expect(whyNotMeasured(passive, numb, 'left')).not.toBeNull();
    expect(whyNotMeasured(active, numb, 'left')).toBeNull();
    expect(whyNotMeasured(grip, numb, 'right')).toBeNull();
    const stopped = [{ caution: 'stop-sign', hand: 'right', stopped: { intakeId: 'x', sign: 'pop' } }] as const;
    expect(whyNotMeasured(active, stopped, 'right')).toContain('complete rest');
    expect(whyNotMeasured(grip, [{ caution: 'blood-pressure' }], 'left')).toContain('No maximal effort');
    expect(whyNotMeasured(grip, [{ caution: 'under-18' }], 'left')).toContain('No maximal effort');
    expect(whyNotMeasured(passive, [{ caution: 'tendon-pain' }], 'left')).toBeNull();
  });
});

describe('readings', () => {
  const reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 400, onDay: '2026-05-01' } as const;
  const pointers = (change: object) => checkReading({ ...reading, ...change }, '2026-06-01').map(({ pointer }) => pointer);
  test('of everything that can be measured may be kept within its unit’s bounds', () => {
    for (const kind of READING_KINDS) {
      for (const of of Object.keys(MEASURABLE[kind])) expect(pointers({ kind, of, value: 10 })).toEqual([]);
    }
  });
  test('are refused with the field', () => {
    expect(pointers({ kind: 'active range', of: 'wrist extension', value: 200 })).toEqual(['/value']);
    expect(pointers({ value: -5 })).toEqual(['/value']);
    expect(pointers({ trials: Array<number>(12).fill(400) })).toEqual(['/trials']);
    expect(pointers({ trials: [390, 4000], value: 395 })).toEqual(['/trials/1']);
    expect(pointers({ trials: [390, 420], value: 400 })).toEqual(['/value']);
    expect(pointers({ trials: [390, 410] })).toEqual([]);
    expect(pointers({ onDay: '2027-01-01' })).toEqual(['/onDay']);
    expect(meanOf([70, 72, 73])).toBe(71.67);
  });
  test('that fit another unit better are asked about', () => {
    expect(unitDoubt('grip', 45)?.rather).toBe('kg');
    expect(unitDoubt('grip', 45)?.wouldBeN).toBeCloseTo(441.3, 1);
    expect(unitDoubt('grip', 4400)?.rather).toBe('N');
    expect([100, 250, 441, 800].map((force) => unitDoubt('grip', force))).toEqual([null, null, null, null]);
    expect(unitDoubt('wrist flexion', 1)).toBeNull();
    // Only a maximum is of the range that maxima lie in.
    expect(readingDoubt({ kind: 'maximum', of: 'grip', value: 45 })?.rather).toBe('kg');
    expect(readingDoubt({ kind: 'critical force', of: 'grip', value: 45 })).toBeNull();
    expect(readingDoubt({ kind: 'passive range', of: 'wrist extension', value: 4 })).toBeNull();
  });
});

describe('place among people', () => {
  const woman = { sex: 'female', ageYears: 34 } as const;
  test('by the table of sex, age and hand, with the population named', () => {
    // Women of 30–39, right: 31 kg, sd 6.4. One spread above is the 84th of a hundred.
    const place = placeInNorm('maximum', 'grip', 'right', (31 + 6.4) * 9.80665, woman)!;
    expect(place.percentile).toBe(84);
    expect(place.population).toBe('women of 30–39 years in South Australia (Massy-Westropp et al. 2011)');
    expect(placeInNorm('maximum', 'key pinch', 'left', 7.4 * 9.80665, woman)!.percentile).toBe(50);
    expect(placeInNorm('active range', 'wrist extension', 'left', 74, woman)!.percentile).toBe(50);
    expect(placeInNorm('active range', 'wrist extension', 'left', 10, woman)!.percentile).toBe(1);
  });
  test('is not said where no table is', () => {
    expect(placeInNorm('maximum', 'grip', 'right', 300, { sex: 'not stated', ageYears: 34 })).toBeNull();
    expect(placeInNorm('maximum', 'grip', 'right', 300, { sex: 'female', ageYears: null })).toBeNull();
    expect(placeInNorm('maximum', 'wrist flexion', 'right', 12, woman)).toBeNull();
    expect(placeInNorm('passive range', 'wrist extension', 'right', 90, woman)).toBeNull();
  });
});
