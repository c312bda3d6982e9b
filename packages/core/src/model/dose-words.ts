import type { SidePlan } from '../vocabulary/hands.js';
import { counted } from '../vocabulary/text.js';
import { amountOf, type Dose, type Tempo } from './dose.js';
import { type Level, type Movement, obeysEffort } from './movement.js';

/** A dose as an athlete reads it. */
export interface DoseInWords {
  /** How much: “2 sets of 6”. */
  readonly amount: string;
  /** How: hands, directions, pace, hold, effort, rest, as far as they are worth telling. */
  readonly how: readonly string[];
}

const HANDS_IN_TURN: Record<SidePlan, string | null> = {
  together: null,
  left: 'left hand only',
  right: 'right hand only',
  'left-then-right': 'left, then right',
  'right-then-left': 'right, then left',
  alternating: 'left and right by turns',
};

/**
 * A dose in an athlete's words instead of a coach's shorthand.
 * A palm lift of `2x6 tempo1-3 rest40` is “2 sets of 6”, with “lift 1 s, lower 3 s” and “rest 40 s in between”.
 */
export function doseInWords(
  dose: Dose,
  movement: Pick<Movement, 'directions' | 'strokes'>,
  level: Pick<Level, 'load'>,
): DoseInWords {
  const { sets, work, sides, tempo, holdS, effortPercent, restS } = dose;
  const { strokes } = movement;
  const how: readonly (string | false | null | undefined)[] = [
    HANDS_IN_TURN[sides],
    directionWords(dose, movement),
    tempo && paceWords(tempo, strokes),
    holdS !== undefined && `hold ${holdS} s each time`,
    effortPercent !== undefined && obeysEffort(level) && `at ${effortPercent} % of your most`,
    sets > 1 && restS > 0 && `rest ${restS} s in between`,
  ];
  const each = { repetitions: String(amountOf(work)), time: secondsWords(amountOf(work)), breaths: breathWords(dose) }[
    work.kind
  ];
  const once = work.kind === 'repetitions' ? `${each} times` : each;
  return {
    amount: sets > 1 ? `${counted(sets, 'set')} of ${each}` : once,
    how: how.flatMap((part) => (part ? [part] : [])),
  };
}

/** Whole text of a dose in words, e.g. for a list. */
export function doseSentence(...asked: Parameters<typeof doseInWords>): string {
  const { amount, how } = doseInWords(...asked);
  return [amount, ...how].join(', ');
}

/** A pace that is the same both ways is told by the whole. */
function paceWords({ outS, backS }: Tempo, [out, back]: Movement['strokes']): string {
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
const breathWords = ({ work }: Dose) => counted(amountOf(work), 'slow breath');
