/** Sorts of things that are measured, by how they are off. */
export const MEASURED_SORTS = ['range', 'force', 'time', 'count', 'length'] as const;
/** A sort of thing that is measured. */
export type MeasuredSort = (typeof MEASURED_SORTS)[number];

/** What a number is of, as far as its error goes. */
export interface Measured {
  readonly sort: MeasuredSort;
  /** The motion or action, e.g. “grip”. */
  readonly of: string;
}
