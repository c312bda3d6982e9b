import { type Sentence, capitalSentence } from '../../vocabulary/sentence.js';
import { ATHLETE_LIMITS, type RecordedCaution } from '../../model/athlete.js';
import type { Sex } from '../../model/body.js';
import type { DiscomfortTimes, Health, PastCondition, Symptom } from '../../model/intake.js';
import { type Caution, CAUTIONS } from '../../vocabulary/cautions.js';
import { ageOn } from '../../vocabulary/days.js';
import type { Hand, WorkingSide } from '../../vocabulary/hands.js';
import { CONDITIONS, SIGNS } from '../../vocabulary/intake-words.js';
import { type Caps, capWords } from '../safety/caps.js';
import { capsOf } from '../safety/caution-limits.js';
import {
  precautionText,
  cautionAdvice,
  cautionLabel,
  forbidsLoading,
  handsOf,
  isMinor,
  restsHand,
  reportedStop,
} from '../safety/cautions.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { byThing, handByHand, ofHand } from './per-hand.js';
import { CONDITION_RULES, type Led, refer, SIGN_RULES, type Verdict, worstOf } from './screen-rules.js';
import { ledBySymptom, STRONG_FROM } from './symptom-rules.js';

/** Why a verdict is what it is: one answer and what follows from it. */
export interface ScreenReason {
  readonly verdict: Verdict;
  readonly from: 'sign' | 'condition' | 'symptom' | 'discomfort' | 'age';
  /** The answer, e.g. “fracture” or “wrist-back”. */
  readonly answer: string;
  /** Of both where it belongs to none. */
  readonly hand: WorkingSide;
  /** The answer in words. */
  readonly said: string;
  /** What it asks for, in a sentence. */
  readonly text: Sentence;
}

/** What is off or capped for a hand, and why. */
export interface OffTheTable {
  readonly hand: WorkingSide;
  /** What it is for. */
  readonly because: string;
  readonly allows: 'complete rest' | 'unloaded only' | 'with limits' | 'with care';
  readonly caps: readonly Caps[];
  readonly text: Sentence;
}

/** What answers about health lead to. */
export interface Screening {
  readonly verdict: Verdict;
  /** The verdict of each hand by itself. */
  readonly hands: Readonly<Record<Hand, Verdict>>;
  /** The gravest first. */
  readonly reasons: readonly ScreenReason[];
  /** Whether a suggestion may be declined: a restriction on record needs a clearance, and growing pain is not negotiable. */
  readonly cautions: readonly RecordedCaution[];
  readonly off: readonly OffTheTable[];
  /** What was not asked: without it nobody is clear to train. */
  readonly unasked: readonly HealthQuestion[];
}

/** What is asked of everybody before loading, in words. */
export const HEALTH_QUESTIONS = {
  signs: 'warning signs',
  symptoms: 'places that hurt',
  history: 'injuries and conditions',
} as const;
/** What is asked of everybody before loading. */
export type HealthQuestion = keyof typeof HEALTH_QUESTIONS;

/** What answers leave open; all of it where there are none. An empty list was asked: nothing of it applies. */
export const unaskedIn = (health: Health | null | undefined): HealthQuestion[] =>
  (Object.keys(HEALTH_QUESTIONS) as HealthQuestion[]).filter((question) => health?.[question] === undefined);

/** What is known beside the answers. */
export interface ScreenedOn {
  /** ISO day of the answers. */
  readonly onDay: string;
  /** Null where nobody knows. */
  readonly ageYears: number | null;
  /** For bones that still grow; the later end where it is not stated. */
  readonly sex?: Sex | undefined;
  /** The answers by which signs that ask for help at once are known. */
  readonly intakeId: string;
}

/** What is known of somebody on the day of answers. */
export const screenedOn = (
  { birthDate, sex }: { readonly birthDate: string | null; readonly sex: Sex },
  onDay: string,
  intakeId: string,
): ScreenedOn => ({ onDay, ageYears: birthDate ? ageOn(birthDate, onDay) : null, sex, intakeId });

/** Worse by so much the next morning asks for a step back. */
const WORSE_NEXT_MORNING = 2;

type Found = ScreenReason & { readonly entry: RecordedCaution };

