import { type SessionView, viewOf } from '../effort/session-view.js';
import { applyEdits } from '../model/edits.js';
import type { Sequence } from '../model/sequence.js';
import { minutesOver } from '../rules/checks/minutes-over.js';
import { editsOf } from '../rules/checks/finding.js';
import { type Finding, findingsOf } from '../rules/checks/index.js';
import { type Composing, examined } from './question.js';
import { isThere } from './suitable.js';

/** A sequence with what the checks still say of it. */
export interface Mended {
  readonly view: SessionView;
  readonly findings: readonly Finding[];
}

/** Fixes tried before the rest is left to the coach. */
const MOST_FIXES = 16;
const WEIGHT = { stop: 100, mend: 10, look: 1 } as const;
/** How much there is to find, the graver the more. */
export const weightOf = (findings: readonly Finding[]) => findings.reduce((sum, { check }) => sum + WEIGHT[check.severity], 0);

/** Mends what the checks find, by their own fixes, as long as each makes it better; what is locked is not touched. */
export function mended(composing: Composing, sequence: Sequence): Mended {
  let best = judged(composing, sequence);
  for (let tries = 0; tries < MOST_FIXES && best.findings.length > 0; tries++) {
    const better = firstBetter(composing, best);
    if (!better) break;
    best = better;
  }
  return best;
}

/** A sequence with what the checks say of it. */
export function judged(composing: Composing, { blocks, rounds }: Sequence): Mended {
  const view = viewOf(examined(composing, blocks, rounds));
  return { view, findings: findingsOf(view) };
}

const isOver = (findings: readonly Finding[]): boolean => findings.some(({ check }) => check.id === minutesOver.id);
/** Less to find, and no more time than there is: a coach has the minutes that they have. */
const isBetter = (after: readonly Finding[], before: readonly Finding[]): boolean =>
  weightOf(after) < weightOf(before) && (isOver(before) || !isOver(after));

/** Whether nothing is done where nobody can be today; what is locked was the coach’s choice. */
function isAllThere(composing: Composing, { blocks }: SessionView): boolean {
  const lockedIds = new Set(composing.locked?.map(({ id }) => id));
  return blocks.every(({ block, level }) => lockedIds.has(block.id) || isThere(composing, level.posture));
}

function firstBetter(composing: Composing, { view, findings }: Mended): Mended | null {
  const lockedIds = new Set(composing.locked?.map(({ id }) => id));
  for (const finding of findings) {
    const edits = finding.fix ? editsOf(finding.fix) : [];
    // The minutes are what they are, and what is locked stays as it is.
    const isOff = edits.some((edit) => edit.kind === 'budget' || ('blockId' in edit && lockedIds.has(edit.blockId)));
    const fixed = isOff ? view.sequence : applyEdits(view.sequence, edits);
    let isTooLong = false;
    if (fixed !== view.sequence) {
      const next = judged(composing, fixed);
      if (isBetter(next.findings, findings) && isAllThere(composing, next.view)) return next;
      isTooLong = isOver(next.findings);
    }
    const needsRoom = isTooLong || finding.check.id === minutesOver.id || edits.some(({ kind }) => kind === 'add');
    const roomier = needsRoom ? withRoom(composing, fixed, { view, findings }) : null;
    if (roomier) return roomier;
  }
  return null;
}

/** What a fix adds may need room: the first block that can go for it, from the end. */
function withRoom(composing: Composing, fixed: Sequence, before: Mended): Mended | null {
  const lockedIds = new Set(composing.locked?.map(({ id }) => id));
  for (const { id } of before.view.sequence.blocks.toReversed()) {
    if (lockedIds.has(id)) continue;
    const next = judged(composing, applyEdits(fixed, [{ kind: 'remove', blockId: id }]));
    if (isBetter(next.findings, before.findings) && isAllThere(composing, next.view)) return next;
  }
  return null;
}
