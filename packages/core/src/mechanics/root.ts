import { must } from '../vocabulary/lists.js';
/** Root finding stops when the bracket is this narrow, in the unit of the parameter (metres, degrees, shares). */
export const ROOT_TOLERANCE = 1e-14;

/**
 * A root of a continuous function between two ends where it changes sign, by bisection: slower than cleverer methods and never lost.
 * Null when both ends have the same sign. The ends may come in either order.
 */
export function bisect(f: (x: number) => number, from: number, to: number): number | null {
  let [low, high] = [from, to];
  let fLow = f(low);
  if (fLow === 0) return low;
  const fHigh = f(high);
  if (fHigh === 0) return high;
  if (Math.sign(fLow) === Math.sign(fHigh)) return null;
  while (Math.abs(high - low) > ROOT_TOLERANCE) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    const fMiddle = f(middle);
    if (fMiddle === 0) return middle;
    if (Math.sign(fMiddle) === Math.sign(fLow)) [low, fLow] = [middle, fMiddle];
    else high = middle;
  }
  return (low + high) / 2;
}

/** A value and what a function gives there. */
export interface Sample {
  readonly x: number;
  readonly y: number;
}

/** The range is tried at this many places before roots are bracketed. */
const SAMPLES = 120;
/** The edge of what is possible is found to this, in the unit of the parameter. */
const EDGE_TOLERANCE = 1e-7;

/**
 * Samples a function over a range, leaving out where it is not possible (`null`), with the edges of the possible found by halving.
 * Runs of neighbouring samples are unbroken.
 */
export function sampleRuns(f: (x: number) => number | null, min: number, max: number, samples = SAMPLES): Sample[][] {
  const runs: Sample[][] = [];
  let run: Sample[] = [];
  let before: { x: number; y: number | null } | null = null;
  const edge = (possible: number, not: number): Sample => {
    let [inside, outside] = [possible, not];
    while (Math.abs(outside - inside) > EDGE_TOLERANCE) {
      const middle = (inside + outside) / 2;
      if (f(middle) === null) outside = middle;
      else inside = middle;
    }
    return { x: inside, y: must(f(inside), 'a value where it was found possible') };
  };
  for (let index = 0; index <= samples; index++) {
    const x = min + ((max - min) * index) / samples;
    const y = f(x);
    if (y !== null) {
      if (before && before.y === null) run.push(edge(x, before.x));
      run.push({ x, y });
    } else if (before && before.y !== null) {
      run.push(edge(before.x, x));
      runs.push(run);
      run = [];
    }
    before = { x, y };
  }
  if (run.length) runs.push(run);
  return runs;
}

/** All places where a sampled function takes a value, each to `ROOT_TOLERANCE`. */
export function rootsIn(runs: readonly Sample[][], f: (x: number) => number | null, value: number): number[] {
  const off = (x: number) => must(f(x), 'a value within a run') - value;
  const roots: number[] = [];
  for (const run of runs) {
    run.forEach((sample, index) => {
      const next = run[index + 1];
      if (sample.y === value) roots.push(sample.x);
      else if (next && Math.sign(sample.y - value) * Math.sign(next.y - value) < 0) {
        const root = bisect(off, sample.x, next.x);
        if (root !== null) roots.push(root);
      }
    });
  }
  return roots;
}
