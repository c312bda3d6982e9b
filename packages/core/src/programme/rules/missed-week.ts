import { addDays } from '../../vocabulary/days.js';
import { quantity, say } from '../../vocabulary/sentence.js';
import { counted } from '../../vocabulary/text.js';
import type { ProgrammeEdit } from '../edits.js';
import type { ProgrammeFix, ProgrammeRule } from '../finding.js';
import { isAhead, type ProgrammeContext, type WeekView } from '../seen.js';

/** A week of which nothing was done: what it was to build is not there to build on. */
export const missedWeek: ProgrammeRule = {
  id: 'missed-week',
  title: 'Week missed',
  severity: 'look',
  why: 'A week without work is made up by repeating it, not by going on as if it had been done.',
  source: 'common practice among coaches',
  find: (view) => {
    const missed = view.weeks.findLast(({ monday }) => addDays(monday, DAYS) <= view.today);
    const next = missed && view.weeks[missed.index + 1];
    if (!missed || !next || missed.kind !== 'build') return [];
    const { sessions } = missed;
    const ahead = next.sessions.filter(isAhead);
    // What has been done since is what goes on.
    const wasDone = [...sessions, ...next.sessions].some(({ state }) => state === 'done');
    if (sessions.length === 0 || wasDone || ahead.length === 0 || isDoneSince(view, missed)) return [];
    const fix = repeated(view, missed);
    const what = fix
      ? say`Repeat it: ${quantity(missed.amountPercent, '%')} in week ${next.index + 1} instead of ${quantity(next.amountPercent, '%')}.`
      : say`Week ${next.index + 1} holds no more than it did: continue with that.`;
    const text = say`None of the ${counted(sessions.length, 'session')} of week ${missed.index + 1} took place. ${what}`;
    return [{ day: next.monday, sessionIds: ahead.map(({ id }) => id), text, fix }];
  },
};

const DAYS = 7;

const isDoneSince = ({ past }: ProgrammeContext, { monday }: WeekView): boolean => past.some(({ day }) => day >= monday);

/** Every building week from the next on takes the amount of the one before it, up to the taper; undefined where none would hold less. */
function repeated({ weeks }: ProgrammeContext, missed: WeekView): ProgrammeFix | undefined {
  const edits: ProgrammeEdit[] = [];
  let before = missed.amountPercent;
  for (const week of weeks.slice(missed.index + 1)) {
    if (week.kind !== 'build') continue;
    if (before < week.amountPercent) edits.push({ kind: 'week', index: week.index, week: { kind: 'build', amountPercent: before } });
    before = week.amountPercent;
  }
  return edits.length > 0 ? { label: say`Repeat week ${missed.index + 1}, and move the weeks after it along`, edits } : undefined;
}
