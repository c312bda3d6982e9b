import { describe, expect, test } from '@jest/globals';
import { LOADING_PLAN } from '@clay-pot/core';
import { METHODS, startingPointOf } from '@clay-pot/core/library';
import { asMethodBegins, faultsOfWish, firstPlanWish, type PlanWish, scheduleWishOf, schemeOf } from './plan-wish.js';

const TODAY = '2026-06-10';
const wish = (more: Partial<PlanWish> = {}): PlanWish => ({ ...firstPlanWish('handstand-load', 'floor-loading', TODAY), ...more });

describe('a wish for a programme', () => {
  test('begins on the next Monday, today where it is one, as its method’s weeks do', () => {
    expect(wish()).toMatchObject({ fromDay: '2026-06-15', loadingDays: 3, loadingMin: 25, hasEasy: true });
    expect(firstPlanWish('handstand-load', 'floor-loading', '2026-06-15').fromDay).toBe('2026-06-15');
    expect(faultsOfWish(wish(), TODAY)).toEqual([]);
  });

  test.each(Object.keys(METHODS))('of the method %s can be made, with its days and minutes', (method) => {
    const { loadingDays, easyMin } = startingPointOf(method);
    const made = schemeOf(wish({ methodId: method, ...asMethodBegins(method) }));
    expect(made.loading).toBe(8 * loadingDays);
    expect(made.easy > 0).toBe(easyMin !== null);
    expect(made.loadingWeekdays).toHaveLength(loadingDays);
  });

  test('with an event counts the weeks to it, and names it where nobody did', () => {
    const toward = wish({ eventDay: '2026-07-11', weeks: 3 });
    expect(scheduleWishOf(toward)).toMatchObject({ weeks: 4, event: { day: '2026-07-11', name: 'The event' } });
    const { weeks, sessions } = schemeOf(toward);
    expect(weeks.at(-1)!.kind).toBe('taper');
    expect(sessions.filter(({ planId }) => planId === LOADING_PLAN).at(-1)!.day < '2026-07-08').toBe(true);
  });

  test.each<[Partial<PlanWish>, string]>([
    [{ loadingMin: Number.NaN }, '/loadingMin'],
    [{ easyMin: 0 }, '/easyMin'],
    [{ weeks: 60 }, '/weeks'],
    [{ weekdays: [] }, '/weekdays'],
    [{ eventDay: '2026-05-01' }, '/event/day'],
  ])('with %j is not made: %s says what would be right', (more, pointer) => {
    expect(faultsOfWish(wish(more), TODAY).map((fault) => fault.pointer)).toContain(pointer);
  });

  test('minutes that are not used are not asked for', () => {
    expect(faultsOfWish(wish({ hasEasy: false, easyMin: Number.NaN }), TODAY)).toEqual([]);
  });
});
