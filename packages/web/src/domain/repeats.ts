import type { StoredReading } from '@clay-pot/contracts';
import type { Protocol } from '@clay-pot/core';

/** The coach’s own repeats of one thing: the trials of each reading, each set of one hand on one day. */
export const repeatsOf = (
  readings: readonly StoredReading[],
  { kind, of }: Pick<Protocol, 'kind' | 'of'>,
): number[][] =>
  readings
    .filter((reading) => reading.kind === kind && reading.of === of && (reading.trials?.length ?? 0) > 1)
    .map((reading) => [...(reading.trials ?? [])]);
