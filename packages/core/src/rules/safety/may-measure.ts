import { say, type Sentence } from '../../vocabulary/sentence.js';
import type { Protocol } from '../../measure/protocols.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Hand } from '../../vocabulary/hands.js';
import { capsOf } from './caution-limits.js';
import { precautionText, cautionLabel, forbidsLoading, handsOf, restsHand } from './cautions.js';

/** An effort at the limit is all that there is. */
const ALL = 100;

/**
 * Why something is not measured of a hand, in words; null where it may be. Range by own muscles is free motion; help, load and efforts at the limit
 * are not for who is not cleared, and efforts at the limit not for whose efforts are capped.
 * @param cautions as they stand on the day
 */
export function whyNotMeasured(protocol: Protocol, cautions: readonly RecordedCaution[], hand: Hand): Sentence | null {
  const mine = cautions.filter((entry) => handsOf(entry).includes(hand));
  const isFree = protocol.kind === 'active range';
  const resting = mine.find((entry) => restsHand(entry) || (!isFree && forbidsLoading(entry)));
  if (resting) return say`${cautionLabel(resting)}: ${precautionText(resting)}`;
  if (protocol.isMaximal) {
    const capped = mine.find((entry) =>
      capsOf(entry).some(
        ({ effortPercent = ALL, stillEffortPercent = ALL, gripEffortPercent = ALL }) =>
          Math.min(effortPercent, stillEffortPercent, gripEffortPercent) < ALL,
      ),
    );
    if (capped) return say`No maximal effort. ${cautionLabel(capped)}: ${precautionText(capped)}`;
  }
  const noWeight = protocol.kind === 'hand load' || protocol.kind === 'loaded range';
  const off = noWeight && mine.find((entry) => capsOf(entry).some((caps) => caps.noBodyWeight === true));
  return off ? `${cautionLabel(off)}: no body weight on the hand` : null;
}
