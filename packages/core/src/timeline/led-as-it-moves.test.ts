import { describe, expect, test } from '@jest/globals';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { pastBonus } from './bonus.js';
import { compileTimeline } from './compile-timeline.js';
import { AT_START, currentPart } from './playhead.js';

type Line = readonly [movementId: string, levelId: string, dose: string, more?: Partial<Block>];
const sequenceOf = (...lines: Line[]): Sequence => ({
  title: 'test',
  purpose: '',
  budgetMin: 2,
  pacing: { ...USUAL_PACING, readyS: 0 },
  blocks: lines.map(([movementId, levelId, text, more], index): Block => {
    const dose = parseDose(text, usualWay(shippedMovement(movementId)!));
    return { id: `b${index}`, phase: 'strength', movementId, levelId, dose, ...more };
  }),
});
const compile = (...lines: Line[]) => compileTimeline(sequenceOf(...lines), shippedMovement);
const stints = (...lines: Line[]) => compile(...lines).stints;
/** What is called in each second of the first work. */
function called(seconds: number, ...line: Line): string[] {
  const { events } = compile(line);
  const event = events.find(({ stint }) => stint !== null)!;
  return Array.from({ length: seconds }, (_, at) => currentPart(event, { ...AT_START, elapsedMs: at * 1000 }).part.label);
}

describe('what repeats is led with its beat also when it is timed', () => {
  const MOVING = [
    'strength.fingertip-pumps',
    'strength.thumb-index-pumps',
    'strength.outward-palm-lift',
    'strength.backward-palm-lift',
    'strength.one-palm-lift',
    'strength.back-press',
    'strength.finger-press',
    'strength.fist-steady',
    'rock.palm-backward',
    'stretch.crossed-arms-turn',
    'stretch.edge-push-flexors',
    'stretch.edge-push-extensors',
    'grip.ball-squeeze',
    'grip.ring-little-squeeze',
    'grip.gripper-close',
    'grip.single-finger-opening',
    'grip.putty-pinch',
    'edge.finger-curls',
  ];
  test.each(MOVING)('%s', (id) => {
    const movement = LIBRARY.find((each) => each.id === id)!;
    const labels = new Set(called(30, id, movement.ladder[0].id, '1x30s'));
    expect(labels.size).toBeGreaterThan(1);
    expect(labels).not.toContain('work');
  });

  test('fingertip pumps: a second up, two down, over and over', () => {
    expect(called(7, 'strength.fingertip-pumps', 'all-fours', '1x30s')).toEqual([
      'dome',
      'lower',
      'lower',
      'dome',
      'lower',
      'lower',
      'dome',
    ]);
  });

  test('the dose’s own tempo and hold are the beat; a shake is too quick to call', () => {
    expect(called(5, 'grip.ball-squeeze', 'soft', '1x30s tempo1-1 2s L')).toEqual(['squeeze', 'hold', 'hold', 'release', 'let go']);
    expect(called(2, 'free.shakes-forward', 'easy', '1x30s')).toEqual(['bout', 'bout']);
  });

  test('a stretch that pushes says push on the way in and ease on the way out', () => {
    const labels = called(10, 'stretch.edge-push-flexors', 'light-push', '1x30s L');
    expect(labels.slice(0, 5)).toEqual([...Array<string>(4).fill('breathe in and push'), 'breathe out and ease further']);
  });
});

