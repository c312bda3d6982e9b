import { describe, expect, test } from '@jest/globals';
import { compareSequences } from './compare-sequences.js';
import { parseDose } from './dose-shorthand.js';
import { type Block, inPhaseOrder, type Sequence, USUAL_PACING } from './sequence.js';

const block = (id: string, text = '3x8', more: Partial<Block> = {}): Block => ({
  id,
  phase: 'load',
  movementId: `m-${id}`,
  levelId: 'one',
  dose: parseDose(text),
  ...more,
});
const base: Sequence = {
  title: 'Base',
  purpose: '',
  budgetMin: 20,
  pacing: USUAL_PACING,
  blocks: [block('a'), block('b'), block('c')],
};
const changes = (to: Partial<Sequence>) =>
  compareSequences(base, { ...base, ...to }, ({ movementId, levelId }) => `${movementId} ${levelId}`).map(
    ({ text }) => text,
  );

describe('comparing two versions', () => {
  test('nothing changed says nothing', () => {
    expect(changes({ blocks: base.blocks.map((same) => ({ ...same })) })).toEqual([]);
  });

  test.each<[string, Partial<Sequence>, string[]]>([
    ['a title', { title: 'New' }, ['Title: “Base” → “New”']],
    ['the minutes', { budgetMin: 25 }, ['Minutes: 20 → 25']],
    ['a dose', { blocks: [block('a', '4x8'), block('b'), block('c')] }, ['m-a one: 3x8 → 4x8']],
    [
      'a level',
      { blocks: [block('a', '3x8', { levelId: 'two' }), block('b'), block('c')] },
      ['Level: m-a one → m-a two'],
    ],
    ['a removed block', { blocks: [block('a'), block('c')] }, ['Removed: m-b one']],
    ['an added block', { blocks: [block('a'), block('x'), block('b'), block('c')] }, ['Added: m-x one, 3x8']],
    ['the order', { blocks: [block('b'), block('a'), block('c')] }, ['Order of blocks changed']],
    ['the pace', { pacing: { ...USUAL_PACING, announceS: 9 } }, ['Pacing changed']],
  ])('names %s, and only that', (_what, to, texts) => {
    expect(changes(to)).toEqual(texts);
  });
});

test('blocks come in the order of phases, and in their own order within one', () => {
  const mixed = [
    block('a', '8', { phase: 'settle' }),
    block('b', '8'),
    block('c', '8', { phase: 'prepare' }),
    block('d', '8'),
  ];
  expect(inPhaseOrder(mixed).map(({ id }) => id)).toEqual(['c', 'b', 'd', 'a']);
});
