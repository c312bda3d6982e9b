import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { oneSetLess, withAmounts } from './dose.js';
import { parseDose, printDose } from './dose-shorthand.js';
import { atEffort, withEffortSet, withOwnSet } from './effort-or-load.js';
import { thingsAfterBreak, thingsFor } from './to-fetch.js';
import { type Block, type Sequence, USUAL_PACING } from './sequence.js';

const curl = shippedMovement('weight.curl')!.ladder[0];
const press = shippedMovement('isometric.flexion')!.ladder[0];

describe('an effort and the weight that it would find', () => {
  test.each<[string, Parameters<typeof withOwnSet>[1], number | null, string]>([
    ['2x8 @40% L,R', 'massKg', 5, '2x8 5kg L,R'],
    ['2x8 5kg L,R', 'massKg', null, '2x8 L,R'],
    ['2x8 @40% L,R', 'handleMm', 50, '2x8 @40% handle50 L,R'],
    ['2x8 @40% edge20 L,R', 'edgeMm', null, '2x8 @40% L,R'],
    ['2x8 @40-50% sore@20% L,R', 'massKg', 5, '2x8 5kg L,R'],
    ['2x8 5kg edge20 L,R', 'springKg', 12, '2x8 5kg spring12kg edge20 L,R'],
  ])('%s with %s at %s is %s', (from, name, value, to) => {
    expect(printDose(withOwnSet(parseDose(from), name, value))).toBe(to);
  });

  test('an effort takes the weight’s place where it finds one, and only there', () => {
    expect(printDose(withEffortSet(parseDose('2x8 5kg edge20 L,R'), curl, 40))).toBe('2x8 @40% edge20 L,R');
    expect(printDose(withEffortSet(parseDose('2x8 5kg L,R'), press, 40))).toBe('2x8 @40% 5kg L,R');
    expect(printDose(withEffortSet(parseDose('2x8 @40% edge20 L,R'), curl, null))).toBe('2x8 edge20 L,R');
  });
});

describe('another effort', () => {
  test.each([
    ['2x8 @40-50% sore@20% L,R', 45, '2x8 @45-50% sore@20% L,R'],
    ['2x8 @40-50% sore@20% L,R', 30, '2x8 @30% sore@20% L,R'],
    ['2x8 @40-50% sore@20% L,R', 60, '2x8 @60% sore@20% L,R'],
    ['2x8 @40-50% sore@20% L,R', 20, '2x8 @20% L,R'],
    ['2x8 @40-50% sore@20-35% L,R', 30, '2x8 @30% sore@20% L,R'],
  ])('of %s at %s %% is %s: nothing above it is asked for', (from, percent, to) => {
    expect(printDose(atEffort(parseDose(from), percent))).toBe(to);
  });
});

describe('the amount of each hand', () => {
  test.each([
    ['1x30s R45s L,R', 20, '1x20s R30s L,R'],
    ['1x30s R45s L,R', 35, '1x35s R50s L,R'],
    ['1x8 R12 L,R', 7, '1x7 R10 L,R'],
    ['1x30s R45s L,R', 1500, '1x1500s R1800s L,R'],
  ])('of %s at %s is %s', (from, amount, to) => {
    expect(printDose(withAmounts(parseDose(from), () => amount))).toBe(to);
  });
});

describe('one set less', () => {
  test.each([
    ['3x8', '2x8'],
    ['1x8', null],
    ['2x10,1xmax15', '1x10,1xmax15'],
    ['1x10,1x8,1x6', '1x10,1x8'],
    ['1x10,1x8', '1x10'],
  ])('of %s is %s', (from, to) => {
    const less = oneSetLess(parseDose(from));
    expect(less && printDose(less)).toBe(to);
  });
});

describe('what is to be fetched', () => {
  const block = (id: string, movementId: string, dose: string, breakS?: number): Block => ({
    ...{ id, phase: 'load', movementId, levelId: shippedMovement(movementId)!.ladder[0].id, dose: parseDose(dose) },
    ...(breakS !== undefined && { breakS }),
  });
  const blocks = [
    block('a', 'rock.fist-rolls', '1x8'),
    block('b', 'grip.ball-squeeze', '1x8 L,R', 30),
    block('c', 'strength.palm-lift', '1x8 wedge10'),
    block('d', 'grip.gripper-close', '1x8 L,R', 30),
  ];
  const sequence: Sequence = { title: '', purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks };

  test('is named once, in the order in which it is needed; a wedge is a folded towel', () => {
    expect(thingsFor(blocks, shippedMovement)).toEqual(['mat', 'soft ball', 'table', 'towel', 'hand gripper']);
  });
  test('after a break, up to the next one: what is not there yet', () => {
    expect(thingsAfterBreak(sequence, 1, shippedMovement)).toEqual(['soft ball', 'table', 'towel']);
    expect(thingsAfterBreak(sequence, 3, shippedMovement)).toEqual(['hand gripper']);
  });
});
