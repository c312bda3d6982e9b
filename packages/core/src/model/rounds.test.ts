import { expect, test } from '@jest/globals';
import { checkRounds, withRoundOver } from './rounds.js';
import { type Block, phaseRuns, type Sequence, USUAL_PACING } from './sequence.js';

const block = (id: string, phase: Block['phase']): Block => ({
  id,
  phase,
  movementId: 'strength.palm-lift',
  levelId: 'table',
  dose: { sets: 1, work: { kind: 'repetitions', count: 5 }, restS: 0, sides: 'together', directions: 'none' },
});
const twice: Sequence = {
  ...{ title: 'Twice', purpose: '', budgetMin: 10, pacing: USUAL_PACING },
  blocks: [block('a', 'prepare'), block('b', 'strength'), block('c', 'strength'), block('d', 'prepare'), block('e', 'strength')],
};

test('a phase that comes twice is shown twice, in the order of the blocks', () => {
  expect(phaseRuns(twice.blocks).map(({ phase, blocks }) => `${phase} ${blocks.map(({ id }) => id).join('')}`)).toEqual([
    'prepare a',
    'strength bc',
    'prepare d',
    'strength e',
  ]);
});

test.each([
  ['b', 'e', ['b', 'c']],
  ['e', 'b', ['e']],
  ['c', 'b', ['b', 'c']],
  ['a', 'd', ['a']],
])('a round from %s to %s takes neighbours only, and can be led', (from, to, blockIds) => {
  const grouped = withRoundOver(twice, from, to, 'r');
  expect(grouped.rounds?.[0]?.blockIds).toEqual(blockIds);
  expect(checkRounds(grouped)).toEqual([]);
});
