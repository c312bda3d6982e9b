import { say, type Sentence, uniqueSentences } from '../../vocabulary/sentence.js';
import type { HandDemand } from '../../mechanics/demand.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { WayOfLoading } from './caps.js';
import { brokenLimit } from './caution-limits.js';
import { cautionAdvice, handsOf } from './cautions.js';
import { mustWait } from './clearance.js';

/**
 * Which restrictions forbid loading a hand this way, in words: active referrals, then limits that it breaks. Empty where nothing does.
 * @param cautions as they stand on the day (`cautionsOn`)
 */
export function againstLoad(way: WayOfLoading, demand: HandDemand, cautions: readonly RecordedCaution[], hand: Hand): Sentence[] {
  const mine = cautions.filter((entry) => handsOf(entry).includes(hand));
  const waits = mine.filter((entry) => mustWait(entry, way, [hand])).map(cautionAdvice);
  const limits = mine.flatMap((entry) => {
    const broken = brokenLimit(entry, { level: way, demand });
    return broken ? [say`${broken}. ${cautionAdvice(entry)}`] : [];
  });
  return uniqueSentences([...waits, ...limits]);
}
