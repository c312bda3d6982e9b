import { shareOf, type Estimate } from './share.js';
import type { Prediction } from './predictions.js';

/** Of things said to hold with one chance, how many did. */
export interface CalibrationPoint {
  /** 0–1. */
  readonly said: number;
  /** With between what it lies in nineteen of twenty cases; ratings of one person are not independent, so it is wider than that. */
  readonly came: Estimate;
  readonly count: number;
}

/** How well predictions held. */
export interface Calibration {
  /** Ratings of exertion: said to be at most so much with each chance. */
  readonly exertion: readonly CalibrationPoint[];
  readonly ratings: number;
  /** Blocks carried to their end, by the chance that was said. */
  readonly carried: readonly CalibrationPoint[];
  readonly blocks: number;
  /** Share of ratings within what eight of ten were expected in. */
  readonly within: Estimate | null;
}

type Place = NonNullable<Prediction['place']>;
const SAID = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;
/** Chances are grouped into these bins; most blocks are nearly certain. */
const BINS = [0, 0.2, 0.4, 0.6, 0.8, 0.95, 1] as const;
const EIGHT_OF_TEN = [0.1, 0.9] as const;

/** How many ratings lie below a share of what was expected; one that reaches across counts in part (Czado, Gneiting, Held 2009, Biometrics 65:1254–61). */
const upTo = (places: readonly Place[], share: number): number =>
  places.reduce((sum, [from, to]) => sum + (to > from ? Math.min(1, Math.max(0, (share - from) / (to - from))) : Number(from <= share)), 0);

/** Whether what was said came as often as was said (Dawid 1984, J R Stat Soc A 147:278–92: the places of what came are even when it did). */
export function calibrationOf(all: readonly Pick<Prediction, 'place' | 'chance' | 'isWhole'>[]): Calibration {
  const places = all.flatMap(({ place }) => (place === null ? [] : [place]));
  const n = places.length;
  const exertion = n === 0 ? [] : SAID.map((said) => ({ said, came: shareOf(upTo(places, said), n), count: n }));
  const carried = BINS.slice(1).flatMap((to, index): CalibrationPoint[] => {
    const from = BINS[index] ?? 0;
    const mine = all.filter(({ chance }) => chance > from - (index === 0 ? 1 : 0) && chance <= to);
    if (mine.length === 0) return [];
    const said = mine.reduce((sum, { chance }) => sum + chance, 0) / mine.length;
    return [{ said, came: shareOf(mine.filter(({ isWhole }) => isWhole).length, mine.length), count: mine.length }];
  });
  const inside = upTo(places, EIGHT_OF_TEN[1]) - upTo(places, EIGHT_OF_TEN[0]);
  return { exertion, ratings: n, carried, blocks: all.length, within: n === 0 ? null : shareOf(inside, n) };
}
