import type { RecordedCaution } from '../../model/athlete.js';
import type { Hand } from '../../vocabulary/hands.js';
import { forbidsLoading, handsOf, restsHand } from './cautions.js';
import type { Verdict } from '../screening/screen-rules.js';

/** The verdict for a hand today, from its record: the gravest of its entries. @param cautions in force on the day (`cautionsOn`) @example standingVerdict([], 'left') → 'go' */
export function standingVerdict(cautions: readonly RecordedCaution[], hand: Hand): Verdict {
  const mine = cautions.filter((entry) => handsOf(entry).includes(hand));
  if (mine.some(restsHand)) return 'stop now';
  if (mine.some(forbidsLoading)) return 'refer first';
  return mine.length > 0 ? 'adapt' : 'go';
}
