import { calendarDay, quantity, say } from '../../vocabulary/sentence.js';
import { usualWeek } from '../../model/programme.js';
import { daysBetween } from '../../vocabulary/days.js';
import { isAhead } from '../seen.js';
import type { ProgrammeRule } from '../finding.js';
import { HARD_CLEAR_DAYS, LOADING_CLEAR_DAYS, weekToward } from '../toward-event.js';
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

/** An event into which the load runs on. */
export const taperMissing: ProgrammeRule = {
  id: 'taper-missing',
  title: 'No taper before the event',
  severity: 'look',
  why: 'One or two weeks of about half the work at the same effort bring the best result.',
  source: SOURCE,
  find: ({ programme, weeks, today }) => {
    const { event } = programme;
    if (!event || event.day < today) return [];
    const index = weekToward(programme, event.day);
    const week = weeks[index];
    if (!week || week.kind !== 'build' || !week.sessions.some((each) => each.load?.isLoading && isAhead(each))) return [];
    const text = say`Week ${index + 1} leads up to ${event.name} and has ${quantity(week.amountPercent, '%')} of the load.`;
    const taper = usualWeek('taper');
    const fix = {
      label: say`Make week ${index + 1} a taper, ${quantity(taper.amountPercent, '%')}`,
      edits: [{ kind: 'week' as const, index, week: taper }],
    };
    return [{ day: week.monday, sessionIds: [], text, fix }];
  },
};
