import { momentOf, USUAL_LEVER_CM } from './gauge-lever.js';
import type { ForceSample } from './sample.js';
import { capacityOf, type Person } from '../mechanics/capacity.js';
import type { Dose } from '../model/dose.js';
import type { Level } from '../model/movement.js';
import type { Hand } from '../vocabulary/hands.js';

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

/**
 * The band of a press for a hand: around the share of its own maximum that the dose asks, or the level where the dose does not. Null where the load is not a press,
 * which alone is as hard as one makes it.
 * @param leverCm how far from the joint the gauge pushes, where the maximum is a moment
 */
export function bandOfPress(
  person: Person,
  { load }: Pick<Level, 'load'>,
  { effortPercent, effortToPercent, holdS }: Pick<Dose, 'effortPercent' | 'effortToPercent' | 'holdS'>,
  hand: Hand,
  leverCm: number = USUAL_LEVER_CM,
): Band | null {
  if (load.kind !== 'press') return null;
  const { value, unit } = capacityOf(person, load.action, hand);
  const mostN = unit === 'N' ? value : value / momentOf(1, leverCm);
  const from = effortPercent ?? load.effortPercent;
  const forS = holdS ?? USUAL_HOLD_S;
  // A range that the dose gives is the band itself.
  if (effortToPercent !== undefined) return { lowN: (mostN * from) / 100, highN: (mostN * effortToPercent) / 100, forS };
  return bandOf(mostN, from, forS);
}
/** Where nothing says how long. */
const USUAL_HOLD_S = 5;

/** Whether a force is below the band, in it or above it. @example placeInBand(150, { lowN: 140, highN: 180 }) → 'in' */
export const placeInBand = (valueN: number, { lowN, highN }: Pick<Band, 'lowN' | 'highN'>): 'below' | 'in' | 'above' =>
  valueN < lowN ? 'below' : valueN > highN ? 'above' : 'in';

/** What is remembered of a force that is to be kept in a band, while it comes. */
export interface BandWatch extends Pick<BandScore, 'insideS' | 'triedS' | 'longestS' | 'lost'> {
  /** The last sample since it was first reached, and since nobody looked away; null before. */
  readonly lastS: number | null;
  /** How long it has been inside without a break, and outside since. */
  readonly runS: number;
  readonly outS: number;
}
/** Nothing was tried yet. */
export const NOT_TRIED: BandWatch = { insideS: 0, triedS: 0, longestS: 0, lost: [], lastS: null, runS: 0, outS: 0 };

/** What is remembered after some more samples. */
export function bandWatched(before: BandWatch, samples: readonly ForceSample[], band: Pick<Band, 'lowN' | 'highN'>): BandWatch {
  let { insideS, triedS, longestS, lastS, runS, outS } = before;
  const lost = [...before.lost];
  for (const { tS, valueN } of samples) {
    const place = placeInBand(valueN, band);
    // It is tried from when it was first reached.
    if (lastS === null && (place === 'in' || triedS > 0)) lastS = tS;
    if (lastS === null) continue;
    const step = Math.max(0, tS - lastS);
    lastS = tS;
    triedS += step;
    if (place === 'in') {
      insideS += step;
      runS += step + (outS < LOST_FOR_S ? outS : 0);
      outS = 0;
    } else {
      if (outS < LOST_FOR_S && outS + step >= LOST_FOR_S) {
        lost.push({ atS: tS, to: place });
        runS = 0;
      }
      outS += step;
    }
    longestS = Math.max(longestS, runS);
  }
  return { insideS, triedS, longestS, lastS, runS, outS, lost };
}

/** Nobody looks for a while: between two repetitions the hand may open. */
export const unwatched = (watch: BandWatch): BandWatch => ({ ...watch, lastS: null, runS: 0, outS: 0 });

/** How much of the time it was kept since it was first reached, percent; null where it never was. @example keptPercent({ insideS: 3, triedS: 4 }) → 75 */
export const keptPercent = ({ insideS, triedS }: Pick<BandScore, 'insideS' | 'triedS'>): number | null =>
  triedS > 0 ? (100 * insideS) / triedS : null;

/** What was watched as a score. */
export const scoreIn = ({ insideS, triedS, longestS, lost }: BandWatch, { forS }: Pick<Band, 'forS'>): BandScore => ({
  ...{ insideS, triedS, longestS, lost },
  scorePercent: keptPercent({ insideS, triedS }) ?? 0,
  isDone: longestS >= forS,
});

/** Time in the band, and when it was lost. */
export const scoreOf = (samples: readonly ForceSample[], band: Band): BandScore => scoreIn(bandWatched(NOT_TRIED, samples, band), band);
