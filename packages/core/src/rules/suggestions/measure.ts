import { calendarDay, say } from '../../vocabulary/sentence.js';
import type { Action } from '../../vocabulary/actions.js';
import { capital, counted } from '../../vocabulary/text.js';
import { daysBetween } from '../../vocabulary/days.js';
import { HANDS } from '../../vocabulary/hands.js';
import { groupedBy } from '../../vocabulary/lists.js';
import { MEASURE_AGAIN } from './attention-needed.js';
import type { Suggestion, SuggestionEvidence, SuggestionOption } from './suggestion.js';
import type { SuggestionQuestion } from './question.js';

/** Who said they would measure and did not is asked once more after two weeks; working value. */
const ASKED_AGAIN_DAYS = 14;
/** So many sessions without a single reading ask for one; working value. */
const UNMEASURED_SESSIONS = 3;

const MEASURE: SuggestionOption = { id: 'measure', words: 'Test at the next visit', effect: { kind: 'as it is' } };

/** Readings that are old or missing, and maxima that do not fit what was done. */
export function measureSuggestions(question: SuggestionQuestion): Suggestion[] {
  return [...lateOf(question), ...misfits(question)];
}

function lateOf({ measuredOn, sessions, today }: SuggestionQuestion): Suggestion[] {
  const last = sessions.at(-1);
  // Who does not train needs no numbers for it.
  if (!last || (measuredOn === null && sessions.length < UNMEASURED_SESSIONS)) return [];
  const since = measuredOn ?? last.onDay;
  const days = Math.floor(daysBetween(since, today));
  if (measuredOn !== null && days < MEASURE_AGAIN) return [];
  const late = measuredOn === null ? 0 : Math.floor((days - MEASURE_AGAIN) / ASKED_AGAIN_DAYS);
  const evidence: SuggestionEvidence =
    measuredOn === null
      ? { of: 'session', sessionId: last.id, onDay: last.onDay, text: 'Trained, but never tested' }
      : { of: 'readings', onDay: measuredOn, text: 'Latest readings' };
  return [
    {
      key: 'measure',
      kind: 'measure again',
      cause: 'measure',
      hands: HANDS,
      movementId: null,
      why:
        measuredOn === null
          ? say`${sessions.length} sessions without a single test: load limits are estimates until you test.`
          : say`Last tested on ${calendarDay(measuredOn)}, ${counted(Math.floor(days / 7), 'week')} ago: levels and effort rely on those values.`,
      evidence: [evidence],
      evidenceKey: `${measuredOn ?? 'never'} ${late}`,
      sessionId: null,
      options: [MEASURE],
    },
  ];
}

/** A maximum that was tested, and sets that speak for another one. */
function misfits({ atOdds }: SuggestionQuestion): Suggestion[] {
  return [...groupedBy(atOdds, ({ action, hand }) => `${action} ${hand}`).entries()].map(([of, seen]): Suggestion => {
    const newest = [...seen].sort((a, b) => b.onDay.localeCompare(a.onDay));
    const { action, hand } = newest[0] as { action: Action; hand: (typeof HANDS)[number] };
    return {
      key: `measure ${of}`,
      kind: 'measure again',
      cause: 'measure',
      hands: [hand],
      movementId: null,
      why: say`${capital(action)}, ${hand}: the test result and the training don’t match. Test again to find out which is right.`,
      evidence: newest.map(({ onDay, what }) => ({ of: 'readings', onDay, text: what })),
      evidenceKey: newest.map(({ onDay }) => onDay).join(' '),
      sessionId: null,
      options: [MEASURE],
    };
  });
}
