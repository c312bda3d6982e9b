import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import { SequenceError } from '../model/check-sequence.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { keptRounds, turnsOf } from '../model/rounds.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from './compile-timeline.js';
import { doneTimeline } from './done-timeline.js';
import { completion, plannedAgainstDone } from './planned-done.js';
import { advance, AT_START, doneOf, finish, type Playhead, skip, skipBlock } from './playhead.js';

type Line = [movementId: string, levelId: string, dose: string, more?: Partial<Block>];
const blockOf = ([movementId, levelId, text, more]: Line, index: number): Block => {
  const dose = parseDose(text, usualWay(shippedMovement(movementId)!));
  return { id: 'abcdefgh'[index]!, phase: 'strength', movementId, levelId, dose, ...more };
};
const sequenceOf = (lines: readonly Line[], rounds?: readonly Round[], readyS = 0): Sequence => ({
  title: 'test',
  purpose: '',
  budgetMin: 20,
  pacing: { ...USUAL_PACING, readyS },
  blocks: lines.map(blockOf),
  ...(rounds && { rounds }),
});
const compile = (lines: readonly Line[], rounds?: readonly Round[], readyS?: number) =>
  compileTimeline(sequenceOf(lines, rounds, readyS), shippedMovement);

const LIFT: Line = ['strength.palm-lift', 'all-fours', '1x4 tempo1-2'];
const WAVE: Line = ['free.bending-waves', 'arms-side', '1x2 tempo2-2 LR'];
const ROUND: Round = { id: 'r', blockIds: ['a', 'b'], times: 3, restS: 60 };

