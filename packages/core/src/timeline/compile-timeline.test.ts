import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { SequenceError } from '../model/check-sequence.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from './compile-timeline.js';
import { summarise, WORK_EVENTS } from './timeline.js';

/** Without time to get ready, so that sums by hand begin at the first block. */
const AT_ONCE = { ...USUAL_PACING, readyS: 0 };

type Line = [movementId: string, levelId: string, dose: string];

function sequenceOf(...lines: Line[]): Sequence {
  const blocks = lines.map(([movementId, levelId, text], index): Block => {
    const dose = parseDose(text, usualWay(shippedMovement(movementId)!));
    return { id: `b${index}`, phase: 'prepare', movementId, levelId, dose };
  });
  return { title: 'test', purpose: '', budgetMin: 20, pacing: AT_ONCE, blocks };
}
const compile = (...lines: Line[]) => compileTimeline(sequenceOf(...lines), shippedMovement);
const seconds = (...lines: Line[]) => compile(...lines).durationMs / 1000;

/* Pacing in all of these: 5 s to announce, 3 s to change hands or direction, breaths 4 s in and 6 s out. */
describe('durations, computed by hand', () => {
  test('repetitions with a tempo and rest', () => {
    // 5 announce + 10 to the floor + 3 sets × 8 × (1 out + 2 back) = 72 + 2 rests × 20 = 40  →  127
    expect(seconds(['strength.palm-lift', 'all-fours', '3x8 tempo1-2 rest20'])).toBe(127);
  });

  test('a hold inside each repetition, and a pause between two of them', () => {
    // 5 + 5 fetch the ball + 2 sets × (6 × (1 + 5 + 1) + 5 pauses × 2) = 104 + 1 rest × 30 = 144 for one hand;
    // the other: 3 change × 2 sets + 104  →  254
    expect(seconds(['grip.ball-squeeze', 'firm', '2x6 5s tempo1-1 rest30 L'])).toBe(144);
    expect(seconds(['grip.ball-squeeze', 'firm', '2x6 5s tempo1-1 rest30 L,R'])).toBe(254);
  });

  test('without a tempo of its own a dose takes the level’s', () => {
    // The level’s usual tempo is 3 out, 3 back: 5 + 10 to the chair + 4 × 6 = 39
    expect(seconds(['free.wrist-circles', 'supported-fist', '1x4 L >'])).toBe(39);
  });

  test('a hold for time on each side', () => {
    // 5 + 10 to sit down + 20 left + 3 change + 20 right = 58
    expect(seconds(['stretch.flexors', 'open', '1x20s L,R'])).toBe(58);
  });

  test('a timed bout is a bout, a timed stretch is a hold', () => {
    const kinds = (line: Line) => compile(line).events.map((event) => event.kind);
    expect(kinds(['free.open-close', 'fast', '1x30s'])).toEqual(['announce', 'bout']);
    expect(kinds(['stretch.palm-press', 'up', '1x30s'])).toEqual(['announce', 'position', 'hold']);
  });

  test('breaths', () => {
    // 5 + 10 to sit down + 3 × (4 + 6) = 45
    expect(seconds(['stretch.palm-press', 'up', '1x3br'])).toBe(45);
  });

  test('sides and directions multiply, with a change before each but the first', () => {
    // 5 + 10 to the chair + left (5 × 6 + 3 + 5 × 6) 63 + 3 + right 63 = 144
    expect(seconds(['free.wrist-circles', 'supported-fist', '1x5 tempo3-3 L,R <>'])).toBe(144);
    const kinds = compile(['free.wrist-circles', 'supported-fist', '1x1 tempo3-3 L,R <>']).events.map(
      (event) => `${event.kind} ${event.side}`,
    );
    expect(kinds).toEqual([
      'announce left',
      'position left',
      'repetition left',
      'change-direction left',
      'repetition left',
      'change-sides right',
      'repetition right',
      'change-direction right',
      'repetition right',
    ]);
  });

  test('alternating hands count each hand, without changes in between', () => {
    // 5 + 4 × 2 hands × (2 + 2) = 37
    const timeline = compile(['free.bending-waves', 'arms-side', '1x4 tempo2-2 L/R']);
    expect(timeline.durationMs).toBe(37_000);
    const order = timeline.events.slice(1).map((event) => event.side);
    expect(order).toEqual(['left', 'right', 'left', 'right', 'left', 'right', 'left', 'right']);
    expect(timeline.stints).toHaveLength(1);
    expect(timeline.stints[0]).toMatchObject({ alternating: true, plannedAmount: 4 });
  });

  test('changes of posture, and things to fetch', () => {
    // Standing 5 + 30. Then all fours: 5 + 10 (to the floor) + 20 = 35. Then plank: 5 + 3 (on the floor) + 20 = 28.
    // Then standing with a ball: 5 + 10 + 5 (fetch it) + 1 × (1 + 3 + 1) = 25.  →  123
    const timeline = compile(
      ['free.open-close', 'fast', '1x30s'],
      ['bearing.palm-support', 'all-fours', '1x20s'],
      ['bearing.palm-support', 'plank', '1x20s'],
      ['grip.ball-squeeze', 'soft', '1x1 3s tempo1-1 L'],
    );
    expect(timeline.blocks.map((block) => (block.endMs - block.startMs) / 1000)).toEqual([35, 35, 28, 25]);
    expect(timeline.durationMs).toBe(123_000);
  });

  test('what was fetched once stays at hand; a bar is walked to once', () => {
    const durations = compile(
      ['grip.ball-squeeze', 'soft', '1x1 3s tempo1-1 L'],
      ['free.open-close', 'fast', '1x30s'],
      ['grip.ball-squeeze', 'soft', '1x1 3s tempo1-1 L'],
      ['hang.full', 'bar', '1x10s'],
      ['hang.full', 'thick', '1x10s'],
    ).blocks.map((block) => (block.endMs - block.startMs) / 1000);
    // 5 + 5 fetch + 5; 5 + 30; 5 + 5, the ball is there; 5 + 10 to the bar + 10; 5 + 10.
    expect(durations).toEqual([15, 35, 10, 25, 15]);
  });

  test('hands change while one rests: the rest is at least as long as the change', () => {
    const restOf = (dose: string) => {
      const rest = compile(['stretch.flexors', 'open', dose]).events.find((event) => event.kind === 'rest');
      return (rest?.durationMs ?? 0) / 1000;
    };
    expect([restOf('2x20s L,R'), restOf('2x20s rest2 L,R'), restOf('2x20s rest10 L,R'), restOf('2x20s L')]).toEqual([3, 3, 10, 0]);
  });

  test('rest leads to the next set and its first hand', () => {
    const rest = compile(['stretch.flexors', 'wall', '2x10s rest5 R,L']).events.find((event) => event.kind === 'rest')!;
    expect(rest).toMatchObject({ set: 2, side: 'right', durationMs: 5000, stint: null });
  });

  test('sums by phase and by hand', () => {
    const timeline = compile(['stretch.flexors', 'open', '1x20s L'], ['stretch.palm-press', 'up', '1x10s']);
    // Left: 20 alone + 10 together. Right: 10. Seated both: 10 to sit down, then no change of posture.
    expect(summarise(timeline)).toMatchObject({
      totalMs: 50_000,
      workMs: 30_000,
      workByHand: { left: 30_000, right: 10_000 },
      byPhase: { prepare: 50_000, load: 0 },
    });
  });
});

