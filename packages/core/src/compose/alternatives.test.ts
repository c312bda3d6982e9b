import { expect, test } from '@jest/globals';
import { viewOf } from '../effort/session-view.js';
import { applyEdits } from '../model/edits.js';
import { findingsOf } from '../rules/checks/index.js';
import { alternativesFor } from './alternatives.js';
import { compose, isComposed } from './compose.js';
import { composeFor, solver } from './composing.fixture.js';
import { composingOf, examined } from './question.js';

const question = composeFor('racket-arm', 'woven-into-practice');
const composed = compose(question, solver, { better: () => false });
if (!isComposed(composed)) throw new Error('Nothing was composed.');
const { sequence } = composed;

test('up to five others for a block, none of which is in the sequence or raises a finding', () => {
  const found = sequence.blocks.map(({ id }) => alternativesFor(question, sequence, id));
  // A block that is the only one to do something may have none.
  expect(found.filter(({ length }) => length === 5).length).toBeGreaterThan(sequence.blocks.length / 3);
  expect(Math.max(...found.map(({ length }) => length))).toBe(5);
  for (const { edits, candidate } of found.flat()) {
    expect(sequence.blocks.map(({ movementId }) => movementId)).not.toContain(candidate.movement.id);
    const { blocks } = applyEdits(sequence, edits);
    expect(findingsOf(viewOf(examined(composingOf(question), blocks)))).toEqual([]);
  }
});

test('what changes is said with its numbers', () => {
  const strong = sequence.blocks.find(({ phase }) => phase === 'strength')!;
  for (const { text } of alternativesFor(question, sequence, strong.id))
    expect(text).toMatch(/ (more|less) for .*; |as much for the goal; /);
});

test('made shorter it keeps to its own movements', () => {
  const ids = sequence.blocks.map(({ movementId }) => movementId);
  const own = question.shelf.filter(({ id }) => ids.includes(id));
  const shorter = compose({ ...question, minutes: 12, shelf: own, keep: sequence.blocks }, solver, {
    better: () => false,
  });
  if (!isComposed(shorter)) throw new Error('Nothing was left.');
  expect(shorter.sequence.blocks.every(({ movementId }) => ids.includes(movementId))).toBe(true);
  expect(shorter.sequence.blocks.length).toBeGreaterThan(ids.length / 2);
  for (const { movementId, levelId } of shorter.sequence.blocks) {
    expect(sequence.blocks.map((block) => `${block.movementId} ${block.levelId}`)).toContain(`${movementId} ${levelId}`);
  }
});
