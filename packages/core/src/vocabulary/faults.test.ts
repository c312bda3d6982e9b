import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { publishedSchema } from '../exchange/published-schema.js';
import { DOSE, DOSE_LIMITS } from '../model/dose.js';
import { SEQUENCE, USUAL_PACING } from '../model/sequence.js';
import { MOST_FAULTS, faultsOf, isWhole } from './faults.js';
import { sentence } from './fault.js';
import { SIDE_PLANS } from './hands.js';
import type { Limit } from './limit.js';
import { day, instant, kind, kinds, list, oneOf, optional, orNull, orWord, record, text, bounded } from './schema.js';
import { DIRECTION_PLANS } from './work.js';
import { runs } from '../properties.fixture.js';

const FRUIT = record({
  name: text(5, 1, 'Name'),
  size: bounded({ min: 1, max: 9, step: 0.5, unit: 'cm' }, 'Size'),
  kept: optional(orNull(day())),
  seeds: kinds([record({ kind: kind('stone') }), record({ kind: kind('pips'), count: oneOf([1, 2]) })], 'its seeds'),
  tilt: orWord(bounded({ min: 0, max: 90, step: 1, unit: '°' }), 'flat'),
  colours: list(oneOf(['red', 'green']), { max: 2, unique: true }),
});
const PEAR = { name: 'Pear', size: 7.5, kept: null, seeds: { kind: 'pips', count: 2 }, tilt: 'flat', colours: [] };
const messagesFor = (change: object) => faultsOf(FRUIT, { ...PEAR, ...change }).map(({ pointer, message }) => `${pointer} ${message}`);

describe('what is wrong with a value, in words', () => {
  test.each<[object, string[]]>([
    [{}, []],
    [{ name: '   ' }, ['/name must not be empty']],
    [{ name: 'Quince' }, ['/name must have at most 5 characters']],
    [{ name: 4 }, ['/name must be text']],
    [{ name: 'a\uDC00' }, ['/name must be text in whole characters']],
    [{ size: 12 }, ['/size must be within 1–9 cm, not 12']],
    [{ size: 2.3 }, ['/size must be in steps of 0.5 cm, not 2.3']],
    [{ size: 'big' }, ['/size must be a number within 1–9 cm']],
    [{ size: NaN }, ['/size must be a number within 1–9 cm']],
    [{ kept: '2026-02-30' }, ['/kept must be a day of the calendar like 2026-05-31']],
    [{ seeds: { kind: 'pips', count: 3 } }, ['/seeds/count must be one of 1, 2']],
    [{ seeds: { kind: 'stone', count: 1 } }, ['/seeds/count is not a known field: remove it or check its spelling']],
    [{ seeds: { kind: 'none' } }, ['/seeds/kind must be one of stone, pips']],
    [{ seeds: { kind: '__proto__' } }, ['/seeds/kind must be one of stone, pips']],
    [{ seeds: [] }, ['/seeds must be its seeds']],
    [{ tilt: 'skewed' }, ['/tilt must be a number within 0–90 °']],
    [{ colours: ['red', 'red'] }, ['/colours must not name anything twice']],
    [{ colours: ['blue'] }, ['/colours/0 must be one of red, green']],
    [{ colours: 'red' }, ['/colours must be a list']],
    [{ smell: 1 }, ['/smell is not a known field: remove it or check its spelling']],
  ])('%j', (change, expected) => expect(messagesFor(change)).toEqual(expected));

  test('what is missing is named, and what it would have to be', () => {
    const { size: _size, ...unsized } = PEAR;
    expect(faultsOf(FRUIT, unsized)).toEqual([
      { pointer: '/size', message: 'is missing: it must be a number within 1–9 cm', label: 'Size' },
    ]);
    for (const nothing of [null, undefined, [], 'pear', 3])
      expect(faultsOf(FRUIT, nothing)).toEqual([{ pointer: '', message: 'must be an object' }]);
  });

  test('a fault is a sentence away from its field', () => {
    const [fault] = faultsOf(FRUIT, { ...PEAR, size: 12 });
    expect(sentence(fault!)).toBe('Size must be within 1–9 cm, not 12.');
    expect(sentence({ pointer: '/x', message: 'must be red' })).toBe('Must be red.');
  });

  test('of a hundred thousand unknown fields a few are told, at once', () => {
    const many = Object.fromEntries(Array.from({ length: 100_000 }, (_, index) => [`x${index}`, 1]));
    const start = performance.now();
    expect(faultsOf(FRUIT, many)).toHaveLength(MOST_FAULTS);
    expect(performance.now() - start).toBeLessThan(500);
  });

  test.each([
    ['2026-02-28T23:59:59.999Z', true],
    ['2026-02-30T00:00:00.000Z', false],
    ['2026-13-01T00:00:00.000Z', false],
    ['2026-01-01T24:00:00.000Z', false],
    ['2026-01-01T00:00:00Z', false],
    ['9999-01-01T00:00:00.000Z', false],
  ])('%s as an instant: %s', (value, isOne) => expect(faultsOf(instant(), value).length === 0).toBe(isOne));

  test('half a pair is no whole text, wherever it stands', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (sound) => {
        expect(isWhole(sound)).toBe(true);
        expect([isWhole(`${sound}\uD83D`), isWhole(`\uDE00${sound}`)]).toEqual([false, false]);
      }),
    );
  });
});

describe('the check and the published schema', () => {
  const validate = new Ajv({ discriminator: true, strict: false, logger: false }).compile(publishedSchema(SEQUENCE));
  const around = ({ min, max, step }: Limit) => fc.constantFrom(min - step, min, min + step, max - step, max, max + step);
  const some = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
  const anyDose = fc.record({
    sets: around(DOSE_LIMITS.sets),
    work: fc.oneof(
      around(DOSE_LIMITS.repetitions).map((count) => ({ kind: 'repetitions', count })),
      around(DOSE_LIMITS.seconds).map((seconds) => ({ kind: 'time', seconds })),
      around(DOSE_LIMITS.breaths).map((count) => ({ kind: 'breaths', count })),
    ),
    sides: fc.constantFrom(...SIDE_PLANS, 'neither'),
    directions: fc.constantFrom(...DIRECTION_PLANS),
    effortPercent: some(around(DOSE_LIMITS.effortPercent)),
    tempo: some(fc.record({ outS: around(DOSE_LIMITS.tempoS), backS: around(DOSE_LIMITS.tempoS) })),
    restS: around(DOSE_LIMITS.restS),
  });

  test('take and refuse the same documents, around every limit', () => {
    fc.assert(
      fc.property(anyDose, (given) => {
        const dose = JSON.parse(JSON.stringify(given)) as object;
        const block = { id: 'b', phase: 'load', movementId: 'm', levelId: 'l', dose };
        const document = { title: 'any', purpose: '', budgetMin: 20, pacing: USUAL_PACING, blocks: [block] };
        expect(validate(document)).toBe(faultsOf(SEQUENCE, document).length === 0);
        expect(faultsOf(SEQUENCE, document).map(({ pointer }) => pointer)).toEqual(
          faultsOf(DOSE, dose).map(({ pointer }) => `/blocks/0/dose${pointer}`),
        );
      }),
      runs(300),
    );
  });
});
