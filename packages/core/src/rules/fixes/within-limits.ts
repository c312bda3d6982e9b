import type { SessionView } from '../../effort/session-view.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { capital, counted } from '../../vocabulary/text.js';
import type { Finding } from '../checks/index.js';
import { stopsOf } from '../safety/may-begin.js';
import { objectionsTo, TOO_MUCH } from './objections.js';
import { formsOf } from './on-the-spot.js';

/** What keeps a sequence from being led because it is too much for somebody: rules of safety that forms of its blocks can answer. */
export const limitsPassed = (view: SessionView): Finding[] => stopsOf(view).filter(({ check }) => TOO_MUCH.includes(check.id));

/** Each of these blocks in its gentlest form; one whose forms all come already, or take more time than there is, is removed. */
export function fitted(view: SessionView, blockIds: readonly string[]): Edit[] {
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
  const { plannedMs } = compileTimeline(applyEdits(sequence, edits), lookup);
  return plannedMs <= Math.max(sequence.budgetMin * 60_000, timeline.plannedMs);
}

/** Without these blocks. */
export const removed = (blockIds: readonly string[]): Edit[] => blockIds.map((blockId): Edit => ({ kind: 'remove', blockId }));

/** Whether something is left with these edits, and nothing of safety stands against it any more. */
export const isWithinLimits = (view: SessionView, edits: readonly Edit[]): boolean =>
  applyEdits(view.sequence, edits).blocks.length > 0 && objectionsTo(view, edits, { upTo: 'stop', isEasing: true }).length === 0;

/** How many blocks edits change and remove, like “Change 2 blocks to easier forms, remove 1 block”. */
export function countWords(edits: readonly Edit[]): string {
  const removals = edits.filter(({ kind }) => kind === 'remove').length;
  const changed = edits.length - removals;
  const parts = [
    ...(changed > 0 ? [`change ${counted(changed, 'block')} to ${changed === 1 ? 'an easier form' : 'easier forms'}`] : []),
    ...(removals > 0 ? [`remove ${counted(removals, 'block')}`] : []),
  ];
  return capital(parts.join(', '));
}
