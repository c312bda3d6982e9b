import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from './compile-timeline.js';
import {
  advance,
  AT_START,
  back,
  currentPart,
  extend,
  isOver,
  type Playhead,
  rejoin,
  remainingMs,
  skip,
  skipBlock,
  untilNextChangeMs,
} from './playhead.js';

/** Without time to get ready, so that sums by hand begin at the first block. */
const AT_ONCE = { ...USUAL_PACING, readyS: 0 };

const block = (id: string, movementId: string, levelId: string, text: string) => ({
  id,
  phase: 'prepare' as const,
  movementId,
  levelId,
  dose: parseDose(text, usualWay(shippedMovement(movementId)!)),
});
const SEQUENCE: Sequence = {
  title: 'test',
  purpose: '',
  budgetMin: 10,
  pacing: AT_ONCE,
  blocks: [
    block('lift', 'strength.palm-lift', 'all-fours', '2x3 tempo1-2 rest10'),
    block('stretch', 'stretch.flexors', 'open', '1x20s L,R'),
    block('wave', 'free.bending-waves', 'arms-side', '1x2 tempo2-2 L/R'),
  ],
};
const timeline = compileTimeline(SEQUENCE, shippedMovement);
const at = (ms: number) => advance(timeline, AT_START, ms).head;
const eventAt = (head: Playhead) => timeline.events[head.event];

describe('when to look at the clock again', () => {
  /** All that is told of a moment, to the second. */
  const shownAt = (head: Playhead) => {
    const event = eventAt(head);
    if (!event) return 'over';
    const { part, leftMs } = currentPart(event, head);
    const seconds = [leftMs, event.durationMs + head.addedMs - head.elapsedMs, remainingMs(timeline, head)].map((ms) =>
      Math.ceil(ms / 1000),
    );
    return [head.event, part.name, ...seconds, Math.floor(head.elapsedMs / 1000)].join(' ');
  };

  test('nothing that is shown changes before, and something has changed right after', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: timeline.durationMs - 2000, noNaN: true }), (ms) => {
        const head = at(ms);
        const waitMs = untilNextChangeMs(timeline, head);
        expect(waitMs).toBeGreaterThan(0);
        expect(waitMs).toBeLessThanOrEqual(1000);
        const justAfter = advance(timeline, head, Math.min(0.01, waitMs / 4)).head;
        const justBefore = advance(timeline, head, waitMs - Math.min(0.01, waitMs / 4)).head;
        expect(shownAt(justBefore)).toBe(shownAt(justAfter));
        expect(shownAt(advance(timeline, head, waitMs + 0.01).head)).not.toBe(shownAt(justBefore));
      }),
    );
  });

  test('never, once it is over', () => {
    expect(untilNextChangeMs(timeline, at(timeline.durationMs + 1))).toBe(Infinity);
  });
});

describe('the clock', () => {
  test('stands where the seconds say', () => {
    // 5 s announce, 10 s to the floor, then repetitions of 3 s: at 19 s it is second 1 of the second repetition.
    expect(eventAt(at(19_000))).toMatchObject({ kind: 'repetition', repetition: 2 });
    expect(currentPart(eventAt(at(18_500))!, at(18_500))).toMatchObject({ part: { label: 'lift' }, leftMs: 500 });
    expect(currentPart(eventAt(at(19_500))!, at(19_500))).toMatchObject({ part: { label: 'lower' }, leftMs: 1500 });
  });

  test('many small steps and one long one come to the same, with the same stints ended', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30_000 }), { maxLength: 40 }), (steps) => {
        let head = AT_START;
        const ended: string[] = [];
        for (const step of steps) {
          const move = advance(timeline, head, step);
          head = move.head;
          ended.push(...move.ended.map(({ stint, done }) => JSON.stringify([stint.index, done])));
        }
        const atOnce = advance(
          timeline,
          AT_START,
          steps.reduce((sum, step) => sum + step, 0),
        );
        expect(head).toEqual(atOnce.head);
        expect(ended).toEqual(atOnce.ended.map(({ stint, done }) => JSON.stringify([stint.index, done])));
      }),
    );
  });

  test('a full run does all that was planned', () => {
    const { head, ended } = advance(timeline, AT_START, timeline.durationMs);
    expect(isOver(timeline, head)).toBe(true);
    expect(remainingMs(timeline, head)).toBe(0);
    expect(ended.map(({ stint, done }) => [stint.blockId, stint.set, ...done.map(({ side, amount }) => `${side} ${amount}`)])).toEqual([
      ['lift', 1, 'both 3'],
      ['lift', 2, 'both 3'],
      ['stretch', 1, 'left 20'],
      ['stretch', 1, 'right 20'],
      ['wave', 1, 'left 2', 'right 2'],
    ]);
  });

  test('added time lengthens the current event and counts as done', () => {
    const inHold = at(timeline.stints[2]!.startMs + 5000);
    const longer = extend(timeline, inHold, 10_000);
    expect(remainingMs(timeline, longer)).toBe(remainingMs(timeline, inHold) + 10_000);
    const { ended } = advance(timeline, longer, 25_000);
    expect(ended[0]!.done).toEqual([{ side: 'left', amount: 30 }]);
  });
});

