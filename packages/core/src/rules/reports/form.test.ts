import { describe, expect, test } from '@jest/globals';
import { LIBRARY } from '../../library/index.js';
import type { FormTick } from '../../model/session.js';
import { FORM } from '../../vocabulary/form-faults.js';
import { itemAt } from '../../vocabulary/lists.js';
import { faultsToWatch, formFaultsOf, formWords } from './form.js';

const KNUCKLE = 'Index knuckle lifts';
const tick = (minute: number, change: Partial<FormTick> = {}): FormTick => ({
  ...{ blockId: 'b1', hand: 'left', fault: KNUCKLE, seen: true },
  at: `2026-06-10T10:0${minute}:00.000Z`,
  ...change,
});

describe('faults that stand', () => {
  test('the latest tick of a fault counts, in whatever order they arrive', () => {
    const ticks = [tick(3, { seen: false }), tick(1), tick(2, { fault: 'Held breath' })];
    expect(formFaultsOf(ticks, 'b1', 'left')).toEqual(['Held breath']);
    expect(formFaultsOf([...ticks, tick(4)], 'b1', 'left')).toEqual([KNUCKLE, 'Held breath']);
  });

  test('of one hand and one block only', () => {
    const ticks = [tick(1), tick(2, { hand: 'right', fault: 'Racing' }), tick(3, { blockId: 'b2', fault: 'Racing' })];
    expect(formFaultsOf(ticks, 'b1', 'left')).toEqual([KNUCKLE]);
    expect(formFaultsOf(ticks, 'b2', 'right')).toEqual([]);
  });
});

describe('what is looked for', () => {
  test('breath and pace in every movement of the library, each fault once', () => {
    for (const movement of LIBRARY) {
      const watched = faultsToWatch(movement, itemAt(movement.ladder, 0));
      expect(watched).toEqual(expect.arrayContaining(['Held breath', 'Racing']));
      expect(new Set(watched).size).toBe(watched.length);
      expect(watched.slice(0, movement.faults.length)).toEqual(movement.faults);
    }
  });

  test('the set-up of a palm that bears, and of nothing else', () => {
    const [own, everywhere] = [['The wrist folds'], ['Held breath', 'Racing']];
    expect(faultsToWatch({ faults: own }, { contact: 'fist' })).toEqual([...own, ...everywhere]);
    expect(faultsToWatch({ faults: own }, { contact: 'open palm' })).toEqual(
      expect.arrayContaining([...own, ...everywhere, ...Object.values(FORM)]),
    );
  });

  test('faults read as a line', () => expect(formWords([KNUCKLE, 'Held breath'])).toBe('index knuckle lifts, held breath'));
});
