import { expect, test } from '@jest/globals';
import { addKept, bandPercentOf, useBands } from './bands.js';

test('pieces of a block add up; another session begins anew', () => {
  addKept('one', 'b1', { insideS: 4, triedS: 5, lost: ['Left, repetition 1, below'] });
  addKept('one', 'b1', { insideS: 5, triedS: 5, lost: [] });
  addKept('one', 'b2', { insideS: 0, triedS: 0, lost: [] });
  expect(bandPercentOf('one', 'b1')).toBe(90);
  expect(useBands.getState().bands['b1']!.lost).toEqual(['Left, repetition 1, below']);
  expect(bandPercentOf('one', 'b2')).toBeNull();
  expect(bandPercentOf('two', 'b1')).toBeNull();
  addKept('two', 'b1', { insideS: 1, triedS: 2, lost: [] });
  expect(bandPercentOf('two', 'b1')).toBe(50);
  expect(bandPercentOf('one', 'b1')).toBeNull();
});
