import { sentenceText } from '../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { guessedMapping, readingKeys, readingsIn, readReadingsTable, writeReadingsFile } from './readings-file.js';
import type { Reading } from '../model/reading.js';
import { HANDS } from '../vocabulary/hands.js';
import { GAUGES, MEASURABLE, READING_KINDS, READING_LIMITS } from '../vocabulary/measures.js';
import { runs } from '../properties.fixture.js';

const TODAY = '2026-06-10';
const read = (text: string, change: Partial<ReturnType<typeof guessedMapping>> = {}) => {
  const table = readReadingsTable(text);
  return readingsIn(table, { ...guessedMapping(table), ...change }, TODAY);
};

describe('a file of readings', () => {
  test('is read by the names of its columns, in whatever order, separator and units', () => {
    const text = 'Side;Date;Test;Result;Unit\nL;12.03.2026;Grip;41,5;kg\nright;13.3.2026;hang;34;s\n';
    expect(read(text).readings.map(({ reading }) => reading)).toEqual(
      [
        { kind: 'maximum', of: 'grip', hand: 'left', value: 406.98, onDay: '2026-03-12' },
        { kind: 'hold', of: 'hang', hand: 'right', value: 34, onDay: '2026-03-13' },
      ].map((reading) => ({
        ...reading,
        kind: reading.kind as Reading['kind'],
        hand: reading.hand as Reading['hand'],
      })),
    );
  });

  test('a word for all rows stands where no column says it; both hands are two readings', () => {
    const table = readReadingsTable('date,value\n2026-03-12,71');
    const mapping = { ...guessedMapping(table), fixed: { hand: 'both', of: 'wrist flexion', kind: 'active range' } };
    expect(readingsIn(table, mapping, TODAY).readings.map(({ reading }) => reading.hand)).toEqual(['left', 'right']);
  });

  test('inches and pounds are kept metric', () => {
    const text = 'day,hand,kind,of,value,unit\n2026-03-12,left,active range,finger spread,8,in\n2026-03-12,left,maximum,grip,100,lb';
    expect(read(text).readings.map(({ reading }) => reading.value)).toEqual([20.32, 444.82]);
  });

  test('days are guessed by what they can be', () => {
    expect(guessedMapping(readReadingsTable('day,value\n2026-01-02,1')).dayOrder).toBe('year first');
    expect(guessedMapping(readReadingsTable('day,value\n25/01/2026,1')).dayOrder).toBe('day first');
    expect(guessedMapping(readReadingsTable('day,value\n01/25/2026,1')).dayOrder).toBe('month first');
  });

  test('what cannot be is told line by line, with what would be right', () => {
    const text =
      'day,hand,of,kind,value,unit\n2026-13-01,left,grip,,400,N\n2026-03-01,third,grip,,400,N\n2026-03-01,left,wrist extension,active range,200,°\n2026-03-01,left,grip,,-5,N\n2026-07-01,left,grip,,400,N\n2026-03-01,left,grip,,much,N\n2026-03-01,left,toe,,4,N\n2026-03-01,left,wrist flexion,,60,°\n2026-03-01,left,grip,,400,stone';
    const { readings, faults } = read(text);
    expect(readings).toEqual([]);
    expect(faults.map(({ pointer }) => pointer)).toEqual([
      '/2/day',
      '/3/hand',
      '/4/value',
      '/5/value',
      '/6/onDay',
      '/7/value',
      '/8/of',
      '/9/kind',
      '/10/unit',
    ]);
    expect(faults[2]!.message).toBe('must be within 0–130 °, not 200');
    expect(faults[7]!.message).toContain('is measured as maximum or active range or passive range');
  });

  test('kilograms that stand as newtons are asked about, not refused', () => {
    const { readings } = read('day,hand,of,value,unit\n2026-03-01,left,grip,41,N\n2026-03-01,left,grip,402,N');
    expect(readings.map(({ doubt }) => sentenceText(doubt ?? '').includes('was it 41.0 kg'))).toEqual([true, false]);
  });

  test.each([
    ['', 'is empty'],
    ['\u0000\u0001PK', 'isn’t a text file'],
    ['day,value\n"2026-01-01,4', 'an unclosed quote'],
    ['day\n2026-01-01', 'must name its columns'],
    ['day,value,value\n1,2,3', 'names “value” twice'],
    ['day,value\n2026-01-01,4,5', 'has 3 columns where the first line names 2'],
    ['day,value', 'has no readings'],
    ['day,,value\n1,2,3', 'column 2 has no name'],
    [`day,value\n${'2026-01-01,4\n'.repeat(1001)}`, 'at most 1000 readings'],
  ])('broken: %j is said', (text, message) => {
    expect(readReadingsTable(text).faults[0]!.message).toContain(message);
  });

  const anyReading = fc
    .constantFrom(...READING_KINDS.flatMap((kind) => Object.entries(MEASURABLE[kind]).map(([of, unit]) => ({ kind, of, unit }))))
    .chain(({ kind, of, unit }) =>
      fc.record({
        kind: fc.constant(kind),
        of: fc.constant(of),
        hand: fc.constantFrom(...HANDS),
        value: fc.integer({ min: Math.ceil(READING_LIMITS[unit].min), max: READING_LIMITS[unit].max }),
        onDay: fc.integer({ min: 1, max: 28 }).map((day) => `2026-05-${String(day).padStart(2, '0')}`),
        detail: fc.constantFrom('20 mm, open hand', 'a "quoted"; one'),
        gauge: fc.constantFrom(...GAUGES),
        trials: fc.integer({ min: 1, max: 5 }),
      }),
    )
    // So many trials, all of them alike, are of any value the mean.
    .map(({ trials, ...reading }) => ({ ...reading, trials: Array<number>(trials).fill(reading.value) }));
  test('written and read again is the same', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { minLength: 1, maxLength: 12 }), (readings) => {
        const { readings: back, faults } = read(writeReadingsFile(readings));
        expect(faults).toEqual([]);
        expect(back.map(({ reading }) => reading)).toEqual(readings.toSorted((a, b) => a.onDay.localeCompare(b.onDay)));
      }),
      runs(60),
    );
  });

  test('trials are in the unit of their row; what is no number and no gauge is told', () => {
    const head = 'day,hand,of,value,unit,trials,gauge\n2026-03-01,left,grip,41,kg,';
    expect(read(`${head}40 42,Dynamometer`).readings[0]!.reading).toMatchObject({
      value: 402.07,
      trials: [392.27, 411.88],
      gauge: 'dynamometer',
    });
    expect(read(`${head}40 much,spoon`).faults.map(({ pointer }) => pointer)).toEqual(['/2/trials', '/2/gauge']);
    expect(read(`${head}40 44,`).faults).toMatchObject([
      { pointer: '/2/value', message: expect.stringContaining('the mean of its trials') },
    ]);
  });

  test('what was measured after a session’s work is in no file: read in again it would be a rested hand’s', () => {
    const before: Reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 400, onDay: '2026-03-01' };
    const after: Reading = { ...before, value: 380, sessionId: '0197a1b2-0000-7000-8000-000000000000', moment: 'after' };
    expect(read(writeReadingsFile([before, after])).readings.map(({ reading }) => reading.value)).toEqual([400]);
  });

  test('rows of the same file have the same keys each time; equal rows are told apart', () => {
    const { readings } = read('day,hand,of,value\n2026-03-01,left,grip,400\n2026-03-01,left,grip,400');
    const all = readings.map(({ reading }) => reading);
    const keys = readingKeys('a', all);
    expect(new Set(keys).size).toBe(2);
    expect(readingKeys('a', all)).toEqual(keys);
    expect(readingKeys('b', all)).not.toEqual(keys);
  });
});
