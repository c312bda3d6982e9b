import { describe, expect, test } from '@jest/globals';
import { type CarriedOut, dosesWithin, loadTrends, ofBothHands, pastSessions, startStates, sumDoses } from './past.js';
import { shippedMovement } from '../library/index.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';

const person = referencePerson(REFERENCE_BODIES.male, '2026-06-10');
const movement = shippedMovement('isometric.flexion')!;
const plan: Sequence = {
  title: 'Press',
  purpose: '',
  budgetMin: 20,
  pacing: USUAL_PACING,
  blocks: [
    {
      id: 'b1',
      phase: 'load',
      movementId: movement.id,
      levelId: 'strong',
      dose: parseDose('3x8 @75% 6s rest20 L', usualWay(movement)),
    },
  ],
};
const { stints } = compileTimeline(plan, shippedMovement);

function carried(startedAt: string, done = 1): CarriedOut {
  const sets = stints.map(({ set, side, plannedAmount }) => ({
    id: `${startedAt}${set}`,
    blockId: 'b1',
    set,
    side,
    direction: null,
    unit: 'repetitions' as const,
    plannedAmount,
    doneAmount: plannedAmount * done,
  }));
  return {
    id: startedAt,
    startedAt,
    endedAt: new Date(Date.parse(startedAt) + 600_000).toISOString(),
    onDay: startedAt.split('T')[0]!,
    plan,
    sets,
  };
}

const past = (...days: string[]) =>
  pastSessions(
    person,
    days.map((day) => carried(day)),
    shippedMovement,
  );

describe('sessions of a day', () => {
  test('what the first leaves, the second begins with; hours of rest give it back', () => {
    const [morning] = past('2026-06-10T08:00:00.000Z');
    const at = (hours: number) =>
      1 -
      (startStates([morning!], new Date(Date.parse(morning!.endedAt) + hours * 3_600_000).toISOString()).get('left wrist flexors')
        ?.fatigued ?? 0);
    const left = [0, 0.02, 0.1, 0.5, 3].map(at);
    expect(left[0]).toBeLessThan(0.8);
    expect(left).toEqual([...left].sort((a, b) => a - b));
    expect(left.at(-1)).toBeGreaterThan(0.99);
    expect(at(25)).toBe(1);
  });

  test('a second session right after ends more tired than one alone', () => {
    const alone = past('2026-06-10T08:00:00.000Z')[0]!;
    const [, second] = past('2026-06-10T07:49:00.000Z', '2026-06-10T08:00:00.000Z');
    expect(second!.end['left wrist flexors']!.fatigued).toBeGreaterThan(alone.end['left wrist flexors']!.fatigued);
  });

  test('only what was done counts, and hard work is known by its effort', () => {
    const [half] = pastSessions(person, [carried('2026-06-09T08:00:00.000Z', 0.5)], shippedMovement);
    const [whole] = past('2026-06-09T08:00:00.000Z');
    expect(half!.doses['left wrist flexors']).toBeCloseTo(whole!.doses['left wrist flexors']! / 2, 6);
    expect(whole!.hard).toEqual(['left wrist flexors']);
    expect(whole!.movementIds).toEqual(['isometric.flexion']);
  });
});

describe('weeks', () => {
  const now = '2026-06-29T12:00:00.000Z';
  const daily = Array.from({ length: 28 }, (_, day) => new Date(Date.parse(now) - (day + 0.5) * 86_400_000).toISOString());

  test('the same every day is a ratio near one, and weeks that equal each other', () => {
    const trend = loadTrends(past(...daily), now).find(({ group }) => group === 'wrist flexors')!;
    expect(trend.weekDose).toBeCloseTo(trend.usualWeekDose, 6);
    expect(trend.ratio).toBeCloseTo(1, 6);
    expect(trend.isWorthALook).toBe(false);
  });

  test('a week off lets the ratio fall, a first week lets it rise', () => {
    const off = loadTrends(past(...daily.slice(7)), now).find(({ group }) => group === 'wrist flexors')!;
    const first = loadTrends(past(...daily.slice(0, 7)), now).find(({ group }) => group === 'wrist flexors')!;
    expect(off.ratio).toBeLessThan(0.5);
    expect(first.ratio).toBeGreaterThan(1.5);
    expect([off.isWorthALook, first.isWorthALook]).toEqual([true, true]);
    expect(first.usualWeekDose).toBe(0);
  });

  test('a ratio moved by one late session alone is not worth a look', () => {
    // Every third day, the last one just now: the week is as usual, the weighted mean is not.
    const late = Array.from({ length: 4 }, (_, week) => new Date(Date.parse(now) - (week * 7 + 0.1) * 86_400_000).toISOString());
    const trend = loadTrends(past(...late), now).find(({ group }) => group === 'wrist flexors')!;
    expect(trend.ratio).toBeGreaterThan(1.3);
    expect(trend.weekDose).toBeCloseTo(trend.usualWeekDose, 6);
    expect(trend.isWorthALook).toBe(false);
  });

  test('sessions add up group by group, both hands together', () => {
    const list = past('2026-06-20T12:00:00.000Z', '2026-06-22T12:00:00.000Z');
    const [first, second] = list.map((session) => ofBothHands(sumDoses([session]), 'wrist flexors'));
    expect(first).toBeGreaterThan(0);
    expect(ofBothHands(sumDoses(list), 'wrist flexors')).toBeCloseTo(first! + second!, 9);
    expect(ofBothHands(sumDoses([]), 'wrist flexors')).toBe(0);
  });

  test('days are counted back from the instant, and the future is not', () => {
    const list = past('2026-06-28T12:00:00.000Z', '2026-06-30T12:00:00.000Z');
    expect(dosesWithin(list, now, 7).get('left wrist flexors')).toBeCloseTo(list[0]!.doses['left wrist flexors']!, 9);
  });
});
