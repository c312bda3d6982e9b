import { isSameCaution, type RecordedCaution } from '../../model/athlete.js';
import { CAUTIONS } from '../../vocabulary/cautions.js';
import { forbidsLoading, handsOf } from '../cautions.js';

/**
 * A record’s cautions after new answers. What adapts and came from earlier answers is as it was said now; what a coach wrote, what forbids loading and
 * what stopped a session stays until somebody clears it. What was cleared and is told again stands anew.
 * @param fresh what follows from the answers (`screen`)
 */
export function afterIntake(
  recorded: readonly RecordedCaution[],
  fresh: readonly RecordedCaution[],
): RecordedCaution[] {
  const kept = recorded.filter((entry) => {
    const again = fresh.filter((other) => isSameCaution(entry, other));
    if (entry.stopped) return true;
    if (CAUTIONS[entry.caution].rule === 'adapt') return entry.intakeId === undefined && again.length === 0;
    if (again.length === 0) return true;
    // A referral that stands, of as many hands, says already what is told again; one that is told of more, or was cleared, is told anew.
    return forbidsLoading(entry) && again.every((other) => forbidsLoading(other) && isCovered(other, entry));
  });
  return [...kept, ...fresh.filter((entry) => !kept.some((other) => isSameCaution(entry, other)))];
}

/** A record’s cautions with what forbids loading of answers that came late. */
export function withReferrals(
  recorded: readonly RecordedCaution[],
  late: readonly RecordedCaution[],
): RecordedCaution[] {
  const lost = late.filter(forbidsLoading).filter((entry) => !recorded.some((other) => isSameCaution(entry, other)));
  return [...recorded, ...lost];
}

const isCovered = (inner: RecordedCaution, outer: RecordedCaution) =>
  handsOf(inner).every((hand) => handsOf(outer).includes(hand));
