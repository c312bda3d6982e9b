import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { viewOf } from '../effort/session-view.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import { type Block, inPhaseOrder, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { ask, GOOD, person, write } from '../rules/checks/sessions.fixture.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { PHASES } from '../vocabulary/phases.js';
import { sessionLoad } from './session-load.js';
import { runs } from '../properties.fixture.js';

const anyBlock = fc
  .tuple(fc.nat(LIBRARY.length - 1), fc.nat(20), fc.constantFrom(...PHASES))
  .map(([at, levelIndex, phase]): Omit<Block, 'id'> => {
    const movement = LIBRARY[at]!;
    const level = movement.ladder[levelIndex % movement.ladder.length]!;
    return { phase, movementId: movement.id, levelId: level.id, dose: level.dose };
  });
const anySequence = fc.array(anyBlock, { minLength: 1, maxLength: 8 }).chain((some) => {
  const blocks = inPhaseOrder(some.map((block, index) => ({ ...block, id: `b${index}` })));
  const rounds = [{ id: 'r', blockIds: blocks.slice(0, 2).map(({ id }) => id), times: 3, restS: 45 }];
  const sequence: Sequence = { title: 'Any', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks };
  const together = blocks.slice(0, 2).every(({ phase }) => phase === blocks[0]!.phase);
  return fc.constantFrom(sequence, together ? { ...sequence, rounds } : sequence);
});

describe('what a planned session comes to', () => {
  test('is, piece by piece, what its whole timeline comes to: length, doses, hands and hard work', () => {
    fc.assert(
      fc.property(anySequence, (sequence) => {
        const load = sessionLoad(person, sequence, shippedMovement);
        expect(load.durationMs).toBe(compileTimeline(sequence, shippedMovement).durationMs);
        const view = viewOf(ask(sequence, { method: METHODS['floor-loading'] }));
        for (const [key, dose] of view.account.doses) expect(load.doses[key] ?? 0).toBeCloseTo(dose, 9);
        expect(load.hands.left.impulseNs).toBeCloseTo(view.account.hands.left.impulseNs, 6);
        expect(load.hands.right.underLoadS).toBeCloseTo(view.account.hands.right.underLoadS, 6);
      }),
      runs(60),
    );
  });

  test('nothing takes no time', () => {
    expect(sessionLoad(person, write([]), shippedMovement)).toMatchObject({ durationMs: 0, doses: {}, hard: [] });
  });

  test('a block that stays is not computed again, and one that changes is', () => {
    const before = write(GOOD);
    const first = sessionLoad(person, before, shippedMovement);
    const changed = {
      ...before,
      blocks: before.blocks.map((block) => (block.id === 'b11' ? { ...block, dose: { ...block.dose, sets: block.dose.sets + 2 } } : block)),
    };
    const after = sessionLoad(person, changed, shippedMovement);
    expect(after.doses['left finger flexors']).toBeGreaterThan(first.doses['left finger flexors']!);
    expect(after.doses['left wrist extensors']).toBe(first.doses['left wrist extensors']);
  });
});
