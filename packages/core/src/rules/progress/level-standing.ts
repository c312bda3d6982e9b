import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import { findLevel, type Level, type Movement, neighbourLevel } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { USUAL_RANGES, type UsualRange } from '../../vocabulary/usual-ranges.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Hand, HAND_WORDS } from '../../vocabulary/hands.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { capital, counted } from '../../vocabulary/text.js';
import type { SetUnit } from '../../vocabulary/work.js';
import { setsWords } from '../../model/dose-words.js';
import { adviseOnDiscomfort } from '../reports/discomfort.js';
import { formWords } from '../reports/form.js';
import { type Gate, gateOf, gateWords, isClean, meets, unmetIn } from './gates.js';
import { AWAY_DAYS } from '../suggestions/attention-needed.js';
import type { WorkDone } from './work-done.js';

/** What comes next of a movement for a hand: more of the same, another level, or less. */
export type Step =
  | { readonly kind: 'amount' | 'sets' | 'effort'; readonly to: number }
  | { readonly kind: 'level up' | 'level down'; readonly levelId: string }
  | { readonly kind: 'hold' | 'ease' };

/** What a step rests on: it hurt, the morning after was worse, it was long ago, nothing may grow, form gave way, the last one was not clean, nothing is due yet, or it went well. */
export type Because = 'hurt' | 'morning' | 'away' | 'barred' | 'form' | 'unclean' | 'not yet' | 'clean';

/** The position of a hand on a movement’s ladder. */
export interface LevelStanding {
  readonly movementId: string;
  readonly hand: Hand;
  readonly levelId: string;
  /** What was done at last. */
  readonly last: WorkDone;
  /** Null where nothing is left to pass: the work of this level knows no gate. */
  readonly gate: Gate | null;
  /** Sessions one after the other in which the gate was met. */
  readonly streak: number;
  readonly step: Step;
  readonly because: Because;
  /** A sentence with what it rests on. */
  readonly why: Sentence;
  /** All of it, oldest first: the evidence. */
  readonly history: readonly WorkDone[];
}

/** By how much an amount grows at a time: repetitions first, holds by five seconds. Working values; how often is the method’s. */
export const STEP_OF: Record<SetUnit, number> = { repetitions: 1, seconds: 5, breaths: 1, metres: 5 };

/** What a standing is judged with besides the history. */
export interface StandingQuestion {
  readonly movement: Movement;
  readonly method: Method;
  /** ISO day. */
  readonly today: string;
  /** Nothing that loads this hand may grow while a stop or a referral is in force. */
  readonly isBarred: boolean;
}

/**
 * The position of a hand on a ladder, and the next step. After two weeks without it a level back; after trouble the last level without; else repetitions, then sets,
 * then effort, then the level, each after clean sessions; a worse next-day check holds, and so does a form fault, which asks for less when it comes twice in a row.
 * @param history of one movement and one hand, oldest first; at least one session
 */
export function standingOf(history: readonly WorkDone[], question: StandingQuestion): LevelStanding {
  const { movement, method } = question;
  const last = lastOf(history);
  const level = findLevel(movement, last.levelId);
  const gate = level ? gateOf(level, last.unit, method) : null;
  const streak = streakOf(history, gate, question);
  const { step, because, why } = judged(history, level, gate, streak, question);
  return { movementId: movement.id, hand: last.hand, levelId: last.levelId, last, gate, streak, step, because, why: why(), history };
}

/** The next step alone, without its words. @param history of one movement and one hand, oldest first; at least one session */
export function stepAfter(history: readonly WorkDone[], question: StandingQuestion): Step {
  const last = lastOf(history);
  const level = findLevel(question.movement, last.levelId);
  const gate = level ? gateOf(level, last.unit, question.method) : null;
  return judged(history, level, gate, streakOf(history, gate, question), question).step;
}

/** Sessions one after the other, up to the last, in which the gate of its level was met. */
const streakOf = (history: readonly WorkDone[], gate: Gate | null, { method }: Pick<StandingQuestion, 'method'>): number => {
  const { levelId } = lastOf(history);
  return gate ? trailing(history, (done) => done.levelId === levelId && meets(gate, done, method)) : 0;
};

const judged = (
  history: readonly WorkDone[],
  level: Level | undefined,
  gate: Gate | null,
  streak: number,
  question: StandingQuestion,
): Judged =>
  level ? stepFrom(history, level, gate, streak, question) : { step: HOLD, because: 'not yet', why: () => 'This level no longer exists.' };

