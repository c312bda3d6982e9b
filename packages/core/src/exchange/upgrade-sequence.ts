import { effortMeans, findLevel, type MovementLookup } from '../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import type { READABLE_VERSIONS } from './sequence-schema.js';

/** The version of a document. */
export type SequenceVersion = (typeof READABLE_VERSIONS)[number];
type Upgrade = (sequence: Sequence, lookup: MovementLookup) => Sequence;

/** What is done to a document of each version to make it one of the next. */
const UPGRADES: Record<Exclude<SequenceVersion, 3>, Upgrade> = {
  /** It had no method and no muted checks, and still needs none. */
  1: (sequence) => sequence,
  /**
   * An effort was obeyed by presses alone, and what stood beside any other load was read by nobody: it is left out rather than made to find a weight. There was
   * no time to get ready; the usual is given, so that an old session begins like a new one.
   */
  2: (sequence, lookup) => ({
    ...sequence,
    pacing: asStoredSequence(sequence).pacing,
    blocks: sequence.blocks.map((block) => withoutIdleEffort(block, lookup)),
  }),
};

function withoutIdleEffort(block: Block, lookup: MovementLookup): Block {
  const movement = lookup(block.movementId);
  const level = movement && findLevel(movement, block.levelId);
  if (!level || block.dose.effortPercent === undefined || effortMeans(level) === 'pressed') return block;
  const { effortPercent: _idle, ...dose } = block.dose;
  return { ...block, dose };
}

/** A document of any version as one of today's, step by step. What it did not have stays out. */
export function upgradeSequence(sequence: Sequence, from: SequenceVersion, lookup: MovementLookup): Sequence {
  if (from === 3) return sequence;
  return upgradeSequence(UPGRADES[from](sequence, lookup), from === 1 ? 2 : 3, lookup);
}

/** A document as it is stored: with its time to get ready, said or usual, by which it is known as one of today's. */
export const asStoredSequence = (sequence: Sequence): Sequence =>
  sequence.pacing.readyS === undefined ? { ...sequence, pacing: { ...sequence.pacing, readyS: USUAL_PACING.readyS } } : sequence;

/**
 * A document as it was stored, whenever that was, as one of today's. Stored ones have no number of their own: those before the third version had no time to
 * get ready. One of today comes back as it is.
 */
export const readStoredSequence = (stored: Sequence, lookup: MovementLookup): Sequence =>
  upgradeSequence(stored, stored.pacing.readyS === undefined ? 2 : 3, lookup);
