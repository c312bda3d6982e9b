import { asWritten, say, type Sentence, joinSentences } from '../vocabulary/sentence.js';
import type { SidePlan } from '../vocabulary/hands.js';
import { counted, lowered } from '../vocabulary/text.js';
import type { OpenEnd, SetUnit, WorkKind } from '../vocabulary/work.js';
import { OWN_LOADS, OWN_LOAD_NAMES } from '../vocabulary/own-load.js';
import {
  amountOf,
  type Dose,
  type Faster,
  setCount,
  setGroupsOf,
  type SetGroup,
  type Tempo,
  withAmount,
  type Work,
  workOf,
} from './dose.js';
import { type Grade, gradeAt, GRADED, GRADED_LOAD } from './grades.js';
import { effortMeans, type Level, type Movement } from './movement.js';
import { hasHandsInTurn } from './work.js';

/** A dose as an athlete reads it. */
export interface DoseInWords {
  /** How much: “2 sets of 6”. */
  readonly amount: string;
  /** How: hands, directions, pace, hold, effort, rest, as far as they are worth telling. */
  readonly how: readonly Sentence[];
}

const HANDS_IN_TURN: Record<SidePlan, string | null> = {
  together: null,
  left: 'left hand only',
  right: 'right hand only',
  'left-then-right': 'left, then right',
  'right-then-left': 'right, then left',
  alternating: 'alternating left and right',
};

/**
 * A dose in an athlete's words instead of a coach's shorthand.
 * @param foundKg what the effort finds for somebody, where it is known for whom
 * @param grades the studio’s springs and bands, which are called by their names
 * A palm lift of `2x6 tempo1-3 rest40` is “2 sets of 6”, with “lift 1 s, lower 3 s” and “rest 40 s in between”.
 */
export function doseInWords(
  dose: Dose,
  movement: Pick<Movement, 'directions' | 'strokes' | 'positions'>,
  level: Pick<Level, 'load'>,
  foundKg: number | null = null,
  grades: readonly Grade[] = [],
): DoseInWords {
  const { tempo, pauseS, faster } = dose;
  const { strokes } = movement;
  const how: readonly (Sentence | false | null | undefined)[] = [
    goalWords(dose),
    handsWords(dose),
    positionWords(dose, movement),
    directionWords(dose, movement),
    ...ownLoadWords(dose, grades),
    tempo && paceWords(tempo, strokes),
    holdWords(dose),
    pauseS !== undefined && `pause ${pauseS} s in between`,
    faster && fasterWords(faster),
    effortWords(dose, level, foundKg),
    dose.sore && `on sore days ${percentWords(dose.sore)}`,
    restWords(dose),
  ];
  return { amount: perHandWords(dose) ?? amountWords(setGroupsOf(dose)), how: how.flatMap((part) => (part ? [part] : [])) };
}

/** What the amount is to become; nothing where it is that already. */
function goalWords({ goal, work }: Dose): string | null {
  return goal === undefined || goal <= amountOf(work) ? null : `goal ${workWords(workOf(work.kind, goal))}`;
}

/** How much each hand does, where they differ. */
function perHandWords({ sets, sides, work, rightAmount }: Dose): string | null {
  if (rightAmount === undefined || !hasHandsInTurn(sides)) return null;
  const [left, right] = [`left ${onceWords(work)}`, `right ${onceWords(withAmount(work, rightAmount))}`];
  const each = sides === 'right-then-left' ? `${right}, then ${left}` : `${left}, then ${right}`;
  return sets === 1 ? each : `${counted(sets, 'set')}: ${each}`;
}

/** Which hand works when, as far as it is worth telling. */
function handsWords({ sides, rightAmount, oneHandFirst }: Dose): string | null {
  if (!oneHandFirst) return rightAmount !== undefined && hasHandsInTurn(sides) ? null : HANDS_IN_TURN[sides];
  return sides === 'right-then-left' ? 'all sets right, then all left' : 'all sets left, then all right';
}

/** Fingers or positions that are worked through in turn. */
function positionWords({ positions }: Dose, movement: Pick<Movement, 'positions'>): string | null {
  if (positions) return `only ${positions.join(', ')}`;
  return movement.positions ? `each: ${movement.positions.map(({ name }) => name).join(', ')}` : null;
}

/** How long repetitions are held, set by set where that differs. */
function holdWords(dose: Dose): string | null {
  const { holdS, then = [] } = dose;
  const others = then.flatMap(({ holdS: other }) => (other === undefined || other === holdS ? [] : [`${other} s`]));
  if (holdS === undefined) return null;
  return `hold ${[`${holdS} s`, ...others].join(', then ')} each`;
}

const fasterWords = (faster: Faster): string =>
  faster.kind === 'percent' ? `each set ${faster.percent} % faster` : `each set ${faster.seconds} s a rep faster`;

const restWords = (dose: Dose): string | false => setCount(dose) > 1 && dose.restS > 0 && `rest ${dose.restS} s between sets`;

/** An effort or a range of it: “30–40 %”. */
export const percentWords = ({ effortPercent = 0, effortToPercent }: Pick<Dose, 'effortPercent' | 'effortToPercent'>): string =>
  `${effortPercent}${effortToPercent === undefined ? '' : `–${effortToPercent}`} %`;

