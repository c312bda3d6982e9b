import { say, loweredSentence, joinSentences, uniqueSentences } from '../../vocabulary/sentence.js';
import { HAND_WORDS } from '../../vocabulary/hands.js';
import { isSome } from '../../vocabulary/lists.js';
import { WORK } from '../../vocabulary/phases.js';
import type { LevelStanding } from '../progress/level-standing.js';
import { stayAt } from './after.js';
import type { Suggestion } from './suggestion.js';
import { comingBlocks, handsIn, newestOf, sessionsOf } from './coming-blocks.js';
import { gentlerOptions, IN_FORM } from './less.js';
import type { SuggestionScene } from './question.js';

/** Form faults seen once: the dose stays as it is, and the hand set-up is checked before anything grows. */
export function formSuggestions(scene: SuggestionScene): Suggestion[] {
  return [...comingBlocks(scene).values()].flatMap((blocks): Suggestion[] => {
    // Circles and stretches are cued, not counted upward.
    const mine = blocks.filter(({ block, standings }) => WORK.includes(block.phase) && standings.some(isOutOfForm));
    if (!isSome(mine)) return [];
    const [{ movement, standings: all }] = mine;
    const held = mine.flatMap(({ standings }) => standings).filter(isOutOfForm);
    const { sessionId } = newestOf(held);
    return [
      {
        key: `form ${movement.id}`,
        kind: 'hold',
        cause: 'form',
        hands: handsIn(held),
        movementId: movement.id,
        why: say`${movement.name}, ${whoseHands(held)}: ${joinSentences(uniqueSentences(held.map(({ why }) => loweredSentence(why))))}`,
        evidence: sessionsOf(all),
        evidenceKey: `${sessionId} form`,
        sessionId,
        options: [stayAt(mine), ...gentlerOptions(scene, mine, IN_FORM, 'hard')],
      },
    ];
  });
}

const whoseHands = (standings: readonly LevelStanding[]): string => {
  const [hand, other] = handsIn(standings);
  return HAND_WORDS[other || !hand ? 'both' : hand];
};

const isOutOfForm = ({ because, step }: LevelStanding): boolean => because === 'form' && step.kind === 'hold';
