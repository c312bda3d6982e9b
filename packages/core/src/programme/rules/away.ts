import { say } from '../../vocabulary/sentence.js';
import { AWAY_KINDS } from '../../model/programme.js';
import { ANYWHERE } from '../../rules/gate/at-hand.js';
import { lowered } from '../../vocabulary/text.js';
import { isAhead } from '../seen.js';
import type { ProgrammeRule } from '../finding.js';
import { awayOn, movedOrOut } from './free-day.js';

/** Sessions on days that are kept free. */
export const onFreeDay: ProgrammeRule = {
  id: 'on-free-day',
  title: 'Session on an unavailable day',
  severity: 'mend',
  why: 'Days of rest or illness stay free.',
  source: 'the programme’s unavailable days',
  find: (view) =>
    view.sessions.filter(isAhead).flatMap((session) => {
      const away = awayOn(view, session.day);
      if (!away || AWAY_KINDS[away.kind].trains) return [];
      const text = say`${session.sequence?.title ?? 'A session'} falls on a day marked “${lowered(AWAY_KINDS[away.kind].label)}”.`;
      return [{ day: session.day, sessionIds: [session.id], text, fix: movedOrOut(view, session, () => true) }];
    }),
};

/** What a session needs and is not there: on the way, or at home. */
export const equipmentThere: ProgrammeRule = {
  id: 'equipment-there',
  title: 'Equipment missing',
  severity: 'mend',
  why: 'You can’t train with equipment that isn’t there.',
  source: 'the athlete’s record and the programme’s unavailable days',
  find: (view) =>
    view.sessions.filter(isAhead).flatMap((session) => {
      const away = awayOn(view, session.day);
      const isAway = away !== undefined && AWAY_KINDS[away.kind].trains;
      const there = isAway ? [...ANYWHERE, ...(away.equipment ?? [])] : view.athlete?.equipment;
      const missing = (there && session.load?.equipment.filter((thing) => !there.includes(thing))) ?? [];
      if (missing.length === 0) return [];
      const text = say`${session.sequence?.title ?? 'A session'}: needs ${missing.join(', ')}, not available${isAway ? ' while travelling' : ''}.`;
      const fix = isAway ? movedOrOut(view, session, (day) => !awayOn(view, day)) : undefined;
      return [{ day: session.day, sessionIds: [session.id], text, fix }];
    }),
};
