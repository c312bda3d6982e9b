import { say, type Sentence } from '../vocabulary/sentence.js';
import type { Candidate, Excluded } from './candidate.js';
import { candidatesFor } from './candidates.js';
import { Choice } from './choice.js';
import { isSuch } from './goal.js';
import { integerProgrammeOf } from './integer-programme.js';
import type { Composing } from './question.js';
import { FIXED_RULES, ruleWords, type Said } from './rule-words.js';

/** A want that gets less than this share of its goal is told with the rule that holds it there. */
const LITTLE = 0.1;

/** Whether a want gets hardly anything. */
export const isLittle = (gotS: number, targetS: number): boolean => gotS < LITTLE * targetS;

/**
 * What holds a want back, in a sentence: why the movements for it are left out, or the rule that one more of them would break.
 * @param chosen the blocks of the sequence, as candidates
 */
export function heldBack(composing: Composing, chosen: readonly Candidate[], wantIndex: number): Sentence {
  const { candidates, excluded } = candidatesFor(composing);
  const giving = candidates
    .filter(({ gives, movement }) => (gives[wantIndex] ?? 0) > 0 && chosen.every((each) => each.movement.id !== movement.id))
    .sort((one, other) => (other.gives[wantIndex] ?? 0) - (one.gives[wantIndex] ?? 0));
  if (giving.length === 0) return whyExcluded(composing, excluded, wantIndex);
  // The rule that most of them would break is the one that holds it back.
  const counts = new Map<string, number>();
  for (const candidate of giving.slice(0, TRIED)) {
    const [rule] = brokenBy(composing, chosen, candidate);
    if (rule) counts.set(ruleWords(rule), (counts.get(ruleWords(rule)) ?? 0) + 1);
  }
  const [first] = [...counts].sort(([, one], [, other]) => other - one);
  return first ? say`Limited by: ${first[0]}.` : 'Other parts of the goal count more in this time.';
}

/** So many movements for a want are tried. */
const TRIED = 6;

/** The rules that a choice breaks with one candidate more, and keeps without it. */
function brokenBy(composing: Composing, chosen: readonly Candidate[], candidate: Candidate): Said[] {
  const choice = Choice.of(integerProgrammeOf(composing, [...chosen, candidate]).structure, chosen.keys());
  const brokenNow = (): Said[] => {
    const broken: Said[] = [];
    choice.broken(broken);
    return broken;
  };
  const before = new Set(brokenNow().map(ruleWords));
  choice.toggle(chosen.length);
  return brokenNow().filter((rule) => !FIXED_RULES.includes(rule.rule) && !before.has(ruleWords(rule)));
}

/** Why the first movement for a want is left out. */
function whyExcluded({ goal, shelf }: Composing, excluded: readonly Excluded[], wantIndex: number): Sentence {
  const want = goal.wants[wantIndex];
  const mine = shelf.filter((movement) => want && movement.ladder.some((level) => isSuch(want, movement, level)));
  const why = excluded.find(({ movementId }) => mine.some(({ id }) => id === movementId))?.why;
  return why ?? 'No movement for it is possible here.';
}
