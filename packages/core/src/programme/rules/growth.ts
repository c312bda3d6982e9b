import { roomsFor, type WeekDoses, weeklyGrowth } from '../../rules/checks/weekly-growth.js';
import { dosesBetween, isAhead } from '../evaluate.js';
import type { ProgrammeRule } from '../finding.js';
import { addDays } from '../../vocabulary/days.js';

/** Weeks that grow faster than tissue follows. */
export const growth: ProgrammeRule = {
  id: 'growth',
  title: weeklyGrowth.title,
  severity: 'look',
  why: weeklyGrowth.why,
  source: weeklyGrowth.source,
  find: (view) =>
    view.weeks.flatMap((week) => {
      const last = week.sessions.findLast(isAhead);
      if (!last) return [];
      const weekDoses = (weeksBack: number): WeekDoses => {
        const monday = addDays(week.monday, -7 * weeksBack);
        const doses =
          view.weeks[week.index - weeksBack]?.doses ?? dosesBetween(view.course, monday, addDays(monday, 6));
        return (group) => doses[group] ?? 0;
      };
      const worst = roomsFor(weekDoses(0), [1, 2, 3].map(weekDoses), view.method)
        .filter(({ most, week: now }) => now > most)
        .sort((a, b) => b.week / b.usual - a.week / a.usual)[0];
      if (!worst) return [];
      const percent = Math.round(100 * (worst.week / worst.usual - 1));
      const text = `The week of the ${worst.group} is ${percent} % above the usual of the three before; the cap is ${view.method.weeklyGrowthPercent} %.`;
      const amountPercent = lesserAmount(week.amountPercent, worst.most / worst.week);
      const fix = amountPercent < week.amountPercent ? { label: `Make the week ${amountPercent} %`, edits: [{ kind: 'week' as const, index: week.index, week: { kind: week.kind, amountPercent } }] } : undefined; // prettier-ignore
      return [{ day: week.monday, sessionIds: week.sessions.filter(isAhead).map(({ id }) => id), text, fix }];
    }),
};

/** The next lower amount, in steps of five. */
const lesserAmount = (now: number, share: number) => Math.max(20, Math.floor((now * share) / 5) * 5);