describe('what cannot be compiled', () => {
  const sound = sequenceOf(['stretch.flexors', 'open', '1x20s L,R']);
  const broken = (change: Partial<Block>) => ({ ...sound, blocks: [{ ...sound.blocks[0]!, ...change }] });

  test.each<[string, Partial<Block>, string, string]>([
    ['an unknown movement', { movementId: 'free.nothing' }, '/blocks/0/movementId', 'There is no movement “free.nothing”'],
    ['an unknown level', { levelId: 'ninth' }, '/blocks/0/levelId', 'Its levels are curled, open, wall'],
    ['a dose outside its limits', { dose: { ...sound.blocks[0]!.dose, sets: 21 } }, '/blocks/0/dose/sets', 'within 1–20'],
    ['the wrong kind of work', { dose: parseDose('1x8 L,R') }, '/blocks/0/dose/work/kind', 'time or breaths'],
    ['hands it is not done with', { dose: parseDose('1x20s LR') }, '/blocks/0/dose/sides', 'not together'],
    ['directions it does not have', { dose: parseDose('1x20s L,R >') }, '/blocks/0/dose/directions', 'no directions'],
  ])('%s is named with its place', (_what, change, pointer, words) => {
    try {
      compileTimeline(broken(change), shippedMovement);
      throw new Error('It compiled.');
    } catch (error) {
      expect(error).toBeInstanceOf(SequenceError);
      const fault = (error as SequenceError).faults.find((candidate) => candidate.pointer === pointer);
      expect(fault?.message).toContain(words);
    }
  });

  test('two blocks with one id', () => {
    const twice = { ...sound, blocks: [sound.blocks[0]!, sound.blocks[0]!] };
    expect(() => compileTimeline(twice, shippedMovement)).toThrow('/blocks/1/id');
  });

  test('blocks are led in the order in which they are written, whatever their phases', () => {
    const late = { ...sound.blocks[0]!, id: 'x', phase: 'settle' as const };
    const { blocks } = compileTimeline({ ...sound, blocks: [late, sound.blocks[0]!] }, shippedMovement);
    expect(blocks.map(({ blockId }) => blockId)).toEqual(['x', sound.blocks[0]!.id]);
    expect(blocks[0]!.startMs).toBeLessThan(blocks[1]!.startMs);
  });

  test('an empty sequence is a timeline of nothing', () => {
    expect(compile()).toEqual({ events: [], stints: [], turns: [], blocks: [], durationMs: 0, plannedMs: 0 });
  });
});

