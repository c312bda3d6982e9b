import type { ForceSample } from './sample.js';

/** A force to be kept: between two shares of the most, for so long. */
export interface Band {
  readonly lowN: number;
  readonly highN: number;
  readonly forS: number;
}

/** How well a force was kept in its band. */
export interface BandScore {
  /** Seconds inside since it was first reached. */
  readonly insideS: number;
  /** Seconds since it was first reached. */
  readonly triedS: number;
  /** Inside over tried, percent. */
  readonly scorePercent: number;
  /** Longest stretch inside without a break. */
  readonly longestS: number;
  /** Whether it was kept for as long as was asked, in one go. */
  readonly isDone: boolean;
  /** When it was lost, on the device’s clock, and to which side. */
  readonly lost: readonly { readonly atS: number; readonly to: 'below' | 'above' }[];
}

/** Less than a tenth of a second outside is a tremble, not a loss. */
const LOST_FOR_S = 0.0999;

/** A band around an effort: as far to both sides as a hand keeps it without a gauge’s help. @example bandOf(400, 40, 5) → { lowN: 140, highN: 180, forS: 5 } */
export const bandOf = (mostN: number, effortPercent: number, forS: number): Band => ({
  lowN: (mostN * Math.max(0, effortPercent - BAND_HALF)) / 100,
  highN: (mostN * (effortPercent + BAND_HALF)) / 100,
  forS,
});
/** Points of effort to both sides. */
const BAND_HALF = 5;

/** Time in the band, and when it was lost. */
export function scoreOf(samples: readonly ForceSample[], { lowN, highN, forS }: Band): BandScore {
  const isIn = (valueN: number) => valueN >= lowN && valueN <= highN;
  const first = samples.findIndex(({ valueN }) => isIn(valueN));
  if (first < 0) return { insideS: 0, triedS: 0, scorePercent: 0, longestS: 0, isDone: false, lost: [] };
  let [insideS, triedS, longestS, runS, outS] = [0, 0, 0, 0, 0];
  const lost: { atS: number; to: 'below' | 'above' }[] = [];
  for (let index = first + 1; index < samples.length; index++) {
    const [before, now] = [samples[index - 1], samples[index]];
    if (!before || !now) continue;
    const step = now.tS - before.tS;
    triedS += step;
    if (isIn(now.valueN)) {
      insideS += step;
      runS += step + (outS < LOST_FOR_S ? outS : 0);
      outS = 0;
    } else {
      if (outS < LOST_FOR_S && outS + step >= LOST_FOR_S) {
        lost.push({ atS: now.tS, to: now.valueN < lowN ? 'below' : 'above' });
        runS = 0;
      }
      outS += step;
    }
    longestS = Math.max(longestS, runS);
  }
  const scorePercent = triedS > 0 ? (100 * insideS) / triedS : 0;
  return { insideS, triedS, scorePercent, longestS, isDone: longestS >= forS, lost };
}
