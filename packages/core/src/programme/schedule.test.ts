import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { METHODS, STARTING_POINTS, shippedGoal, EASY_GOAL } from '../library/index.js';
import { checkProgramme } from '../model/programme.js';
import { addDays, daysBetween, weekdayOf } from '../vocabulary/days.js';
import { day, MONDAY, programmeOf } from './programme.fixture.js';
import { apart, checkWish, EASY_PLAN, hardWeekdays, LOADING_PLAN, scheduled, type ScheduleWish, weeksUntil } from './schedule.js';

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const wish = (more: Partial<ScheduleWish> = {}): ScheduleWish => ({
  fromDay: MONDAY,
  weeks: 8,
  weekdays: EVERY_DAY,
  ...STARTING_POINTS['floor-loading'],
  ...more,
});

describe('days of a week', () => {
  test.each([
    [[1, 2, 3, 4, 5, 6], 3, [1, 3, 5]],
    [EVERY_DAY, 2, [1, 4]],
    [[1, 2], 2, [1, 2]],
    [[2, 4, 6, 7], 3, [2, 4, 6]],
    [[5], 3, [5]],
  ])('of %j, %i lie farthest apart on %j', (weekdays, count, is) => {
    expect(apart(weekdays, count)).toEqual(is);
  });
});

describe('a schedule', () => {
  test('builds for three weeks and eases in the fourth, but not right before the taper', () => {
    const kinds = (more: Partial<ScheduleWish>) =>
      scheduled(wish(more))
        .weeks.map(({ kind }) => kind[0])
        .join('');
    expect(kinds({})).toBe('bbbebbbb');
    expect(kinds({ weeks: 9, event: { day: day(8, 6), name: 'Show' } })).toBe('bbbebbbbt');
    // Never more than four weeks of building in a row, whatever a method says.
    expect(kinds({ easierEvery: null })).toBe('bbbebbbb');
    expect(kinds({ weeks: 52 })).toMatch(/^(b{2,4}e)+b{3,4}$/);
  });

  test('leaves days away free, loads nothing in the last three days before an event, and nothing comes after it', () => {
    const event = { day: day(3, 6), name: 'Show' };
    const away = [{ fromDay: day(1, 1), toDay: day(1, 4), kind: 'rest' as const }];
    const { sessions } = scheduled(wish({ weeks: 4, event, away }));
    expect(sessions.filter((session) => session.day >= day(1, 1) && session.day <= day(1, 4))).toEqual([]);
    expect(sessions.filter((session) => session.planId === LOADING_PLAN && session.day >= day(3, 3))).toEqual([]);
    expect(sessions.at(-1)).toMatchObject({ day: day(3, 5), planId: EASY_PLAN });
  });

  test('puts hard sessions as far apart as they need, and lighter ones or easy ones on the other days', () => {
    const days = (spacingDays: number, hasLighter: boolean) =>
      scheduled(wish({ weeks: 1, loadingDays: 4, weekdays: [1, 2, 4, 5] }), { spacingDays, hasLighter }).sessions.map(
        ({ planId }) => planId[0] + planId[1]!,
      );
    expect(days(1, false)).toEqual(['lo', 'lo', 'lo', 'lo']);
    expect(days(2, true)).toEqual(['lo', 'li', 'lo', 'li']);
    expect(days(2, false)).toEqual(['lo', 'ea', 'lo', 'ea']);
    expect(days(3, true)).toEqual(['lo', 'li', 'lo', 'li']);
    expect(hardWeekdays(wish({ weekdays: [1, 2], loadingDays: 2 }), 2)).toEqual([1]);
  });

  test('is sound for any wish, on the weekdays that there are, with no more loading days than wanted', () => {
    const anyWish = fc.record({
      weeks: fc.integer({ min: 1, max: 52 }),
      weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
      start: fc.nat(6),
      method: fc.constantFrom(...(Object.keys(METHODS) as (keyof typeof METHODS)[])),
    });
    fc.assert(
      fc.property(anyWish, ({ weeks, weekdays, start, method }) => {
        const point = STARTING_POINTS[method];
        const wishes = wish({
          ...point,
          loadingDays: Math.min(point.loadingDays, weekdays.length),
          weeks,
          weekdays,
          fromDay: addDays(MONDAY, start),
        });
        expect(checkWish(wishes, MONDAY, METHODS[method])).toEqual([]);
        const made = scheduled(wishes);
        const plans = [LOADING_PLAN, EASY_PLAN].map((id, index) => ({ id, sequenceId: `00000000-0000-4000-8000-00000000000${index}` }));
        expect(checkProgramme(programmeOf([], { ...made, plans, fromDay: wishes.fromDay }))).toEqual([]);
        const loading = made.sessions.filter(({ planId }) => planId === LOADING_PLAN);
        expect(loading.length).toBeLessThanOrEqual(wishes.loadingDays * weeks);
        for (const session of made.sessions) expect(weekdays).toContain(weekdayOf(session.day));
        // Where there is room for it, hard days have a day between.
        if (weekdays.length === 7 && point.loadingDays <= 3) {
          for (const [index, { day: on }] of loading.slice(1).entries()) expect(daysBetween(loading[index]!.day, on)).toBeGreaterThan(1);
        }
      }),
    );
  });

  test('that cannot be made says which answer would be right', () => {
    const faults = (more: Partial<ScheduleWish>) =>
      checkWish(wish(more), MONDAY, METHODS['grip-and-iron']).map(({ pointer, message }) => `${pointer} ${message}`);
    expect(faults({ weeks: 0 })).toEqual(['/weeks must be a whole number within 1–52 weeks']);
    expect(faults({ weekdays: [] })).toEqual(['/weekdays must name at least one available weekday']);
    expect(faults({ weeks: Number.NaN })).toEqual(['/weeks must be a whole number within 1–52 weeks']);
    expect(faults({ loadingDays: 0 })).toEqual(['/loadingDays must be a whole number within 1–6']);
    expect(faults({ loadingMin: Number.NaN })).toEqual(['/loadingMin must be a whole number within 1–240 min']);
    expect(faults({ easyMin: 500 })).toEqual(['/easyMin must be a whole number within 1–240 min']);
    expect(faults({ weekdays: [1, 3] })).toEqual(['/loadingDays must be at most 2, the number of available weekdays']);
    expect(faults({ loadingDays: 4 })).toEqual(['/loadingDays must be at most 3: Grip and iron allows no more loading sessions a week']);
    expect(faults({ event: { day: '2026-06-01', name: 'Show' } })).toEqual([
      '/event/day is in the past: the programme must lead to a day from 2026-06-08 on',
    ]);
    expect(faults({ fromDay: day(2, 1), event: { day: day(1, 1), name: 'Show' } })).toEqual([
      '/event/day must not be before the first day, 2026-06-22',
    ]);
  });

  test('counts weeks to an event with its own', () => {
    expect(weeksUntil(MONDAY, day(0, 7))).toBe(1);
    expect(weeksUntil(day(0, 4), day(5, 1))).toBe(6);
  });

  test('has a goal for what is easy', () => {
    expect(shippedGoal(EASY_GOAL)).toBeDefined();
  });
});
