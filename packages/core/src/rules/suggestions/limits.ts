import type { SessionView } from '../../effort/session-view.js';
import { blockOf } from '../checks/block-views.js';
import { editChanges } from '../fixes/edit-words.js';
import { objectionsTo, TOO_MUCH } from '../fixes/objections.js';
import { formsOf } from '../fixes/on-the-spot.js';
import { workIn } from '../gate/moments.js';
import { isAgainst } from '../gate/restrictions.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { cautionLabel, handsOf, keyOfCaution } from '../safety/cautions.js';
import { stopsOf } from '../safety/may-begin.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { HANDS } from '../../vocabulary/hands.js';
import { isSome } from '../../vocabulary/lists.js';
import { joinSentences, say, type Sentence, uniqueSentences } from '../../vocabulary/sentence.js';
import { capital, counted, shortHash } from '../../vocabulary/text.js';
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
  const options = [optionOf(scene, 'fit', blocked, fitted), optionOf(scene, 'out', blocked, removed)].filter((option) => option !== null);
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
  const stops = stopsOf(view).filter(({ check }) => TOO_MUCH.includes(check.id));
  const blockIds = [...new Set(stops.flatMap((stop) => stop.blockIds))];
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
  if (changes.length === 0 || !changes.every(isSound)) return null;
  return {
    id,
    words: countWords(changes.flatMap(({ edits }) => edits)),
    changes: uniqueSentences(changes.flatMap(({ plan, edits }) => editChanges(plan.sequence, edits, lookup))),
    effect: { kind: 'blocks', plans: inPlans(changes) },
  };
}

function countWords(edits: readonly Edit[]): string {
  const removals = edits.filter(({ kind }) => kind === 'remove').length;
  const changed = edits.length - removals;
  const parts = [
    ...(changed > 0 ? [`change ${counted(changed, 'block')} to ${changed === 1 ? 'an easier form' : 'easier forms'}`] : []),
    ...(removals > 0 ? [`remove ${counted(removals, 'block')}`] : []),
  ];
  return capital(parts.join(', '));
}

const isSound = ({ view, edits }: Blocked & { readonly edits: readonly Edit[] }): boolean =>
  applyEdits(view.sequence, edits).blocks.length > 0 && objectionsTo(view, edits, { upTo: 'stop', isEasing: true }).length === 0;

/** Each block in its gentlest form; one whose forms all come already, or take more time than there is, is removed. */
function fitted({ view, blockIds }: Blocked): Edit[] {
  const there = new Set(view.blocks.map(({ movement }) => movement.id));
  const edits: Edit[] = [];
  for (const blockId of blockIds) {
    let chosen: readonly Edit[] = [{ kind: 'remove', blockId }];
    for (const form of formsOf(view, blockId, 'hurts')) {
      if (movementsIn(form).some((id) => there.has(id)) || !isInTime(view, [...edits, ...form])) continue;
      chosen = form;
      break;
    }
    for (const id of movementsIn(chosen)) there.add(id);
    edits.push(...chosen);
  }
  return edits;
}

const movementsIn = (edits: readonly Edit[]): string[] =>
  edits.flatMap((edit) => ('movementId' in edit && edit.movementId ? [edit.movementId] : []));

/** Whether a sequence with these edits keeps to its time, or is at least no longer than it was. */
function isInTime({ sequence, timeline, lookup }: SessionView, edits: readonly Edit[]): boolean {
  const { durationMs } = compileTimeline(applyEdits(sequence, edits), lookup);
  return durationMs <= Math.max(sequence.budgetMin * 60_000, timeline.durationMs);
}

const removed = ({ blockIds }: Blocked): Edit[] => blockIds.map((blockId): Edit => ({ kind: 'remove', blockId }));
