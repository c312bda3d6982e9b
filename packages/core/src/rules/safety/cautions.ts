import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { same } from '../../vocabulary/same.js';
import type { Fault } from '../../vocabulary/fault.js';
import { type Caution, CAUTIONS } from '../../vocabulary/cautions.js';
import { ageOn, daysBetween } from '../../vocabulary/days.js';
import { HAND_PLACES } from '../../vocabulary/hand-places.js';
import { type Hand, HAND_WORDS, HANDS, type WorkingSide } from '../../vocabulary/hands.js';
import { SYMPTOM_KINDS } from '../../vocabulary/intake-words.js';
import { SIGNS_THAT_REST_THE_HAND, STOP_SIGNS, type StopSign } from '../../vocabulary/stop-signs.js';
import { capital } from '../../vocabulary/text.js';
import { capWords, clearanceCaps } from './caps.js';
import { soreAdvice } from './sore-places.js';

/** Whether this entry forbids loading. Ask of cautions as they stand on a day (`cautionsOn`). */
export function forbidsLoading(entry: RecordedCaution): boolean {
  return CAUTIONS[entry.caution].rule === 'refer' && !(entry.clearedOn && entry.clearedBy);
}

/** Whether nothing at all is done with the hand, free motion included: after signs that need help at once. */
export const restsHand = (entry: RecordedCaution): boolean =>
  forbidsLoading(entry) && entry.stopped !== undefined && SIGNS_THAT_REST_THE_HAND.includes(entry.stopped.sign);

/** Whose hands a caution concerns. @example handsOf({ hand: 'left' }) → ['left'] */
export const handsOf = ({ hand = 'both' }: Pick<RecordedCaution, 'hand'>): readonly Hand[] => (hand === 'both' ? HANDS : [hand]);

/** Hands that nobody has cleared for loading. */
export const barredHands = (cautions: readonly RecordedCaution[]): readonly Hand[] =>
  HANDS.filter((hand) => cautions.some((entry) => forbidsLoading(entry) && handsOf(entry).includes(hand)));

/** Whether a caution concerns one of the hands that work. */
export const concerns = (entry: RecordedCaution, hands: readonly Hand[]): boolean => handsOf(entry).some((hand) => hands.includes(hand));

/**
 * Recorded cautions as they stand on a day, plus those that follow from age, so that nobody has to remember to tick them. A clearance counts
 * from its day on, its limits up to theirs.
 * @param day ISO day
 */
export function cautionsOn(
  athlete: { readonly cautions: readonly RecordedCaution[]; readonly birthDate?: string | null },
  day: string,
): RecordedCaution[] {
  const ageYears = athlete.birthDate ? ageOn(athlete.birthDate, day) : null;
  const list = athlete.cautions.filter((entry) => isStillSo(entry, day, ageYears)).map((entry) => standingOn(entry, day));
  return withAge(list, ageYears);
}

/** From this age on somebody is grown. */
export const ADULT_YEARS = 18;
/** Whether somebody is not grown yet; not where nobody knows. */
export const isMinor = (ageYears: number | null): boolean => ageYears !== null && ageYears < ADULT_YEARS;

/** Cautions with what follows from age. */
export const withAge = (cautions: readonly RecordedCaution[], ageYears: number | null): RecordedCaution[] =>
  isMinor(ageYears) && !cautions.some(({ caution }) => caution === 'under-18') ? [...cautions, { caution: 'under-18' }] : [...cautions];

/** What holds for some days only is over after them; where nobody knows when it was, it holds. Who is grown needs no guardian. */
function isStillSo({ caution, since }: RecordedCaution, day: string, ageYears: number | null): boolean {
  if (caution === 'no-consent' && ageYears !== null && !isMinor(ageYears)) return false;
  const { holdsDays }: Caution = CAUTIONS[caution];
  return holdsDays === undefined || since === undefined || daysBetween(since, day) <= holdsDays;
}

