import { describe, expect, test } from '@jest/globals';
import { METHODS, shippedMovement } from '../library/index.js';
import { maximum, ratingErrors, ratingSpread } from '../mechanics/belief.js';
import { capacityOf, type Person } from '../mechanics/capacity.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { chanceOf } from '../programme/simulated/chance.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { addDays } from '../vocabulary/days.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { calibrationOf } from './calibration.js';
import type { ReportedSession } from './evidence.js';
import { exertionFelt, workFelt } from './felt.js';
import { predictionsOf } from './predictions.js';

const FIRST = '2026-03-02';
const WOMAN: Person = { body: { sex: 'female', statureM: 1.65, massKg: 62 }, ageYears: 30, evidence: [], today: FIRST };
const movement = must(shippedMovement('strength.palm-lift'), 'palm lift');
const PLAN: Sequence = {
  ...{ title: '', purpose: '', budgetMin: 20, pacing: USUAL_PACING },
  blocks: [{ id: 'b', phase: 'strength', movementId: movement.id, levelId: 'all-fours', dose: parseDose('2x6', usualWay(movement)) }],
};
const timeline = compileTimeline(PLAN, shippedMovement);

/** The palm lift, all of it done, on a day, rated so. */
function session(number: number, exertion: number, share = 1): ReportedSession {
  const day = addDays(FIRST, 2 * number);
  const sets = timeline.stints.map(({ blockId, set, side, direction, unit, plannedAmount }, index) => ({
    id: `${number} ${index}`,
    ...{ blockId, set, side, direction, unit, plannedAmount },
    doneAmount: Math.round(share * plannedAmount),
  }));
  return {
    id: `s${number}`,
    startedAt: `${day}T09:00:00.000Z`,
    endedAt: `${day}T09:20:00.000Z`,
    onDay: day,
    plan: PLAN,
    sets,
    reports: [{ blockId: 'b', exertion }],
  };
}
const predictionsFor = (sessions: readonly ReportedSession[], person = WOMAN) =>
  predictionsOf({ person, sessions, lookup: shippedMovement, methodOf: () => METHODS['floor-loading'] });

describe('what is predicted of a session', () => {
  test('nothing that came later is known: the same sessions with another end are predicted alike', () => {
    const [calm, hard] = [3, 9].map((last) => predictionsFor([session(0, 5), session(1, 6), session(2, last)]));
    expect(hard!.map(({ exertion }) => exertion)).toEqual(calm!.map(({ exertion }) => exertion));
    expect(hard![2]!.place![0]).toBeGreaterThan(calm![2]!.place![1]);
  });

  test('ratings narrow what is expected, and move it to where they were', () => {
    const all = predictionsFor(Array.from({ length: 10 }, (_, number) => session(number, 7)));
    const width = (index: number) => itemAt(all, index).exertion!.high - itemAt(all, index).exertion!.low;
    expect(width(9)).toBeLessThan(0.8 * width(0));
    expect(Math.abs(all[9]!.exertion!.middle - 7)).toBeLessThan(Math.abs(all[0]!.exertion!.middle - 7));
    expect(all.every(({ isWhole, chance }) => isWhole && chance > 0)).toBe(true);
  });

  test('who now and then breaks off what strength would carry is soon expected to', () => {
    const all = predictionsFor(Array.from({ length: 40 }, (_, number) => session(number, 2, number % 10 < 7 ? 1 : 0.5)));
    expect(all[0]!.chance).toBeGreaterThan(0.85);
    expect(all[39]!.chance).toBeGreaterThan(0.65);
    expect(all[39]!.chance).toBeLessThan(0.83);
  });

  test('who has rated before is expected in their own way: no wider than a rating scatters about what is known', () => {
    const fresh = capacityOf(WOMAN, 'wrist flexion', 'left');
    expect(ratingSpread(fresh)).toBeGreaterThan(fresh.logSd);
    const tested = { ...WOMAN, evidence: [maximum('wrist flexion', 'left', 12, FIRST)] };
    expect(ratingSpread(capacityOf(tested, 'wrist flexion', 'left'))).toBeLessThan(ratingSpread(fresh));
    expect(ratingSpread({ logSd: 0.15, evidence: [{ kind: 'rated' }] })).toBeCloseTo(Math.sqrt(0.09 - 0.0225), 9);
  });
});

describe('whether what was said came as often', () => {
  test('of two hundred people drawn from what is believed, who rate by what they feel, about seven of ten lie below what was said for seven of ten', () => {
    const felt = workFelt(WOMAN, PLAN, timeline, shippedMovement).filter(({ hand }) => hand === 'left');
    const work = itemAt(felt, 0);
    const errors = ratingErrors();
    const all = Array.from({ length: 200 }, (_, seed) => {
      const chance = chanceOf(7919 * seed);
      const truth = work.hardest.capacity.logSd * chance.normal() + errors.lean * chance.normal();
      const rated = () => Math.round(Math.min(10, Math.max(1, exertionFelt(work, Math.exp(truth + errors.scatter * chance.normal())))));
      return predictionsFor([session(0, rated()), session(1, rated()), session(2, rated()), session(3, rated())]);
    }).flat();
    const { exertion, within, ratings } = calibrationOf(all);
    expect(ratings).toBeGreaterThan(700);
    for (const { said, came } of exertion) expect(Math.abs(came.value - said)).toBeLessThan(0.08);
    expect(within!.value).toBeGreaterThan(0.75);
    expect(within!.value).toBeLessThan(0.9);
  });

  test('what is said too surely does not: half as wide, fewer than eight of ten lie within', () => {
    const places = Array.from({ length: 100 }, (_, index) => ({
      place: [index % 2 === 0 ? 0.02 : 0.95, index % 2 === 0 ? 0.05 : 0.98] as const,
      chance: 0.9,
      isWhole: index % 4 !== 0,
    }));
    const { within, carried } = calibrationOf(places);
    expect(within!.value).toBe(0);
    expect(carried).toMatchObject([{ said: expect.closeTo(0.9, 9), came: { value: 0.75 }, count: 100 }]);
    expect(calibrationOf([]).within).toBeNull();
  });
});