describe('rounds on the clock', () => {
  test('blocks are taken in turn, with a rest before each round but the first', () => {
    // Lift: 5 announce + 10 to the floor + 4 × 3 = 27; wave: 5 + 10 to stand + 2 × 4 = 23; three times, and twice 60 s between.
    const timeline = compile([LIFT, WAVE], [ROUND]);
    expect(timeline.durationMs / 1000).toBe(3 * (27 + 23) + 2 * 60);
    expect(timeline.turns.map(({ blockId, round }) => `${blockId}${round}`)).toEqual(['a1', 'b1', 'a2', 'b2', 'a3', 'b3']);
    expect(timeline.events.filter(({ kind }) => kind === 'round-rest').map(({ blockId, round }) => `${blockId}${round}`)).toEqual([
      'a2',
      'a3',
    ]);
    expect(timeline.blocks.map(({ lengthMs }) => lengthMs / 1000)).toEqual([3 * 27 + 2 * 60, 3 * 23]);
  });

  test('a later round is faster, more of it, and a rung further, as far as the ladder goes', () => {
    const change = { fasterPercent: 50, morePercent: 50, levels: 1 };
    const { stints, events } = compile([LIFT], [{ ...ROUND, blockIds: ['a'], change }]);
    expect(stints.map(({ plannedAmount }) => plannedAmount)).toEqual([4, 6, 8]);
    const { ladder } = shippedMovement('strength.palm-lift')!;
    const from = ladder.findIndex(({ id }) => id === 'all-fours');
    expect(stints.map(({ levelId }) => levelId)).toEqual([0, 1, 2].map((up) => ladder[Math.min(ladder.length - 1, from + up)]!.id));
    const paceOf = (round: number) => events.find((event) => event.round === round && event.kind === 'repetition')!.durationMs;
    expect([paceOf(1), paceOf(2), paceOf(3)]).toEqual([3000, 2000, 1500]);
  });

  test('any groups of neighbours unroll to each block as often as its round says, in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 2, max: 10 }),
        (sizes, times) => {
          const blocks = sizes.flatMap((size, group) =>
            Array.from({ length: size }, (_, at) => ({ ...blockOf(LIFT, 0), id: `${group}.${at}` })),
          );
          const rounds = sizes.map((size, group): Round => ({
            id: `r${group}`,
            blockIds: Array.from({ length: size }, (_, at) => `${group}.${at}`),
            times,
            restS: 0,
          }));
          const turns = turnsOf({ blocks, rounds });
          expect(turns).toHaveLength(blocks.length * times);
          for (const [index] of blocks.entries()) {
            expect(turns.filter(({ blockIndex }) => blockIndex === index).map(({ round }) => round)).toEqual(
              Array.from({ length: times }, (_, at) => at + 1),
            );
          }
        },
      ),
    );
  });

  test.each<[string, Partial<Round>[], string, string]>([
    ['ids of neighbouring blocks', [{ blockIds: [] }], '/rounds/0/blockIds', 'at least one block'],
    ['a round in a round', [{}, { blockIds: ['b'] }], '/rounds/1/blockIds', 'Rounds can’t overlap'],
    ['blocks that are no neighbours', [{ blockIds: ['a', 'c'] }], '/rounds/0/blockIds', 'must follow one another'],
    ['a block that is not there', [{ blockIds: ['a', 'x'] }], '/rounds/0/blockIds', 'no block “x”'],
    ['blocks of two phases', [{ blockIds: ['c', 'd'] }], '/rounds/0/blockIds', 'in one phase'],
  ])('%s is named with its place', (_what, rounds, pointer, words) => {
    const lines: Line[] = [LIFT, WAVE, WAVE, [...WAVE.slice(0, 3), { phase: 'settle' }] as unknown as Line];
    try {
      compile(
        lines,
        rounds.map((round) => ({ ...ROUND, ...round })),
      );
      throw new Error('It compiled.');
    } catch (error) {
      expect(error).toBeInstanceOf(SequenceError);
      expect((error as SequenceError).faults[0]).toMatchObject({ pointer });
      expect((error as SequenceError).faults[0]!.message).toContain(words);
    }
  });

  test('what is put between the blocks of a round joins it; what is moved away leaves; the last one takes it along', () => {
    const [a, b, c] = [LIFT, WAVE, WAVE].map(blockOf) as [Block, Block, Block];
    const rounds = [ROUND];
    expect(keptRounds([a, c, b], rounds)).toEqual([{ ...ROUND, blockIds: ['a', 'c', 'b'] }]);
    expect(keptRounds([b, c], rounds)).toEqual([{ ...ROUND, blockIds: ['b'] }]);
    expect(keptRounds([c], rounds)).toBeUndefined();
    expect(keptRounds([a, b, c], rounds)![0]).toBe(ROUND);
    const moved = { ...b, phase: 'settle' as const };
    expect(keptRounds([a, c, moved], rounds)).toEqual([{ ...ROUND, blockIds: ['a'] }]);
  });
});