function standingOn(entry: RecordedCaution, day: string): RecordedCaution {
  const { clearedOn, clearedBy, clearedUntil, within: limits, ...rest } = entry;
  if (!clearedOn || !clearedBy || clearedOn > day) return rest;
  if (clearedUntil !== undefined && clearedUntil < day) return { ...rest, clearedUntil };
  const cleared = { ...rest, clearedOn, clearedBy };
  return limits && (limits.until === undefined || limits.until >= day) ? { ...cleared, within: limits } : cleared;
}

/** What answers that ask for help at once leave behind, like a stopped session: a caution of that hand, until somebody clears it. */
export const reportedStop = (
  intakeId: string,
  { sign, hand, onDay }: { readonly sign: StopSign; readonly hand: WorkingSide; readonly onDay: string },
): RecordedCaution => ({ caution: 'stop-sign', hand, since: onDay, stopped: { intakeId, sign } });

/** What a stopped session leaves behind: a caution of that hand, from that day, until somebody clears it. */
export const stopCaution = (
  sessionId: string,
  { sign, hand, onDay }: { readonly sign: StopSign; readonly hand: WorkingSide; readonly onDay: string },
): RecordedCaution => ({ caution: 'stop-sign', hand, since: onDay, stopped: { sessionId, sign } });

/** Tells stops apart: two devices may stop one session for different signs. Undefined for other cautions. */
export const keyOfStop = ({ stopped }: RecordedCaution): string | undefined =>
  stopped && `${stopped.sessionId ?? stopped.intakeId ?? ''} ${stopped.sign}`;

/** Cautions with those of stopped sessions that are not among them yet. */
export function withStops(cautions: readonly RecordedCaution[], stops: readonly RecordedCaution[]): readonly RecordedCaution[] {
  const cautionsNow = new Set(cautions.map(keyOfStop));
  const fresh = stops.filter((stop) => !cautionsNow.has(keyOfStop(stop)));
  return fresh.length ? [...cautions, ...fresh] : cautions;
}

/**
 * What a new version of a record does to its stops that it may not: they are lifted by a clearance, never by taking them out, and come from
 * sessions alone.
 */
export function checkStopsStand(before: readonly RecordedCaution[], after: readonly RecordedCaution[]): Fault[] {
  const pinned = ({ caution, hand, since, stopped }: RecordedCaution) => ({ caution, hand, since, stopped });
  const lost = before.filter((entry) => entry.stopped && !after.some((other) => same<unknown>(pinned(other), pinned(entry))));
  const invented = after.findIndex((entry) => entry.stopped && !before.some((other) => keyOfStop(other) === keyOfStop(entry)));
  const faults = lost.map((entry) => ({
    pointer: '/cautions',
    message: `must keep “${cautionLabel(entry)}”, which stopped a session. To lift it, record who cleared it and when`,
  }));
  return invented < 0
    ? faults
    : [
        ...faults,
        {
          pointer: `/cautions/${invented}/stopped`,
          message: 'can only come from a session that was stopped',
        },
      ];
}

const STOPPED_ADVICE = 'no loading until a doctor or hand therapist has checked it.';
const RESTED_ADVICE = 'complete rest, including free movement, until a doctor or hand therapist has checked it.';

/** What a caution is of, without its hand. */
function whatOf({ caution, stopped, place, symptom, score }: RecordedCaution): string {
  if (stopped) return STOP_SIGNS[stopped.sign];
  if (caution !== 'sore-place') return CAUTIONS[caution].label;
  const felt = symptom ? ` ${SYMPTOM_KINDS[symptom]}` : '';
  return `${place ? HAND_PLACES[place] : 'Sore hand'}${felt}${score === undefined ? '' : `, ${score} of 10`}`;
}

/** What a caution is called, with its hand where it is one. @example cautionLabel({ caution: 'arthritis', hand: 'left' }) → 'Arthritis of hand or wrist, left hand' */
export const cautionLabel = (entry: RecordedCaution): string =>
  entry.hand ? `${whatOf(entry)}, ${HAND_WORDS[entry.hand]}` : whatOf(entry);

