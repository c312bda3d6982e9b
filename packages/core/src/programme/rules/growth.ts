import { calendarDay, quantity, say } from '../../vocabulary/sentence.js';
import { roomsFor, type WeekDoses, weeklyGrowth, type WeekRoom } from '../../rules/checks/weekly-growth.js';
import { PROGRAMME_LIMITS } from '../../model/programme.js';
import { dosesBetween, isPartWeek, isAhead, type PlannedSession, type WeekView } from '../seen.js';
import type { ProgrammeFix, ProgrammeRule } from '../finding.js';
import { HANDS } from '../../vocabulary/hands.js';
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
        const at = week.index - weeksBack;
        const doses = view.weeks[at]?.doses ?? dosesBetween(view.course, monday, addDays(monday, 6));
        const isKnown = weeksBack === 0 || !isPartWeek(view.programme, at);
        return (group) => (isKnown ? (doses[group] ?? 0) : 0);
      };
      const over = roomsFor(weekDoses(0), [1, 2, 3].map(weekDoses), view.method)
        .filter(({ most, week: now }) => now > most)
        .sort((a, b) => b.week / b.usual - a.week / a.usual);
      const worst = over[0];
      if (!worst) return [];
      const percent = Math.round(100 * (worst.week / worst.usual - 1));
      const text = say`The week’s load on the ${worst.group} is ${quantity(percent, '%')} above what the three weeks before usually held. The cap is ${quantity(view.method.weeklyGrowthPercent, '%')}.`;
      const amountPercent = Math.min(...over.map((room) => lesserAmount(week, room)));
      const fix =
        amountPercent < week.amountPercent
          ? {
              label: say`Set the week to ${quantity(amountPercent, '%')}`,
              edits: [{ kind: 'week' as const, index: week.index, week: { kind: week.kind, amountPercent } }],
            }
          : withoutOne(week, worst);
      return [{ day: week.monday, sessionIds: week.sessions.filter(isAhead).map(({ id }) => id), text, fix }];
    }),
};

/** Where moving and stretching alone are too much, one session less: the shortest that does it. */
function withoutOne({ sessions }: WeekView, { group, week, most }: WeekRoom): ProgrammeFix | undefined {
  const doseOf = ({ load }: PlannedSession) => HANDS.reduce((sum, hand) => sum + (load?.doses[`${hand} ${group}`] ?? 0), 0);
  const ahead = sessions.filter((session) => isAhead(session) && doseOf(session) > 0);
  const byLength = ahead.toSorted((a, b) => (a.load?.durationMs ?? 0) - (b.load?.durationMs ?? 0));
  const out = byLength.find((session) => week - doseOf(session) <= most) ?? byLength[0];
  if (!out || ahead.length < 2) return undefined;
  return {
    label: say`Skip ${out.sequence?.title ?? 'the session'} on ${calendarDay(out.day)}`,
    edits: [{ kind: 'remove', sessionId: out.id }],
  };
}

const { min, step } = PROGRAMME_LIMITS.amountPercent;

/** The next lower amount with which a group is within its room; where moving and stretching alone are more, no amount is. */
function lesserAmount({ sessions, amountPercent }: WeekView, { group, week, most }: WeekRoom): number {
  const work = sessions.filter(isAhead).reduce((sum, { load }) => sum + (load?.workDoses[group] ?? 0), 0);
  const share = work > 0 ? (most - (week - work)) / work : 0;
  const amount = Math.floor((amountPercent * share) / step) * step;
  return amount >= min ? amount : amountPercent;
}
