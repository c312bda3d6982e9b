import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { shippedMovement, TRAINING_GOALS } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { findLevel, usualWay } from '../model/movement.js';
import type { Block } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { maximum } from '../mechanics/belief.js';
import { must } from '../vocabulary/lists.js';
import { EQUIPMENT, PLACE_OF } from '../vocabulary/places.js';
import { compose, isComposed } from './compose.js';
import type { Composed } from './composed.js';
import { assessed } from './fitting.js';
import { GAP_PERCENT } from './search.js';
import { composeFor, solver } from './composing.fixture.js';
import type { ComposeQuestion } from './question.js';

/** The first answer only: what a coach sees at once. */
function atOnce(question: ComposeQuestion): Composed {
  const answer = compose(question, solver, { better: () => false });
  if (!isComposed(answer)) throw new Error(`Nothing was composed: ${JSON.stringify(answer.giveUp)}`);
  return answer;
}
const minutesOf = ({ sequence }: Composed) => compileTimeline(sequence, shippedMovement).durationMs / 60_000;
const textOf = ({ findings }: Composed) => findings.map(({ check, text }) => `${check.id}: ${sentenceText(text)}`);
const levels = ({ sequence }: Composed) =>
  sequence.blocks.map(({ movementId, levelId }) => must(findLevel(must(shippedMovement(movementId), 'a movement'), levelId), 'a level'));
const block = (id: string, movementId: string, levelId: string, dose: string, phase: Block['phase'] = 'strength'): Block => ({
  id,
  phase,
  movementId,
  levelId,
  dose: parseDose(dose, usualWay(must(shippedMovement(movementId), 'a movement'))),
});

describe('what is composed keeps the minutes and every check', () => {
  const methods = ['daily-range', 'floor-loading', 'grip-and-iron', 'careful-return', 'woven-into-practice'] as const;
  test.each(TRAINING_GOALS.map(({ id }, index) => [id, methods[index % methods.length] as (typeof methods)[number]] as const))(
    '%s by %s',
    (goalId, methodId) => {
      const composed = atOnce(composeFor(goalId, methodId));
      expect(textOf(composed)).toEqual([]);
      expect(minutesOf(composed)).toBeLessThanOrEqual(20);
      expect(minutesOf(composed)).toBeGreaterThan(17);
      expect(composed.worth).toBeLessThanOrEqual(composed.bound);
    },
  );

  test.each([3, 6, 12, 45])('in %i minutes', (minutes) => {
    const composed = atOnce(composeFor('mixed-class', 'daily-range', { minutes }));
    expect(textOf(composed)).toEqual([]);
    expect(minutesOf(composed)).toBeLessThanOrEqual(minutes);
  });
});

test('it goes on until nothing can be better by more than the gap, and says the same when asked again', () => {
  const gaps: number[] = [];
  const question = composeFor('throwing-hand', 'careful-return');
  const answer = compose(question, solver, { better: ({ gapPercent }) => gaps.push(gapPercent) > 0 });
  if (!isComposed(answer)) throw new Error('Nothing was composed.');
  expect(answer.gapPercent).toBeLessThanOrEqual(GAP_PERCENT);
  expect(gaps).toEqual([...gaps].sort((a, b) => b - a));
  const again = compose(question, solver);
  expect(isComposed(again) && again.sequence).toEqual(answer.sequence);
});

test('each time it tells something it is better or nearer to the best, and the last of it is the answer', () => {
  for (const question of [composeFor('handstand-load', 'daily-range'), composeFor('racket-arm', 'floor-loading')]) {
    const found: Composed[] = [];
    const answer = compose(question, solver, { better: (composed) => found.push(composed) > 0 });
    if (!isComposed(answer)) throw new Error('Nothing was composed.');
    found.slice(1).forEach((next, at) => {
      const before = must(found[at], 'what was told before');
      expect(next.worth > before.worth || next.bound < before.bound).toBe(true);
      expect(next.bound).toBeLessThanOrEqual(before.bound);
    });
    // What was proven holds of all that is found later.
    for (const { bound } of found) expect(answer.worth).toBeLessThanOrEqual(bound);
    expect(found.length).toBeGreaterThan(2);
    expect(found.at(-1)).toEqual(expect.objectContaining({ sequence: answer.sequence, gapPercent: answer.gapPercent }));
    expect(answer.gapPercent).toBeLessThanOrEqual(GAP_PERCENT);
  }
});

