import { describe, expect, test } from '@jest/globals';
import { checkDose } from '../dose/check-dose.js';
import { parseDose, printDose } from '../dose/shorthand.js';
import { unusualInDose } from '../dose/usual-ranges.js';
import { checkFit } from '../sequence/check-sequence.js';
import { LIBRARY, shippedMovement } from './library/index.js';
import { FAMILIES, neighbourLevel, usualWay } from './movement.js';

const each = LIBRARY.map((movement) => [movement.id, movement] as const);

describe('the shipped library', () => {
  test('covers the families asked for, with at least 24 movements in them', () => {
    const asked = ['free-motion', 'assisted-stretches', 'planted-rocks', 'planted-strength', 'isometrics', 'grip'];
    for (const family of asked) expect(LIBRARY.some((movement) => movement.family === family)).toBe(true);
    expect(LIBRARY.filter((movement) => asked.includes(movement.family)).length).toBeGreaterThanOrEqual(24);
    expect(LIBRARY.every((movement) => movement.family in FAMILIES)).toBe(true);
  });

  test('ids and names are unique', () => {
    expect(new Set(LIBRARY.map(({ id }) => id)).size).toBe(LIBRARY.length);
    expect(new Set(LIBRARY.map(({ name }) => name)).size).toBe(LIBRARY.length);
    expect(shippedMovement(LIBRARY[0]!.id)).toBe(LIBRARY[0]);
    expect(shippedMovement('unknown')).toBeUndefined();
  });

  test.each(each)('%s is complete', (_id, movement) => {
    expect(movement.ladder.length).toBeGreaterThanOrEqual(2);
    expect(movement.ladder.length).toBeLessThanOrEqual(5);
    expect(new Set(movement.ladder.map(({ id }) => id)).size).toBe(movement.ladder.length);
    for (const list of [movement.howTo, movement.cues, movement.faults]) expect(list.length).toBeGreaterThan(0);
    if (movement.family !== 'settle') {
      expect(movement.cautions.length).toBeGreaterThan(0);
      expect(movement.trains.length).toBeGreaterThan(0);
    }
  });

  test.each(each)(
    '%s: each level’s usual dose is allowed, fits, is usual, and prints as it was written',
    (_id, movement) => {
      for (const level of movement.ladder) {
        expect(checkDose(level.dose)).toEqual([]);
        expect(checkFit(level.dose, movement)).toEqual([]);
        expect(unusualInDose(level.dose, level.dosing)).toEqual([]);
        if (level.dose.work.kind === 'repetitions') expect(level.dose.tempo).toBeDefined();
        expect(parseDose(printDose(level.dose), usualWay(movement))).toEqual(
          level.dose.sides === 'together' ? { ...level.dose, sides: movement.sides[0] } : level.dose,
        );
      }
    },
  );

  test.each(each)(
    '%s: planted levels bear on something, unplanted ones face nowhere in particular',
    (_id, movement) => {
      for (const level of movement.ladder) {
        if (level.loading === 'planted') {
          expect(level.contact).not.toBe('none');
          expect(level.facing).not.toBe('free');
        }
        if (level.loading === 'unloaded' && level.posture !== 'seated') expect(level.facing).toBe('free');
      }
    },
  );

  test('levels have neighbours up to the ends of the ladder', () => {
    const movement = LIBRARY[0]!;
    const [first, second] = movement.ladder;
    expect(neighbourLevel(movement, first.id, 1)).toBe(second);
    expect(neighbourLevel(movement, first.id, -1)).toBeUndefined();
    expect(neighbourLevel(movement, 'no such level', 1)).toBeUndefined();
  });

  test('a dose outside its customary range is named with the range and the reason', () => {
    const notes = unusualInDose(parseDose('2x50 @95% 3s'), 'grip-holds');
    expect(notes).toEqual([
      '50 repetitions is above the usual 3–12 repetitions for grip holds.',
      '95 % effort is above the usual 30–90 % effort for grip holds.',
      expect.stringContaining('form failure'),
    ]);
  });
});