const HOLD: Step = { kind: 'hold' };
/** A step with what it rests on; the sentence is only written where somebody reads it. */
interface Judged extends Pick<LevelStanding, 'step' | 'because'> {
  readonly why: () => Sentence;
}

const trailing = (history: readonly WorkDone[], holds: (done: WorkDone) => boolean): number => {
  const from = history.findLastIndex((done) => !holds(done));
  return history.length - 1 - from;
};

function stepFrom(history: readonly WorkDone[], level: Level, gate: Gate | null, streak: number, question: StandingQuestion): Judged {
  const { isBarred, method } = question;
  const last = lastOf(history);
  const less = lessAfter(history, level, question);
  if (less) return less;
  if (isBarred)
    return {
      step: HOLD,
      because: 'barred',
      why: () => say`The ${HAND_WORDS[last.hand]} stays unchanged until it is cleared.`,
    };
  if (!isClean(last, method)) {
    const unmet = unmetIn(last, method);
    const form = () => (last.formFaults.length > 0 ? [`${capital(formWords(last.formFaults))}.`] : []);
    const reasons = () => [...(unmet ? [unmet.words(last, method)] : []), ...form()].join(' ');
    return { step: HOLD, because: unmet ? 'unclean' : 'form', why: () => say`${reasons()} Repeat it unchanged.` };
  }
  if (!gate) return { step: HOLD, because: 'not yet', why: () => 'Unchanged.' };
  return moreAfter(history, level, gate, streak, question);
}

/** A level back after a gap, or what was without trouble after trouble. */
function lessAfter(history: readonly WorkDone[], { id }: Level, { movement, method, today }: StandingQuestion): Judged | null {
  const last = lastOf(history);
  const below = neighbourLevel(movement, id, -1);
  const away = Math.floor(daysBetween(last.onDay, today));
  const hurts = last.discomfort !== null && adviseOnDiscomfort(last.discomfort, method.discomfort) === 'ease-or-stop';
  if (hurts || last.morning === 'step-back' || last.morning === 'refer') {
    const because = hurts ? 'hurt' : 'morning';
    const symptom = () => (hurts ? `Discomfort ${last.discomfort} of 10` : 'A worse next-day check');
    const calm = history
      .slice(0, -1)
      .findLast(
        (done) =>
          done.discomfort !== null &&
          adviseOnDiscomfort(done.discomfort, method.discomfort) === 'go-on' &&
          done.morning !== 'step-back' &&
          done.morning !== 'refer',
      );
    const isLower =
      calm !== undefined &&
      movement.ladder.findIndex((each) => each.id === calm.levelId) < movement.ladder.findIndex((each) => each.id === id);
    if (isLower)
      return {
        step: { kind: 'level down', levelId: calm.levelId },
        because,
        why: () => say`${symptom()}: go back to the last pain-free level, from ${calendarDay(calm.onDay)}.`,
      };
    if (below) return { step: { kind: 'level down', levelId: below.id }, because, why: () => say`${symptom()}: go back a level.` };
    return { step: { kind: 'ease' }, because, why: () => say`${symptom()} on the lowest level: do less of it, or a different movement.` };
  }
  if (away < AWAY_DAYS) return againOutOfForm(history, id);
  const gap = () => `${away} days since the last time`;
  return below
    ? { step: { kind: 'level down', levelId: below.id }, because: 'away', why: () => say`${gap()}: go back a level.` }
    : { step: { kind: 'ease' }, because: 'away', why: () => say`${gap()}: start with less of it.` };
}

/** A fault of form in two sessions in a row comes from the dose, not from the day: less, until the form is good (practice: quality ends a set). Working value. */
const OUT_OF_FORM = 2;
function againOutOfForm(history: readonly WorkDone[], levelId: string): Judged | null {
  const lately = history.slice(-OUT_OF_FORM);
  if (lately.length < OUT_OF_FORM || !lately.every((done) => done.levelId === levelId)) return null;
  const again = lastOf(lately).formFaults.filter((fault) => lately.every(({ formFaults }) => formFaults.includes(fault)));
  if (again.length === 0) return null;
  return {
    step: { kind: 'ease' },
    because: 'form',
    why: () => say`${capital(formWords(again))}, ${OUT_OF_FORM} sessions in a row: do less until it’s pain-free.`,
  };
}

