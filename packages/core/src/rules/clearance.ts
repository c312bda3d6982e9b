import type { RecordedCaution } from '../model/athlete.js';
import { findLevel, type Level, type Movement, type MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { forbidsLoading } from './cautions.js';
import { type CautionId, CAUTIONS } from '../vocabulary/cautions.js';

/** What an athlete's cautions say about a sequence. `stop` keeps the session from starting; `adapt` is to be shown. */
export interface CautionFinding {
  readonly severity: 'stop' | 'adapt';
  readonly caution: CautionId;
  readonly text: string;
  /** Blocks concerned; empty when it is the sequence as a whole. */
  readonly blockIds: readonly string[];
}

/**
 * Holds an athlete's cautions against a sequence. A caution that asks for referral stops every block that is more than free
 * unloaded motion, until clearance is recorded. An adapting caution names its advice, and the blocks whose movement is
 * known to concern it.
 */
export function cautionFindings(
  sequence: Sequence,
  cautions: readonly RecordedCaution[],
  lookup: MovementLookup,
): CautionFinding[] {
  const findings: CautionFinding[] = [];
  for (const entry of cautions) {
    const { rule, advice: text } = CAUTIONS[entry.caution];
    const { caution } = entry;
    if (forbidsLoading(entry)) {
      const blockIds = sequence.blocks
        .filter((block) => loadingOf(block.movementId, block.levelId, lookup) !== 'unloaded')
        .map((block) => block.id);
      if (blockIds.length) findings.push({ severity: 'stop', caution, text, blockIds });
      else findings.push({ severity: 'adapt', caution, text, blockIds });
    } else if (rule === 'adapt') {
      const blockIds = sequence.blocks
        .filter((block) => lookup(block.movementId)?.cautions.some((note) => note.concerns.includes(caution)))
        .map((block) => block.id);
      findings.push({ severity: 'adapt', caution, text, blockIds });
    }
  }
  return findings;
}

/** What speaks against, or asks for care with, one level of a movement for somebody. */
export interface LevelConcerns {
  /** Advice of uncleared referrals: this level loads the hand and must wait. */
  readonly stops: readonly string[];
  /** The movement's own cautions that say to leave it out. */
  readonly avoid: readonly string[];
  readonly care: readonly string[];
}

/** As `cautionFindings`, for one level by itself. */
export function concernsOf(movement: Movement, level: Level, cautions: readonly RecordedCaution[]): LevelConcerns {
  const own = movement.cautions.filter((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));
  const loads = level.loading !== 'unloaded';
  return {
    stops: loads ? cautions.filter(forbidsLoading).map(({ caution }) => CAUTIONS[caution].advice) : [],
    avoid: own.filter(({ avoid }) => avoid).map(({ text }) => text),
    care: own.filter(({ avoid }) => !avoid).map(({ text }) => text),
  };
}

function loadingOf(movementId: string, levelId: string, lookup: MovementLookup) {
  const movement = lookup(movementId);
  return movement && findLevel(movement, levelId)?.loading;
}
