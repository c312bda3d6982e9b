/** A number over many, and between what it lies in nineteen of twenty cases. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Of the normal distribution, nineteen in twenty. */
const Z = 1.96;

/** A share with its interval (Wilson 1927, J Am Stat Assoc 22:209–12). @example shareOf(5, 10).low ≈ 0.2366 */
export function shareOf(hits: number, of: number): Estimate {
  const share = hits / of;
  const centre = (share + Z ** 2 / (2 * of)) / (1 + Z ** 2 / of);
  const half = (Z / (1 + Z ** 2 / of)) * Math.sqrt((share * (1 - share)) / of + Z ** 2 / (4 * of ** 2));
  return { value: share, low: centre - half, high: centre + half };
}
