import type { RecordedCaution } from '../model/athlete.js';
import type { Level, Movement } from '../model/movement.js';
import { type CautionId, CAUTIONS } from '../vocabulary/cautions.js';
import { forbidsLoading } from './cautions.js';

/** What a caution asks to be minded, before anything is led. */
export interface Advice {
  readonly caution: CautionId;
  readonly text: string;
  /** Nothing that loads the hand until it is cleared. */
  readonly forbids: boolean;
}

/** What is to be minded with somebody: what forbids loading first. A referral that was cleared asks for nothing any more. */
export function advicesOf(cautions: readonly RecordedCaution[]): Advice[] {
  const advices = cautions
    .filter((entry) => CAUTIONS[entry.caution].rule === 'adapt' || forbidsLoading(entry))
    .map((entry) => ({
      caution: entry.caution,
      text: CAUTIONS[entry.caution].advice,
      forbids: forbidsLoading(entry),
    }));
  return [...advices.filter(({ forbids }) => forbids), ...advices.filter(({ forbids }) => !forbids)];
}

/** What speaks against, or asks for care with, one level of a movement for somebody. */
export interface LevelConcerns {
  /** Advice of uncleared referrals: this level loads the hand and must wait. */
  readonly stops: readonly string[];
  /** The movement's own cautions that say to leave it out. */
  readonly avoid: readonly string[];
  readonly care: readonly string[];
}

/** What somebody's cautions say of one level by itself. */
export function concernsOf(movement: Movement, level: Level, cautions: readonly RecordedCaution[]): LevelConcerns {
  const own = movement.cautions.filter((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));
  const loads = level.loading !== 'unloaded';
  return {
    stops: loads ? cautions.filter(forbidsLoading).map(({ caution }) => CAUTIONS[caution].advice) : [],
    avoid: own.filter(({ avoid }) => avoid).map(({ text }) => text),
    care: own.filter(({ avoid }) => !avoid).map(({ text }) => text),
  };
}
