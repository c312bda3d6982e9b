import { describe, expect, test } from '@jest/globals';
import { parseDose } from './dose-shorthand.js';
import { applyEdits, freshBlockId } from './edits.js';
import { type Block, type Sequence, USUAL_PACING } from './sequence.js';
import type { Phase } from '../vocabulary/phases.js';

const block = (id: string, phase: Phase): Block => ({ id, phase, movementId: 'm', levelId: 'l', dose: parseDose('8') });
const base: Sequence = {
  title: 'T',
  purpose: '',
  budgetMin: 10,
  pacing: USUAL_PACING,
  blocks: [block('a', 'prepare'), block('b', 'load'), block('c', 'load'), block('d', 'settle')],
};
const order = (...edits: Parameters<typeof applyEdits>[1]) =>
  applyEdits(base, edits)
    .blocks.map(({ id }) => id)
    .join('');

describe('edits', () => {
  test('move before a block, to the end of a phase, into another phase', () => {
    expect(order({ kind: 'move', blockId: 'c', phase: 'load', before: 'b' })).toBe('acbd');
    expect(order({ kind: 'move', blockId: 'b', phase: 'load', before: null })).toBe('acbd');
    expect(order({ kind: 'move', blockId: 'd', phase: 'prepare', before: 'a' })).toBe('dabc');
  });

  test('add where it is said; a phase keeps its place whatever the neighbour', () => {
    expect(order({ kind: 'add', block: block('x', 'load'), before: 'c' })).toBe('abxcd');
    expect(order({ kind: 'add', block: block('x', 'prepare'), before: null })).toBe('axbcd');
    expect(order({ kind: 'add', block: block('x', 'prepare'), before: 'c' })).toBe('axbcd');
  });

  test('remove, change and budget; a block that is not there is no error', () => {
    expect(order({ kind: 'remove', blockId: 'b' })).toBe('acd');
    expect(order({ kind: 'remove', blockId: 'nobody' }, { kind: 'move', blockId: 'nobody', phase: 'load', before: null })).toBe('abcd');
    const dose = parseDose('3x8');
    const changed = applyEdits(base, [
      { kind: 'change', blockId: 'b', dose },
      { kind: 'budget', budgetMin: 12 },
    ]);
    expect(changed.blocks[1]).toEqual({ ...base.blocks[1], dose });
    expect(changed.budgetMin).toBe(12);
    expect(base.budgetMin).toBe(10);
  });

  test('fresh ids are free, and the same each time', () => {
    const taken = { ...base, blocks: [block('m-1', 'load')] };
    expect(freshBlockId(taken, 'm')).toBe('m-2');
    expect(freshBlockId(base, 'm')).toBe('m-1');
  });
});
