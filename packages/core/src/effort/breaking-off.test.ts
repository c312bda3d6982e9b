import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { keepsAtIt } from './breaking-off.js';

const blocks = (whole: number, broken: number, chance = 0.99) => [
  ...Array.from({ length: whole }, () => ({ chance, isWhole: true })),
  ...Array.from({ length: broken }, () => ({ chance, isWhole: false })),
];

test('without any blocks it is what is usual; many of their own outweigh it', () => {
  expect(keepsAtIt([])).toBeCloseTo(0.95, 9);
  expect(keepsAtIt(blocks(160, 40))).toBeCloseTo(0.8, 1);
  expect(keepsAtIt(blocks(0, 1))).toBeGreaterThan(0.85);
});

test('what strength may have ended says nothing of other reasons', () => {
  expect(keepsAtIt(blocks(0, 30, 0.5))).toBe(keepsAtIt([]));
});

test('it lies between nothing and all, and every whole block raises it', () => {
  fc.assert(
    fc.property(fc.nat(300), fc.nat(300), (whole, broken) => {
      const now = keepsAtIt(blocks(whole, broken));
      expect(now).toBeGreaterThan(0);
      expect(now).toBeLessThanOrEqual(1);
      expect(keepsAtIt(blocks(whole + 1, broken))).toBeGreaterThan(now);
    }),
  );
});
