import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseDose, printDose, retypeDose, ShorthandError } from './dose-shorthand.js';
import { checkDose } from './check-dose.js';
import { amountLimit, type Dose, DOSE_LIMITS, MOST_SET_GROUPS, type SetGroup, workOf } from './dose.js';
import { hasHandsInTurn } from './work.js';
import { SIDE_PLANS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { OWN_LOAD_NAMES, OWN_LOADS } from '../vocabulary/own-load.js';
import { DIRECTION_PLANS, OPEN_ENDS, WORK_KINDS } from '../vocabulary/work.js';

const numbersOf = ({ min, max, step }: Limit) =>
  fc.integer({ min: Math.ceil(min / step), max: Math.floor(max / step) }).map((steps) => steps * step);

const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
/** Sets of one kind of work, some of them open. */
const anySets = fc.constantFrom(...WORK_KINDS).chain((kind) =>
  fc.array(
    fc.record({
      sets: fc.integer({ min: 1, max: 6 }),
      work: fc
        .tuple(numbersOf(amountLimit(kind)), fc.constantFrom(undefined, ...OPEN_ENDS), maybe(numbersOf(amountLimit(kind))))
        .map(([amount, open, upTo]) => workOf(kind, amount, { ...(open && { open }), ...(upTo !== undefined && !open && { upTo }) })),
      holdS: maybe(numbersOf(DOSE_LIMITS.holdS)),
    }),
    { minLength: 1, maxLength: MOST_SET_GROUPS },
  ),
);
const anyLoad = fc
  .record(
    Object.fromEntries(OWN_LOAD_NAMES.map((name) => [name, maybe(numbersOf(OWN_LOADS[name].limit))])) as Record<
      string,
      fc.Arbitrary<number | undefined>
    >,
  )
  .map((load) => Object.fromEntries(Object.entries(load).filter(([, value]) => value !== undefined)))
  .map((load) => Object.fromEntries(Object.entries(load).map(([name, value]) => [name, Number(value!.toFixed(2))])));

/** Parts that lie beside today's amount and effort. */
const anyBeside = fc.record({
  goal: maybe(fc.integer({ min: 1, max: 60 })),
  rightAmount: maybe(fc.integer({ min: 1, max: 60 })),
  effortToPercent: maybe(numbersOf(DOSE_LIMITS.effortPercent)),
  sore: maybe(fc.record({ effortPercent: fc.integer({ min: 1, max: 40 }), effortToPercent: fc.integer({ min: 41, max: 100 }) })),
  faster: maybe(
    fc.oneof(
      numbersOf(DOSE_LIMITS.fasterPercent).map((percent) => ({ kind: 'percent' as const, percent })),
      numbersOf(DOSE_LIMITS.fasterS).map((seconds) => ({ kind: 'seconds' as const, seconds })),
    ),
  ),
  oneHandFirst: fc.constantFrom(undefined, true as const),
  positions: maybe(fc.subarray(['index', 'middle', 'palm up', 'thumb up'], { minLength: 1 })),
});
/** What is said of them, without what is not. */
const defined = <T extends object>(record: T) =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as { [K in keyof T]: Exclude<T[K], undefined> };

/** Any dose that the limits allow. */
const anyDose: fc.Arbitrary<Dose> = fc
  .record({
    groups: anySets,
    beside: anyBeside,
    load: maybe(anyLoad),
    pauseS: maybe(numbersOf(DOSE_LIMITS.pauseS)),
    sides: fc.constantFrom(...SIDE_PLANS),
    directions: fc.constantFrom(...DIRECTION_PLANS),
    effortPercent: fc.option(numbersOf(DOSE_LIMITS.effortPercent), { nil: undefined }),
    holdS: fc.option(numbersOf(DOSE_LIMITS.holdS), { nil: undefined }),
    tempo: fc.option(fc.record({ outS: numbersOf(DOSE_LIMITS.tempoS), backS: numbersOf(DOSE_LIMITS.tempoS) }), {
      nil: undefined,
    }),
    restS: numbersOf(DOSE_LIMITS.restS),
  })
  .map(({ effortPercent, holdS, tempo, pauseS, load, groups, beside, ...rest }): Dose => {
    const [first, ...then] = groups.map((group) => defined(group)) as [SetGroup, ...SetGroup[]];
    const { rightAmount, oneHandFirst, ...more } = defined(beside);
    const inTurn = hasHandsInTurn(rest.sides);
    return {
      ...rest,
      ...more,
      ...first,
      ...(then.length > 0 && { then }),
      ...(inTurn && rightAmount !== undefined && then.length === 0 && { rightAmount }),
      ...(inTurn && oneHandFirst && { oneHandFirst }),
      ...(pauseS !== undefined && { pauseS }),
      ...(load && Object.keys(load).length > 0 && { load }),
      ...(effortPercent !== undefined && { effortPercent }),
      ...(holdS !== undefined && first.holdS === undefined && { holdS }),
      ...(tempo && { tempo }),
    };
  })
  .filter((dose) => checkDose(dose).length === 0);

describe('dose shorthand', () => {
  test('reads ranges, goals, sore days, an amount for each hand, faster sets and single positions', () => {
    expect(parseDose('3x8-12 @30-40% sore@20-30% goal15 L,R')).toMatchObject({
      work: { kind: 'repetitions', count: 8, upTo: 12 },
      effortPercent: 30,
      effortToPercent: 40,
      sore: { effortPercent: 20, effortToPercent: 30 },
      goal: 15,
    });
    expect(parseDose('1x30s R60s')).toMatchObject({ work: { seconds: 30 }, rightAmount: 60, sides: 'left-then-right' });
    expect(parseDose('1x30s L1:00')).toMatchObject({ work: { seconds: 60 }, rightAmount: 30 });
    expect(parseDose('2x8 LL,RR faster0.5s')).toMatchObject({ oneHandFirst: true, faster: { kind: 'seconds', seconds: 0.5 } });
    expect(parseDose('1x5(6s),1x5(8s)')).toMatchObject({ holdS: 6, then: [{ sets: 1, holdS: 8 }] });
    expect(parseDose('1x10 only:index+ring').positions).toEqual(['index', 'ring']);
    expect(parseDose('2 x 20 – 30 s').work).toEqual({ kind: 'time', seconds: 20, upTo: 30 });
  });

  test.each([
    ['3x12-8', 'lower number first'],
    ['2x30s goal12br', 'counts something else'],
    ['1x30s R60s L/R', 'one hand after the other'],
    ['3x8 @40-30%', 'lower number first'],
    ['1xmax20-30', 'not a range'],
  ])('%s is refused: %s', (text, why) => expect(() => parseDose(text)).toThrow(why));

  test('what is typed over a range, a goal and two amounts takes their place where it must', () => {
    const before = parseDose('1x15s goal30s R20s @30-40% L,R');
    expect(printDose(retypeDose('1x20s', before))).toBe('1x20s goal30s @30-40% L,R');
    expect(printDose(retypeDose('1x30s', before))).toBe('1x30s @30-40% L,R');
    expect(printDose(retypeDose('1x15s @50%', before))).toBe('1x15s goal30s @50% L,R');
    expect(printDose(retypeDose('2x8 rest20', parseDose('2x8 LL,RR')))).toBe('2x8 rest20 LL,RR');
    expect(printDose(retypeDose('2x8 R,L', parseDose('2x8 LL,RR')))).toBe('2x8 R,L');
  });

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

  test.each([
    ['3x40m', { work: { kind: 'distance', metres: 40 } }],
    ['2x10,1xmax', { sets: 2, then: [{ sets: 1, work: { kind: 'repetitions', count: 20, open: 'form' } }] }],
    ['2x40m,1xmax', { then: [{ sets: 1, work: { kind: 'distance', metres: 80, open: 'form' } }] }],
    ['2x30s,1xmax50s', { then: [{ sets: 1, work: { kind: 'time', seconds: 50, open: 'form' } }] }],
    ['5x6s,5x8s', { sets: 5, then: [{ sets: 5, work: { kind: 'time', seconds: 8 } }] }],
    ['1xmax', { work: { kind: 'repetitions', count: 20, open: 'form' } }],
    ['1xease90s', { work: { kind: 'time', seconds: 90, open: 'ease' } }],
    ['1xease12br', { work: { kind: 'breaths', count: 12, open: 'ease' } }],
    ['3x8 pause2', { pauseS: 2 }],
    ['1x3 @40% tempo5-5', { effortPercent: 40, tempo: { outS: 5, backS: 5 } }],
    ['3x8 12kg', { load: { massKg: 12 } }],
    ['3x8 spring12.5kg', { load: { springKg: 12.5 } }],
    ['1x100 band1.5kg', { load: { bandKg: 1.5 } }],
    ['5x10s edge20 rest60', { load: { edgeMm: 20 } }],
    ['2x20s handle50', { load: { handleMm: 50 } }],
    ['2x6 wedge15 hands0.48m away0.9m', { load: { wedgeDeg: 15, handHeightM: 0.48, awayM: 0.9 } }],
  ])('%s is read, and printed as it was typed', (text, parts) => {
    expect(parseDose(text)).toMatchObject(parts);
    expect(printDose(parseDose(text))).toBe(text);
  });

  test('the effort may come first', () => {
    expect(parseDose('@40% 1x3 tempo5-5')).toEqual(parseDose('1x3 @40% tempo5-5'));
  });

  test('blanks and capitals within new parts leave no doubt either', () => {
    expect(parseDose('2 x 10 , 1 x MAX  12 kg  hands 0,48 m  pause 2')).toEqual(parseDose('2x10,1xmax 12kg hands0.48m pause2'));
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
    ['often', 'Give sets and amount'],
    ['3x8 quickly', 'Can’t read “quickly” in a dose'],
    ['0x8', 'Sets must be within 1–20'],
    ['3x500', 'Repetitions must be within 1–200'],
    ['3x8 @140%', 'Effort must be within 1–100 %, not 140'],
    ['3x8 rest2000', 'Rest must be within 0–900 s, not 2000'],
    ['3x8 rest20 rest30', '“rest30” repeats what “rest20” already says'],
    ['3x8 2s tempo1-4-2', 'both give the hold'],
    ['3x5br tempo1-2', 'tempo only works with repetitions'],
    ['2x30s L/R', 'Alternating hands swap with each repetition'],
    ['3x8 2.3s', 'steps of 0.5 s, not 2.3'],
    ['1xease', 'needs a maximum, for example ease90s'],
    ['1xease20', '“Until it eases” needs seconds or breaths'],
    ['1x40000m', 'Metres must be within 1–1000 m, not 40000'],
    ['2x10,1x30s', 'Count all sets of a block the same way, in repetitions'],
    ['15x10,15x8', 'All sets together come to 30. The maximum is 20.'],
    ['3x5br pause2', 'A pause between repetitions only works with repetitions'],
    ['3x8 12kg 14kg', '“14kg” repeats what “12kg” already says'],
    ['3x8 900kg', 'Weight must be within 0–200 kg, not 900'],
    ['3x8 wedge60', 'Wedge must be within 0–45 °, not 60'],
  ])('“%s” is refused with what would be right', (text, words) => {
    expect(() => parseDose(text)).toThrow(ShorthandError);
    expect(() => parseDose(text)).toThrow(words);
  });
});

test.each([
  ['3x8 quickly', 'quickly', 4],
  ['  3x8   rest20 rest30', 'rest30', 15],
  ['2x10, 1xtwice', '1xtwice', 6],
  ['2x10, 1xease', '1xease', 6],
  ['3x8 12kg  2s tempo1-4-2', 'tempo1-4-2', 13],
])('“%s” is wrong at “%s”, which begins at character %s', (text, part, at) => {
  try {
    parseDose(text);
    throw new Error('It was read.');
  } catch (error) {
    expect(error).toMatchObject({ name: 'ShorthandError', part, at });
    expect(text.slice(at, at + part.length)).toBe(part);
  }
});

test('an open set without a ceiling says so, wherever it comes from', () => {
  const open = { ...parseDose('1x8'), work: { kind: 'repetitions', open: 'form' } } as unknown as Dose;
  expect(checkDose(open)[0]).toMatchObject({ pointer: '/work/count' });
  expect(checkDose(open)[0]?.message).toContain('An open-ended set needs a maximum');
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
    ['3x8 12kg edge20', '3x10', '3x10 12kg edge20', 'the load stays'],
    ['3x8 12kg edge20', '3x8 14kg', '3x8 14kg edge20', 'one weight takes the place of the other'],
    ['3x8 12kg handle50', '3x8 @40%', '3x8 @40% handle50', 'an effort takes the place of the weight that it finds'],
    ['3x8 @40%', '3x8 12kg', '3x8 12kg', 'and the weight of the effort'],
    ['2x10,1xmax rest60', '3x8', '3x8 rest60', 'other sets take the place of all of them'],
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
    expect(() => retypeDose('3x12 hard', parseDose('2x8'))).toThrow('Can’t read “hard” in a dose');
    expect(() => retypeDose('99x8', parseDose('2x8'))).toThrow(ShorthandError);
    expect(() => retypeDose('', parseDose('2x8'))).toThrow('Type a dose');
  });
});

test('pounds are read as kilograms, whatever the coach reads them in', () => {
  expect(printDose(parseDose('3x8 26lb'))).toBe('3x8 11.79kg');
  expect(printDose(parseDose('3x8 spring 30 lbs'))).toBe('3x8 spring13.61kg');
  expect(parseDose(printDose(parseDose('2x10 band5lb')))).toEqual(parseDose('2x10 band5lb'));
  expect(() => parseDose('3x8 900lb')).toThrow(/0–200 kg/);
});

test('a sore day asks for no more than any other', () => {
  expect(checkDose({ ...parseDose('3x8 @30-40% L,R'), sore: { effortPercent: 30, effortToPercent: 50 } })[0]).toMatchObject({
    pointer: '/sore',
  });
  expect(checkDose(parseDose('3x8 @30-40% sore@20-35% L,R'))).toEqual([]);
});
