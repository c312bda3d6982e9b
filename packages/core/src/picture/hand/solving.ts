// Bound once: the hands’ geometry asks for them millions of times.
const { abs, max, min } = Math;
/** How far a search narrows its bracket down: a thousandth of it. */
const HALVINGS = 14;

/**
 * Where a function of one number that is monotonic crosses zero, or the end that is nearer to it.
 */
export function crossing(of: (x: number) => number, from: number, to: number): number {
  const [first, last] = [of(from), of(to)];
  if (first * last > 0) return abs(first) < abs(last) ? from : to;
  let [low, high] = [from, to];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (low + high) / 2;
    if (of(middle) * first > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * How far one can go from 0 toward 1 before something is in the way: `free` tells whether there is still room.
 */
export function furthest(free: (share: number) => boolean, steps = 16): number {
  if (!free(0)) return 0;
  let open = 0;
  for (let step = 1; step <= steps; step++) {
    if (free(step / steps)) {
      open = step / steps;
      continue;
    }
    let shut = step / steps;
    for (let halving = 0; halving < 7; halving++) {
      const middle = (open + shut) / 2;
      if (free(middle)) open = middle;
      else shut = middle;
    }
    return open;
  }
  return 1;
}

/**
 * The numbers near a first guess that make something least: one after the other is tried in smaller and smaller steps, within its bounds.
 */
export function least(
  first: readonly number[],
  bounds: readonly (readonly [number, number])[],
  cost: (at: readonly number[]) => number,
  step: number,
): number[] {
  const at = [...first];
  const steps = at.map(() => step);
  let best = cost(at);
  for (let round = 0; round < 60 && max(...steps.map(abs)) > 0.05; round++) {
    at.forEach((was, n) => {
      const [low, high] = bounds[n] ?? [-Infinity, Infinity];
      const own = steps[n] ?? step;
      at[n] = min(high, max(low, was + own));
      const tried = cost(at);
      if (tried < best) {
        best = tried;
        steps[n] = own * 1.3;
      } else {
        at[n] = was;
        steps[n] = own * -0.5;
      }
    });
  }
  return at;
}
