import type { RecordedCaution } from '../../model/athlete.js';
import type { Hand } from '../../vocabulary/hands.js';
import { forbidsLoading, handsOf } from '../safety/cautions.js';
import { severityOf } from '../safety/sore-places.js';

/** A hand for which nothing grows by itself, and since when. */
export interface HeldGrowth {
  readonly hand: Hand;
  /** ISO day; null where nobody knows. */
  readonly since: string | null;
}

/**
 * For which hands doses don’t grow by themselves: those that nobody has cleared, and those that hurt more than slightly.
 * @param cautions as they stand on the day
 */
export const heldGrowth = (cautions: readonly RecordedCaution[]): HeldGrowth[] =>
  cautions
    .filter((entry) => forbidsLoading(entry) || (entry.caution === 'sore-place' && severityOf(entry) !== 'slight'))
    .flatMap((entry) => handsOf(entry).map((hand) => ({ hand, since: entry.since ?? null })));
