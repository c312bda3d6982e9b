import { type PastSession, pastSessions } from '../effort/past.js';
import { type SessionQuestion, viewOf } from '../effort/session-view.js';
import { atOdds } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import type { Movement, MovementLookup } from '../model/movement.js';
import { type Suggestion, suggestionsOf } from '../rules/suggestions/index.js';
import type { SuggestionSession, ComingPlan } from '../rules/suggestions/question.js';
import { standingsOf } from '../rules/progress/standings.js';
import type { LedSession } from '../rules/progress/work-done.js';
import type { Sequence } from '../model/sequence.js';
import { addDays } from '../vocabulary/days.js';
import { groupedBy, lastOf } from '../vocabulary/lists.js';
import { type AssignedSequence, comingPlans, type MethodOf, type StandingProgramme } from './coming.js';

/** A session that is over, with all that suggestions read of it. */
export interface ReportedSession extends LedSession, Omit<SuggestionSession, 'id'> {
  readonly sequenceId: string;
}

/** Everything known of an athlete that suggestions are made from. */
export interface AthleteSuggestionsQuestion {
  /** Oldest first. */
  readonly sessions: readonly ReportedSession[];
  readonly programmes: readonly StandingProgramme[];
  readonly assigned: readonly AssignedSequence[];
  /** Sequences that an athlete now does in their own version, by the id of the sequence. */
  readonly replacedBy?: ReadonlyMap<string, string>;
  readonly person: Person;
  readonly athlete: NonNullable<SessionQuestion['athlete']>;
  readonly measuredOn: string | null;
  readonly lookup: MovementLookup;
  readonly shelf: readonly Movement[];
  readonly methodOf: MethodOf;
  /** ISO instant, and its day in the studio. */
  readonly now: string;
  readonly today: string;
}

/** What is proposed for an athlete, and the plans that it would change. */
export interface AthleteSuggestions {
  readonly suggestions: readonly Suggestion[];
  readonly coming: readonly ComingPlan[];
}

/** Fatigue is judged by a day, what was used by some days: no suggestion counts weeks. */
const PAST_DAYS = 7;

/** All that is proposed for an athlete today. @throws SequenceError when a plan is not sound */
export function athleteSuggestions(question: AthleteSuggestionsQuestion): AthleteSuggestions {
  const sessions = sharingPlans(question.sessions);
  const { programmes, assigned, replacedBy = NOTHING_REPLACED, person, athlete, lookup, shelf, methodOf, now, today } = question;
  const standings = standingsOf(sessions, { lookup, methodOf, cautions: athlete.cautions, today });
  const isThere = new Set([...sessions, ...assigned].map(({ sequenceId }) => sequenceId));
  // What was led before its own version was is the past.
  const ledLast = [...groupedBy(sessions, ({ sequenceId }) => sequenceId).values()].map(lastOf).filter(({ sequenceId }) => {
    const newest = newestVersionOf(sequenceId, replacedBy);
    return newest === sequenceId || !isThere.has(newest);
  });
  const coming = comingPlans({
    programmes,
    assigned,
    ledLast,
    done: sessions.map(({ sequenceId, onDay }) => ({ sequenceId, day: onDay })),
    lookup,
    methodOf,
    cautions: athlete.cautions,
    today,
  });
  const lately = sessions.filter(({ onDay }) => onDay >= addDays(today, -PAST_DAYS));
  let past: PastSession[] | undefined;
  const suggestions = suggestionsOf({
    standings,
    sessions,
    coming,
    cautions: athlete.cautions,
    measuredOn: question.measuredOn,
    atOdds: misfits(person, today),
    lookup,
    viewOf: (sequence) =>
      viewOf({
        sequence,
        lookup,
        shelf,
        person,
        method: methodOf(sequence),
        athlete,
        past: (past ??= pastSessions(person, lately, lookup)),
        now,
      }),
    today,
  });
  return { suggestions, coming };
}

const NOTHING_REPLACED: ReadonlyMap<string, string> = new Map();

/** The newest version of a sequence for an athlete. @example newestVersionOf('a', new Map([['a', 'b'], ['b', 'c']])) → 'c' */
export function newestVersionOf(sequenceId: string, replacedBy: ReadonlyMap<string, string>): string {
  const seen = new Set([sequenceId]);
  let now = sequenceId;
  for (;;) {
    const next = replacedBy.get(now);
    if (next === undefined || seen.has(next)) return now;
    seen.add(next);
    now = next;
  }
}

/** Sessions in which plans that are the same are one: what is computed of it is computed once. */
function sharingPlans(sessions: readonly ReportedSession[]): ReportedSession[] {
  const sequences = new Map<string, Sequence>();
  return sessions.map((session) => {
    const text = JSON.stringify(session.plan);
    const plan = sequences.get(text) ?? session.plan;
    sequences.set(text, plan);
    return { ...session, plan };
  });
}

/** Tested maxima that do not fit what was done since, with what they do not fit. Ratings of sets among each other may lean as they like. */
function misfits({ evidence }: Person, today: string) {
  const groups = [...groupedBy(evidence, ({ action, hand }) => `${action} ${hand}`).values()];
  return groups.flatMap((group) => {
    const odd = atOdds(group, today);
    return odd.some(({ kind }) => kind === 'maximum') ? odd : [];
  });
}
