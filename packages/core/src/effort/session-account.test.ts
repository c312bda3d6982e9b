import { describe, expect, test } from '@jest/globals';
import { balanceOf, digitsOf, outOfBand } from './balance.js';
import { coverageOf, mergeCoverage, visitOf } from './coverage.js';
import { effortTimeline } from './effort-timeline.js';
import { enduranceTimeS } from './compartments.js';
import { RATES } from './rates.js';
import { accountOf } from './session-account.js';
import { shippedMovement } from '../library/index.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import type { CountedSet } from '../model/session.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { doneTimeline } from '../timeline/done-timeline.js';
import { HANDS } from '../vocabulary/hands.js';
import { MUSCLE_GROUPS } from '../vocabulary/muscles.js';
import { GRAVITY } from '../vocabulary/gravity.js';

const person = referencePerson(REFERENCE_BODIES.male, '2026-06-10');

function sequenceOf(...lines: [movementId: string, levelId: string, dose: string][]): Sequence {
  const blocks = lines.map(([movementId, levelId, dose], index): Block => ({
    id: `b${index + 1}`,
    phase: 'strength',
    movementId,
    levelId,
    dose: parseDose(dose, usualWay(shippedMovement(movementId)!)),
  }));
  return { title: 'T', purpose: '', budgetMin: 20, pacing: USUAL_PACING, blocks };
}

function account(sequence: Sequence, timeline = compileTimeline(sequence, shippedMovement)) {
  const efforts = effortTimeline(person, sequence, timeline, shippedMovement);
  return { timeline, efforts, ...accountOf(sequence, timeline, efforts, shippedMovement) };
}

describe('accounts of a session', () => {
  test('impulse is weight times time: a held weight of 10 kg for 3 × 20 s', () => {
    const { hands } = account(sequenceOf(['grip.hook-hold', 'light', '3x20s LR']));
    const load = shippedMovement('grip.hook-hold')!.ladder[0].load;
    const massKg = load.kind === 'lift' ? load.massKg : NaN;
    for (const hand of HANDS) expect(hands[hand].impulseNs).toBeCloseTo(massKg * GRAVITY * 60, 6);
    expect(hands.left.underLoadS).toBe(60);
  });

  test('a press for its endurance time is one hold to failure, at any effort', () => {
    for (const percent of [30, 50, 80]) {
      const holdS = Math.round(2 * enduranceTimeS(RATES.handGrip, percent / 100)) / 2;
      const press = ['isometric.hook-pull', 'medium', `1x1 @${percent}% ${Math.min(120, holdS)}s tempo0.5-0.5`] as const;
      const { doses } = account(sequenceOf([...press]));
      expect(doses.get('left finger flexors')! * Math.max(1, holdS / 120)).toBeCloseTo(1, 1);
    }
    const { doses } = account(sequenceOf(['isometric.flexion', 'medium', '1x1 @50% 30s tempo1-2 L']));
    expect(doses.get('right wrist flexors')).toBeUndefined();
  });

  test('repetitions, sides and carries', () => {
    const { hands, blocks } = account(
      sequenceOf(['isometric.flexion', 'medium', '2x6 @50% 4s L,R'], ['grip.bar-carry', 'light', '1x25s LR']),
    );
    expect(hands.left).toMatchObject({ repetitions: 12, carryM: 30 });
    expect(hands.right.repetitions).toBe(12);
    expect(blocks[0]!.left.loadN).toBe(0);
  });

  test('sums hold together: groups, blocks and hands add up to the same seconds', () => {
    const { hands, blocks, timeline, groupS } = account(
      sequenceOf(
        ['free.wrist-circles', 'free-fist', '2x3 L,R <>'],
        ['rock.palm-fore-aft', 'behind', '1x10'],
        ['settle.resting-breaths', 'seated', '1x4br'],
      ),
    );
    const workMs = timeline.events
      .filter(({ stint }) => stint !== null)
      .reduce((sum, event) => sum + event.durationMs * (event.side === 'both' ? 2 : 1), 0);
    expect(hands.left.workS + hands.right.workS).toBeCloseTo(workMs / 1000, 9);
    expect(blocks.reduce((sum, block) => sum + block.left.workS, 0)).toBeCloseTo(hands.left.workS, 9);
    for (const seconds of groupS.values()) expect(seconds).toBeLessThanOrEqual(timeline.durationMs / 1000);
    // Breathing at rest is no load.
    expect(hands.left.underLoadS).toBeLessThan(hands.left.workS);
  });

  test('turning the other way is work of the other muscle', () => {
    const { doses } = account(sequenceOf(['isometric.turns', 'gentle', '1x6 @30% 4s L,R <>']));
    expect(doses.get('left pronators')).toBeCloseTo(doses.get('left supinators')!, 9);
  });
});

