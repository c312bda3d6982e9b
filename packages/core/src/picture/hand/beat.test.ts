import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { exampleNow, exampleOf, handNow } from './beat.js';

const example = (id: string, at = 0) => {
  const movement = shippedMovement(id)!;
  const level = movement.ladder[at]!;
  return { movement, level, work: exampleOf(movement, level) };
};

describe('the hand does what the count says', () => {
  test('out, hold and back of a repetition: from the start to the end and back, never backwards in between', () => {
    const { movement, level, work } = example('strength.palm-lift', 1);
    const [first] = work;
    const phases = Array.from({ length: 41 }, (_, i) => handNow(movement, level, first!, (i / 40) * first!.durationMs).beat.phase);
    expect(phases[0]).toBe(0);
    expect(phases.at(-1)).toBe(2);
    phases.forEach((phase, i) => expect(phase).toBeGreaterThanOrEqual(phases[i - 1] ?? 0));
    const outMs = first!.parts.find(({ name }) => name === 'out')!.durationMs;
    expect(handNow(movement, level, first!, outMs).beat.phase).toBeCloseTo(1, 6);
  });

  test('a hold is at its end all the while but for going in and coming out', () => {
    const { movement, level, work } = example('stretch.flexors', 1);
    const [hold] = work;
    expect(hold!.kind).toBe('hold');
    expect(handNow(movement, level, hold!, hold!.durationMs / 2).beat.phase).toBe(1);
    expect(handNow(movement, level, hold!, 0).beat.phase).toBe(0);
    expect(handNow(movement, level, hold!, hold!.durationMs).beat.phase).toBe(2);
  });

  test('each repetition gives the next finger its turn; the second direction runs the other way round', () => {
    const { movement, level, work } = example('free.finger-touches');
    const firstWay = work.filter(({ direction }) => direction === movement.directions![0]);
    expect(firstWay.map((event) => handNow(movement, level, event, 0).beat.turn)).toEqual([0, 1, 2, 3]);
    const other = { ...firstWay[0]!, direction: movement.directions![1] };
    expect(handNow(movement, level, other, 0).beat).toEqual({ phase: 2, turn: 3 });
  });

  test('the hand that works is the one that is named; both together are seen from the left', () => {
    const { movement, level, work } = example('stretch.flexors');
    expect(work.map(({ side }) => side)).toEqual(['left', 'right']);
    expect(work.map((event) => handNow(movement, level, event, 0).side)).toEqual(['left', 'right']);
  });

  test('an example goes on and on', () => {
    const { movement, level, work } = example('glide.hook');
    const lengthMs = work.reduce((sum, { durationMs }) => sum + durationMs, 0);
    expect(exampleNow(movement, level, work, 700)).toEqual(exampleNow(movement, level, work, 700 + 3 * lengthMs));
  });
});
