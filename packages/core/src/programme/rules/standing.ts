import { counted } from '../../vocabulary/text.js';
import { calendarDay, say } from '../../vocabulary/sentence.js';
import { AWAY_DAYS } from '../../rules/suggestions/attention-needed.js';
import { daysBetween } from '../../vocabulary/days.js';
import { isAhead } from '../seen.js';
import type { ProgrammeRule } from '../finding.js';

/** Gaps after which levels go back. */
export const longGap: ProgrammeRule = {
  id: 'long-gap',
  title: 'Long gap',
  severity: 'look',
  why: `After ${counted(AWAY_DAYS, 'day')} off, going back a level is safer than carrying on.`,
  source: 'common practice among coaches',
  find: ({ course, sessions, programme, today }) => {
    const days = course.map(({ onDay }) => onDay);
    return sessions.filter(isAhead).flatMap(({ id, day }) => {
      const before = days.findLast((each) => each < day);
      // What comes before a programme begins is known to whoever makes it.
      if (before !== undefined && before < programme.fromDay && programme.fromDay >= today) return [];
      if (before === undefined || daysBetween(before, day) < AWAY_DAYS || days.indexOf(day) !== days.lastIndexOf(before) + 1) return [];
      const text = say`${counted(daysBetween(before, day), 'day')} without a session before ${calendarDay(day)}: each movement restarts a level lower.`;
      return [{ day, sessionIds: [id], text }];
    });
  },
};

/** Plans whose sequence is no longer there. */
export const planRemoved: ProgrammeRule = {
  id: 'plan-removed',
  title: 'Sequence missing',
  severity: 'mend',
  why: 'You can’t lead a session without a sequence.',
  source: 'the studio’s sequences',
  find: ({ sessions }) => {
    const ahead = sessions.filter((session) => session.sequence === null && isAhead(session));
    const first = ahead[0];
    if (!first) return [];
    const text = `${ahead.length === 1 ? 'One session uses' : `${ahead.length} sessions use`} a sequence that was removed. Choose another for the plan, or restore it.`;
    return [{ day: first.day, sessionIds: ahead.map(({ id }) => id), text }];
  },
};