/**
 * What answers lead to: go, adapt, refer first or stop now, with each reason, what is off or capped, and the cautions that stand for it. It informs
 * a coach and does not diagnose.
 * @example screen({ signs: [{ sign: 'dropping-things', hand: 'left' }] }, { onDay: '2026-05-01', ageYears: 30, intakeId: '' }).verdict → 'refer first'
 */
export function screen(health: Health, on: ScreenedOn): Screening {
  const found: Found[] = [
    ...(health.signs ?? []).map(({ sign, hand = 'both' }) =>
      foundOf(SIGN_RULES[sign], on, { from: 'sign', answer: sign, hand, said: SIGNS[sign] }),
    ),
    ...(health.history ?? []).flatMap((entry) => conditionFound(entry, on)),
    ...(health.symptoms ?? []).flatMap((symptom) => symptomFound(symptom, health, on)),
    ...(health.discomfort ?? []).flatMap((times) => discomfortFound(times, on)),
    ...(isMinor(on.ageYears)
      ? [
          foundOf({ verdict: 'adapt', caution: 'under-18' }, on, {
            from: 'age',
            answer: 'under-18',
            hand: 'both',
            said: `${on.ageYears} years old`,
          }),
        ]
      : []),
  ];
  const reasons = found.map(({ entry: _entry, ...reason }) => reason);
  const verdictOf = (hand: Hand) => worstOf(reasons.filter((reason) => handsOf(reason).includes(hand)).map(({ verdict }) => verdict));
  // What follows from age is computed from the date of birth every day: stored, it would outlast the birthday.
  const byAge = found.filter(({ from }) => from === 'age').map(({ entry }) => entry);
  const cautions = merged(found.filter(({ from }) => from !== 'age').map(({ entry }) => entry));
  return {
    verdict: worstOf(reasons.map(({ verdict }) => verdict)),
    hands: { left: verdictOf('left'), right: verdictOf('right') },
    reasons: gravestFirst(reasons),
    cautions,
    off: [...cautions, ...byAge].map(offOf),
    unasked: unaskedIn(health),
  };
}

const gravestFirst = (reasons: readonly ScreenReason[]): ScreenReason[] =>
  (['stop now', 'refer first', 'adapt', 'go'] as const).flatMap((verdict) => reasons.filter((reason) => reason.verdict === verdict));

interface Finding {
  readonly from: ScreenReason['from'];
  readonly answer: string;
  readonly hand: WorkingSide;
  readonly said: string;
}

/** A finding with its entry in the record. @param more of the entry: since when, where, who cleared it */
function foundOf(
  { verdict, caution, stop }: Led,
  { onDay, intakeId }: ScreenedOn,
  said: Finding,
  more: Partial<RecordedCaution> = {},
): Found {
  const whose = said.hand === 'both' && WITHOUT_HAND.has(said.answer) ? {} : { hand: said.hand };
  const entry: RecordedCaution = stop
    ? reportedStop(intakeId, { sign: stop, hand: said.hand, onDay })
    : {
        caution,
        ...whose,
        ...(said.from !== 'condition' && said.from !== 'age' && { since: onDay }),
        intakeId,
        ...more,
      };
  return { verdict, ...said, text: capitalSentence(precautionText(entry)), entry };
}

/** What concerns the person and not a hand. */
const WITHOUT_HAND = new Set<string>([
  'under-18',
  ...(Object.keys(CONDITIONS) as (keyof typeof CONDITIONS)[]).filter((condition) => !CONDITIONS[condition].ofHand),
]);

function conditionFound(entry: PastCondition, on: ScreenedOn): Found[] {
  const { condition, hand = 'both', ...details } = entry;
  const led = CONDITION_RULES[condition](entry, on.onDay, on.ageYears);
  if (!led) return [];
  const { since, note, clearedOn, clearedBy, clearedUntil, within } = details;
  const isReferral = CAUTIONS[led.caution].rule === 'refer';
  const clearance = isReferral &&
    clearedOn !== undefined &&
    clearedBy !== undefined && {
      clearedOn,
      clearedBy,
      ...(clearedUntil !== undefined && { clearedUntil }),
      ...(within && { within }),
    };
  // What lasts only some days counts from the day it was reported, where nobody knows better.
  const { holdsDays }: Caution = CAUTIONS[led.caution];
  const from = since ?? (holdsDays === undefined ? undefined : on.onDay);
  const more = { ...(from !== undefined && { since: from }), ...(note && { note }), ...clearance };
  return [foundOf(led, on, { from: 'condition', answer: condition, hand, said: CONDITIONS[condition].label }, more)];
}

