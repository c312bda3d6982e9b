import type { Dose, Tempo } from './dose.js';

/** How much quicker than a tempo: so many times as fast, and so many seconds shorter a repetition. */
export interface Quicker {
  /** 1.2 is a fifth faster. */
  readonly pace: number;
  readonly shorterS: number;
}

/** No repetition is made shorter than a beat of this. */
const SHORTEST_S = 0.5;

/** A tempo that much quicker; both ways lose in proportion. Two seconds each way and a second shorter is one and a half each way. */
export function quicker({ outS, backS }: Tempo, { pace, shorterS }: Quicker): Tempo {
  const wholeS = (outS + backS) / pace;
  const share = Math.max(Math.min(SHORTEST_S, wholeS), wholeS - shorterS) / wholeS;
  return { outS: (outS / pace) * share, backS: (backS / pace) * share };
}

/** How much quicker a set is than the first. @param set 1-based */
export function quickerInSet({ faster }: Pick<Dose, 'faster'>, set: number): Quicker {
  const steps = set - 1;
  if (faster?.kind === 'percent') return { pace: 1 + (faster.percent * steps) / 100, shorterS: 0 };
  return { pace: 1, shorterS: (faster?.seconds ?? 0) * steps };
}
