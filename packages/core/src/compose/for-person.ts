import { viewOf } from '../effort/session-view.js';
import { applyEdits, type Edit } from '../model/edits.js';
import type { Level, Movement } from '../model/movement.js';
import type { Block, Sequence } from '../model/sequence.js';
import { editChanges } from '../rules/fixes/edit-words.js';
import { formsOf } from '../rules/fixes/on-the-spot.js';
import { fitted, isWithinLimits, limitsPassed, removed } from '../rules/fixes/within-limits.js';
import { levelNow } from '../rules/progress/progressed.js';
import { say, type Sentence } from '../vocabulary/sentence.js';
import type { TrainingGoal } from './goal.js';
import { type ComposeQuestion, type Composing, composingOf, examined } from './question.js';
import { suiting } from './suitable.js';

/** For whom a sequence is fitted, and with what at hand. */
export type ForPersonQuestion = Pick<ComposeQuestion, 'person' | 'method' | 'athlete' | 'past' | 'now' | 'shelf' | 'lookup' | 'standings'>;

/** A sequence as another athlete does it. */
export interface ForPerson {
  /** Null where nothing of it would be left. */
  readonly sequence: Sequence | null;
  /** What is other than it was, one to a sentence. */
  readonly changes: readonly Sentence[];
}

/** What is fitted serves no goal of its own. */
const NO_GOAL: TrainingGoal = { id: 'fitted', name: '', purpose: '', wants: [] };

/**
 * A sequence with an athlete’s levels and limits: each movement at the level they have reached, no harder than a beginner of it starts; what they
 * may not do in its gentlest form, as another movement, or out. @throws SequenceError where it is not sound
 */
export function sequenceFor(sequence: Sequence, question: ForPersonQuestion): ForPerson {
  const composing = composingOf({ ...question, goal: NO_GOAL, minutes: sequence.budgetMin, pacing: sequence.pacing });
  const first = sequence.blocks.flatMap((block) => editsFor(composing, sequence, block));
  const edits = [...first, ...withinLimits(composing, applyEdits(sequence, first))];
  const after = applyEdits(sequence, edits);
  if (after.blocks.length === 0) return { sequence: null, changes: [say`None of “${sequence.title}” is possible now.`] };
  return { sequence: after, changes: editChanges(sequence, edits, composing.lookup) };
}

const viewIn = (composing: Composing, sequence: Sequence) => viewOf({ ...examined(composing, []), sequence });

/** What makes one block somebody’s own; nothing where it suits as it is. */
function editsFor(composing: Composing, sequence: Sequence, block: Block): Edit[] {
  const leftOut = composing.athlete?.leftOut ?? [];
  const movement = composing.lookup(block.movementId);
  if (!movement) return [];
  const suits = leftOut.includes(movement.id) ? null : suiting(composing, movement);
  if (!suits || 'why' in suits) return instead(composing, sequence, block.id);
  return isGood(composing, movement, block, suits.level)
    ? []
    : [{ kind: 'change', blockId: block.id, levelId: suits.level.id, dose: suits.dose }];
}

/** Whether a block suits as it is: nothing speaks against it, and it loads nothing, is their own level, or no harder than they would begin with. */
function isGood(composing: Composing, movement: Movement, block: Block, own: Level): boolean {
  const kept = suiting({ ...composing, keep: [block] }, movement);
  if (!('level' in kept) || kept.phase === undefined) return false;
  const { loading } = kept.level;
  if (loading === 'unloaded' || loading === 'assisted' || own.id === block.levelId) return true;
  const isAtOwn = levelNow(movement, composing.standings ?? []) !== undefined;
  return !isAtOwn && movement.ladder.indexOf(kept.level) <= movement.ladder.indexOf(own);
}

/** Another movement instead of one that the athlete may not do, or none. */
function instead(composing: Composing, sequence: Sequence, blockId: string): Edit[] {
  const view = viewIn(composing, sequence);
  const there = new Set(sequence.blocks.map(({ movementId }) => movementId));
  for (const form of formsOf(view, blockId, 'hurts')) {
    if (form.every((edit) => edit.kind === 'change' && edit.movementId !== undefined && !there.has(edit.movementId))) return [...form];
  }
  return removed([blockId]);
}

/** What is left to change so that nothing of safety stands against it. */
function withinLimits(composing: Composing, sequence: Sequence): Edit[] {
  if (sequence.blocks.length === 0) return [];
  const view = viewIn(composing, sequence);
  const blockIds = [...new Set(limitsPassed(view).flatMap((stop) => stop.blockIds))];
  if (blockIds.length === 0) return [];
  return [fitted(view, blockIds), removed(blockIds)].find((edits) => isWithinLimits(view, edits)) ?? removed(blockIds);
}