test('who is not cleared is given what does not load the hand, and told why', () => {
  const athlete = { cautions: [{ caution: 'numbness' as const, hand: 'both' as const }], equipment: EQUIPMENT };
  const composed = atOnce(composeFor('handstand-load', 'careful-return', { athlete, minutes: 8 }));
  expect(levels(composed).map(({ loading }) => loading)).toEqual(levels(composed).map(() => 'unloaded'));
  expect(composed.notes.join()).toContain('no loading until');
  expect(composed.excluded.find(({ movementId }) => movementId === 'bearing.palm-support')?.why).toContain('Numbness or tingling');
});

test('where nobody can be, nothing is done; and there is nothing that needs what is not there', () => {
  const composed = atOnce(
    composeFor('handstand-load', 'floor-loading', {
      athlete: { cautions: [], equipment: ['towel'] },
      notAt: ['floor', 'wall', 'bar'],
    }),
  );
  for (const { posture, equipment } of levels(composed)) {
    expect(['seated', 'standing']).toContain(PLACE_OF[posture]);
    expect(equipment.filter((thing) => thing !== 'towel')).toEqual([]);
  }
  expect(composed.excluded.map(({ why }) => sentenceText(why))).toContain('Wrist roller, flexors: no wrist roller here.');
});

test('nobody begins with a handstand that never stood on their hands', () => {
  for (const methodId of ['floor-loading', 'careful-return'] as const) {
    const postures = levels(atOnce(composeFor('handstand-load', methodId))).map(({ posture }) => posture);
    expect(postures).not.toContain('wall handstand');
    expect(postures).not.toContain('handstand');
  }
});

test('what is left out says what really keeps it out', () => {
  const { excluded } = atOnce(composeFor('handstand-load', 'floor-loading'));
  const why = (id: string) => excluded.find(({ movementId }) => movementId === id)?.why;
  expect(why('bearing.handstand')).toBe(
    'Handstand, wall to free: plank or pike or wall handstand or handstand comes first and hasn’t been done recently.',
  );
  expect(why('settle.cold-water')).toMatch(/recovers with warmth and movement\.$/);
});

test('it can be stopped at any time, and has then what it has', () => {
  const question = composeFor('racket-arm', 'careful-return');
  let asks = 0;
  const stopped = compose(question, solver, { goOn: () => ++asks < 3 });
  if (!isComposed(stopped)) throw new Error('Nothing was composed.');
  expect(textOf(stopped)).toEqual([]);
  expect(stopped.gapPercent).toBeGreaterThan(0);
  expect(asks).toBeLessThan(6);
});

test('a sequence that was changed has figures of its own, against the same bound', () => {
  const question = composeFor('racket-arm', 'woven-into-practice');
  const composed = atOnce(question);
  const same = assessed(question, composed.sequence, composed);
  expect([same.worth, same.goalPercent, same.gapPercent]).toEqual([composed.worth, composed.goalPercent, composed.gapPercent]);
  // More than the goal wants may be in it: without any strength there is less than that.
  const without = {
    ...composed.sequence,
    blocks: composed.sequence.blocks.filter(({ phase }) => phase !== 'strength'),
  };
  const less = assessed(question, without, composed);
  expect(less.goalPercent).toBeLessThan(composed.goalPercent);
  expect(less.gapPercent).toBeGreaterThan(composed.gapPercent);
  expect(less.durationMs).toBeLessThan(composed.durationMs);
  expect(less.reasons()).toHaveLength(without.blocks.length);
});

