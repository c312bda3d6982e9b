import { say, type Sentence } from '../../vocabulary/sentence.js';
import type { Ending, Morning } from '../../model/session.js';
import { percent } from '../../vocabulary/numbers.js';
import { adviseOnDiscomfort, type DiscomfortAdvice, type DiscomfortPolicy } from '../reports/discomfort.js';
import { type MorningAdvice, morningOf, type MorningScores } from '../reports/morning.js';

/** What a session as a whole may ask for, the boldest first. */
const DECISIONS = ['go-on', 'hold', 'ease', 'rest'] as const;
/** What a session as a whole may ask for. */
export type Decision = (typeof DECISIONS)[number];

/** What a session as a whole asks for next, with why. */
export interface AfterSession {
  readonly proposed: Decision;
  readonly reason: Sentence;
}

/** What is known of a session that is over. */
export interface SessionOutcome {
  readonly ending: Ending | null;
  /** Share of the planned work that was done, 0–1. */
  readonly completion: number;
  readonly maxDiscomfort: number | null;
  readonly discomfortPolicy: DiscomfortPolicy;
  /** The next-day check, and the last one before it. */
  readonly morning?: Pick<Morning, 'left' | 'right' | 'numb'> | null;
  readonly morningBefore?: MorningScores | null;
}

/** Less of a plan than this, ended early, is held before it is repeated harder; working value. */
export const MUCH_OF_IT = 0.75;

const PROPOSED: Record<DiscomfortAdvice, Decision> = { 'go-on': 'go-on', 'hold-level': 'hold', 'ease-or-stop': 'ease' };
const NEXT_TIME: Record<Decision, string> = {
  'go-on': 'The next session can go ahead as planned.',
  hold: 'Keep this level next time; no harder.',
  ease: 'Make the next session easier: a lower level, or less of it.',
  rest: 'Leave an extra day before the next session.',
};

/**
 * What the outcome of a session asks for next, from the reported discomfort and how much was done.
 * @example suggestionAfter({ ending: 'completed', completion: 1, maxDiscomfort: 1, discomfortPolicy: 'mild' }).proposed → 'go-on'
 */
export function suggestionAfter(outcome: SessionOutcome): AfterSession {
  const felt = suggestionByFeel(outcome);
  const { morning, morningBefore = null } = outcome;
  if (!morning) return felt;
  const { advice, text } = morningOf(morning, morningBefore);
  const kind = BY_MORNING[advice];
  if (advice === 'refer') return { proposed: kind, reason: say`${text} ${UNTIL_CLEARED}` };
  return DECISIONS.indexOf(kind) > DECISIONS.indexOf(felt.proposed) ? { proposed: kind, reason: say`${text} ${NEXT_TIME[kind]}` } : felt;
}

/** A day more is no answer to a hand that went numb. */
const UNTIL_CLEARED = 'No load on that hand until it is cleared.';
const BY_MORNING: Record<MorningAdvice, Decision> = { 'go-on': 'go-on', hold: 'hold', 'step-back': 'ease', refer: 'rest' };

function suggestionByFeel({ ending, completion, maxDiscomfort, discomfortPolicy }: SessionOutcome): AfterSession {
  const felt = maxDiscomfort === null ? 'go-on' : PROPOSED[adviseOnDiscomfort(maxDiscomfort, discomfortPolicy)];
  const reason = explanationOf(maxDiscomfort, discomfortPolicy);
  if (felt === 'go-on' && ending === 'ended early' && completion < MUCH_OF_IT) {
    return { proposed: 'hold', reason: say`${reason} Ended early, ${percent(completion)} done. ${NEXT_TIME.hold}` };
  }
  return { proposed: felt, reason: say`${reason} ${NEXT_TIME[felt]}` };
}

function explanationOf(score: number | null, policy: DiscomfortPolicy): Sentence {
  if (score === null) return 'No discomfort was recorded.';
  const allowed = policy === 'none' && score > 0 ? ', and this method allows none' : '';
  return say`Peak discomfort ${score} of 10${allowed}.`;
}
