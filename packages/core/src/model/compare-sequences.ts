import { same } from '../vocabulary/same.js';
import { printDose } from './dose-shorthand.js';
import type { Block, Sequence } from './sequence.js';

/** One difference between two versions of a sequence, in words a coach reads. */
export interface SequenceChange {
  readonly pointer: string;
  readonly text: string;
}

/**
 * What changed from one version to another, by block id, with moved blocks told apart from changed ones.
 * `nameOf` turns a block into the name of its movement.
 */
export function compareSequences(from: Sequence, to: Sequence, nameOf: (block: Block) => string): SequenceChange[] {
  const changes: SequenceChange[] = [];
  const say = (pointer: string, text: string) => changes.push({ pointer, text });
  if (from.title !== to.title) say('/title', `Title: “${from.title}” → “${to.title}”`);
  if (from.purpose !== to.purpose) say('/purpose', 'Purpose reworded');
  if (from.budgetMin !== to.budgetMin) say('/budgetMin', `Minutes: ${from.budgetMin} → ${to.budgetMin}`);
  if (!same(from.pacing, to.pacing)) say('/pacing', 'Pacing changed');
  if (from.methodId !== to.methodId) say('/methodId', 'Method changed');
  if (!same(from.mutes ?? [], to.mutes ?? [])) say('/mutes', 'Muted checks changed');
  const before = new Map(from.blocks.map((block) => [block.id, block]));
  const after = new Map(to.blocks.map((block, index) => [block.id, index]));
  for (const block of from.blocks) if (!after.has(block.id)) say('/blocks', `Removed: ${nameOf(block)}`);
  to.blocks.forEach((block, index) => {
    const old = before.get(block.id);
    const at = `/blocks/${index}`;
    if (!old) return say(at, `Added: ${nameOf(block)}, ${printDose(block.dose)}`);
    if (old.levelId !== block.levelId || old.movementId !== block.movementId) {
      say(at, `Level: ${nameOf(old)} → ${nameOf(block)}`);
    }
    const [oldDose, newDose] = [printDose(old.dose), printDose(block.dose)];
    if (oldDose !== newDose) say(at, `${nameOf(block)}: ${oldDose} → ${newDose}`);
    if (old.phase !== block.phase) say(at, `${nameOf(block)}: ${old.phase} → ${block.phase}`);
    if (old.note !== block.note) say(at, `${nameOf(block)}: note reworded`);
  });
  const kept = (blocks: readonly Block[], other: (id: string) => boolean) =>
    blocks.filter((block) => other(block.id)).map((block) => block.id);
  const oldOrder = kept(from.blocks, (id) => after.has(id));
  const newOrder = kept(to.blocks, (id) => before.has(id));
  if (oldOrder.join() !== newOrder.join()) say('/blocks', 'Order of blocks changed');
  return changes;
}