/**
 * What is left to somebody who is not cleared, in a line.
 * @example barredWords({ caution: 'numbness', hand: 'left' }) → 'Numbness or tingling, left hand: unloaded only'
 */
export const barredWords = (entry: RecordedCaution): string =>
  `${cautionLabel(entry)}: ${restsHand(entry) ? 'complete rest' : 'unloaded only'}`;

/**
 * What a caution asks for, without what it is: “no loading until …”, or who cleared it within which limits.
 * @example precautionText({ caution: 'arthritis' }) → 'no added weight, mid-range only, warm the hands first.'
 */
export function precautionText(entry: RecordedCaution): Sentence {
  const { caution, place, stopped, clearedOn, clearedUntil } = entry;
  if (clearedOn && CAUTIONS[caution].rule === 'refer') return clearedWords(entry);
  if (caution === 'sore-place') return soreAdvice(place);
  const lapsed = clearedUntil ? say` The clearance ended on ${calendarDay(clearedUntil)}. Ask for a new one.` : '';
  const asks = stopped ? (restsHand(entry) ? RESTED_ADVICE : STOPPED_ADVICE) : CAUTIONS[caution].asks;
  return say`${asks}${lapsed}`;
}

function clearedWords(entry: RecordedCaution): Sentence {
  const { clearedOn, clearedBy, clearedUntil } = entry;
  const on = clearedOn ? say` on ${calendarDay(clearedOn)}` : '';
  const until = clearedUntil ? say` until ${calendarDay(clearedUntil)}` : '';
  const limits = limitWords(entry);
  return say`cleared by ${clearedBy ?? ''}${on}${until}${limits === '' ? '' : say`: ${limits}`}.`;
}

/**
 * The advice for a caution, as shown on sheets and screens: with its hand and day, and the limits of its clearance.
 * @example sentenceText(cautionAdvice({ caution: 'stop-sign', hand: 'left', since: '2026-05-12', stopped: { sessionId: '', sign: 'numbness' } })) → 'Left hand: numbness or tingling, stopped on 12 May 2026: no loading until a doctor or hand therapist has checked it.'
 */
export function cautionAdvice(entry: RecordedCaution): Sentence {
  const { caution, hand, since, stopped, place, clearedOn } = entry;
  const of = hand ? `${capital(HAND_WORDS[hand])}: ` : '';
  const isCleared = clearedOn !== undefined && CAUTIONS[caution].rule === 'refer';
  if (stopped) {
    const what = hand ? STOP_SIGNS[stopped.sign].toLowerCase() : STOP_SIGNS[stopped.sign];
    const when = say`${stopped.intakeId ? 'reported' : 'stopped'}${since ? say` on ${calendarDay(since)}` : ''}: `;
    return say`${of}${what}, ${isCleared ? '' : when}${precautionText(entry)}`;
  }
  if (isCleared) {
    const what = hand ? CAUTIONS[caution].label.toLowerCase() : CAUTIONS[caution].label;
    return say`${of}${what}, ${precautionText(entry)}`;
  }
  const what = caution === 'sore-place' ? (place ? HAND_PLACES[place] : 'Sore hand') : CAUTIONS[caution].when;
  return say`${of}${what}: ${precautionText(entry)}`;
}

/** The limits of a clearance in words; empty where there are none. */
export function limitWords({ within: limits }: Pick<RecordedCaution, 'within'>): Sentence {
  if (!limits) return '';
  const words = capWords(clearanceCaps(limits));
  return words && limits.until ? say`${words}, until ${calendarDay(limits.until)}` : words;
}

/** Tells entries of a list apart. */
export const keyOfCaution = (entry: RecordedCaution): string =>
  [entry.caution, entry.hand ?? 'both', keyOfStop(entry), entry.place, entry.symptom].filter(Boolean).join(' ');
