import { type Hand, HANDS } from '../../vocabulary/hands.js';
import { barredHands } from '../safety/cautions.js';
import { afterSuggestions } from './after.js';
import { type Suggestion, worstFirst } from './suggestion.js';
import { formSuggestions } from './form.js';
import { gated } from './gated.js';
import { inGrowthBand } from './growth-band.js';
import { lessSuggestions, viewsOnce } from './less.js';
import { limitSuggestions } from './limits.js';
import { measureSuggestions } from './measure.js';
import { progressSuggestions } from './progress.js';
import type { SuggestionQuestion, SuggestionScene } from './question.js';
import { growingIn, referSuggestions } from './refer.js';
import { stuckSuggestions } from './stuck.js';
import { restSuggestions } from './rest.js';
import { withTyping } from './typed.js';

export * from './after-session.js';
export * from './answers.js';
export * from './suggestion.js';
export * from './groups.js';
export * from './question.js';
export { checkTyped, withTypedDose } from './typed.js';

/** What proposes suggestions, each in its turn: it sees what was proposed before it. A new one is an entry here (CONTRIBUTING). */
const PROPOSERS: readonly ((scene: SuggestionScene, before: readonly Suggestion[]) => Suggestion[])[] = [
  referSuggestions,
  restSuggestions,
  // Before what is planned may be led at all, nothing asks to do less of it.
  limitSuggestions,
  lessSuggestions,
  // A session that something graver speaks of already gets no suggestion of its own.
  afterSuggestions,
  formSuggestions,
  stuckSuggestions,
  measureSuggestions,
  progressSuggestions,
];

/** All suggestions for an athlete, the gravest first. While a stop or a referral is in force for a hand, nothing asks more of it. */
export function suggestionsOf(question: SuggestionQuestion): Suggestion[] {
  const scene: SuggestionScene = { ...question, viewOf: viewsOnce(question.viewOf), barred: keptFromMore(question) };
  const suggestions = PROPOSERS.reduce<readonly Suggestion[]>((before, propose) => [...before, ...propose(scene, before)], []);
  return inGrowthBand(scene, gated(scene, suggestions))
    .map((suggestion) => withTyping(scene, suggestion))
    .sort(worstFirst);
}

/** Hands that a stop, a referral or pain that grows keeps from more. */
const keptFromMore = ({ cautions, sessions }: SuggestionQuestion): ReadonlySet<Hand> =>
  new Set([...barredHands(cautions), ...HANDS.filter((hand) => growingIn(sessions, hand) !== null)]);
