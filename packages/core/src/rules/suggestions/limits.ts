import type { SessionView } from '../../effort/session-view.js';
import { blockOf } from '../checks/block-views.js';
import { editChanges } from '../fixes/edit-words.js';
import { countWords, fitted, isWithinLimits, limitsPassed, removed } from '../fixes/within-limits.js';
import { workIn } from '../gate/moments.js';
import { isAgainst } from '../gate/restrictions.js';
import type { Edit } from '../../model/edits.js';
import { cautionLabel, handsOf, keyOfCaution } from '../safety/cautions.js';
import { HANDS } from '../../vocabulary/hands.js';
import { isSome } from '../../vocabulary/lists.js';
import { joinSentences, say, type Sentence, uniqueSentences } from '../../vocabulary/sentence.js';
import { counted, shortHash } from '../../vocabulary/text.js';
import { inPlans } from './coming-blocks.js';
import type { ComingPlan, SuggestionScene } from './question.js';
import type { Suggestion, SuggestionOption } from './suggestion.js';

/** A planned sequence that breaks a rule of safety for this person, with the blocks that do. */
interface Blocked {
  readonly plan: ComingPlan;
  readonly view: SessionView;
  readonly blockIds: readonly string[];
}

/** What is planned and may not be led as it is: its blocks change to forms that may be, or go. */
export function limitSuggestions(scene: SuggestionScene): Suggestion[] {
  const blocked = scene.coming.filter(({ day }) => day !== null).flatMap((plan) => blockedIn(plan, scene.viewOf(plan.sequence)));
  const options = [
    optionOf(scene, 'fit', blocked, ({ view, blockIds }) => fitted(view, blockIds)),
    optionOf(scene, 'out', blocked, ({ blockIds }) => removed(blockIds)),
  ].filter((option) => option !== null);
  if (!isSome(options) || !isSome(blocked)) return [];
  const works = blocked.flatMap(({ view, blockIds }) => blockIds.map((id) => workIn(blockOf(view, id))));
  const entries = scene.cautions.filter((entry) => works.some((work) => isAgainst(entry, work)));
  return [
    {
      key: 'limits',
      kind: 'ease',
      cause: 'limits',
      hands: entries.length === 0 ? HANDS : HANDS.filter((hand) => entries.some((entry) => handsOf(entry).includes(hand))),
      movementId: null,
      why: joinSentences(blocked.map(whyBlocked), ' '),
      evidence: entries.map((entry) => ({ of: 'record', onDay: entry.since ?? scene.today, text: cautionLabel(entry) })),
      evidenceKey: shortHash([...entries.map(keyOfCaution), ...blocked.flatMap(({ blockIds }) => blockIds)].join(' ')),
      sessionId: null,
      options,
    },
  ];
}

function blockedIn(plan: ComingPlan, view: SessionView): Blocked[] {
  const blockIds = [...new Set(limitsPassed(view).flatMap((stop) => stop.blockIds))];
  return blockIds.length > 0 ? [{ plan, view, blockIds }] : [];
}

function whyBlocked({ plan, blockIds }: Blocked): Sentence {
  const [blocks, go, them] = blockIds.length === 1 ? ['1 block', 'goes', 'it'] : [counted(blockIds.length, 'block'), 'go', 'them'];
  return say`“${plan.sequence.title}” can’t start: ${blocks} ${go} past a restriction. Change or remove ${them}.`;
}

/** One way to answer all of them; null where nothing would be left, or something would still stand against it. */
function optionOf(
  { lookup }: SuggestionScene,
  id: string,
  blocked: readonly Blocked[],
  answer: (blocked: Blocked) => Edit[],
): SuggestionOption | null {
  const changes = blocked.map((each) => ({ ...each, edits: answer(each) }));
  if (changes.length === 0 || !changes.every(({ view, edits }) => isWithinLimits(view, edits))) return null;
  return {
    id,
    words: countWords(changes.flatMap(({ edits }) => edits)),
    changes: uniqueSentences(changes.flatMap(({ plan, edits }) => editChanges(plan.sequence, edits, lookup))),
    effect: { kind: 'blocks', plans: inPlans(changes) },
  };
}