describe('balance', () => {
  test('equal presses balance, a one-sided one does not', () => {
    const even = account(
      sequenceOf(['isometric.flexion', 'medium', '2x6 @50% 4s L,R'], ['isometric.extension', 'medium', '2x6 @50% 4s L,R']),
    );
    const pair = balanceOf(even.doses, []).pairs[0]!;
    expect(pair.ratio).toBeCloseTo(1, 6);
    expect(outOfBand(pair, 4)).toBeNull();
    const lone = account(sequenceOf(['isometric.flexion', 'medium', '2x6 @50% 4s L']));
    const { pairs, sides } = balanceOf(lone.doses, []);
    expect(outOfBand(pairs[0]!, 4)).toBe('first');
    expect(outOfBand(sides, 1.4)).toBe('first');
  });

  test('next to nothing is not compared', () => {
    expect(balanceOf(new Map([['left pronators', 0.01]]), []).pairs[3]!.ratio).toBeNull();
  });

  test('shares of digits sum to one, and a thumb movement is the thumb’s alone', () => {
    const { digits } = balanceOf(new Map(), [
      { movement: shippedMovement('free.thumb-circles')!, dose: {}, workS: 30 },
      { movement: shippedMovement('grip.ring-little-squeeze')!, dose: {}, workS: 60 },
    ]);
    expect(Object.values(digits).reduce((a, b) => a + b)).toBeCloseTo(1, 9);
    expect(digits.thumb).toBeCloseTo(1 / 3, 9);
    expect(digits.ring).toBeCloseTo(digits.little, 9);
    expect(digits.index).toBe(0);
    expect(digitsOf(shippedMovement('isometric.flexion')!)).toEqual([]);
  });
});

describe('coverage of the wrist’s circle', () => {
  const visit = (movementId: string, levelId: string) => {
    const sequence = sequenceOf([movementId, levelId, shippedMovement(movementId)!.work[0] === 'time' ? '1x20s' : '1x8']);
    const movement = shippedMovement(movementId)!;
    const level = movement.ladder.find(({ id }) => id === levelId)!;
    return visitOf(movement, level, account(sequence).efforts.demands[0] ?? null);
  };

  test.each<[string, string, string[], string, string[]]>([
    [
      'free.wrist-circles',
      'free-fist',
      ['extension', 'flexion', 'radial', 'radial extension', 'radial flexion', 'ulnar', 'ulnar extension', 'ulnar flexion'],
      'unloaded',
      ['fist'],
    ],
    ['free.wrist-circles', 'free-spread', expect.any(Array) as never, 'unloaded', ['open']],
    ['free.diagonal-sweeps', 'free', ['radial extension', 'ulnar flexion'], 'unloaded', ['open']],
    ['free.side-sweeps', 'free', ['radial', 'ulnar'], 'unloaded', ['open']],
    ['rock.palm-fore-aft', 'over', ['extension'], 'planted', ['open']],
    ['rock.palm-side', 'forward', ['extension', 'radial', 'radial extension', 'ulnar', 'ulnar extension'], 'planted', ['open']],
    ['rock.back-of-hand', 'both-inward', ['flexion'], 'planted', ['open']],
    ['rock.fist-side', 'small', ['radial', 'ulnar'], 'planted', ['fist']],
    ['stretch.extensors', 'fist', ['flexion'], 'assisted', ['fist']],
    ['isometric.radial', 'medium', ['radial'], 'resisted', ['fist']],
  ])('%s %s goes where it should', (movementId, levelId, directions, loading, forms) => {
    const { directions: gone, ...rest } = visit(movementId, levelId);
    expect([...gone].sort()).toEqual(directions);
    expect(rest).toEqual({ loading, forms });
  });

  test('a palm lift is planted in extension although its muscles bend', () => {
    expect(visit('strength.palm-lift', 'all-fours').directions).toEqual(['extension']);
  });

  test('a hand that does not work covers nothing; degrees are kept by hand', () => {
    const sequence = sequenceOf(['stretch.flexors', 'open', '1x20s L']);
    const { efforts, ...sums } = account(sequence);
    const movement = shippedMovement('stretch.flexors')!;
    const covered = coverageOf(
      [
        {
          id: 'b1',
          movement,
          level: movement.ladder[1]!,
          demand: efforts.demands[0]!,
          visit: visitOf(movement, movement.ladder[1]!, efforts.demands[0]!),
        },
      ],
      sums,
    );
    expect(covered.cells.every(({ seconds }) => seconds.right === 0 && seconds.left === 20)).toBe(true);
    expect(covered.reachDeg.right).toEqual({});
    expect(covered.reachDeg.left.extension).toBeGreaterThan(60);
    expect(covered.corners['open hand, wrist extended']).toEqual(['b1']);
    expect(covered.corners['fist, wrist flexed']).toEqual([]);
  });
});

