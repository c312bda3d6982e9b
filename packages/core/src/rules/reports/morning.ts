import type { Morning } from '../../model/session.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Hand, HAND_WORDS, HANDS } from '../../vocabulary/hands.js';
import { capital } from '../../vocabulary/text.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from './discomfort.js';

/** What a hand’s next morning asks for, from the mildest to the gravest. */
export const MORNING_ADVICE = ['go-on', 'hold', 'step-back', 'refer'] as const;
/** What a hand’s next morning asks for. */
export type MorningAdvice = (typeof MORNING_ADVICE)[number];

/** So much worse than the morning before asks for a step back (practice: discomfort during, right after, and next morning). */
const WORSE_BY = 2;
/** The morning after is asked for on the next day, and still on the one after that. */
const ASKED_WITHIN_DAYS = 2;

/** Scores of both hands in a morning. */
export type MorningScores = Readonly<Record<Hand, number>>;

/** What the next-day check of a session asks for of a hand. @param before the last next-day check before it, null without one */
export function adviseOnMorning(
  morning: Pick<Morning, Hand | 'numb'>,
  before: MorningScores | null,
  hand: Hand,
): { readonly advice: MorningAdvice; readonly text: string } {
  const score = morning[hand];
  const is = `${capital(HAND_WORDS[hand])} ${score} of 10 the next day`;
  if (morning.numb === hand || morning.numb === 'both') {
    return {
      advice: 'refer',
      text: `${capital(HAND_WORDS[hand])} numb or tingling the next day: stop, and have it checked.`,
    };
  }
  if (before && score - before[hand] >= WORSE_BY) {
    return { advice: 'step-back', text: `${is}, ${score - before[hand]} worse than before: go back a level.` };
  }
  if (score > DISCOMFORT_HOLD_MAX) return { advice: 'step-back', text: `${is}: ease off or leave it out until it settles.` };
  if (score > DISCOMFORT_GO_ON_MAX) return { advice: 'hold', text: `${is}: stay at this level.` };
  return { advice: 'go-on', text: `${is}: carry on.` };
}

/** The graver of both hands, with what is to be said of it. */
export function morningOf(morning: Pick<Morning, Hand | 'numb'>, before: MorningScores | null) {
  const [left, right] = HANDS.map((hand) => adviseOnMorning(morning, before, hand));
  if (!left || !right) throw new Error('Rate both hands.');
  return MORNING_ADVICE.indexOf(right.advice) > MORNING_ADVICE.indexOf(left.advice) ? right : left;
}

/** Whether a session’s morning after is to be asked about now. @param endedOn day on which it ended @param today ISO day */
export function isNextDayCheckDue(endedOn: string, isTold: boolean, today: string): boolean {
  const days = daysBetween(endedOn, today);
  return !isTold && days >= 1 && days <= ASKED_WITHIN_DAYS;
}