/** Repetitions or seconds first, then sets, then effort, then the level. */
function moreAfter(
  history: readonly WorkDone[],
  level: Level,
  gate: Gate,
  streak: number,
  { movement, method, today }: StandingQuestion,
): Judged {
  const last = lastOf(history);
  const is = () => capital(setsWords(last));
  const daysSince = (sessions: number): number =>
    sessions === 0 ? 0 : Math.floor(daysBetween(itemAt(history, history.length - sessions).onDay, today));
  /** Whether it is too soon after the first of so many sessions. */
  const isTooSoon = (sessions: number): boolean => daysSince(sessions) < method.daysPerStep;
  const wait = () => `at most once in ${counted(method.daysPerStep, 'day')}`;
  if (streak >= gate.sessions) {
    const above = neighbourLevel(movement, level.id, 1);
    if (!above)
      return { step: HOLD, because: 'not yet', why: () => say`${capital(gateWords(gate))}: done, and this is the highest level.` };
    if (isTooSoon(streak))
      return { step: HOLD, because: 'not yet', why: () => say`${capital(gateWords(gate))}: done. Next comes “${above.name}”: ${wait()}.` };
    const step: Step = { kind: 'level up', levelId: above.id };
    return { step, because: 'clean', why: () => say`${capital(gateWords(gate))}: done. Next comes “${above.name}”.` };
  }
  const clean = trailing(history, (done) => isSameDose(done, last) && isClean(done, method));
  const goesOn = nextDose(level, last, gate, method);
  if (!goesOn)
    return { step: HOLD, because: 'not yet', why: () => say`${streak} of ${gate.sessions} sessions at the gate, ${gateWords(gate)}.` };
  if (clean < method.sessionsPerStep) {
    return {
      step: HOLD,
      because: 'not yet',
      why: () => say`${is()}, clean in ${clean} of ${method.sessionsPerStep} sessions: once more before it increases.`,
    };
  }
  if (isTooSoon(clean))
    return { step: HOLD, because: 'not yet', why: () => say`${is()}, clean in the last ${clean} sessions: increase ${wait()}.` };
  return {
    step: goesOn,
    because: 'clean',
    why: () => say`${is()}, clean in the last ${clean} sessions. Next: ${doseWords(last, goesOn)}. Level up at ${gateWords(gate)}.`,
  };
}

const isSameDose = (one: WorkDone, other: WorkDone) =>
  one.levelId === other.levelId &&
  one.unit === other.unit &&
  one.sets >= other.sets &&
  one.amount >= other.amount &&
  (one.effortPercent ?? 0) >= (other.effortPercent ?? 0);

function nextDose({ dosing }: Level, last: WorkDone, gate: Gate, { effortStepPercent }: Pick<Method, 'effortStepPercent'>): Step | null {
  if (last.unit === gate.unit && last.amount < gate.amount)
    return { kind: 'amount', to: Math.min(gate.amount, last.amount + STEP_OF[last.unit]) };
  if (last.sets < gate.sets) return { kind: 'sets', to: last.sets + 1 };
  const { effortPercent: range }: UsualRange = USUAL_RANGES[dosing];
  if (gate.effortPercent !== undefined && last.effortPercent !== null && last.effortPercent < gate.effortPercent && range) {
    return { kind: 'effort', to: Math.min(gate.effortPercent, last.effortPercent + effortStepPercent) };
  }
  return null;
}

/** What would be more than was done at last, whether or not it is time for it; null at the top of the ladder. */
export function moreThan(last: WorkDone, { movement, method }: Pick<StandingQuestion, 'movement' | 'method'>): Step | null {
  const level = findLevel(movement, last.levelId);
  const gate = level && gateOf(level, last.unit, method);
  if (!level || !gate) return null;
  const above = neighbourLevel(movement, level.id, 1);
  return nextDose(level, last, gate, method) ?? (above ? { kind: 'level up', levelId: above.id } : null);
}

/** A dose after a step, in words. */
function doseWords({ sets, amount, unit }: Pick<WorkDone, 'sets' | 'amount' | 'unit'>, step: Step): string {
  const to = (kind: Step['kind'], now: number) => ('to' in step && step.kind === kind ? step.to : now);
  const effort = step.kind === 'effort' ? ` at ${step.to} %` : '';
  return `${setsWords({ sets: to('sets', sets), amount: to('amount', amount), unit })}${effort}`;
}

/** Whether a step asks for more than there was. */
export const isProgression = ({ kind }: Step): boolean => kind === 'amount' || kind === 'sets' || kind === 'effort' || kind === 'level up';
