import { viewOf, type SessionView } from '../../effort/session-view.js';
import type { Sequence } from '../../model/sequence.js';
import type { Finding } from '../../rules/checks/index.js';
import { countWords, fitted, isWithinLimits, limitsPassed, removed } from '../../rules/fixes/within-limits.js';
import { shortHash, counted } from '../../vocabulary/text.js';
import { firstOf, groupedBy } from '../../vocabulary/lists.js';
import { joinSentences, say } from '../../vocabulary/sentence.js';
import type { ProgrammeFix, ProgrammeRule } from '../finding.js';
import { movementsOf, rememberer } from '../known.js';
import { isAhead, noonOf, type PlannedSession, type ProgrammeContext } from '../seen.js';
import { changedBy } from '../session-plan.js';
import { inParts } from '../suggestion-edits.js';

/** Sequences that go past a restriction: what is planned passes the gate that is asked before a session. */
export const blocked: ProgrammeRule = {
  id: 'blocked',
  title: 'Session blocked',
  severity: 'stop',
  why: 'What a restriction rules out can’t be led, planned or not.',
  source: 'restriction and referral rules',
  find: (view) => {
    // Without restrictions nothing has changed since somebody planned it.
    if (!view.athlete || view.athlete.cautions.length === 0) return [];
    const ahead = view.sessions.filter((session) => isAhead(session) && session.sequence !== null);
    const byPlan = [...groupedBy(ahead, ({ planId }) => planId).values()].flatMap((mine) => [
      ...groupedBy(mine, (session) => planAt(view, session)).entries(),
    ]);
    return byPlan.flatMap(([plan, sessions]) => {
      const { stops, fix } = lookedAt(view, plan, firstOf(sessions));
      const first = stops[0];
      if (!first) return [];
      const blocks = new Set(stops.flatMap(({ blockIds }) => blockIds)).size;
      const text = joinSentences([
        say`“${plan.title}” can’t be led: ${counted(blocks, 'block')} ${blocks === 1 ? 'goes' : 'go'} past a restriction.`,
        first.text,
      ]);
      return [{ day: firstOf(sessions).day, sessionIds: sessions.map(({ id }) => id), text, fix }];
    });
  },
};

/** The plan of a session as suggestions changed it, whatever its week holds of it: who is barred is not let in by less of it. */
const planAt = ({ programme, sequences }: ProgrammeContext, session: PlannedSession): Sequence =>
  changedBy(programme, session, sequences.get(session.planId) ?? (session.sequence as Sequence));

interface LookedAt {
  readonly stops: readonly Finding[];
  readonly fix: ProgrammeFix | undefined;
}

/** What stands against a plan, and the least change with which nothing does. */
function lookedAt(context: ProgrammeContext, plan: Sequence, { day, planId }: PlannedSession): LookedAt {
  const { lookup, shelf, person, method, athlete, today } = context;
  const parts = [person, method, athlete, day, ...movementsOf(plan, lookup)];
  return remember(plan, parts, () => {
    const view = viewOf({ sequence: plan, lookup, shelf, person, method, athlete, past: [], now: noonOf(today) });
    const stops = limitsPassed(view);
    return { stops, fix: stops.length > 0 ? fixOf(view, stops, day, planId) : undefined };
  });
}
const remember = rememberer<LookedAt>();

function fixOf(view: SessionView, stops: readonly Finding[], fromDay: string, planId: string): ProgrammeFix | undefined {
  const blockIds = [...new Set(stops.flatMap((stop) => stop.blockIds))];
  const edits = [fitted(view, blockIds), removed(blockIds)].find((each) => isWithinLimits(view, each));
  if (!edits) return undefined;
  const reason = 'Goes past a restriction.';
  const id = (part: number) => `limits-${shortHash(`${planId} ${fromDay} ${JSON.stringify(edits)}`)}-${part + 1}`;
  return {
    label: countWords(edits),
    edits: inParts(edits.filter(isOfBlock)).map((some, part) => ({
      kind: 'change' as const,
      change: { id: id(part), fromDay, planId, edits: some, reason },
    })),
  };
}

const isOfBlock = (edit: ReturnType<typeof fitted>[number]): edit is Extract<typeof edit, { kind: 'change' | 'remove' | 'add' }> =>
  edit.kind === 'change' || edit.kind === 'remove' || edit.kind === 'add';
