/** A number with as many places as its step has, without trailing noise. */
export function shown(value: number, step = 1): string {
  const places = step >= 1 ? 0 : step >= 0.1 ? 1 : step >= 0.01 ? 2 : 3;
  return value.toFixed(places);
}