describe('fingers and positions are called one by one', () => {
  test('a rope is wound and unwound turn by turn', () => {
    const labels = called(30, 'weight.roller-up', shippedMovement('weight.roller-up')!.ladder[0].id, '1x30s');
    expect([labels[0], labels[29]]).toEqual(['wind', 'unwind']);
  });

  test('raises go through three positions, each with the whole amount', () => {
    const raises = stints(['weight.raises-three', 'light', '1x10 L']);
    expect(raises.map(({ direction, plannedAmount }) => [direction, plannedAmount])).toEqual([
      ['palm down', 10],
      ['thumb up', 10],
      ['palm up', 10],
    ]);
    expect(stints(['weight.raises-three', 'light', '1x10 L only:palm-up']).map(({ direction }) => direction)).toEqual(['palm up']);
  });

  test('a repetition that goes through all fingers calls each; one that has one finger calls that', () => {
    // Ten seconds for thumb to little finger: two seconds each.
    expect(called(10, 'strength.finger-lifts', 'table', '1x5 tempo5-5 L >')).toEqual(
      ['thumb', 'index', 'middle', 'ring', 'little'].flatMap((finger) => [finger, finger]),
    );
    const lifts = compile(['strength.finger-lifts', 'table', '1x5 tempo5-5 L >']).events.find(({ stint }) => stint !== null)!;
    const partAt = (elapsedMs: number) => currentPart(lifts, { ...AT_START, elapsedMs }).part;
    // Screens compare by identity what they show.
    expect(partAt(2100)).toBe(partAt(2900));
    const { events } = compile(['isometric.thumb-press', 'gentle', '1x5 3s tempo1-1 L']);
    const labels = events.filter(({ kind }) => kind === 'repetition').map(({ parts }) => parts[0]!.label);
    expect(labels).toEqual(['index: build', 'middle: build', 'ring: build', 'little: build', 'index: build']);
  });
});

describe('sets and hands', () => {
  const order = (dose: string) =>
    stints(['weight.curl', 'light', dose]).map(({ set, side, plannedAmount }) => `${set}${side[0]} ${plannedAmount}`);
  test('hands change in each set, or after all sets of one', () => {
    expect(order('2x5 L,R')).toEqual(['1l 5', '1r 5', '2l 5', '2r 5']);
    expect(order('2x5 LL,RR')).toEqual(['1l 5', '2l 5', '1r 5', '2r 5']);
    const kinds = compile(['weight.curl', 'light', '2x5 rest30 LL,RR']).events.map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'rest' || kind === 'change-sides')).toEqual(['rest', 'change-sides', 'rest']);
  });

  test('each hand has its own amount', () => expect(order('1x8 R12 R,L')).toEqual(['1r 12', '1l 8']));

  test('each set is faster than the one before, by percent or by seconds', () => {
    const lengths = (dose: string) => stints(['weight.curl', 'light', dose]).map(({ startMs, endMs }) => (endMs - startMs) / 1000);
    expect(lengths('3x10 tempo2-2 faster100% L')).toEqual([40, 20, 13.34]);
    expect(lengths('3x10 tempo2-2 faster1s L')).toEqual([40, 30, 20]);
  });

  test('sets are held as long as each says', () => {
    const lengths = stints(['isometric.extension', 'medium', '1x1(6s),1x1(8s) tempo1-1 L']).map(({ startMs, endMs }) => endMs - startMs);
    expect(lengths).toEqual([8000, 10_000]);
  });
});

describe('blocks that follow at once, and bonus blocks', () => {
  test('at once there is no announcement and no way', () => {
    const lines: Line[] = [
      ['weight.curl', 'light', '1x5 L'],
      ['strength.palm-lift', 'all-fours', '1x5', { atOnce: true }],
    ];
    const kinds = compile(...lines)
      .events.filter(({ blockIndex }) => blockIndex === 1)
      .map(({ kind }) => kind);
    expect([...new Set(kinds)]).toEqual(['repetition']);
    // The first block is always announced.
    expect(compile(['weight.curl', 'light', '1x5 L', { atOnce: true }]).events[0]?.kind).toBe('announce');
  });

  test('a bonus is not of the planned minutes, and is passed over where they are gone', () => {
    const lines: Line[] = [
      ['weight.curl', 'light', '1x5 L'],
      ['grip.ball-squeeze', 'soft', '1x30s L', { bonus: true }],
      ['settle.shakes', 'hanging', '1x30s'],
    ];
    const sequence = sequenceOf(...lines);
    const timeline = compileTimeline(sequence, shippedMovement);
    const [, bonus] = timeline.turns;
    expect(timeline.plannedMs).toBe(timeline.durationMs - (bonus!.endMs - bonus!.startMs));
    const first = timeline.events.findIndex(({ blockIndex }) => blockIndex === 1);
    const at = { ...AT_START, event: first };
    const after = (passedMs: number) => timeline.events[pastBonus(sequence, timeline, at, passedMs).event]?.blockIndex;
    expect(after(30_000)).toBe(1);
    expect(after(110_000)).toBe(2);
    // What was begun goes on.
    expect(pastBonus(sequence, timeline, { ...AT_START, event: first + 1 }, 110_000).event).toBe(first + 1);
  });
});
