import { joinSentences, quantity, say, uniqueSentences } from '../../vocabulary/sentence.js';
import { setCount, withSetGroups, workOf } from '../../model/dose.js';
import type { Edit } from '../../model/edits.js';
import { working } from '../../vocabulary/constant.js';
import { type Hand, HAND_WORDS, HANDS, otherHand, type SidePlan } from '../../vocabulary/hands.js';
import { firstOf, isSome } from '../../vocabulary/lists.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { moreIn } from '../doses/asks-more.js';
import { editWords } from '../fixes/edit-words.js';
import type { LevelStanding } from '../progress/level-standing.js';
import type { WorkDone } from '../progress/work-done.js';
import { type ComingBlock, comingBlocks, handsIn, inPlans, newestOf, sessionsOf } from './coming-blocks.js';
import { gentlerOptions } from './less.js';
import type { ComingPlan, SuggestionScene } from './question.js';
import { AS_IT_IS, type Suggestion, type SuggestionOption } from './suggestion.js';

/** So many sessions show that something stands still, or lags behind. */
const SESSIONS = working('Sessions without progress', 6, 'sessions', 'two or three weeks of usual training', [4, 10]).value;
/** As hard as this each time, without more coming of it. */
const HARD = working('Effort of a plateau', 8, 'of 10', 'one step above what passes a gate', [7, 9]).value;
/** One hand that does no more than this of the other’s work is behind. */
const BEHIND = working('A hand that is behind', 0.8, 'of the other’s work', 'twice the usual difference of handedness', [0.7, 0.9]).value;

/** Work that is hard every time and gets no further, and a hand that stays behind the other; what something graver speaks of is left to that. */
export function stuckSuggestions(scene: SuggestionScene, before: readonly Suggestion[]): Suggestion[] {
  return [...comingBlocks(scene).values()].flatMap((blocks): Suggestion[] => {
    if (!isSome(blocks)) return [];
    const { movement } = firstOf(blocks);
    if (before.some(({ movementId }) => movementId === movement.id)) return [];
    return plateauOf(scene, blocks) ?? unevenOf(scene, blocks) ?? [];
  });
}

const lately = ({ history, levelId }: LevelStanding): readonly WorkDone[] =>
  history.filter((done) => done.levelId === levelId).slice(-SESSIONS);
const totalOf = ({ sets, amount, total = sets * amount }: WorkDone): number => total;

function isPlateau(standing: LevelStanding): boolean {
  const all = lately(standing);
  const [first, last] = [all[0], all.at(-1)];
  if (all.length < SESSIONS || !first || !last) return false;
  return all.every(({ exertion }) => exertion !== null && exertion >= HARD) && totalOf(last) <= totalOf(first);
}

function plateauOf(scene: SuggestionScene, blocks: readonly ComingBlock[]): Suggestion[] | null {
  const stuck = blocks.flatMap(({ standings }) => standings).filter(isPlateau);
  if (!isSome(stuck)) return null;
  const options = gentlerOptions(scene, blocks, ['less', 'level', 'other'], 'hard');
  if (!isSome(options)) return null;
  const { movement } = firstOf(blocks);
  const last = newestOf(stuck);
  return [
    {
      key: `plateau ${movement.id}`,
      kind: 'ease',
      cause: 'plateau',
      hands: handsIn(stuck),
      movementId: movement.id,
      why: say`${movement.name}: effort (RPE) ${HARD} or more in ${SESSIONS} sessions without progress. Do less for a week, then build up again.`,
      evidence: sessionsOf(stuck),
      evidenceKey: `${last.sessionId} plateau`,
      sessionId: last.sessionId,
      options,
    },
  ];
}

/** The hand that did less over the last sessions, and how much of the other’s; null where both did about the same. */
function behind(standings: readonly LevelStanding[]): { readonly hand: Hand; readonly share: number } | null {
  const sums = HANDS.map((hand) => {
    const all = standings.filter((each) => each.hand === hand).flatMap(lately);
    return all.length < SESSIONS ? null : all.reduce((sum, done) => sum + totalOf(done), 0);
  });
  const [left, right] = sums;
  if (!left || !right) return null;
  const [hand, share]: [Hand, number] = left < right ? ['left', left / right] : ['right', right / left];
  return share <= BEHIND ? { hand, share } : null;
}

function unevenOf(scene: SuggestionScene, blocks: readonly ComingBlock[]): Suggestion[] | null {
  const standings = blocks.flatMap((block) => block.standings);
  const lesser = behind(standings);
  if (!lesser || !isSome(standings)) return null;
  const { hand, share } = lesser;
  const { movement } = firstOf(blocks);
  const last = newestOf(standings);
  const changes = (edited: (block: ComingBlock) => Edit | null) =>
    blocks.flatMap((block) => {
      const edit = edited(block);
      return edit ? [{ plan: block.plan, edits: [edit] }] : [];
    });
  const [proposed, ...others] = [
    optionOf(
      scene,
      'weaker first',
      changes((block) => weakerFirst(block, hand)),
    ),
    optionOf(
      scene,
      'match',
      changes((block) => matching(block, hand)),
    ),
  ].filter((option) => option !== null);
  const percent = quantity(Math.round(100 * share), '%');
  return [
    {
      key: `uneven ${movement.id}`,
      kind: 'hold',
      cause: `uneven ${movement.id}`,
      hands: [hand],
      movementId: movement.id,
      why: say`${movement.name}: the ${HAND_WORDS[hand]} did ${percent} of the other’s work in ${SESSIONS} sessions. Let it catch up before you do more.`,
      evidence: sessionsOf(standings),
      evidenceKey: `${last.sessionId} uneven`,
      sessionId: last.sessionId,
      options: proposed ? [proposed, ...others, STAY] : [STAY],
    },
  ];
}

const STAY: SuggestionOption = { id: 'stay', words: 'Keep it as it is', effect: AS_IT_IS };

function optionOf(
  { lookup }: SuggestionScene,
  id: string,
  changes: readonly { readonly plan: ComingPlan; readonly edits: readonly Edit[] }[],
): SuggestionOption | null {
  if (changes.length === 0) return null;
  const words = uniqueSentences(changes.map(({ plan, edits }) => editWords(plan.sequence, edits, lookup)));
  return { id, words: joinSentences(words, '; '), effect: { kind: 'blocks', plans: inPlans(changes) } };
}

/** The hand that is behind goes first, while it is fresh. */
function weakerFirst({ block, movement }: ComingBlock, hand: Hand): Edit | null {
  const sides: SidePlan = `${hand}-then-${otherHand(hand)}` as 'left-then-right' | 'right-then-left';
  if (block.dose.sides === sides || !movement.sides.includes(sides)) return null;
  return { kind: 'change', blockId: block.id, dose: { ...block.dose, sides } };
}

/** Both hands do what the one that is behind can: less for the other, never more. */
function matching({ block, standings }: ComingBlock, hand: Hand): Edit | null {
  const done = standings.find((each) => each.hand === hand)?.last;
  if (!done || done.sets === 0 || done.unit !== UNIT_OF[block.dose.work.kind] || block.dose.then) return null;
  const dose = withSetGroups(block.dose, [
    { sets: Math.min(done.sets, setCount(block.dose)), work: workOf(block.dose.work.kind, done.amount) },
  ]);
  return moreIn(dose, block.dose) === null && moreIn(block.dose, dose) !== null ? { kind: 'change', blockId: block.id, dose } : null;
}
