/** What a number may be: its bounds, the smallest step it may have, and its unit. */
export interface Limit {
  readonly min: number;
  readonly max: number;
  /** Smallest step a value may have. */
  readonly step: number;
  readonly unit: string;
}