function symptomFound(symptom: Symptom, health: Health, on: ScreenedOn): Found[] {
  const { place, hand, kind, score } = symptom;
  const where = { place, symptom: kind, ...(score !== undefined && { score }) };
  const label = cautionLabel({ caution: 'sore-place', ...where });
  const said = { from: 'symptom', answer: place, hand, said: label } as const;
  const { ageYears, sex = 'not stated', onDay } = on;
  return ledBySymptom(symptom, { ageYears, sex, onDay, history: health.history ?? [] }).map((led) =>
    foundOf(led, on, said, led.caution === 'sore-place' ? where : led.stop ? {} : { note: label }),
  );
}

function discomfortFound({ hand, during, after, nextMorning, atNight }: DiscomfortTimes, on: ScreenedOn): Found[] {
  const found: Found[] = [];
  const tell = (led: Led, answer: string, said: string, score?: number) =>
    found.push(foundOf(led, on, { from: 'discomfort', answer, hand, said }, score === undefined ? {} : { score }));
  if (atNight !== undefined && atNight > DISCOMFORT_GO_ON_MAX) {
    tell({ verdict: 'refer first', caution: 'rest-pain' }, 'atNight', `At night ${atNight} of 10`);
  }
  const inTraining = Math.max(during ?? 0, after ?? 0);
  const sore: Led = { verdict: 'adapt', caution: 'sore-place' };
  if (inTraining > DISCOMFORT_HOLD_MAX) tell(sore, 'during', `In training ${inTraining} of 10: ease off or stop`, inTraining);
  else if (inTraining > DISCOMFORT_GO_ON_MAX) tell(sore, 'during', `In training ${inTraining} of 10: keep the level`, inTraining);
  const strongest = Math.max(inTraining, nextMorning ?? 0);
  if (strongest >= STRONG_FROM) tell(refer('strong-pain'), 'strongest', `${strongest} of 10 around training`);
  const before = after ?? during;
  const isWorse = before === undefined ? (nextMorning ?? 0) > DISCOMFORT_GO_ON_MAX : (nextMorning ?? 0) - before >= WORSE_NEXT_MORNING;
  if (nextMorning !== undefined && isWorse) {
    tell(sore, 'nextMorning', `The next morning ${nextMorning} of 10: go back a level`, nextMorning);
  }
  return found;
}

/** One entry a hand for what was reported twice. */
const merged = (entries: readonly RecordedCaution[]): RecordedCaution[] =>
  [...byThing(entries).values()].flatMap((group) =>
    handByHand(
      group.every(({ hand }) => hand === undefined),
      (hand) => {
        const mine = ofHand(group, hand);
        return mine.length > 0 ? mine.reduce(joined) : null;
      },
    ),
  );

/** Of two entries of one thing: what forbids before what does not, the earlier day, the higher score, both notes. */
function joined(one: RecordedCaution, other: RecordedCaution): RecordedCaution {
  const graver = forbidsLoading(other) && !forbidsLoading(one) ? other : one;
  const [since] = [one.since, other.since].filter((day) => day !== undefined).sort();
  const scores = [one.score, other.score].filter((score) => score !== undefined);
  const notes = [...new Set([one.note, other.note].filter((note) => note !== undefined))];
  return {
    ...graver,
    ...(since !== undefined && { since }),
    ...(scores.length && { score: Math.max(...scores) }),
    ...(notes.length && { note: notes.join('; ').slice(0, ATHLETE_LIMITS.cautionNoteLength) }),
  };
}

/** What one entry of a record puts off the table. */
export function offOf(entry: RecordedCaution): OffTheTable {
  const caps = capsOf(entry);
  const allows = restsHand(entry)
    ? 'complete rest'
    : forbidsLoading(entry)
      ? 'unloaded only'
      : caps.length > 0
        ? 'with limits'
        : 'with care';
  const limits = caps.map(capWords).join('; ');
  const { hand = 'both' } = entry;
  return {
    hand,
    because: cautionLabel(entry),
    allows,
    caps,
    text: allows === 'with limits' ? limits : allows === 'with care' ? cautionAdvice(entry) : allows,
  };
}
