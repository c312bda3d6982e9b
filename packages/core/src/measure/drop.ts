import type { Band } from './band.js';
import type { ForceSample } from './sample.js';

/** From this share of the band's lower edge on something is held; below it the hand has let go. */
const HELD_SHARE = 0.5;
/** So long it has to be held before letting go means anything, and so long it has to be let go, seconds: a slip that is caught ends nothing. */
const HELD_FOR_S = 1;
const LET_GO_FOR_S = 1;

/** What is remembered of a hold that may be let go at any moment. */
export interface DropWatch {
  readonly heldS: number;
  /** Let go for so long, after it was held. */
  readonly downS: number;
  /** The last sample; null before one came, and since nobody looked. */
  readonly lastS: number | null;
}
/** Nothing was held yet. */
export const NOT_HELD: DropWatch = { heldS: 0, downS: 0, lastS: null };

/** What is remembered after some more samples. */
export function dropWatched(before: DropWatch, samples: readonly ForceSample[], { lowN }: Pick<Band, 'lowN'>): DropWatch {
  let { heldS, downS, lastS } = before;
  for (const { tS, valueN } of samples) {
    const step = lastS === null ? 0 : Math.max(0, tS - lastS);
    lastS = tS;
    if (valueN >= lowN * HELD_SHARE) {
      heldS += step;
      downS = 0;
    } else if (heldS >= HELD_FOR_S) downS += step;
  }
  return { heldS, downS, lastS };
}

/** Whether what was held has been let go for good. @example isLetGo({ heldS: 8, downS: 1.2, lastS: 9.2 }) → true */
export const isLetGo = ({ heldS, downS }: DropWatch): boolean => heldS >= HELD_FOR_S && downS >= LET_GO_FOR_S;
