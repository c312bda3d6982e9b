import { quantity, say } from '../../vocabulary/sentence.js';
import { type PastLoad, SPACED_PERCENT } from '../../effort/past.js';
import { hardSpacing, hoursSinceHard } from '../../rules/checks/hard-spacing.js';
import { dayWords, hoursBetween } from '../../vocabulary/days.js';
import { type MuscleGroup, partsOf } from '../../vocabulary/muscles.js';
import { capital, listed } from '../../vocabulary/text.js';
import { isAhead, loadOn, noonOf, type PlannedSession, type ProgrammeContext } from '../seen.js';
import type { ProgrammeRule } from '../finding.js';
import { movedOrOut } from './free-day.js';

const isHardFor = ({ hard }: Pick<PastLoad, 'hard'>, group: MuscleGroup) => hard.some((key) => partsOf(key).group === group);

/** Hard sessions of the same muscles on days too near. */
export const spacing: ProgrammeRule = {
  id: 'spacing',
  title: 'Hard days too close together',
  severity: 'mend',
  why: hardSpacing.why,
  source: hardSpacing.source,
  find: (view) => {
    const course = hardCourse(view);
    return view.sessions.filter(isAhead).flatMap((session) => {
      const { day, load } = session;
      if (!load || load.hard.length === 0) return [];
      const mine = [...new Set(load.hard.map((key) => partsOf(key).group))];
      // Of two planned on one day the first is listed before the second.
      const at = course.findIndex((each) => each.session === session);
      const before = course.slice(0, at);
      const others = [...before, ...course.slice(at + 1)];
      const again = mine.filter((group) => hoursBefore(before, day, group) < view.method.hardSpacingH);
      const [group] = again;
      if (!group) return [];
      const on = before.findLast((each) => isHardFor(each, group))?.onDay ?? '';
      const when = on === day ? 'twice on one day' : `on ${dayWords(on)} and again on ${dayWords(day)}`;
      const text = say`${capital(listed(again))} work for half a minute or longer at ${quantity(SPACED_PERCENT, '%')} or more ${when}. This method leaves ${quantity(view.method.hardSpacingH, 'h')} between.`;
      const suits = (to: string) =>
        mine.every((each) => [hoursBefore, hoursAfter].every((hours) => hours(others, to, each) >= view.method.hardSpacingH));
      return [{ day, sessionIds: [session.id], text, fix: movedOrOut(view, session, suits) }];
    });
  },
};

/** Hard work that was carried out or is ahead, in order; what was done on a day comes before what is planned on it. */
function hardCourse({ past, sessions }: ProgrammeContext): (PastLoad & { readonly session?: PlannedSession })[] {
  const done = past.map(loadOn);
  const ahead = sessions
    .filter(isAhead)
    .flatMap((session) => (session.load ? [{ ...loadOn({ ...session.load, day: session.day }), session }] : []));
  return [...done, ...ahead].filter(({ hard }) => hard.length > 0).sort((a, b) => a.startedAt.localeCompare(b.startedAt));
}

const hoursBefore = (course: readonly PastLoad[], day: string, group: MuscleGroup) =>
  hoursSinceHard({ past: course, now: noonOf(day) }, group);

function hoursAfter(course: readonly PastLoad[], day: string, group: MuscleGroup): number {
  const after = course
    .filter((load) => isHardFor(load, group))
    .map(({ startedAt }) => hoursBetween(noonOf(day), startedAt))
    .filter((hours) => hours >= 0);
  return Math.min(...after);
}
