import { expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from './compile-timeline.js';
import { timelineOf } from './timeline-of.js';

const SEQUENCE: Sequence = {
  title: 'test',
  purpose: '',
  budgetMin: 10,
  pacing: USUAL_PACING,
  blocks: [{ id: 'a', phase: 'prepare', movementId: 'free.open-close', levelId: 'fast', dose: parseDose('1x20s') }],
};

test('a document is compiled once for each library; another document and another library each have their own', () => {
  const first = timelineOf(SEQUENCE, shippedMovement);
  expect(first).toEqual(compileTimeline(SEQUENCE, shippedMovement));
  expect(timelineOf(SEQUENCE, shippedMovement)).toBe(first);
  expect(timelineOf({ ...SEQUENCE }, shippedMovement)).not.toBe(first);
  expect(timelineOf(SEQUENCE, (id) => shippedMovement(id))).not.toBe(first);
});
