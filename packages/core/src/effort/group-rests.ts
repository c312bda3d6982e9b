import { roundOf } from '../model/rounds.js';
import type { SideGroup } from '../vocabulary/muscles.js';
import { working } from '../vocabulary/constant.js';
import type { SessionView } from './session-view.js';

/** From this effort on a group works so that it needs the rest that the dose names. */
export const WORKS_PERCENT = working(
  'Effort that needs its rest',
  25,
  '% of maximum',
  'below it nobody fails for want of rest',
  [20, 35],
).value;

/** The rest of a group of one hand between two blocks that work it. */
export interface GroupRest {
  readonly key: SideGroup;
  readonly fromId: string;
  readonly toId: string;
  /** What there is, and what the dose of the first names; seconds. */
  readonly restS: number;
  readonly namedS: number;
}

/** The rests of every group between the blocks that work it one after the other; blocks of one round alternate on purpose. */
export function groupRests({ efforts, blocks, sequence }: Pick<SessionView, 'efforts' | 'blocks' | 'sequence'>): GroupRest[] {
  const namedS = new Map(blocks.map(({ block }) => [block.id, block.dose.restS]));
  const rests: GroupRest[] = [];
  for (const [key, spans] of efforts.spans) {
    let before: (typeof spans)[number] | undefined;
    for (const span of spans) {
      if (span.effort * 100 < WORKS_PERCENT) continue;
      if (before && before.blockId !== span.blockId && !areOfOneRound(sequence, before.blockId, span.blockId)) {
        const restS = (span.startMs - before.endMs) / 1000;
        rests.push({ key, fromId: before.blockId, toId: span.blockId, restS, namedS: namedS.get(before.blockId) ?? 0 });
      }
      before = span;
    }
  }
  return rests;
}

function areOfOneRound(sequence: SessionView['sequence'], one: string, other: string): boolean {
  const round = roundOf(sequence, one);
  return round !== undefined && round === roundOf(sequence, other);
}

/** A rest shorter than this share of what was named is too short: announcing and walking are not counted to the second. */
const SHORT_SHARE = working('Rest that counts as the named one', 0.8, 'of it', 'a few seconds less are no shorter rest', [0.6, 1]).value;

/** Before which blocks how much rest is missing, seconds: of all groups the one that misses most. */
export function missingRests(view: Pick<SessionView, 'efforts' | 'blocks' | 'sequence'>): Map<string, GroupRest> {
  const missing = new Map<string, GroupRest>();
  for (const rest of groupRests(view)) {
    if (rest.restS >= SHORT_SHARE * rest.namedS) continue;
    const known = missing.get(rest.toId);
    if (!known || rest.namedS - rest.restS > known.namedS - known.restS) missing.set(rest.toId, rest);
  }
  return missing;
}

/** Breaks come in steps of so much, seconds. */
const BREAK_STEP_S = 5;
/** The break that makes up for a missing rest, seconds. */
export const breakFor = (missingS: number): number => BREAK_STEP_S * Math.ceil(Math.max(0, missingS) / BREAK_STEP_S);
