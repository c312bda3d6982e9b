/** A number with as many places as its step has, without trailing noise. @example shown(0.30000000000000004, 0.01) → '0.30' */
export function shown(value: number, step = 1): string {
  return value.toFixed(placesOf(step));
}

/** Decimal places that a step needs. @example placesOf(0.05) → 2 */
export const placesOf = (step: number) => (step >= 1 ? 0 : step >= 0.1 ? 1 : step >= 0.01 ? 2 : 3);

/** A share as whole percent. @example percent(0.347) → '35 %' */
export const percent = (ratio: number) => `${Math.round(ratio * 100)} %`;

/** A number as somebody typed it, with a point or a comma; NaN where there is none. @example readNumber(' 82,5 ') → 82.5 */
export const readNumber = (typed: string): number => (typed.trim() === '' ? NaN : Number(typed.replace(',', '.')));
