import { say } from '../../vocabulary/sentence.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { working } from '../../vocabulary/constant.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Hand, HAND_WORDS, HANDS } from '../../vocabulary/hands.js';
import { capital } from '../../vocabulary/text.js';
import { cautionAdvice, forbidsLoading, handsOf, keyOfCaution } from '../safety/cautions.js';
import { DISCOMFORT_GO_ON_MAX } from '../reports/discomfort.js';
import { AS_IT_IS, type Suggestion } from './suggestion.js';
import type { SuggestionQuestion, SuggestionSession } from './question.js';

/** Pain that grows over a week goes to a practitioner (practice: caution and referral). */
const GROWS_WITHIN = working('Mornings that grow worse', 8, 'days', 'pain that grows over a week; a session more or less', [7, 14]).value;
/** Who is not cleared after so long is asked about once more. */
const ASKED_AGAIN_DAYS = working(
  'A referral is asked about again',
  14,
  'days',
  'long enough to have seen a doctor or therapist',
  [7, 28],
).value;
/** Fewer mornings are no course. */
const MORNINGS = 3;

/** The next occurrence of a sequence: in a plan of a programme, or by itself. */
export function referSuggestions(question: SuggestionQuestion): Suggestion[] {
  const barred = question.cautions.filter(forbidsLoading);
  const growing = HANDS.filter((hand) => !barred.some((entry) => handsOf(entry).includes(hand))).flatMap((hand) => {
    const mornings = growingIn(question.sessions, hand);
    return mornings ? [ofGrowingPain(hand, mornings)] : [];
  });
  return [...barred.map((entry) => ofRecord(entry, question.today)), ...growing];
}

function ofRecord(entry: RecordedCaution, today: string): Suggestion {
  const sessionId = entry.stopped?.sessionId ?? null;
  const onDay = entry.since ?? today;
  const advice = cautionAdvice(entry);
  return {
    key: `refer ${keyOfCaution(entry)}`,
    kind: 'refer',
    cause: 'on record',
    hands: handsOf(entry),
    movementId: null,
    why: advice,
    evidence: [sessionId ? { of: 'session', sessionId, onDay, text: advice } : { of: 'record', onDay, text: advice }],
    evidenceKey: `${entry.since ?? 'on record'} ${Math.floor(daysBetween(onDay, today) / ASKED_AGAIN_DAYS)}`,
    sessionId,
    options: [
      {
        id: 'told',
        words: 'The athlete knows where to go. Free movement only until cleared',
        effect: AS_IT_IS,
      },
    ],
  };
}

/** The last mornings of a hand, where each was worse than the one before and the last is more than mild; the newest first. */
export function growingIn(sessions: readonly SuggestionSession[], hand: Hand): SuggestionSession[] | null {
  const rated = sessions.filter(({ scores }) => scores !== null).slice(-MORNINGS);
  const scores = rated.map((session) => session.scores?.[hand] ?? 0);
  const [first, last] = [rated[0], rated.at(-1)];
  if (rated.length < MORNINGS || !first || !last) return null;
  const grows = scores.every((score, index) => index === 0 || score > (scores[index - 1] ?? 0));
  if (!grows || (scores.at(-1) ?? 0) <= DISCOMFORT_GO_ON_MAX) return null;
  return daysBetween(first.onDay, last.onDay) <= GROWS_WITHIN ? rated.toReversed() : null;
}

function ofGrowingPain(hand: Hand, mornings: readonly SuggestionSession[]): Suggestion {
  const scores = mornings.map(({ scores: latest }) => latest?.[hand] ?? 0);
  const newest = mornings[0]?.id ?? null;
  const of = capital(HAND_WORDS[hand]);
  return {
    key: `refer growing ${hand}`,
    kind: 'refer',
    cause: 'pain that grows',
    hands: [hand],
    movementId: null,
    why: say`${of}: ${scores.toReversed().join(', then ')} of 10 in the next-day checks. Pain that grows over a week needs a doctor or hand therapist. No load on that hand until then.`,
    evidence: mornings.map(({ id, onDay }, index) => ({
      of: 'session',
      sessionId: id,
      onDay,
      text: say`Next-day check: ${scores[index] ?? 0} of 10`,
    })),
    evidenceKey: newest ?? '',
    sessionId: newest,
    options: [
      {
        id: 'bar',
        words: say`Record it as a restriction: no load on the ${HAND_WORDS[hand]} until cleared`,
        effect: { kind: 'bar', hand },
      },
      { id: 'told', words: 'The athlete knows where to go; record nothing', effect: AS_IT_IS },
    ],
  };
}
