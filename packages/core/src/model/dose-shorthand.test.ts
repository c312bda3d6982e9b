import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseDose, printDose, retypeDose, ShorthandError } from './dose-shorthand.js';
import { checkDose, type Dose, DOSE_LIMITS } from './dose.js';
import { SIDE_PLANS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { DIRECTION_PLANS } from '../vocabulary/work.js';

const within = ({ min, max, step }: Limit) =>
  fc.integer({ min: Math.ceil(min / step), max: Math.floor(max / step) }).map((steps) => steps * step);

/** Any dose that the limits allow. */
const anyDose: fc.Arbitrary<Dose> = fc
  .record({
    sets: within(DOSE_LIMITS.sets),
    work: fc.oneof(
      within(DOSE_LIMITS.repetitions).map((count) => ({ kind: 'repetitions' as const, count })),
      within(DOSE_LIMITS.seconds).map((seconds) => ({ kind: 'time' as const, seconds })),
      within(DOSE_LIMITS.breaths).map((count) => ({ kind: 'breaths' as const, count })),
    ),
    sides: fc.constantFrom(...SIDE_PLANS),
    directions: fc.constantFrom(...DIRECTION_PLANS),
    effortPercent: fc.option(within(DOSE_LIMITS.effortPercent), { nil: undefined }),
    holdS: fc.option(within(DOSE_LIMITS.holdS), { nil: undefined }),
    tempo: fc.option(fc.record({ outS: within(DOSE_LIMITS.tempoS), backS: within(DOSE_LIMITS.tempoS) }), {
      nil: undefined,
    }),
    restS: within(DOSE_LIMITS.restS),
  })
  .map(({ effortPercent, holdS, tempo, ...rest }) => ({
    ...rest,
    ...(effortPercent !== undefined && { effortPercent }),
    ...(holdS !== undefined && { holdS }),
    ...(tempo && { tempo }),
  }))
  .filter((dose) => checkDose(dose).length === 0);

describe('dose shorthand', () => {
  test('reads the parts a coach types', () => {
    expect(parseDose('3x8 @40% 2s rest20')).toEqual({
      sets: 3,
      work: { kind: 'repetitions', count: 8 },
      sides: 'together',
      directions: 'none',
      effortPercent: 40,
      holdS: 2,
      restS: 20,
    });
    expect(parseDose('2x30s L,R')).toMatchObject({
      sets: 2,
      work: { kind: 'time', seconds: 30 },
      sides: 'left-then-right',
    });
    expect(parseDose('3x5br')).toMatchObject({ sets: 3, work: { kind: 'breaths', count: 5 } });
    expect(parseDose('2x1:30')).toMatchObject({ work: { kind: 'time', seconds: 90 } });
    expect(parseDose('1x2min')).toMatchObject({ work: { kind: 'time', seconds: 120 } });
    expect(parseDose('12')).toMatchObject({ sets: 1, work: { kind: 'repetitions', count: 12 } });
    expect(parseDose('5 tempo1-2-3')).toMatchObject({ tempo: { outS: 1, backS: 3 }, holdS: 2 });
    expect(parseDose('8 L/R <>')).toMatchObject({ sides: 'alternating', directions: 'each' });
  });

  test('forgives slips that leave no doubt', () => {
    const plain = parseDose('3x8 @40% rest20 L,R');
    expect(parseDose(' 3 X 8  @ 40 rest 20 l , r ')).toEqual(plain);
    expect(parseDose('3×8 @40% rest20s L,R')).toEqual(plain);
  });

  test('takes the movement’s usual way when the text does not say', () => {
    const usual = { sides: 'left-then-right', directions: 'each' } as const;
    expect(parseDose('2x30s', usual)).toMatchObject(usual);
    expect(parseDose('2x30s R >', usual)).toMatchObject({ sides: 'right', directions: 'first' });
  });

  test('prints what it read', () => {
    for (const text of ['3x8 @40% 2s rest20', '2x30s L,R', '3x5br', '1x5 tempo5-5 L,R <>', '2x8 tempo0.5-1.5 L/R >']) {
      expect(printDose(parseDose(text))).toBe(text);
    }
  });

  test('round trip: every allowed dose comes back from its own shorthand', () => {
    fc.assert(fc.property(anyDose, (dose) => expect(parseDose(printDose(dose))).toEqual(dose)));
  });

  test('round trip holds for a one-handed movement too, whose default is not “together”', () => {
    const usual = { sides: 'right-then-left', directions: 'none' } as const;
    fc.assert(fc.property(anyDose, (dose) => expect(parseDose(printDose(dose, usual), usual)).toEqual(dose)));
  });

  test.each([
    ['', 'Type a dose'],
    ['often', 'Start with sets and amount'],
    ['3x8 quickly', '“quickly” is not a part of a dose'],
    ['0x8', 'Sets must be within 1–20'],
    ['3x500', 'Repetitions must be within 1–200'],
    ['3x8 @140%', 'Effort must be within 1–100 %, not 140'],
    ['3x8 rest2000', 'Rest must be within 0–900 s, not 2000'],
    ['3x8 rest20 rest30', '“rest30” says again what “rest20” said'],
    ['3x8 2s tempo1-4-2', 'both give the hold'],
    ['2x30s tempo1-2', 'tempo belongs to repetitions only'],
    ['2x30s L/R', 'Alternating hands swap with each repetition'],
    ['3x8 2.3s', 'steps of 0.5 s, not 2.3'],
  ])('“%s” is refused with what would be right', (text, words) => {
    expect(() => parseDose(text)).toThrow(ShorthandError);
    expect(() => parseDose(text)).toThrow(words);
  });
});

test('a decimal comma is a decimal point', () => {
  expect(parseDose('2x8 1,5s tempo0,5-2')).toEqual(parseDose('2x8 1.5s tempo0.5-2'));
});

describe('a dose typed over another', () => {
  test.each([
    ['2x12 tempo1-2 rest30', '3x12 rest60', '3x12 tempo1-2 rest60', 'what is not typed stays'],
    ['2x8 @40% 2s L,R', '2x10', '2x10 @40% 2s L,R', 'effort, hold and hands, too'],
    ['2x8 @40% 2s L,R', '2x8 @40% L,R', '2x8 @40% L,R', 'what is taken away goes'],
    ['2x8 @40% 2s L,R', '2x8', '2x8', 'all of it'],
    ['2x8 tempo1-2 1s L/R', '2x20s', '2x20s', 'what only repetitions have goes with them'],
    ['2x20s rest30 L,R', '8', '1x8 rest30 L,R', 'a count alone is one set'],
    ['1x4 tempo4-4 <>', '1x6', '1x6 tempo4-4 <>', 'directions stay'],
  ])('%s, typed over with %s, is %s: %s', (before, typed, after) => {
    expect(printDose(retypeDose(typed, parseDose(before)))).toBe(after);
  });

  test.each([
    ['2x12 tempo1-2 rest30', '2x12 tempo1-2', '2x12 tempo1-2', 'together'],
    ['2x12', '2x12', '2x12', 'together'],
    ['2x12 R', '2x12', '2x12 L,R', 'left-then-right'],
  ])('%s, typed over with %s where hands usually take turns, is %s', (before, typed, after, sides) => {
    const read = retypeDose(typed, parseDose(before), { sides: 'left-then-right', directions: 'each' });
    expect([printDose(read), read.sides, read.directions]).toEqual([after, sides, 'none']);
  });

  test('is refused as any other, and what cannot be read names its part', () => {
    expect(() => retypeDose('3x12 hard', parseDose('2x8'))).toThrow('“hard” is not a part of a dose');
    expect(() => retypeDose('99x8', parseDose('2x8'))).toThrow(ShorthandError);
    expect(() => retypeDose('', parseDose('2x8'))).toThrow('Type a dose');
  });
});
