import { calendarDay, quantity, say } from '../../vocabulary/sentence.js';
import { weekIndexOf } from '../../model/programme.js';
import { daysBetween } from '../../vocabulary/days.js';
import { AMOUNTS, amountLoads, nearest, workLoad } from '../amount-loads.js';
import { isAhead, type ProgrammeContext, type WeekView } from '../seen.js';
import type { ProgrammeFix, ProgrammeRule } from '../finding.js';
import { HARD_CLEAR_DAYS, isNearEvent, LOADING_CLEAR_DAYS, TAPER_BAND, TAPER_SHARE, weekToward } from '../toward-event.js';
import { workIn } from '../week-loads.js';
import { movedOrOut } from './free-day.js';

const SOURCE = 'Bosquet et al. 2007, Med Sci Sports Exerc 39:1358–65; common practice among coaches';

/** Load too near the event. */
export const beforeEvent: ProgrammeRule = {
  id: 'before-event',
  title: 'Hard work too close to the event',
  severity: 'mend',
  why: 'Training in the last days adds fatigue, not strength.',
  source: SOURCE,
  find: (view) => {
    const { event } = view.programme;
    if (!event) return [];
    return view.sessions.filter(isAhead).flatMap((session) => {
      const days = daysBetween(session.day, event.day);
      const nearest = (session.load?.hard.length ?? 0) > 0 ? HARD_CLEAR_DAYS : session.load?.isLoading ? LOADING_CLEAR_DAYS : -1;
      if (days < 0 || days > nearest || nearest < 0) return [];
      const when = days === 0 ? 'on the day of' : `${days} ${days === 1 ? 'day' : 'days'} before`;
      const text = say`${session.sequence?.title ?? 'A session'} ${nearest === HARD_CLEAR_DAYS ? 'works hard' : 'loads'} ${when} ${event.name}, ${calendarDay(event.day)}.`;
      const suits = (day: string) => daysBetween(day, event.day) > nearest;
      return [{ day: session.day, sessionIds: [session.id], text, fix: movedOrOut(view, session, suits) }];
    });
  },
};

/** A taper that holds too much or too little. */
export const taper: ProgrammeRule = {
  id: 'taper',
  title: 'Taper before the event',
  severity: 'look',
  why: 'One or two weeks of about half the work at the same effort bring the best result. Less loses more than it rests.',
  source: SOURCE,
  find: (view) => {
    const { programme, weeks, today } = view;
    const { event } = programme;
    if (!event || event.day < today) return [];
    const first = weekToward(programme, event.day);
    const leading = weeks.slice(first, weekIndexOf(programme, event.day) + 1);
    const ahead = leading.flatMap(({ sessions }) => sessions.filter(isAhead));
    const peak = Math.max(0, ...weeks.slice(0, first).map(workIn));
    if (peak === 0 || !ahead.some(({ load }) => load?.isLoading)) return [];
    const share = leading.reduce((sum, week) => sum + workIn(week), 0) / peak;
    const [least, most] = TAPER_BAND;
    if (share >= least - ROUNDING && share <= most + ROUNDING) return [];
    const days = first === weekIndexOf(programme, event.day) ? `Week ${first + 1} leads` : `Weeks ${first + 1} and ${first + 2} lead`;
    const text = say`${days} up to ${event.name} with ${quantity(Math.round(100 * share), '%')} of the fullest week’s load. A taper holds ${quantity(100 * least, '%')} to ${quantity(100 * most, '%')}.`;
    return [{ day: weeks[first]?.monday ?? event.day, sessionIds: [], text, fix: taperedTo(view, leading, peak, share) }];
  },
};
/** Doses are whole: so near the band is in it. */
const ROUNDING = 0.02;

/** The amount with which the weeks that lead to an event come nearest to half of the fullest week; undefined where none is nearer than theirs. */
function taperedTo(view: ProgrammeContext, leading: readonly WeekView[], peak: number, now: number): ProgrammeFix | undefined {
  const loads = amountLoads(view.programme, view);
  const ahead = leading.flatMap(({ sessions }) => sessions.filter(isAhead));
  const done = leading.reduce((sum, week) => sum + workIn(week), 0) - ahead.reduce((sum, { load }) => sum + workLoad(load), 0);
  const share = (percent: number) => (done + ahead.reduce((sum, session) => sum + workLoad(loads(session, percent)), 0)) / peak;
  const isTooHard = (percent: number) =>
    ahead.some((session) => isNearEvent(view.programme.event, session.day) && (loads(session, percent)?.hard.length ?? 0) > 0);
  const amountPercent = nearest(
    AMOUNTS.filter((percent) => !isTooHard(percent)),
    TAPER_SHARE,
    share,
  );
  if (amountPercent === undefined || Math.abs(share(amountPercent) - TAPER_SHARE) >= Math.abs(now - TAPER_SHARE) - ROUNDING)
    return undefined;
  const edits = leading.map(({ index }) => ({ kind: 'week' as const, index, week: { kind: 'taper' as const, amountPercent } }));
  const weeks = leading.map(({ index }) => index + 1).join(' and ');
  return { label: say`Make week ${weeks} a taper, ${quantity(amountPercent, '%')}`, edits };
}
