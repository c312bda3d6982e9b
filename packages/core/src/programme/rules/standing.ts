import { barredWords, cautionsOn, forbidsLoading } from '../../rules/safety/cautions.js';
import { AWAY_DAYS } from '../../rules/calls/needs-a-look.js';
import { daysBetween, dayWords } from '../../vocabulary/days.js';
import { isAhead } from '../seen.js';
import type { ProgrammeRule } from '../finding.js';

/** Load that is planned for hands that are not cleared. */
export const notCleared: ProgrammeRule = {
  id: 'not-cleared',
  title: 'Not cleared',
  severity: 'stop',
  why: 'Nothing loads a hand before somebody licensed has looked at it.',
  source: 'practice of caution and referral',
  find: ({ athlete, sessions, today }) => {
    const barred = athlete && cautionsOn(athlete, today).find(forbidsLoading);
    const ahead = sessions.filter((session) => session.load?.isLoading && isAhead(session));
    const first = ahead[0];
    if (!barred || !first) return [];
    const text = `${barredWords(barred)}. ${ahead.length === 1 ? 'One session loads' : `${ahead.length} sessions load`} all the same: they wait until a licensed practitioner has cleared it.`;
    return [{ day: first.day, sessionIds: ahead.map(({ id }) => id), text }];
  },
};

/** Gaps after which levels go back. */
export const longGap: ProgrammeRule = {
  id: 'long-gap',
  title: 'A long gap',
  severity: 'look',
  why: `After ${AWAY_DAYS} days without, a level back is safer than going on.`,
  source: 'customary among coaches',
  find: ({ course, sessions }) => {
    const days = course.map(({ onDay }) => onDay);
    return sessions.filter(isAhead).flatMap(({ id, day }) => {
      const before = days.findLast((each) => each < day);
      if (before === undefined || daysBetween(before, day) < AWAY_DAYS || days.indexOf(day) !== days.lastIndexOf(before) + 1) return [];
      const text = `${daysBetween(before, day)} days without a session before ${dayWords(day)}: each movement begins a level lower then.`;
      return [{ day, sessionIds: [id], text }];
    });
  },
};

/** Plans whose sequence is no longer there. */
export const planRemoved: ProgrammeRule = {
  id: 'plan-removed',
  title: 'A sequence is gone',
  severity: 'mend',
  why: 'A session without a sequence cannot be led.',
  source: 'the studio’s sequences',
  find: ({ sessions }) => {
    const ahead = sessions.filter((session) => session.sequence === null && isAhead(session));
    const first = ahead[0];
    if (!first) return [];
    const text = `${ahead.length === 1 ? 'One session goes' : `${ahead.length} sessions go`} by a sequence that was removed: give the plan another, or bring it back.`;
    return [{ day: first.day, sessionIds: ahead.map(({ id }) => id), text }];
  },
};
