import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { GOOD, instead, type Line, without, write } from '../rules/checks/sessions.fixture.js';
import type { Finding } from '../rules/checks/index.js';
import type { Sequence } from '../model/sequence.js';
import { composeFor } from './composing.fixture.js';
import { judged, mended, weightOf } from './mend.js';
import { type Composing, composingOf, type ComposeQuestion } from './question.js';
import { runs } from '../properties.fixture.js';

const composingFor = (more: Partial<ComposeQuestion> = {}): Composing =>
  composingOf(composeFor('mixed-class', 'daily-range', { minutes: 30, ...more }));
const composing = composingFor();
const idsOf = (findings: readonly Finding[]) => findings.map(({ check }) => check.id);
const movementsOf = ({ blocks }: Sequence) => blocks.map(({ movementId }) => movementId);

test('what is missing is put in, by the fix that the check itself offers', () => {
  const bare = write(without('settle.long-extensors', 'settle.shakes'));
  expect(idsOf(judged(composing, bare).findings)).toContain('settle-missing');
  const { view, findings } = mended(composing, bare);
  expect(idsOf(findings)).not.toContain('settle-missing');
  expect(view.sequence.blocks.at(-1)?.phase).toBe('settle');
  // What was there is still there.
  expect(movementsOf(view.sequence)).toEqual(expect.arrayContaining(movementsOf(bare)));
});

test('what was mended has nothing more to mend', () => {
  const good = mended(composing, write(GOOD));
  const again = mended(composing, good.view.sequence);
  expect(again.view.sequence).toEqual(good.view.sequence);
  expect(again.findings).toEqual(good.findings);
});

test('whatever is taken out of a good sequence, mending never leaves more to find, and never takes more time than there is', () => {
  const some = fc.subarray([...GOOD], { minLength: 4 });
  fc.assert(
    fc.property(some, fc.constantFrom(12, 20, 30), (lines: Line[], minutes) => {
      const mine = composingFor({ minutes });
      const before = judged(mine, write(lines));
      const after = mended(mine, write(lines));
      expect(weightOf(after.findings)).toBeLessThanOrEqual(weightOf(before.findings));
      // The minutes are what a coach has: no fix gives itself more.
      expect(after.view.sequence.budgetMin).toBe(before.view.sequence.budgetMin);
      if (!idsOf(before.findings).includes('minutes-over')) expect(idsOf(after.findings)).not.toContain('minutes-over');
    }),
    runs(12),
  );
});

test('what is locked is not touched, even where a check speaks against it', () => {
  const lines = instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', '1x5 @50% 30s']);
  const hard = write(lines);
  const block = hard.blocks.find(({ movementId }) => movementId === 'isometric.flexion');
  if (!block) throw new Error('There is no such block.');
  const free = mended(composing, hard).view.sequence.blocks.find(({ id }) => id === block.id);
  expect(free).not.toEqual(block);
  const { view, findings } = mended(composingFor({ locked: [block] }), hard);
  expect(view.sequence.blocks).toContainEqual(block);
  expect(findings.some(({ blockIds }) => blockIds.includes(block.id))).toBe(true);
});

test('where a sequence is longer than its minutes, a block goes that is not locked', () => {
  const long = composingFor({ minutes: 18 });
  const { blocks } = write(GOOD);
  const locked = blocks.filter(({ phase }) => phase === 'skill');
  const { view } = mended({ ...long, locked }, write(GOOD));
  expect(idsOf(judged(long, write(GOOD)).findings)).toContain('minutes-over');
  expect(view.timeline.durationMs).toBeLessThanOrEqual(18 * 60_000);
  for (const each of locked) expect(view.sequence.blocks).toContainEqual(each);
});
