import { describe, expect, test } from '@jest/globals';
import { METHODS, shippedMovement } from '../../library/index.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { itemAt, must } from '../../vocabulary/lists.js';
import { sentenceText } from '../../vocabulary/sentence.js';
import { gateCourses } from './gate-courses.js';
import { gateForecast } from './gate-forecast.js';
import { heightOf } from './gate-height.js';
import type { WorkDone } from './work-done.js';

const movement = must(shippedMovement('bearing.palm-support'), 'palm support');
const method = METHODS['floor-loading'];
const TODAY = '2026-06-10';
const id = (levelIndex: number) => itemAt(movement.ladder, levelIndex).id;

/** One session for each amount, so many days apart, the last one yesterday. */
const held = (seconds: readonly number[], apart = 3): WorkDone[] =>
  seconds.map((amount, index) => ({
    sessionId: `s${index}`,
    endedAt: `${addDays(TODAY, -1 - apart * (seconds.length - 1 - index))}T10:00:00.000Z`,
    onDay: addDays(TODAY, -1 - apart * (seconds.length - 1 - index)),
    ...{ movementId: movement.id, levelId: id(1), hand: 'left', unit: 'seconds', sets: 2, amount },
    ...{ effortPercent: null, isWhole: true, discomfort: 1, exertion: 5, morning: null, formFaults: [] },
  }));
const forecast = (history: readonly WorkDone[], levelId = id(1)) => gateForecast(history, { movement, method, levelId, today: TODAY });

describe('when a gate is likely passed', () => {
  test('a height is the level and the part of its gate', () => {
    expect(heightOf(movement, itemAt(held([15]), 0), method)).toBeCloseTo(1.5, 9);
    expect(heightOf(movement, itemAt(held([60]), 0), method)).toBeCloseTo(2, 9);
  });

  test('a steady course ends where its line does', () => {
    const { onDay, fromDay, toDay } = forecast(held([10, 12, 14, 16, 18, 20]));
    // Two seconds every three days: five strides more.
    expect(Math.abs(daysBetween(TODAY, onDay!) - 15)).toBeLessThanOrEqual(3);
    expect(fromDay! <= onDay! && onDay! <= toDay!).toBe(true);
  });

  test('an uneven one is told more widely', () => {
    const width = (history: readonly WorkDone[]) => daysBetween(forecast(history).fromDay!, forecast(history).toDay!);
    const uneven = held([10, 16, 12, 13, 19, 14, 20]);
    expect(width(uneven)).toBeGreaterThan(width(held([10, 12, 13, 15, 17, 18, 20])));
  });

  test('the next level is told more widely than this one, and the same history tells the same', () => {
    const even = held([10, 12, 13, 15, 17, 18, 20]);
    const [here, next] = [forecast(even), forecast(even, id(2))];
    expect(here.fromDay).not.toBeNull();
    // Where it is too wide to plan by, it says so.
    if (next.fromDay === null) expect(sentenceText(next.why)).toMatch(/^(Too uncertain|Can’t tell)/);
    else expect(daysBetween(next.fromDay, next.toDay!)).toBeGreaterThan(daysBetween(here.fromDay!, here.toDay!));
    expect(forecast(even)).toEqual(forecast(even));
  });

  test.each([
    ['of three sessions', held([10, 15, 20]), 'Can’t tell yet: 3 sessions over 6 days'],
    ['of days that are few', held([10, 12, 14, 16, 18, 20], 1), 'over 5 days'],
    ['where nothing rose', held([20, 18, 22, 19, 21, 20]), 'Can’t tell yet: no progress in the last 6 sessions.'],
    ['where it is there', held([10, 15, 20, 25, 28, 30]), 'Already done.'],
  ])('%s it is honest', (_, history, why) => {
    const { onDay, why: said } = forecast(history);
    expect(onDay).toBeNull();
    expect(said).toContain(why);
  });

  test('what would bring it forward is told with the days', () => {
    const history = held([10, 12, 11, 14, 13, 16, 18], 6);
    const { sooner } = forecast(history);
    expect(sooner.map(({ words }) => words)).toEqual(['one more session a week']);
    for (const { days } of sooner) expect(days).toBeGreaterThanOrEqual(3);
    const sore = held([10, 12, 14, 14, 16, 16, 18], 3).map((done, index) => (index === 3 ? { ...done, discomfort: 6 } : done));
    const course = { history: sore, movement, method, today: TODAY, goal: 2, furthestDays: 365 };
    const mean = (days: readonly number[]) => days.reduce((sum, each) => sum + each, 0) / days.length;
    expect(mean(gateCourses(course, { withoutSetbacks: true }))).toBeLessThan(mean(gateCourses(course)));
  });
});