describe('skip, back, skip block', () => {
  test('a stint left early keeps only what was finished', () => {
    // 8.5 s into the stint: two whole repetitions of 3 s, the third unfinished.
    const { head, ended } = skip(timeline, at(15_000 + 8500));
    expect(ended[0]!.done).toEqual([{ side: 'both', amount: 2 }]);
    expect(eventAt(head)).toMatchObject({ kind: 'rest' });
    const hold = skip(timeline, at(timeline.stints[2]!.startMs + 12_900));
    expect(hold.ended[0]!.done).toEqual([{ side: 'left', amount: 12 }]);
  });

  test('alternating hands are counted apart', () => {
    // left, right, left done; the last right unfinished
    const { ended } = skip(timeline, at(timeline.stints[4]!.startMs + 13_000));
    expect(ended[0]!.done).toEqual([
      { side: 'left', amount: 2 },
      { side: 'right', amount: 1 },
    ]);
  });

  test('skipping a rest records nothing', () => {
    const rest = timeline.events.findIndex((event) => event.kind === 'rest');
    expect(skip(timeline, { event: rest, elapsedMs: 100, addedMs: 0 })).toEqual({
      head: { event: rest + 1, elapsedMs: 0, addedMs: 0 },
      ended: [],
    });
  });

  test('back goes to the start of the stint, and from there to the one before', () => {
    const second = timeline.stints[1]!;
    const inSecond = at(second.startMs + 5000);
    const once = back(timeline, inSecond);
    expect(once.event).toBe(second.firstEvent);
    expect(back(timeline, once).event).toBe(timeline.stints[0]!.firstEvent);
    expect(back(timeline, AT_START)).toEqual(AT_START);
  });

  test('skip block leaves for the next block, and from the last one for the end', () => {
    const { head } = skipBlock(timeline, at(7000));
    expect(eventAt(head)?.blockId).toBe('stretch');
    expect(isOver(timeline, skipBlock(timeline, at(timeline.stints[4]!.startMs)).head)).toBe(true);
  });

  test('from anywhere, skipping often enough ends the session', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: timeline.durationMs }), (ms) => {
        let { head } = advance(timeline, AT_START, ms);
        for (let step = 0; step <= timeline.events.length; step++) head = skip(timeline, head).head;
        expect(isOver(timeline, head)).toBe(true);
      }),
    );
  });
});

describe('rejoin after an easier level was taken', () => {
  // From all fours to the table: another posture, so other events before and after.
  const blocks = SEQUENCE.blocks.map((b) => (b.id === 'lift' ? { ...b, levelId: 'table' } : b));
  const easier = compileTimeline({ ...SEQUENCE, blocks }, shippedMovement);

  test('the current stint begins anew', () => {
    const head = rejoin(timeline, easier, at(timeline.stints[1]!.startMs + 4000));
    expect(head).toEqual({ event: easier.stints[1]!.firstEvent, elapsedMs: 0, addedMs: 0 });
  });

  test('between stints the same moment goes on', () => {
    const rest = timeline.events.find((event) => event.kind === 'rest')!;
    const head = rejoin(timeline, easier, at(rest.startMs + 2000));
    expect(easier.events[head.event]).toMatchObject({ kind: 'rest', blockId: 'lift', set: 2 });
    expect(head.elapsedMs).toBe(2000);
  });

  test('where the block is out, the next one begins; where a set is out, the block after it', () => {
    const inLift = at(timeline.stints.find(({ blockId }) => blockId === 'lift')!.startMs + 1000);
    const without = SEQUENCE.blocks.filter(({ id }) => id !== 'lift');
    const shorter = compileTimeline({ ...SEQUENCE, blocks: without }, shippedMovement);
    const next = shorter.events[rejoin(timeline, shorter, inLift).event];
    expect(next).toMatchObject({
      blockId: SEQUENCE.blocks[SEQUENCE.blocks.findIndex(({ id }) => id === 'lift') + 1]?.id,
    });
    const last = timeline.stints.findLast(({ blockId }) => blockId === 'lift')!;
    const fewer = SEQUENCE.blocks.map((b) => (b.id === 'lift' ? { ...b, dose: { ...b.dose, sets: 1 } } : b));
    const less = compileTimeline({ ...SEQUENCE, blocks: fewer }, shippedMovement);
    const after = less.events[rejoin(timeline, less, at(last.startMs + 500)).event];
    expect(after?.blockId).not.toBe('lift');
  });

  test('the end stays the end', () => {
    expect(isOver(easier, rejoin(timeline, easier, at(timeline.durationMs)))).toBe(true);
  });
});
