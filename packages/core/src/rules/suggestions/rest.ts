import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import { working } from '../../vocabulary/constant.js';
import { daysBetween } from '../../vocabulary/days.js';
import { HANDS } from '../../vocabulary/hands.js';
import { DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { AS_IT_IS, type Suggestion, type SuggestionOption } from './suggestion.js';
import type { SuggestionQuestion, SuggestionSession } from './question.js';

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
      options: [later(1), later(2), { id: 'stay', words: 'Keep the plan', effect: AS_IT_IS }],
    },
  ];
}

const later = (days: 1 | 2): SuggestionOption => ({
  id: `later ${days}`,
  words: days === 1 ? 'Move the next loading session a day later' : 'Move the next loading session two days later',
  effect: { kind: 'later', days },
});

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
