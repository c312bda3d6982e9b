import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Chance that comes out the same for the same seed. */
export interface Chance {
  /** Evenly between 0 and 1. */
  readonly even: () => number;
  /** Normal, of mean 0 and standard deviation 1 (Box, Muller 1958, Ann Math Stat 29:610–11). */
  readonly normal: () => number;
  /** Log-normal about a median. */
  readonly about: (median: number, logSd: number) => number;
  readonly happens: (probability: number) => boolean;
}

/** A source of chance from a whole number. */
export function chanceOf(seed: number): Chance {
  const random = xoroshiro128plus(seed);
  // Seeds near each other begin alike: the first draws are let go.
  for (let draw = 0; draw < FIRST; draw++) random.next();
  const even = () => uniformFloat64(random);
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  return {
    even,
    normal,
    about: (median, logSd) => median * Math.exp(logSd * normal()),
    happens: (probability) => even() < probability,
  };
}
const FIRST = 20;
