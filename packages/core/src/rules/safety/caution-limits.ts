import type { HandDemand } from '../../mechanics/demand.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { CautionId } from '../../vocabulary/cautions.js';
import { brokenCap, type Caps, clearanceCaps, type WayOfLoading } from './caps.js';
import { soreCaps } from './sore-places.js';

/** What adapting cautions ask of a level, as numbers. Working values under the sentences of `CAUTIONS`. */
export const CAUTION_CAPS: Readonly<Partial<Record<CautionId, Caps>>> = {
  arthritis: { noAddedWeight: true, noEndOfRange: true },
  'inflammatory-arthritis': { effortPercent: 60, noAddedWeight: true, noEndOfRange: true, noCrimp: true, noFailure: true },
  'trigger-finger': { gripEffortPercent: 40, noCrimp: true, contactsOff: ['edge'], noFailure: true },
  ganglion: { extensionDeg: 60 },
  osteoporosis: { noEndOfRange: true, noBentWristHang: true, noAddedHang: true, noOneHandHang: true, noFailure: true },
  lymphoedema: { effortPercent: 60, noFailure: true },
  'blood-thinner': { contactsOff: ['edge'], noFailure: true },
  'tendon-pain': { effortPercent: 40, noFailure: true },
  hypermobility: { noBentWristHang: true, noEndOfRange: true },
  'blood-pressure': { stillEffortPercent: 80, noFailure: true },
  fluoroquinolones: { effortPercent: 70, noFailure: true },
  'under-18': { noCrimp: true, noAddedHang: true, noOneHandHang: true, gripEffortPercent: 80, noFailure: true },
};

/** Everything that one entry of a record puts off or caps, beside what it forbids: its clearance first. */
export function capsOf(entry: RecordedCaution): Caps[] {
  const own = entry.caution === 'sore-place' ? soreCaps(entry) : CAUTION_CAPS[entry.caution];
  return [entry.within && clearanceCaps(entry.within), own].filter((caps) => caps !== undefined);
}

/** What a hand does at a level, against which limits are held. */
export interface HandDemandAt {
  readonly level: WayOfLoading;
  readonly demand: HandDemand;
  /** Whether it goes on until the form fails. */
  readonly toFailure?: boolean;
}

/** How a hand's work breaks what a caution asks, or the limits within which it was cleared; null when it does not. */
export function brokenLimit(entry: RecordedCaution, { level, demand, toFailure = false }: HandDemandAt): string | null {
  for (const caps of capsOf(entry)) {
    const broken = brokenCap(caps, level, demand, toFailure);
    if (broken) return broken;
  }
  return null;
}
