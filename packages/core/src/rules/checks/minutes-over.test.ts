import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../../effort/session-view.js';
import { shippedMovement } from '../../library/index.js';
import { applyEdits } from '../../model/edits.js';
import type { Sequence } from '../../model/sequence.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { editsOf } from './finding.js';
import { minutesOver } from './minutes-over.js';
import { ask, type Line, write } from './sessions.fixture.js';

const LINES: readonly Line[] = [
  ['strength', 'isometric.extension', 'medium', '1x5 @40% 5s'],
  ['strength', 'grip.ball-squeeze', 'soft', '1x8'],
  ['strength', 'bearing.palm-support', 'all-fours', '1x20s'],
  ['strength', 'isometric.flexion', 'medium', '1x5 @40% 5s'],
];
const plain = write(LINES);
const ids = plain.blocks.map(({ id }) => id);

/** Everything in rounds, the first two and the last two, on which hands are looked at and which get harder. */
const inRounds = (times: number, budgetMin: number): Sequence => ({
  ...plain,
  budgetMin,
  blocks: plain.blocks.map((block) => ({ ...block, lookAgain: ['after'] })),
  rounds: [
    { id: 'r1', blockIds: ids.slice(0, 2), times, restS: 30 },
    { id: 'r2', blockIds: ids.slice(2), times: times - 1, restS: 45, change: { levels: 1, morePercent: 10 } },
  ],
});
const minutesOf = (sequence: Sequence) => compileTimeline(sequence, shippedMovement).plannedMs / 60_000;

describe('a session in rounds that takes too long', () => {
  const whole = minutesOf(inRounds(9, 1));
  test.each([1, 2, 4, 7, 10])('loses as many rounds as it takes for %s minutes, and no more', (tooLong) => {
    const sequence = inRounds(9, Math.ceil(whole) - tooLong);
    const [finding] = minutesOver.find(viewOf(ask(sequence)));
    const edits = editsOf(finding!.fix!);
    expect(edits.map(({ kind }) => kind)).not.toContain('change');
    const fits = applyEdits(sequence, edits);
    expect(minutesOf(fits)).toBeLessThanOrEqual(fits.budgetMin);
    const withOneMore = fits.rounds!.map((round) => ({
      ...fits,
      rounds: fits.rounds!.map((each) => (each === round ? { ...each, times: each.times + 1 } : each)),
    }));
    expect(Math.max(...withOneMore.map(minutesOf))).toBeGreaterThan(fits.budgetMin);
  });

  const shortest = Math.ceil(minutesOf(inRounds(3, 1)));
  test('is compiled as often however many rounds it has', () => {
    const asked = (times: number) => {
      let lookups = 0;
      const sequence = inRounds(times, shortest);
      const view = viewOf(ask(sequence));
      minutesOver.find({ ...view, lookup: (id) => (lookups++, shippedMovement(id)) });
      return lookups;
    };
    expect(asked(4)).toBeGreaterThan(0);
    expect(asked(10)).toBeLessThan(2 * asked(4));
  });
});