/** Sets and amounts as they are said. @example amountWords(setGroupsOf(parseDose('2x10,1xmax'))) → '2 sets of 10, then as many clean reps as possible, at most 20' */
export function amountWords(groups: readonly SetGroup[]): string {
  if (groups.length === 1 && groups[0]?.sets === 1) return onceWords(groups[0].work);
  return groups.map(({ sets, work }) => setWords(sets, work)).join(', then ');
}

/** What was or is to be done, by its sets and the unit that it is counted in. Two of fifteen seconds are “2 sets of 15 s”. */
export function setsWords({ sets, amount, unit }: { readonly sets: number; readonly amount: number; readonly unit: SetUnit }): string {
  return amountWords([{ sets: Math.max(1, sets), work: workOf(WORK_OF[unit], amount) }]);
}
const WORK_OF: Record<SetUnit, WorkKind> = { repetitions: 'repetitions', seconds: 'time', breaths: 'breaths', metres: 'distance' };

function setWords(sets: number, work: Work): string {
  if (work.open) return sets === 1 ? onceWords(work) : `${counted(sets, 'set')}, each ${onceWords(work)}`;
  return `${counted(sets, 'set')} of ${workWords(work)}`;
}

const onceWords = (work: Work): string => {
  if (work.open) return `${OPEN_ENDS_IN_WORDS[work.open][work.kind]}, at most ${workWords(work)}`;
  return work.kind === 'repetitions' ? `${workWords(work)} times` : workWords(work);
};

/** Until when an open set goes, as an athlete reads it. */
const OPEN_ENDS_IN_WORDS: Record<OpenEnd, Record<WorkKind, string>> = {
  form: {
    repetitions: 'as many clean reps as possible',
    time: 'as long as form holds',
    breaths: 'as long as form holds',
    distance: 'as far as form holds',
  },
  ease: {
    repetitions: 'until it eases',
    time: 'until it eases',
    breaths: 'until it eases',
    distance: 'until it eases',
  },
};

/** The amount of one set. @example workWords({ kind: 'time', seconds: 120 }) → '2 min' */
export function workWords(work: Work): string {
  const { upTo } = work;
  const range = upTo === undefined ? null : `${amountOf(work)}–${upTo}`;
  switch (work.kind) {
    case 'repetitions':
      return range ?? String(work.count);
    case 'time':
      return range ? `${range} s` : secondsWords(work.seconds);
    case 'breaths':
      return range ? `${range} slow breaths` : counted(work.count, 'slow breath');
    case 'distance':
      return `${range ?? work.metres} m`;
  }
}

/** What somebody set for a block itself: a weight, an edge, a band. */
export const ownLoadWords = ({ load = {} }: Dose, grades: readonly Grade[] = []): Sentence[] =>
  OWN_LOAD_NAMES.flatMap((name) => {
    const value = load[name];
    const { label, limit } = OWN_LOADS[name];
    if (value === undefined) return [];
    const amount = asWritten(value, limit.unit);
    const kind = GRADED.find((each) => GRADED_LOAD[each] === name);
    const grade = kind && gradeAt(grades, kind, value);
    if (grade) return [say`${grade.name} ${kind} (${amount})`];
    return [name === 'massKg' ? say`${amount}` : say`${lowered(label)} ${amount}`];
  });

/** What the effort asks for, where a dose names one. */
function effortWords(dose: Dose, level: Pick<Level, 'load'>, foundKg: number | null): Sentence | null {
  if (dose.effortPercent === undefined) return null;
  const percent = percentWords(dose);
  switch (effortMeans(level)) {
    case 'pressed':
      return `at ${percent} of maximum`;
    case 'finds the load':
      return foundKg === null
        ? `with a load that takes ${percent} of maximum`
        : say`${asWritten(Number(foundKg.toFixed(2)), 'kg')}, which is ${percent} of maximum`;
    case 'kept':
      return `keep the grip at ${percent} of maximum throughout`;
    case 'pushed':
      return `pushing back at ${percent} of maximum`;
    case null:
      return null;
  }
}

/** Whole text of a dose in words, e.g. for a list. */
export function doseSentence(...parameters: Parameters<typeof doseInWords>): Sentence {
  const { amount, how } = doseInWords(...parameters);
  return joinSentences([amount, ...how], ', ');
}

/** A pace that is the same both ways is given as one number. */
export function paceWords({ outS, backS }: Tempo, [out, back]: Movement['strokes']): string {
  return outS === backS ? `${outS + backS} s each` : `${out} ${outS} s, ${back} ${backS} s`;
}

function directionWords({ directions: plan }: Dose, { directions }: Pick<Movement, 'directions'>): string | null {
  if (!directions || plan === 'none') return null;
  if (plan === 'each') return `${directions[0]}, then ${directions[1]}`;
  return directions[plan === 'first' ? 0 : 1];
}

const MINUTE_S = 60;
const secondsWords = (seconds: number) =>
  seconds >= 2 * MINUTE_S && seconds % MINUTE_S === 0 ? `${seconds / MINUTE_S} min` : `${seconds} s`;
