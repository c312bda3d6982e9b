import { expect, test } from '@jest/globals';
import { reachOf } from './reach.js';
import { personOf } from '../mechanics/person.js';
import type { Reading } from '../model/reading.js';

const read = (kind: Reading['kind'], value: number): Reading => ({ kind, of: 'wrist extension', hand: 'left', value, onDay: '2026-06-01' });
const readings = [read('active range', 62), read('passive range', 84)];
const { person } = personOf(null, readings, '2026-06-10');
const left = (takenDeg: number) => reachOf(person, readings, { motion: 'wrist extension', hand: 'left', takenDeg });

test('gap and margin of a hand that was measured', () => {
  expect(left(79)).toEqual({
    activeDeg: 62,
    withHelpDeg: 84,
    source: 'measured',
    gapDeg: 22,
    isGapReal: true,
    marginDeg: 5,
    verdict: 'at the end',
    isBeyondActive: true,
  });
  expect(left(60)).toMatchObject({ marginDeg: 24, verdict: 'within', isBeyondActive: false });
  expect(left(95)).toMatchObject({ marginDeg: -11, verdict: 'past' });
  expect(left(0)).toMatchObject({ marginDeg: null, verdict: null, isBeyondActive: false });
});

test('of a hand that was not measured there is no gap, only an estimate', () => {
  const right = reachOf(person, readings, { motion: 'wrist extension', hand: 'right', takenDeg: 70 });
  expect(right).toMatchObject({ activeDeg: null, gapDeg: null, isGapReal: false, source: 'estimated' });
  expect(right.marginDeg).toBeCloseTo(right.withHelpDeg - 70, 9);
});
