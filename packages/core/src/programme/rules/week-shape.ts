import { quantity, say } from '../../vocabulary/sentence.js';
import { usualWeek } from '../../model/programme.js';
import { SESSIONS_A_WEEK, tooOften } from '../../rules/checks/too-often.js';
import { WEEKDAYS } from '../../vocabulary/days.js';
import { isAhead, type WeekView } from '../seen.js';
import { BUILD_WEEKS } from '../weeks-of.js';
import type { ProgrammeRule } from '../finding.js';

const loadingAhead = ({ sessions }: WeekView) => sessions.filter((session) => session.load?.isLoading && isAhead(session));
const loading = ({ sessions }: WeekView) => sessions.filter((session) => session.load?.isLoading && session.state !== 'missed');

/** More loading sessions in a week than the method has room for. */
export const tooMany: ProgrammeRule = {
  id: 'too-many',
  title: tooOften.title,
  severity: 'look',
  why: tooOften.why,
  source: tooOften.source,
  find: ({ weeks, method }) =>
    weeks.flatMap((week) => {
      const [mine, most] = [loading(week), SESSIONS_A_WEEK[method.frequency]];
      if (mine.length <= most || loadingAhead(week).length === 0) return [];
      return [
        {
          day: week.monday,
          sessionIds: mine.map(({ id }) => id),
          text: say`${mine.length} loading sessions. ${method.name} allows up to ${most} a week.`,
        },
      ];
    }),
};

/** Seven days of a week with load on each. */
export const noRestDay: ProgrammeRule = {
  id: 'no-rest-day',
  title: 'No day without load',
  severity: 'look',
  why: 'Tissue builds up on days without load. Movement and stretching are welcome then.',
  source: 'common practice among coaches',
  find: ({ weeks }) =>
    weeks.flatMap((week) => {
      const days = new Set(loading(week).map(({ day }) => day));
      if (days.size < WEEKDAYS.length || loadingAhead(week).length === 0) return [];
      return [{ day: week.monday, sessionIds: [], text: 'Every day of this week loads the hands. Keep one for movement only.' }];
    }),
};

/** Building without an easier week. */
export const easierMissing: ProgrammeRule = {
  id: 'easier-missing',
  title: 'No deload week',
  severity: 'look',
  why: 'Tendons and skin recover in lighter weeks. Without them, problems often start in week five or six.',
  source: 'common practice among coaches',
  find: ({ weeks, programme: { weeks: kinds } }) =>
    weeks.flatMap((week) => {
      const run = kinds.slice(0, week.index + 1).reverse();
      const length = run.findIndex(({ kind }) => kind !== 'build');
      const built = length < 0 ? run.length : length;
      // Told of once, of the first week too many.
      if (built !== BUILD_WEEKS + 1 || loadingAhead(week).length === 0) return [];
      const text = say`Week ${week.index + 1} would be the ${built}th building week in a row. Put a deload week or an event before it.`;
      const easier = usualWeek('easier');
      const fix = {
        label: say`Make week ${week.index + 1} a deload, ${quantity(easier.amountPercent, '%')}`,
        edits: [{ kind: 'week' as const, index: week.index, week: easier }],
      };
      return [{ day: week.monday, sessionIds: [], text, fix }];
    }),
};
