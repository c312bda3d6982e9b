import { PHASE_NAMES } from '../vocabulary/phases.js';
import { same } from '../vocabulary/same.js';
import { joinSentences, say, type Sentence } from '../vocabulary/sentence.js';
import { setGroupsOf } from './dose.js';
import { doseChanges } from './dose-changes.js';
import { amountWords } from './dose-words.js';
import { pairBlocks } from './pair-blocks.js';
import type { Block, Sequence } from './sequence.js';

/** One difference between two versions of a sequence, in words a coach reads. */
export interface SequenceChange {
  readonly pointer: string;
  readonly text: Sentence;
}

/**
 * What changed from one sequence to another; moved blocks aren’t reported as changed.
 * @param nameOf turns a block into the name of its movement
 * @param versions whether both are versions of one sequence, so that a block's id says which it was
 */
export function compareSequences(from: Sequence, to: Sequence, nameOf: (block: Block) => string, versions = true): SequenceChange[] {
  return [...headChanges(from, to), ...bodyChanges(from, to, nameOf, versions)];
}

/** The fields above the blocks. */
function headChanges(from: Sequence, to: Sequence): SequenceChange[] {
  const changes: SequenceChange[] = [];
  const add = (pointer: string, text: string) => changes.push({ pointer, text });
  if (from.title !== to.title) add('/title', `Title: “${from.title}” → “${to.title}”`);
  if (from.purpose !== to.purpose) add('/purpose', 'Purpose changed');
  if (from.budgetMin !== to.budgetMin) add('/budgetMin', `Minutes: ${from.budgetMin} → ${to.budgetMin}`);
  if (!same(from.pacing, to.pacing)) add('/pacing', 'Pacing changed');
  if (from.methodId !== to.methodId) add('/methodId', 'Method changed');
  if (!same(from.tests ?? [], to.tests ?? [])) add('/tests', 'Tests before and after changed');
  if (!same(from.mutes ?? [], to.mutes ?? [])) add('/mutes', 'Muted checks changed');
  return changes;
}

function bodyChanges(from: Sequence, to: Sequence, nameOf: (block: Block) => string, versions: boolean): SequenceChange[] {
  const pairs = pairBlocks(from, to, versions);
  const changes = pairs.flatMap(({ from: old, to: block }): SequenceChange[] => {
    if (!block) return old ? [{ pointer: '/blocks', text: `Removed: ${nameOf(old)}, ${amountWords(setGroupsOf(old.dose))}` }] : [];
    const pointer = `/blocks/${to.blocks.indexOf(block)}`;
    if (!old) return [{ pointer, text: `Added: ${nameOf(block)}, ${amountWords(setGroupsOf(block.dose))}` }];
    return blockChanges(old, block, nameOf).map((text) => ({ pointer, text }));
  });
  const kept = pairs.flatMap(({ from: old, to: block }) => (old && block ? from.blocks.indexOf(old) : []));
  const moved = kept.some((place, index) => index > 0 && place < (kept[index - 1] ?? 0));
  return moved ? [...changes, { pointer: '/blocks', text: 'Order of blocks changed' }] : changes;
}

function blockChanges(old: Block, block: Block, nameOf: (block: Block) => string): Sentence[] {
  const changes = doseChanges(old.dose, block.dose);
  const isOther = old.levelId !== block.levelId || old.movementId !== block.movementId;
  return [
    isOther ? `Level: ${nameOf(old)} → ${nameOf(block)}` : '',
    changes.length === 0 ? '' : say`${nameOf(block)}: ${joinSentences(changes, ', ')}`,
    old.phase === block.phase ? '' : `${nameOf(block)}: ${PHASE_NAMES[old.phase]} → ${PHASE_NAMES[block.phase]}`,
    old.note === block.note ? '' : `${nameOf(block)}: note changed`,
  ].filter((text) => text !== '');
}
