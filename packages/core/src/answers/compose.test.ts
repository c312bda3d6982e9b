import { expect, test } from '@jest/globals';
import { applyEdits, must, PLACES } from '../index.js';
import { METHODS } from '../library/index.js';
import { solver } from '../compose/composing.fixture.js';
import { type ComposeAnswer, composeWith, judgedWith } from './compose.js';
import { answerCompose, answerSwap } from './compose-in-thread.js';
import type { ComposeWork } from './compose-work.js';

const work: ComposeWork = {
  goalId: 'easy-day',
  minutes: 10,
  method: METHODS['daily-range'],
  person: { body: { sex: 'male', statureM: 1.78, massKg: 76 }, ageYears: 41, evidence: [], today: '2026-11-01' },
  athlete: { cautions: [], equipment: ['mat', 'chair', 'table', 'towel'] },
  past: [],
  now: '2026-11-01T10:05:00.000Z',
  own: [],
  removedIds: [],
};
/** A clock that goes on by a millisecond each time somebody looks at it. */
function clock(): () => number {
  let ms = 0;
  return () => ++ms;
}
const composed = (more: Partial<ComposeWork> = {}): ComposeAnswer => composeWith({ ...work, ...more }, solver, { now: clock() });

const answer = composed();
const sequence = must(answer.sequence, 'a sequence');

test('the answer is plain data, with a reason for each block and the gap to its bound', () => {
  const answer = composed();
  expect(JSON.parse(JSON.stringify(answer))).toEqual(answer);
  const sequence = must(answer.sequence, 'a sequence');
  expect(answer.reasons.map(({ blockId }) => blockId)).toEqual(sequence.blocks.map(({ id }) => id));
  expect(answer.gapPercent).toBeCloseTo((100 * (answer.bound - answer.worth)) / answer.bound, 9);
  expect(answer.elapsedMs).toBeGreaterThan(0);
});

test('whoever follows is told of each better answer, the last one being the answer', () => {
  const found: ComposeAnswer[] = [];
  const last = composeWith(work, solver, { now: clock(), better: (each) => found.push(each) > 0 });
  expect(last.sequence).toEqual(answer.sequence);
  expect(found.at(-1)?.sequence).toEqual(answer.sequence);
  expect(found.map(({ elapsedMs }) => elapsedMs)).toEqual(found.map(({ elapsedMs }) => elapsedMs).toSorted((a, b) => a - b));
  const first = composeWith(work, solver, { now: clock(), better: () => false });
  expect(first.sequence).toEqual(found[0]?.sequence);
});

test('what cannot be had together is an answer without a sequence', () => {
  const nowhere = composed({ notAt: PLACES });
  expect(nowhere.sequence).toBeNull();
  expect(nowhere.excluded.length).toBeGreaterThan(100);
});

test('a movement of the studio’s own is chosen as any other, one that was taken off the shelf is not', () => {
  const ids = sequence.blocks.map(({ movementId }) => movementId);
  const without = composed({ removedIds: ids.slice(0, 3) });
  const left = must(without.sequence, 'a sequence').blocks.map(({ movementId }) => movementId);
  for (const id of ids.slice(0, 3)) expect(left).not.toContain(id);
});

test('a sequence that was changed is judged by its own figures, against the same bound', () => {
  expect(judgedWith(work, sequence, answer)).toMatchObject({ worth: answer.worth, bound: answer.bound });
  const shorter = applyEdits(sequence, [{ kind: 'remove', blockId: must(sequence.blocks[1], 'a block').id }]);
  const judged = judgedWith(work, shorter, answer);
  expect(judged.bound).toBe(answer.bound);
  expect(judged.durationMs).toBeLessThan(answer.durationMs);
  expect(judged.worth).toBeLessThan(answer.worth);
});

test('in a thread: past its time it answers with what it has; other movements come as edits that fit', async () => {
  const atOnce = must((await answerCompose({ work, withinMs: 0 })).sequence, 'a sequence');
  const swaps = atOnce.blocks.flatMap(({ id }) => answerSwap({ work: { ...work, from: atOnce }, blockId: id }).alternatives);
  expect(swaps.length).toBeGreaterThan(atOnce.blocks.length);
  for (const { edits, movementId } of swaps) {
    expect(applyEdits(atOnce, edits).blocks.map((block) => block.movementId)).toContain(movementId);
  }
});
