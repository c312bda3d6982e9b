import { quantity, say } from '../../vocabulary/sentence.js';
import { amountOf, type Dose, setCount, withSetGroups, workOf } from '../../model/dose.js';
import type { Edit } from '../../model/edits.js';
import { WEEK_KINDS } from '../../model/programme.js';
import { WORK } from '../../vocabulary/phases.js';
import { HANDS } from '../../vocabulary/hands.js';
import { lowered } from '../../vocabulary/text.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { inAmount } from '../doses/in-amount.js';
import { suggestionAfter } from './after-session.js';
import { AS_IT_IS, type Suggestion, type SuggestionEffect, type SuggestionOption } from './suggestion.js';
import { type ComingBlock, comingBlocks, inPlans } from './coming-blocks.js';
import type { SuggestionScene, SuggestionSession, ComingPlan } from './question.js';

/** So much of what loads is left of a session that is eased as a whole, percent; an easier week’s. */
const EASED_PERCENT = WEEK_KINDS.easier.usualPercent;

/** What the last session as a whole asks for, where no movement of it does: less of all that loads, or to stay at what it is. */
export function afterSuggestions(scene: SuggestionScene, others: readonly Suggestion[]): Suggestion[] {
  const last = scene.sessions.at(-1);
  const isAnswered = ({ sessionId, kind, cause }: Suggestion) => cause === 'limits' || (sessionId === last?.id && kind !== 'measure again');
  if (!last || others.some(isAnswered)) return [];
  const { proposed, reason } = suggestionAfter(last);
  if (proposed !== 'ease' && proposed !== 'hold') return [];
  return [
    {
      key: 'after',
      kind: proposed,
      cause: 'the last session',
      hands: HANDS,
      movementId: null,
      why: say`${reason}${heldWords(scene, last)}`,
      evidence: [{ of: 'session', sessionId: last.id, onDay: last.onDay, text: feltWords(last) }],
      evidenceKey: last.id,
      sessionId: last.id,
      options: proposed === 'ease' ? [less(scene), stay(scene)] : [stay(scene), less(scene)],
    },
  ];
}

/** So many movements are named. */
const NAMED = 3;
/** Which movements it was that did not go clean. */
function heldWords({ standings, lookup }: SuggestionScene, { id }: SuggestionSession): string {
  const held = standings.filter(({ last, because }) => last.sessionId === id && because === 'unclean');
  const names = [...new Set(held.map(({ movementId }) => lowered(lookup(movementId)?.name ?? movementId)))];
  if (names.length === 0) return '';
  const more = names.length - NAMED;
  return ` This concerns ${names.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}.`;
}

const feltWords = ({ completion, maxDiscomfort, exertion }: SuggestionSession): string =>
  [
    `${Math.round(100 * completion)} % done`,
    maxDiscomfort === null ? 'no rating' : `peak discomfort ${maxDiscomfort}`,
    ...(exertion === null ? [] : [`effort (RPE) ${exertion.toFixed(0)}`]),
  ].join(', ');

const less = ({ coming }: SuggestionScene): SuggestionOption => ({
  id: 'less',
  words: say`Cut all loading work to ${quantity(EASED_PERCENT, '%')}, starting with the next session`,
  effect: effectOf(
    coming.flatMap((plan) => {
      const edits = plan.sequence.blocks.flatMap(({ id, phase, dose }): Edit[] => {
        const eased = inAmount(dose, EASED_PERCENT);
        return WORK.includes(phase) && eased !== dose ? [{ kind: 'change', blockId: id, dose: eased }] : [];
      });
      return edits.length > 0 ? [{ plan, edits }] : [];
    }),
  ),
});

/** Nothing grows: what would by itself stays at what was done last. */
const stay = (scene: SuggestionScene): SuggestionOption => stayAt([...comingBlocks(scene).values()].flat());

/** Nothing of these blocks grows: what would by itself stays at what was done last. */
export function stayAt(blocks: readonly ComingBlock[]): SuggestionOption {
  const rising = blocks.filter(({ plan }) => plan.rises);
  const pinned = rising.flatMap(({ plan, block, standings }) => {
    const dose = asDone(block.dose, standings);
    return dose ? [{ plan, edits: [{ kind: 'change', blockId: block.id, dose } as const] }] : [];
  });
  return {
    id: 'stay',
    words: pinned.length > 0 ? 'Repeat the last dose; no automatic increase' : 'Repeat unchanged',
    effect: effectOf(pinned),
  };
}

/** What was done last, where the plan has grown past it; null else. */
function asDone(dose: Dose, standings: ComingBlock['standings']): Dose | null {
  const unit = UNIT_OF[dose.work.kind];
  const done = standings.map(({ last }) => last).filter((last) => last.unit === unit && last.sets > 0);
  if (done.length < standings.length || dose.then) return null;
  const [sets, amount] = [Math.min(...done.map((last) => last.sets)), Math.min(...done.map((last) => last.amount))];
  if (sets * amount >= setCount(dose) * amountOf(dose.work)) return null;
  return withSetGroups(dose, [{ sets: Math.min(sets, dose.sets), work: workOf(dose.work.kind, amount) }]);
}

const effectOf = (changes: readonly { readonly plan: ComingPlan; readonly edits: readonly Edit[] }[]): SuggestionEffect =>
  changes.length > 0 ? { kind: 'blocks', plans: inPlans(changes) } : AS_IT_IS;