test('a week covers what its sessions cover together', () => {
  const of = (movementId: string, levelId: string, dose: string) => {
    const { efforts, ...sums } = account(sequenceOf([movementId, levelId, dose]));
    const movement = shippedMovement(movementId)!;
    const level = movement.ladder.find(({ id }) => id === levelId)!;
    const demand = efforts.demands[0]!;
    return coverageOf([{ id: movementId, movement, level, demand, visit: visitOf(movement, level, demand) }], sums);
  };
  const stretch = of('stretch.flexors', 'open', '1x20s L,R');
  const rock = of('rock.palm-fore-aft', 'over', '1x8');
  const week = mergeCoverage([stretch, rock, stretch]);
  const assisted = week.cells.find(({ loading }) => loading === 'assisted')!;
  expect(assisted.seconds).toEqual({ left: 40, right: 40 });
  expect(week.cells).toHaveLength(stretch.cells.length + rock.cells.length);
  expect(week.corners['open hand, wrist extended']).toHaveLength(3);
  expect(week.reachDeg.left.extension).toBe(Math.max(stretch.reachDeg.left.extension!, rock.reachDeg.left.extension!));
  expect(mergeCoverage([]).cells).toEqual([]);
});

describe('the timeline of what was done', () => {
  const plan = sequenceOf(['isometric.flexion', 'medium', '2x6 @50% 4s L,R'], ['rock.palm-fore-aft', 'behind', '1x40s']);
  const timeline = compileTimeline(plan, shippedMovement);
  const set = (more: Partial<CountedSet>): CountedSet => ({
    id: `${more.blockId}${more.set}${more.side}`,
    blockId: 'b1',
    set: 1,
    side: 'left',
    direction: null,
    unit: 'repetitions',
    plannedAmount: 6,
    doneAmount: 6,
    ...more,
  });
  const all = timeline.stints.map(({ blockId, set: number, side, unit, plannedAmount }) =>
    set({ blockId, set: number, side, unit, plannedAmount, doneAmount: plannedAmount }),
  );

  test('all done is the plan', () => {
    expect(doneTimeline(timeline, all)).toEqual(timeline);
  });

  test('nothing done is nothing', () => {
    const { events, durationMs, stints } = doneTimeline(timeline, []);
    expect({ events, durationMs, stints }).toEqual({ events: [], durationMs: 0, stints: [] });
  });

  test('half of a set is half of its repetitions, half of a hold half of its time; the clock closes up', () => {
    const sets = all.map((done, index) =>
      index === 0 ? { ...done, doneAmount: 3 } : done.blockId === 'b2' ? { ...done, doneAmount: 20 } : done,
    );
    const done = doneTimeline(timeline, sets);
    expect(done.events.filter(({ kind, side, set: number }) => kind === 'repetition' && side === 'left' && number === 1)).toHaveLength(3);
    const dropped = timeline.events.filter(({ stint, repetition }) => stint === 0 && repetition !== null && repetition > 3);
    expect(dropped).toHaveLength(3);
    const droppedMs = dropped.reduce((sum, { durationMs }) => sum + durationMs, 0);
    expect(done.durationMs).toBe(timeline.durationMs - droppedMs - 20_000);
    let clock = 0;
    for (const event of done.events) {
      expect(event.startMs).toBe(clock);
      clock += event.durationMs;
    }
    expect(account(plan, done).hands.left.repetitions).toBe(9);
  });

  test('a block that was never reached leaves no trace in the account', () => {
    const { hands, doses } = account(
      plan,
      doneTimeline(
        timeline,
        all.filter(({ blockId }) => blockId === 'b1'),
      ),
    );
    expect(hands.left.impulseNs).toBe(0);
    expect([...doses.keys()].every((key) => MUSCLE_GROUPS.some((group) => key.endsWith(group)))).toBe(true);
    expect(doses.get('left finger flexors')).toBeUndefined();
  });
});
