import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { compareSequences } from './compare-sequences.js';
import { pairBlocks } from './pair-blocks.js';
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
  compareSequences(base, { ...base, ...to }, ({ movementId, levelId }) => `${movementId} ${levelId}`).map(({ text }) => sentenceText(text));

describe('comparing two versions', () => {
  test('nothing changed says nothing', () => {
    expect(changes({ blocks: base.blocks.map((same) => ({ ...same })) })).toEqual([]);
  });

  test.each<[string, Partial<Sequence>, string[]]>([
    ['a title', { title: 'New' }, ['Title: “Base” → “New”']],
    ['the time available', { budgetMin: 25 }, ['Minutes: 20 → 25']],
    ['a dose', { blocks: [block('a', '4x8'), block('b'), block('c')] }, ['m-a one: 3 sets of 8 → 4 sets of 8']],
    ['a level', { blocks: [block('a', '3x8', { levelId: 'two' }), block('b'), block('c')] }, ['Level: m-a one → m-a two']],
    ['a removed block', { blocks: [block('a'), block('c')] }, ['Removed: m-b one, 3 sets of 8']],
    ['an added block', { blocks: [block('a'), block('x'), block('b'), block('c')] }, ['Added: m-x one, 3 sets of 8']],
    ['the order', { blocks: [block('b'), block('a'), block('c')] }, ['Order of blocks changed']],
    ['the pace', { pacing: { ...USUAL_PACING, announceS: 9 } }, ['Pacing changed']],
  ])('names %s, and only that', (_what, to, texts) => {
    expect(changes(to)).toEqual(texts);
  });
});

describe('comparing two sequences of their own', () => {
  const differ = (blocks: readonly Block[]) =>
    compareSequences(base, { ...base, blocks }, ({ movementId }) => movementId, false).map(({ text }) => sentenceText(text));

  test('the very same block is the same, whatever its id', () => {
    const renamed = base.blocks.map((each, index) => ({ ...each, id: `other-${index}` }));
    expect(differ(renamed)).toEqual([]);
  });

  test('an id that happens to be the same says nothing: another movement is added, not a level', () => {
    const blocks = [block('a'), { ...block('x'), id: 'b' }, { ...block('b'), id: 'z' }, block('c')];
    expect(differ(blocks)).toEqual(['Added: m-x, 3 sets of 8']);
  });

  test('of the same movement twice each has its own, the very same first', () => {
    const twice = [block('a', '2x5'), block('b'), { ...block('a'), id: 'a2' }, block('c')];
    expect(differ(twice)).toEqual(['Added: m-a, 2 sets of 5', 'Order of blocks changed']);
  });

  test('what is only in one stands after what it followed', () => {
    const pairs = pairBlocks(base, { ...base, blocks: [block('a'), block('x'), block('c')] }, false);
    expect(pairs.map(({ from, to }) => [from?.id ?? null, to?.id ?? null])).toEqual([
      ['a', 'a'],
      ['b', null],
      [null, 'x'],
      ['c', 'c'],
    ]);
  });
});

test('blocks come in the order of phases, and in their own order within one', () => {
  const mixed = [block('a', '8', { phase: 'settle' }), block('b', '8'), block('c', '8', { phase: 'prepare' }), block('d', '8')];
  expect(inPhaseOrder(mixed).map(({ id }) => id)).toEqual(['c', 'b', 'd', 'a']);
});