describe('invariants over the whole library', () => {
  const anyLevel = fc.constantFrom(...LIBRARY.flatMap((movement) => movement.ladder.map((level) => ({ movement, level }))));
  const anySequence = fc.array(anyLevel, { maxLength: 12 }).map((levels): Sequence => ({
    title: 'any',
    purpose: '',
    budgetMin: 20,
    pacing: AT_ONCE,
    blocks: levels.map(({ movement, level }, index) => ({
      id: `b${index}`,
      phase: 'prepare',
      movementId: movement.id,
      levelId: level.id,
      dose: level.dose,
    })),
  }));

  test('events follow each other without gap or overlap, parts fill them, and the total is the exact sum', () => {
    fc.assert(
      fc.property(anySequence, (sequence) => {
        const { events, durationMs } = compileTimeline(sequence, shippedMovement);
        let clockMs = 0;
        for (const event of events) {
          expect(event.startMs).toBe(clockMs);
          expect(event.parts.reduce((sum, part) => sum + part.durationMs, 0)).toBe(event.durationMs);
          expect(Number.isInteger(event.durationMs)).toBe(true);
          expect(event.stint !== null).toBe(WORK_EVENTS.includes(event.kind));
          clockMs += event.durationMs;
        }
        expect(durationMs).toBe(clockMs);
      }),
    );
  });

  test('left then right gives both hands the same work', () => {
    fc.assert(
      fc.property(anySequence, (sequence) => {
        const { workByHand } = summarise(compileTimeline(sequence, shippedMovement));
        expect(workByHand.left).toBe(workByHand.right);
      }),
    );
  });
});
