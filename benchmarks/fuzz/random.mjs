/** Numbers from a seed, so that what failed can be asked again (mulberry32). */
export function randomOf(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const whole = (below) => Math.floor(next() * below);
  return { next, whole, chance: (share) => next() < share, one: (list) => list[whole(list.length)] };
}
