import { PHASES } from '../vocabulary/phases.js';
import type { Structure } from './structure.js';
import { SLICES } from './worth.js';

/** What breaking a rule costs at least, and what each further share beyond a bound costs: more than any want is worth. */
export const BROKEN = 30;
const BROKEN_SHARE = 60;

function boundsOf(sums: Structure['sums']): Bounds {
  const per = (bound: number) => BROKEN_SHARE / Math.max(1, Math.abs(bound));
  const each = (of: (sum: Structure['sums'][number]) => number) => Float64Array.from(sums, of);
  return {
    mins: each(({ min }) => min),
    maxs: each(({ max }) => max),
    perUnder: each(({ min }) => per(min)),
    perOver: each(({ max }) => per(max)),
  };
}

/** Where the slices of each want end, in seconds, and what a second in them is worth. */
function slicesOf(wants: Structure['wants']): Index['worths'] {
  const slices = SLICES.length;
  const [ends, slopes] = [new Float64Array(wants.length * slices), new Float64Array(wants.length * slices)];
  wants.forEach(({ want: { targetS, points } }, want) => {
    let end = 0;
    SLICES.forEach(({ share, worth }, slice) => {
      end += share * targetS;
      ends[want * slices + slice] = end;
      slopes[want * slices + slice] = (points * worth) / (share * targetS);
    });
  });
  return { ends, slopes, slices };
}

/** What a candidate brings, by the places where it is counted. */
export interface Mine {
  readonly sums: readonly number[];
  readonly amounts: readonly number[];
  readonly gives: readonly number[];
  readonly pairs: readonly number[];
  readonly pairAmounts: readonly number[];
  readonly demandedBy: readonly number[];
  readonly answers: readonly number[];
  readonly station: number;
  readonly posture: number;
  readonly things: readonly number[];
  readonly phase: number;
  readonly hard: boolean;
  readonly releases: boolean;
  readonly seconds: number;
  readonly own: number;
}

/** Bounds of each sum, and what a unit beyond them costs. */
export interface Bounds {
  readonly mins: Float64Array;
  readonly maxs: Float64Array;
  readonly perUnder: Float64Array;
  readonly perOver: Float64Array;
}

/** What a structure comes to by places in arrays. */
export interface Index {
  readonly of: readonly Mine[];
  readonly bounds: Bounds;
  readonly worths: { readonly ends: Float64Array; readonly slopes: Float64Array; readonly slices: number };
  readonly stations: number;
  readonly postures: number;
  readonly things: number;
}

/** Everything that a choice reads over and over, laid out once. */
export function indexed({ candidates, own, wants, sums, answered, pairs, releases }: Structure): Index {
  const numbers = () => {
    const indexByKey = new Map<string, number>();
    const of = (name: string) => {
      let number = indexByKey.get(name);
      if (number === undefined) indexByKey.set(name, (number = indexByKey.size));
      return number;
    };
    return { known: indexByKey, of };
  };
  const [stations, postures, things] = [numbers(), numbers(), numbers()];
  for (const { station } of candidates) stations.of(station);
  const of = candidates.map((candidate, at) => {
    const phase = PHASES.indexOf(candidate.phase);
    return {
      sums: [] as number[],
      amounts: [] as number[],
      gives: wants.map(({ counted }) => counted[at] ?? 0),
      pairs: [] as number[],
      pairAmounts: [] as number[],
      demandedBy: [] as number[],
      answers: [] as number[],
      station: phase * stations.known.size + stations.of(candidate.station),
      posture: postures.of(`${candidate.phase} ${candidate.station} ${candidate.posture}`),
      things: candidate.things.map((thing) => things.of(thing)),
      phase,
      hard: candidate.hard,
      releases: releases[at] ?? false,
      seconds: candidate.seconds,
      own: own[at] ?? 0,
    };
  });
  const mine = (at: number) => of[at] as (typeof of)[number];
  sums.forEach(({ amounts }, k) => {
    for (const [at, amount] of amounts) {
      mine(at).sums.push(k);
      mine(at).amounts.push(amount);
    }
  });
  pairs.forEach(({ first, second }, k) => {
    for (const [side, amounts] of [first, second].entries()) {
      for (const [at, amount] of amounts) {
        mine(at).pairs.push(2 * k + side);
        mine(at).pairAmounts.push(amount);
      }
    }
  });
  answered.forEach(({ asking, answers }, k) => {
    for (const at of asking) mine(at).demandedBy.push(k);
    for (const at of answers) mine(at).answers.push(k);
  });
  return {
    of,
    bounds: boundsOf(sums),
    worths: slicesOf(wants),
    stations: stations.known.size,
    postures: postures.known.size,
    things: things.known.size,
  };
}
