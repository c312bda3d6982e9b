import type { Limit } from '../vocabulary/limit.js';
import { list, type Of, optional, record, text, bounded } from '../vocabulary/schema.js';
import { BLOCK_LIMITS } from './block-limits.js';
import { type Dose, DOSE_LIMITS, withAmounts } from './dose.js';
import { quicker } from './pace.js';
import type { Movement } from './movement.js';

/** Bounds of a round. */
export const ROUND_LIMITS = {
  blocks: 12,
  times: { min: 2, max: 10, step: 1, unit: 'rounds' },
  restS: DOSE_LIMITS.restS,
  fasterPercent: { min: -50, max: 100, step: 5, unit: '% each round' },
  fasterS: { min: 0.5, max: 10, step: 0.5, unit: 's a rep, each round' },
  morePercent: { min: -50, max: 100, step: 5, unit: '% each round' },
  levels: { min: -2, max: 2, step: 1, unit: 'levels each round' },
} as const satisfies Record<string, Limit | number>;

/** What changes from each round to the next, counted from the first: two rounds of 20 % faster go at 100 and 120 %, a third at 140 %. */
const ROUND_CHANGE = record(
  {
    fasterPercent: optional(bounded(ROUND_LIMITS.fasterPercent, 'Faster')),
    /** Seconds that each repetition is shorter. */
    fasterS: optional(bounded(ROUND_LIMITS.fasterS, 'Shorter reps')),
    morePercent: optional(bounded(ROUND_LIMITS.morePercent, 'More of it')),
    /** As far as the ladder goes. */
    levels: optional(bounded(ROUND_LIMITS.levels, 'Levels')),
  },
  { what: 'what changes from round to round' },
);
/** What changes from each round to the next. */
export type RoundChange = Of<typeof ROUND_CHANGE>;

/** Neighbouring blocks of one phase that are taken in turn, several times over. */
export const ROUND = record(
  {
    id: text(BLOCK_LIMITS.idLength, 1),
    /** In their order. */
    blockIds: list(text(BLOCK_LIMITS.idLength, 1), {
      min: 1,
      max: ROUND_LIMITS.blocks,
      what: `a list of 1–${ROUND_LIMITS.blocks} ids of neighbouring blocks`,
    }),
    times: bounded(ROUND_LIMITS.times, 'Rounds'),
    /** Between two rounds; none after the last. */
    restS: bounded(ROUND_LIMITS.restS, 'Rest between rounds'),
    change: optional(ROUND_CHANGE),
  },
  { what: 'a round of blocks' },
);
/** Blocks that are taken in turn, several times over. */
export type Round = Of<typeof ROUND>;

/** Speed, amount and level of a round over those of the first one. */
export interface InRound {
  /** 1.2 is a fifth faster. */
  readonly pace: number;
  /** Seconds that a repetition is shorter. */
  readonly shorterS: number;
  readonly amount: number;
  readonly levels: number;
}
const FIRST: InRound = { pace: 1, shorterS: 0, amount: 1, levels: 0 };
/** Neither slower nor less than this, however many rounds there are. */
const LEAST = 0.2;

/** What a round is beside the first one. @example inRound({ fasterPercent: 20 }, 3).pace → 1.4 */
export function inRound(change: RoundChange | undefined, round: number): InRound {
  if (!change || round <= 1) return FIRST;
  const steps = round - 1;
  const grown = (percent = 0) => Math.max(LEAST, 1 + (percent * steps) / 100);
  return {
    pace: grown(change.fasterPercent),
    shorterS: (change.fasterS ?? 0) * steps,
    amount: grown(change.morePercent),
    levels: (change.levels ?? 0) * steps,
  };
}

/** A dose as it is in a round: more or less of it, at another pace. */
export function doseInRound(dose: Dose, { pace, amount, shorterS }: InRound): Dose {
  const more = amount === 1 ? dose : withAmounts(dose, (now) => now * amount);
  if (!more.tempo || (pace === 1 && shorterS === 0)) return more;
  return { ...more, tempo: quicker(more.tempo, { pace, shorterS }) };
}

/** The level of a block in a round: so many rungs up or down, as far as the ladder goes. */
export function levelIdInRound({ ladder }: Pick<Movement, 'ladder'>, levelId: string, { levels }: InRound): string {
  const at = ladder.findIndex(({ id }) => id === levelId);
  const there = Math.min(ladder.length - 1, Math.max(0, at + levels));
  return at < 0 ? levelId : (ladder[there]?.id ?? levelId);
}
