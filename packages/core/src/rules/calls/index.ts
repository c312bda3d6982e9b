import { type Hand, HANDS } from '../../vocabulary/hands.js';
import { forbidsLoading, handsOf } from '../safety/cautions.js';
import { afterCalls } from './after.js';
import { type Call, worstFirst } from './call.js';
import { formCalls } from './form.js';
import { lessCalls, viewsOnce } from './less.js';
import { measureCalls } from './measure.js';
import { progressCalls } from './progress.js';
import type { CallQuestion, CallScene } from './question.js';
import { growingIn, referCalls } from './refer.js';
import { restCalls } from './rest.js';
import { withTyping } from './typed.js';

export * from './after-session.js';
export * from './answers.js';
export * from './call.js';
export * from './groups.js';
export * from './question.js';
export { checkTyped, withTypedDose } from './typed.js';

/** What proposes calls, each in its turn: it sees what was proposed before it. A new one is an entry here (CONTRIBUTING). */
const PROPOSERS: readonly ((scene: CallScene, before: readonly Call[]) => Call[])[] = [
  referCalls,
  restCalls,
  lessCalls,
  // A session that something graver speaks of already gets no call of its own.
  afterCalls,
  formCalls,
  measureCalls,
  progressCalls,
];

/** All that is proposed for an athlete, the gravest first. While a stop or a referral stands for a hand, nothing asks more of it. */
export function callsOf(question: CallQuestion): Call[] {
  const scene: CallScene = { ...question, viewOf: viewsOnce(question.viewOf), barred: barredHands(question) };
  const calls = PROPOSERS.reduce<readonly Call[]>((before, propose) => [...before, ...propose(scene, before)], []);
  return calls.map((call) => withTyping(scene, call)).sort(worstFirst);
}

/** Hands that a stop, a referral or pain that grows keeps from more. */
function barredHands({ cautions, sessions }: CallQuestion): ReadonlySet<Hand> {
  return new Set([...cautions.filter(forbidsLoading).flatMap(handsOf), ...HANDS.filter((hand) => growingIn(sessions, hand) !== null)]);
}
