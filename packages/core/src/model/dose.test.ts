import { describe, expect, test } from '@jest/globals';
import { checkDose } from './check-dose.js';
import { amountOf, type Dose, DOSE_LIMITS, workOf } from './dose.js';
import { milliseconds } from '../timeline/timeline.js';
import { handsInTurn } from '../vocabulary/hands.js';

const plain: Dose = {
  sets: 3,
  work: { kind: 'repetitions', count: 8 },
  sides: 'together',
  directions: 'none',
  restS: 20,
};
const faults = (change: object) => checkDose({ ...plain, ...change } as Dose);

describe('limits of a dose', () => {
  test.each<[keyof typeof DOSE_LIMITS, string, (value: number) => object]>([
    ['sets', '/sets', (sets) => ({ sets })],
    ['repetitions', '/work/count', (count) => ({ work: { kind: 'repetitions', count } })],
    ['seconds', '/work/seconds', (seconds) => ({ work: { kind: 'time', seconds } })],
    ['breaths', '/work/count', (count) => ({ work: { kind: 'breaths', count } })],
    ['effortPercent', '/effortPercent', (effortPercent) => ({ effortPercent })],
    ['holdS', '/holdS', (holdS) => ({ holdS })],
    ['tempoS', '/tempo/outS', (outS) => ({ tempo: { outS, backS: 1 } })],
    ['tempoS', '/tempo/backS', (backS) => ({ tempo: { outS: 1, backS } })],
    ['restS', '/restS', (restS) => ({ restS })],
  ])('%s: both edges are allowed, a step beyond and half a step are not, nor is what is no number', (name, pointer, change) => {
    const { min, max, step } = DOSE_LIMITS[name];
    for (const value of [min, max, min + step]) expect(faults(change(value))).toEqual([]);
    for (const value of [min - step, max + step, min + step / 2, Number.NaN, Infinity]) {
      expect(faults(change(value)).map((fault) => fault.pointer)).toEqual([pointer]);
    }
    expect(faults(change('8' as never))[0]?.message).toContain('must be a number');
  });

  test.each<[string, object, string]>([
    ['an unknown kind of work', { work: { kind: 'miles', count: 2 } }, '/work/kind'],
    ['unknown sides', { sides: 'upper' }, '/sides'],
    ['unknown directions', { directions: 'up' }, '/directions'],
    ['a tempo of breaths', { work: workOf('breaths', 3), tempo: { outS: 1, backS: 1 } }, '/tempo'],
    ['a hold without repetitions', { work: workOf('breaths', 3), holdS: 2 }, '/holdS'],
    ['a range that falls', { work: workOf('repetitions', 12, { upTo: 8 }) }, '/work/upTo'],
    ['a range of an open set', { work: workOf('repetitions', 8, { open: 'form', upTo: 12 }) }, '/work/upTo'],
    ['an effort that falls', { effortPercent: 40, effortToPercent: 30 }, '/effortToPercent'],
    ['more for the right hand than breaths go', { work: workOf('breaths', 3), rightAmount: 90 }, '/rightAmount'],
    ['alternating without repetitions', { work: workOf('time', 30), sides: 'alternating' }, '/sides'],
  ])('%s', (_what, change, pointer) => {
    expect(faults(change).map((fault) => fault.pointer)).toEqual([pointer]);
  });

  test('an amount can be taken out and put back', () => {
    for (const kind of ['repetitions', 'time', 'breaths'] as const) expect(amountOf(workOf(kind, 7))).toBe(7);
  });
});

describe('hands and places', () => {
  test('plans name the hands in the order of work', () => {
    expect(handsInTurn('left-then-right')).toEqual(['left', 'right']);
    expect(handsInTurn('right-then-left')).toEqual(['right', 'left']);
    expect(handsInTurn('together')).toEqual(['both']);
    expect([handsInTurn('left'), handsInTurn('right')]).toEqual([['left'], ['right']]);
    expect(handsInTurn('alternating')).toEqual(['left', 'right']);
  });

  test('tenths of seconds become whole milliseconds', () => {
    expect([0.1, 0.2, 0.3, 1.1, 2.5].map(milliseconds)).toEqual([100, 200, 300, 1100, 2500]);
  });
});
