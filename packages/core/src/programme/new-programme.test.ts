import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement, STARTING_POINTS } from '../library/index.js';
import { checkProgramme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { runs } from '../properties.fixture.js';
import { WORK } from '../vocabulary/phases.js';
import { person } from '../rules/checks/sessions.fixture.js';
import { addDays, daysBetween, weekdayOf } from '../vocabulary/days.js';
import { evaluateProgramme } from './evaluate.js';
import { newProgramme, type NewProgramme, spacingOf } from './new-programme.js';
import { day, MONDAY, programmeOf, question, SEQUENCES } from './programme.fixture.js';
import { EASY_PLAN, LIGHTER_PLAN, LOADING_PLAN, type ScheduleWish, weeksUntil } from './schedule.js';
import { sessionLoad } from './session-load.js';
import { TAPER_BAND } from './toward-event.js';
import { weekLoads } from './week-loads.js';

const id = (number: number) => `00000000-0000-4000-8000-00000000000${number}`;
const sequenceFor = { [LOADING_PLAN]: 'whole', [LIGHTER_PLAN]: 'easy', [EASY_PLAN]: 'easy' } as const;
type PlanId = keyof typeof sequenceFor;

/** What trains in two sets, as it is composed. */
const TWO_SETS: Sequence = {
  ...SEQUENCES.get('whole')!,
  blocks: SEQUENCES.get('whole')!.blocks.map((block) =>
    WORK.includes(block.phase) ? { ...block, dose: { ...block.dose, sets: 2, restS: 30 } } : block,
  ),
};
const sequenceNamed = (name: string) => (name === 'two sets' ? TWO_SETS : SEQUENCES.get(name)!);

/** A programme of the sequences of the fixture. */
function asked(more: Partial<ScheduleWish> = {}, loading = 'two sets', plans: readonly PlanId[] = [LOADING_PLAN, EASY_PLAN]): NewProgramme {
  const { words: _, ...point } = STARTING_POINTS['floor-loading'];
  const { programme: _programme, ...context } = question(programmeOf([]), { today: addDays(MONDAY, -3) });
  return {
    ...context,
    head: { title: 'Show', methodId: 'floor-loading', plans: plans.map((planId, index) => ({ id: planId, sequenceId: id(index) })) },
    wish: { fromDay: MONDAY, weeks: 8, weekdays: [1, 2, 3, 4, 5, 6, 7], ...point, ...more },
    sequences: new Map(plans.map((planId) => [planId, sequenceNamed(planId === LOADING_PLAN ? loading : sequenceFor[planId])])),
  };
}

const made = (of: NewProgramme) => {
  const programme = newProgramme(of);
  const view = evaluateProgramme({ ...of, programme });
  return { programme, view, loads: weekLoads(view).map(({ percentOfPeak }) => percentOfPeak) };
};
const builds = ({ programme, loads }: ReturnType<typeof made>) => loads.filter((_, index) => programme.weeks[index]!.kind === 'build');

describe('a new programme', () => {
  const event = { day: day(7, 6), name: 'Lantern show' };

  test('of somebody who has not trained begins at about half, rises with every building week and tapers to half of the fullest', () => {
    const answer = made(asked({ event }));
    expect(answer.programme.weeks[0]!.amountPercent).toBe(55);
    expect(answer.loads[0]).toBeLessThan(80);
    const rising = builds(answer);
    for (const [index, load] of rising.slice(1).entries()) expect(load).toBeGreaterThanOrEqual(rising[index]!);
    expect(rising.at(-1)).toBe(100);
    expect(new Set(rising).size).toBeGreaterThanOrEqual(rising.length - 1);
    expect(answer.programme.weeks[7]!.kind).toBe('taper');
    expect(answer.loads[7]).toBeGreaterThanOrEqual(100 * TAPER_BAND[0]);
    expect(answer.loads[7]).toBeLessThanOrEqual(100 * TAPER_BAND[1]);
  });

  test('of somebody who has trained goes on from there', () => {
    const planned = asked({ event });
    const { doses } = sessionLoad(person, planned.sequences.get(LOADING_PLAN)!, shippedMovement);
    const past = [2, 4, 6, 9, 11, 13, 16, 18, 20].map((back) => ({ day: addDays(MONDAY, -back), doses, hard: [] }));
    const first = (of: typeof past) => made({ ...planned, past: of }).programme.weeks[0]!.amountPercent;
    expect(first(past)).toBeGreaterThanOrEqual(75);
    const little = past.map((each) => ({
      ...each,
      doses: Object.fromEntries(Object.entries(doses).map(([key, dose]) => [key, dose * 0.65])),
    }));
    expect(first(little)).toBeLessThan(first(past));
  });

  test('keeps hard days apart: lighter ones between', () => {
    const hard = asked({ weekdays: [1, 2, 4, 5], loadingDays: 4 }, 'hard', [LOADING_PLAN, LIGHTER_PLAN, EASY_PLAN]);
    expect(spacingOf(hard.sequences.get(LOADING_PLAN)!, hard)).toBe(2);
    expect(spacingOf(hard.sequences.get(EASY_PLAN)!, hard)).toBe(1);
    const { programme, view } = made(hard);
    expect(programme.sessions.slice(0, 4).map(({ planId }) => planId)).toEqual([LOADING_PLAN, LIGHTER_PLAN, LOADING_PLAN, LIGHTER_PLAN]);
    expect(view.findings.filter(({ rule }) => rule === 'spacing')).toEqual([]);
    // A plan of which nothing is left is not in it.
    expect(programme.plans.map((plan) => plan.id)).toEqual([LOADING_PLAN, LIGHTER_PLAN]);
  });

  test('breaks none of its own rules, whatever days there are, whenever the event is, and is sound', () => {
    const anyAsked = fc.record({
      weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 2 }),
      weeks: fc.integer({ min: 3, max: 14 }),
      start: fc.nat(6),
      eventDay: fc.option(fc.integer({ min: 1, max: 7 }), { nil: null }),
      loading: fc.constantFrom('whole', 'hard', 'two sets'),
      days: fc.integer({ min: 1, max: 4 }),
    });
    fc.assert(
      fc.property(anyAsked, ({ weekdays, weeks, start, eventDay, loading, days }) => {
        const fromDay = addDays(MONDAY, start);
        const on = eventDay === null ? undefined : { day: day(weeks - 1, eventDay), name: 'Show' };
        const wish = {
          fromDay,
          weekdays,
          loadingDays: Math.min(days, weekdays.length),
          weeks: on ? weeksUntil(fromDay, on.day) : weeks,
          ...(on && { event: on }),
        };
        const { programme, view } = made(asked(wish, loading, [LOADING_PLAN, LIGHTER_PLAN, EASY_PLAN]));
        expect(checkProgramme(programme)).toEqual([]);
        for (const session of programme.sessions) expect(weekdays).toContain(weekdayOf(session.day));
        // Few days leave no room for half of the fullest week; all else is kept.
        const said = view.findings.filter(({ rule, fix }) => rule !== 'taper' || fix !== undefined);
        expect(said.map(({ rule, day: when }) => `${rule} ${when}`)).toEqual([]);
        const hard = view.sessions.filter(({ load }) => (load?.hard.length ?? 0) > 0);
        for (const [index, session] of hard.slice(1).entries()) expect(daysBetween(hard[index]!.day, session.day)).toBeGreaterThan(1);
      }),
      runs(40),
    );
  });
});
