import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { oneSetLess } from './dose.js';
import { parseDose, printDose } from './dose-shorthand.js';
import { withEffortSet, withOwnSet } from './effort-or-load.js';
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
