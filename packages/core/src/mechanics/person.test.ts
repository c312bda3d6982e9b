import { describe, expect, test } from '@jest/globals';
import { capacityOf, rangeVerdict, rangeWithHelpDeg } from './capacity.js';
import { personOf } from './person.js';
import { latestReading, type Reading } from '../model/reading.js';
import { readingUnit } from '../vocabulary/measures.js';

const TODAY = '2026-11-24';
const RECORD = { sex: 'male' as const, statureCm: 178, massKg: 80, birthDate: '1999-03-26' };
const reading = (change: Partial<Reading>): Reading => ({
  kind: 'passive range',
  of: 'wrist extension',
  hand: 'left',
  value: 78,
  onDay: '2026-11-01',
  ...change,
});

describe('a person from what is on record', () => {
  test('body, age, maxima and ranges are read; nothing is estimated when all is there', () => {
    const readings = [reading({}), reading({ kind: 'maximum', of: 'grip', value: 500 })];
    const { person, estimated } = personOf(RECORD, readings, TODAY);
    expect(estimated).toEqual([]);
    expect(person.body).toEqual({ sex: 'male', statureM: 1.78, massKg: 80 });
    expect(person.ageYears).toBe(27);
    expect(capacityOf(person, 'grip', 'left')).toMatchObject({ source: 'measured' });
    expect(capacityOf(person, 'grip', 'left').value).toBeCloseTo(500, -1);
    expect(rangeWithHelpDeg(person, 'wrist extension', 'left')).toMatchObject({ deg: 78, source: 'measured' });
    expect(rangeWithHelpDeg(person, 'wrist extension', 'right').source).toBe('estimated');
  });

  test('the newest reading counts, and one from last year no longer does', () => {
    const readings = [
      reading({ value: 70, onDay: '2026-09-01' }),
      reading({ value: 74, onDay: '2026-10-01' }),
      reading({ value: 60, onDay: '2025-11-01', hand: 'right' }),
    ];
    expect(latestReading(readings, 'passive range', 'wrist extension', 'left')!.value).toBe(74);
    const { person } = personOf(RECORD, readings, TODAY);
    expect(rangeWithHelpDeg(person, 'wrist extension', 'left').deg).toBe(74);
    expect(rangeWithHelpDeg(person, 'wrist extension', 'right').source).toBe('estimated');
  });

  test('nobody in particular is an average adult, and all of it is named as estimated', () => {
    const { person, estimated } = personOf(null, [], TODAY);
    expect(person.body.statureM).toBeCloseTo(1.738, 9);
    expect(estimated).toHaveLength(4);
  });

  test('what can be measured of what, and in which unit', () => {
    expect([readingUnit('maximum', 'grip'), readingUnit('maximum', 'supination'), readingUnit('active range', 'pronation')]).toEqual([
      'N',
      'N·m',
      '°',
    ]);
    expect(readingUnit('active range', 'grip')).toBeUndefined();
    expect(readingUnit('maximum', 'cheerfulness')).toBeUndefined();
  });

  test('an angle within the error of measuring is at the end of the range, not past it', () => {
    expect([rangeVerdict(90, 97.1), rangeVerdict(90, 89), rangeVerdict(90, 82)]).toEqual(['within', 'at the end', 'past']);
  });
});
