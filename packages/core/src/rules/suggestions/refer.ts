import { say } from '../../vocabulary/sentence.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { working } from '../../vocabulary/constant.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Hand, HAND_WORDS, HANDS } from '../../vocabulary/hands.js';
import { itemAt } from '../../vocabulary/lists.js';
import { capital } from '../../vocabulary/text.js';
import { cautionAdvice, forbidsLoading, handsOf, keyOfCaution } from '../safety/cautions.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { STRONG_FROM } from '../screening/symptom-rules.js';
import type { WorkDone } from '../progress/work-done.js';
import { AS_IT_IS, type BarringPain, type Suggestion } from './suggestion.js';
import type { SuggestionQuestion, SuggestionSession } from './question.js';

/** Pain that grows goes to a practitioner (practice: caution and referral): it is looked at over so long. */
const LOOKED_AT_DAYS = working(
  'Mornings that grow worse',
  21,
  'days',
  'three weeks: a slow rise shows, an old flare-up no longer counts',
  [14, 28],
).value;
/** Growing by so much a week is more than the wobble of a score. */
const GROWS_PER_WEEK = working('Pain that grows', 1, 'points a week', 'half of what counts as worse the next morning', [0.5, 2]).value;
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

/** Restrictions on record that bar a hand, strong pain in a session, and pain that grows over weeks. */
export function referSuggestions(question: SuggestionQuestion): Suggestion[] {
  const barred = question.cautions.filter(forbidsLoading);
  const inPain = HANDS.filter((hand) => !barred.some((entry) => handsOf(entry).includes(hand))).flatMap((hand) => {
    const strong = strongIn(question, hand);
    if (strong) return [ofStrongPain(hand, strong)];
    const mornings = growingIn(question.sessions, hand);
    return mornings ? [ofGrowingPain(hand, mornings)] : [];
  });
  return [...barred.map((entry) => ofRecord(entry, question.today)), ...inPain];
}

/** The work in which a hand hurt strongly, of the last session that it was in; null where none did, or it is over a week ago. */
function strongIn({ standings, today }: SuggestionQuestion, hand: Hand): WorkDone | null {
  const all = standings.filter((standing) => standing.hand === hand).map(({ last }) => last);
  const newest = all.reduce((day, { onDay }) => (onDay > day ? onDay : day), '');
  const [worst] = all
    .filter(({ onDay, discomfort }) => onDay === newest && (discomfort ?? 0) >= STRONG_FROM)
    .sort((one, other) => (other.discomfort ?? 0) - (one.discomfort ?? 0));
  return worst && daysBetween(worst.onDay, today) <= DAYS_A_WEEK ? worst : null;
}

function ofStrongPain(hand: Hand, { sessionId, onDay, discomfort }: WorkDone): Suggestion {
  const score = discomfort ?? STRONG_FROM;
  return {
    key: `refer strong ${hand}`,
    kind: 'refer',
    cause: 'strong pain',
    hands: [hand],
    movementId: null,
    why: say`${capital(HAND_WORDS[hand])}: discomfort ${score} of 10 in the last session. Strong pain needs a doctor or hand therapist. No load on that hand until then.`,
    evidence: [{ of: 'session', sessionId, onDay, text: say`Discomfort ${score} of 10` }],
    evidenceKey: sessionId,
    sessionId,
    options: barring(hand, 'strong-pain'),
  };
}

/** The hand goes on record until it is cleared, or only the athlete knows. */
const barring = (hand: Hand, caution: BarringPain): Suggestion['options'] => [
  {
    id: 'bar',
    words: say`Record it as a restriction: no load on the ${HAND_WORDS[hand]} until cleared`,
    effect: { kind: 'bar', hand, caution },
  },
  { id: 'told', words: 'The athlete knows where to go; record nothing', effect: AS_IT_IS },
];

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

/**
 * The mornings of a hand over the last three weeks, where they grow worse: by their slope, so that one that stays the same between does not hide it. The last
 * is the worst of them, and more than moderate, or each was worse than the one before. The newest first; null where they don’t grow.
 */
export function growingIn(sessions: readonly SuggestionSession[], hand: Hand): SuggestionSession[] | null {
  const all = sessions.filter(({ scores }) => scores !== null);
  const last = all.at(-1);
  const rated = last ? all.filter(({ onDay }) => daysBetween(onDay, last.onDay) <= LOOKED_AT_DAYS) : [];
  const scores = rated.map((session) => session.scores?.[hand] ?? 0);
  const [worst, newest] = [Math.max(0, ...scores), scores.at(-1) ?? 0];
  if (rated.length < MORNINGS || newest < worst || newest <= DISCOMFORT_GO_ON_MAX) return null;
  const lately = scores.slice(-MORNINGS);
  const isSteady = lately.every((score, index) => index === 0 || score > (lately[index - 1] ?? 0));
  if (!isSteady && newest < DISCOMFORT_HOLD_MAX) return null;
  const slope = slopePerDay(rated.map(({ onDay }, index) => [daysBetween(itemAt(rated, 0).onDay, onDay), itemAt(scores, index)] as const));
  return slope * DAYS_A_WEEK >= GROWS_PER_WEEK ? rated.toReversed() : null;
}
const DAYS_A_WEEK = 7;

/** The median of the slopes between every two points (Theil–Sen): one odd morning does not tilt it. */
function slopePerDay(points: readonly (readonly [day: number, score: number])[]): number {
  const slopes = points
    .flatMap(([day, score], index) =>
      points.slice(index + 1).flatMap(([later, after]) => (later > day ? [(after - score) / (later - day)] : [])),
    )
    .sort((a, b) => a - b);
  const middle = slopes.length / 2;
  return slopes.length === 0 ? 0 : (itemAt(slopes, Math.ceil(middle) - 1) + itemAt(slopes, Math.floor(middle))) / 2;
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
    why: say`${of}: ${scores.toReversed().join(', then ')} of 10 in the next-day checks. Pain that keeps growing needs a doctor or hand therapist. No load on that hand until then.`,
    evidence: mornings.map(({ id, onDay }, index) => ({
      of: 'session',
      sessionId: id,
      onDay,
      text: say`Next-day check: ${scores[index] ?? 0} of 10`,
    })),
    evidenceKey: newest ?? '',
    sessionId: newest,
    options: barring(hand, 'rest-pain'),
  };
}