test('what is kept of a sequence does not count as what the goal wants', () => {
  const question = composeFor('handstand-load', 'floor-loading', { minutes: 8 });
  const first = atOnce(question);
  const kept = atOnce({ ...question, keep: first.sequence.blocks });
  expect(kept.worth).toBeGreaterThan(first.worth);
  const targets = kept.wants.reduce((sum, { gotS, targetS }) => sum + Math.min(1, gotS / targetS), 0);
  expect(kept.goalPercent).toBeLessThanOrEqual(100);
  expect(kept.goalPercent > 99).toBe(targets > 0.99 * kept.wants.length);
});

test('what is locked stays as it is, in its rounds', () => {
  const locked = [block('curl', 'weight.reverse-curl', 'light', '1x8 rest0'), block('squeeze', 'grip.ball-squeeze', 'soft', '1x8 rest0')];
  const rounds = [{ id: 'round-1', blockIds: ['curl', 'squeeze'], times: 3, restS: 45 }];
  const composed = atOnce(composeFor('racket-arm', 'daily-range', { locked, rounds }));
  expect(composed.sequence.rounds).toEqual(rounds);
  for (const each of locked) expect(composed.sequence.blocks).toContainEqual(each);
  expect(composed.sequence.blocks.filter(({ movementId }) => movementId === 'weight.reverse-curl')).toHaveLength(1);
});

test('what cannot be had together says what would have to give way', () => {
  const locked = [1, 2, 3].map((index) => block(`hold-${index}`, 'bearing.palm-support', 'all-fours', '3x40s rest60', 'load'));
  const answer = compose(composeFor('handstand-load', 'floor-loading', { minutes: 4, locked }), solver);
  expect(isComposed(answer)).toBe(false);
  if (!isComposed(answer))
    expect(answer.giveUp.map(({ text }) => sentenceText(text))).toContainEqual(expect.stringMatching(/more minutes are needed/));
});

test('a wrist that does not reach what the goal asks is told of, and is taken no further than it reaches', () => {
  const stiff = composeFor('elbow-lever-range', 'daily-range').person;
  const reach = { 'wrist extension': 62 };
  const composed = atOnce(
    composeFor('elbow-lever-range', 'daily-range', { person: { ...stiff, rangeDeg: { left: reach, right: reach } } }),
  );
  expect(composed.notes.map((note) => sentenceText(note))).toContainEqual(
    expect.stringContaining('90° of extension; the left reaches 62°'),
  );
  expect(textOf(composed)).toEqual([]);
});

test('each block has its reason, and what binds is named', () => {
  const composed = atOnce(composeFor('handstand-load', 'floor-loading'));
  const reasons = composed.reasons();
  expect(reasons.map(({ blockId }) => blockId)).toEqual(composed.sequence.blocks.map(({ id }) => id));
  for (const { text, figures } of reasons) {
    expect(sentenceText(text)).toMatch(/^For |Only this one does it|There was time left/);
    expect(sentenceText(text)).not.toMatch(/\d+ s for |% effort/);
    if (sentenceText(text).startsWith('For ')) expect(sentenceText(figures)).toMatch(/\d+ (s|of \d+ s)( for|, )/);
  }
  expect(composed.binding[0]?.text).toBe('The time available.');
});

test('the weaker hand gets more where the method gives it a share, and nothing is out of balance for it', () => {
  const { person } = composeFor('racket-arm', 'careful-return');
  const evidence = [maximum('grip', 'left', 240, person.today), maximum('grip', 'right', 330, person.today)];
  const composed = atOnce(composeFor('racket-arm', 'careful-return', { person: { ...person, evidence } }));
  expect(textOf(composed)).toEqual([]);
  expect(composed.sequence.blocks.some(({ dose }) => dose.sides === 'left')).toBe(true);
});
