import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import { working } from '../../vocabulary/constant.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { HANDS } from '../../vocabulary/hands.js';
import { DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { AS_IT_IS, type Suggestion, type SuggestionOption } from './suggestion.js';
import type { ComingPlan, SuggestionQuestion, SuggestionSession } from './question.js';

/** So hard is no session that another follows soon. */
const VERY_HARD = working('A session that was very hard', 9, 'of 10', 'nothing was left at the end', [8, 10]).value;
/** Two of them in so many days are tiredness, not a hard day. */
const TIRED_WITHIN_DAYS = working('Very hard sessions near each other', 7, 'days', 'within one week', [5, 10]).value;
/** A session this soon after is moved; working value. */
const SOON_DAYS = 3;

/** A morning too sore to load, or two sessions in a row with nothing left: days more before what loads. */
export function restSuggestions({ sessions, coming, today }: SuggestionQuestion): Suggestion[] {
  const last = sessions.at(-1);
  if (!last) return [];
  const found = soreMorning(last) ?? tired(sessions);
  if (!found) return [];
  const next = coming
    .filter(({ loads, day }) => loads && day !== null && day >= today)
    .map(({ day }) => day ?? '')
    .sort()[0];
  // Who has rested already needs no suggestion for it.
  if (daysBetween(last.onDay, next ?? today) > SOON_DAYS) return [];
  const when = next === undefined ? '' : say`, which would be on ${calendarDay(next)}`;
  return [
    {
      key: 'rest',
      kind: 'rest',
      cause: 'rest',
      hands: HANDS,
      movementId: null,
      why: say`${found.why} Leave an extra day before the next loading session${when}.`,
      evidence: found.on.map(({ id, onDay, text }) => ({ of: 'session', sessionId: id, onDay, text })),
      evidenceKey: last.id,
      sessionId: last.id,
      options: [...restOptions(coming, next), { id: 'stay', words: 'Keep the plan', effect: AS_IT_IS }],
    },
  ];
}

/** So many days later is still the same session. */
const MOST_LATER = 4;
/** More days to choose from are no help. */
const DAYS_OFFERED = 2;
const REST: SuggestionOption = { id: 'rest', words: 'Rest an extra day before loading again', effect: AS_IT_IS };

/** Days on which the next session that loads has a day of rest on either side, and leaving it out: rest that lands on or beside another is none. */
function restOptions(coming: readonly ComingPlan[], next: string | undefined): [SuggestionOption, ...SuggestionOption[]] {
  if (next === undefined) return [REST];
  const others = coming.filter(({ loads }) => loads).flatMap(({ days }) => days.filter((day) => day !== next));
  const later = Array.from({ length: MOST_LATER }, (_, index) => index + 1)
    .filter((days) => isFree(addDays(next, days), others))
    .slice(0, DAYS_OFFERED)
    .map((days): SuggestionOption => ({
      id: `later ${days}`,
      words: say`Move it to ${calendarDay(addDays(next, days))}`,
      effect: { kind: 'later', days },
    }));
  const skip: SuggestionOption = { id: 'skip', words: say`Leave out the session on ${calendarDay(next)}`, effect: { kind: 'skip' } };
  const [first, ...more] = later;
  return first ? [first, ...more, skip] : [skip];
}

/** Whether a day has none of these days on it or beside it. */
export const isFree = (day: string, others: readonly string[]): boolean => others.every((other) => Math.abs(daysBetween(day, other)) > 1);

interface Found {
  readonly why: Sentence;
  readonly on: readonly { readonly id: string; readonly onDay: string; readonly text: Sentence }[];
}

function soreMorning({ id, onDay, scores }: SuggestionSession): Found | null {
  const worst = scores === null ? 0 : Math.max(scores.left, scores.right);
  if (worst <= DISCOMFORT_HOLD_MAX) return null;
  return {
    why: say`${worst} of 10 in the next-day check after the last session.`,
    on: [{ id, onDay, text: say`Next-day check: ${worst} of 10` }],
  };
}

function tired(sessions: readonly SuggestionSession[]): Found | null {
  const [before, last] = sessions.slice(-2);
  if (!before || !last || daysBetween(before.onDay, last.onDay) > TIRED_WITHIN_DAYS) return null;
  const both = [last, before];
  if (!both.every(({ exertion }) => exertion !== null && exertion >= VERY_HARD)) return null;
  return {
    why: say`Effort (RPE) ${before.exertion ?? 0} and ${last.exertion ?? 0} of 10 in two sessions in a row.`,
    on: both.map(({ id, onDay, exertion }) => ({ id, onDay, text: say`Effort (RPE) ${exertion ?? 0} of 10` })),
  };
}