describe('what else is written', () => {
  test('time to get ready comes once, a break before its block, the pause between repetitions but not after the last', () => {
    const timeline = compile([LIFT, [...WAVE.slice(0, 2), '1x3 tempo2-2 pause4 LR', { breakS: 30 }] as unknown as Line], undefined, 10);
    expect(timeline.durationMs / 1000).toBe(10 + 27 + 30 + 15 + 3 * 4 + 2 * 4);
    expect(timeline.events.filter(({ kind }) => kind === 'ready')).toHaveLength(1);
    expect(timeline.events.find(({ kind }) => kind === 'break')).toMatchObject({ blockId: 'b', durationMs: 30_000 });
  });

  test('sets that differ have their own amounts, an open one its ceiling', () => {
    const { stints } = compile([['strength.palm-lift', 'all-fours', '2x10,1xmax tempo1-2 rest20']]);
    expect(stints.map(({ plannedAmount, open }) => [plannedAmount, open])).toEqual([
      [10, null],
      [10, null],
      [20, 'form'],
    ]);
  });

  test('an open set ends when somebody says so, with what was done of it', () => {
    const timeline = compile([['strength.palm-lift', 'all-fours', '1xmax tempo1-2']]);
    // 5 announce + 10 to the floor: at 31 s five repetitions of three seconds are behind.
    const { head } = advance(timeline, AT_START, 31_000);
    const { ended, head: after } = finish(timeline, head);
    expect(ended[0]).toMatchObject({ done: [{ side: 'both', amount: 5 }] });
    expect(after.event).toBe(timeline.events.length);
    const [row] = plannedAgainstDone(timeline, [{ ...ended[0]!.stint, id: 'x', doneAmount: 5 }]);
    expect(row).toMatchObject({ plannedAmount: 20, doneAmount: 5, open: 'form' });
    expect(completion([row!])).toBe(1);
  });

  test('a distance takes as long as a walk, waits for the tap at its end, and may be left on the way', () => {
    const timeline = compile([['grip.bar-carry', 'light', '1x40m LR']]);
    const walk = timeline.events.find(({ untilConfirmed }) => untilConfirmed)!;
    expect(walk.durationMs / 1000).toBeCloseTo(40 / 1.2, 2);
    const long = advance(timeline, AT_START, walk.startMs + 10 * walk.durationMs).head;
    expect(timeline.events[long.event]).toBe(walk);
    expect(finish(timeline, long).ended[0]?.done[0]?.amount).toBe(40);
    const half: Playhead = { event: long.event, elapsedMs: walk.durationMs / 2, addedMs: 0 };
    expect(finish(timeline, half).ended[0]?.done[0]?.amount).toBe(40);
    expect(skip(timeline, half).ended[0]?.done[0]?.amount).toBe(20);
    expect(doneOf(timeline, timeline.stints[0]!, long)[0]?.amount).toBe(40);
  });

  test('hands are compared before they change, once, and range is looked at when the last round is over', () => {
    const line: Line = ['stretch.flexors', 'open', '2x20s L,R', { lookAgain: ['between hands', 'after'], phase: 'strength' }];
    const timeline = compile([line], [{ ...ROUND, blockIds: ['a'], times: 2 }]);
    const looks = timeline.events.filter(({ kind }) => kind === 'look');
    expect(looks.map(({ look, round, set }) => [look, round, set])).toEqual([
      ['between hands', 1, 1],
      ['between hands', 2, 1],
      ['after', 2, 2],
    ]);
    expect(looks.every(({ untilConfirmed }) => untilConfirmed)).toBe(true);
    const at: Playhead = { event: timeline.events.indexOf(looks[0]!), elapsedMs: 60_000, addedMs: 0 };
    expect(advance(timeline, at, 1000).head.event).toBe(at.event);
    expect(finish(timeline, at).head.event).toBe(at.event + 1);
    expect(() => compile([['stretch.palm-press', 'up', '1x20s', { lookAgain: ['between hands'] }]])).toThrow('when one follows the other');
  });

  test('leaving a block leaves this round of it; what was done in one round is kept apart from the next', () => {
    const timeline = compile([LIFT, WAVE], [ROUND]);
    const first = advance(timeline, AT_START, 20_000).head;
    const next = skipBlock(timeline, first).head;
    expect(timeline.events[next.event]).toMatchObject({ blockId: 'b', round: 1, kind: 'announce' });
    const lifts = timeline.stints.filter(({ blockId }) => blockId === 'a');
    const done = lifts.slice(0, 2).map((stint) => ({ ...stint, id: String(stint.index), doneAmount: 4 }));
    const rows = plannedAgainstDone(timeline, done).filter(({ blockId }) => blockId === 'a');
    expect(rows.map(({ round, doneAmount }) => [round, doneAmount])).toEqual([
      [1, 4],
      [2, 4],
      [3, null],
    ]);
    const { turns, events } = doneTimeline(timeline, done);
    expect(turns.filter(({ endMs, startMs }) => endMs > startMs)).toHaveLength(2);
    expect(new Set(events.map(({ blockId }) => blockId))).toEqual(new Set(['a']));
  });
});
