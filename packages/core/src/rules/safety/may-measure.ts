import { say, type Sentence } from '../../vocabulary/sentence.js';
import type { Protocol } from '../../measure/protocols.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Action } from '../../vocabulary/actions.js';
import type { Contact } from '../../vocabulary/contacts.js';
import { isAction } from '../../vocabulary/measures.js';
import type { Hand } from '../../vocabulary/hands.js';
import { type Caps, capWords } from './caps.js';
import { capsOf } from './caution-limits.js';
import { cautionLabel, forbidsLoading, handsOf, precautionText, restsHand } from './cautions.js';

/** An effort at the limit is all that there is. */
const ALL = 100;
/** A flat palm under an upright forearm bends the wrist about so far (models §2), degrees. */
const FLAT_PALM_DEG = 79;

/** What a test does to the hand where it is not of an action by name: the action that goes to its limit, and the part of the hand that bears. */
const LOADS: Readonly<Record<string, { readonly action?: Action; readonly contact?: Contact; readonly bears?: true }>> = {
  'tip pinch': { action: 'pinch', contact: 'fingertips' },
  'key pinch': { action: 'pinch' },
  'index finger': { action: 'grip', contact: 'fingertips' },
  'middle finger': { action: 'grip', contact: 'fingertips' },
  'ring finger': { action: 'grip', contact: 'fingertips' },
  'little finger': { action: 'grip', contact: 'fingertips' },
  'edge pull': { action: 'grip', contact: 'edge' },
  'all fours': { contact: 'open palm', bears: true },
  'plank on the palms': { action: 'wrist flexion', contact: 'open palm', bears: true },
  'palm lift': { action: 'wrist flexion', contact: 'open palm', bears: true },
  'fingertip pump': { action: 'grip', contact: 'fingertips', bears: true },
  hang: { action: 'grip', contact: 'handle', bears: true },
};

/**
 * Why something is not measured of a hand, in words; null where it may be. Range by own muscles is free motion; help, load and efforts at the limit
 * are not for who is not cleared, and nothing is measured beyond what a restriction or a clearance allows.
 * @param cautions as they stand on the day
 */
export function whyNotMeasured(protocol: Protocol, cautions: readonly RecordedCaution[], hand: Hand): Sentence | null {
  const mine = cautions.filter((entry) => handsOf(entry).includes(hand));
  const isFree = protocol.kind === 'active range';
  const resting = mine.find((entry) => restsHand(entry) || (!isFree && forbidsLoading(entry)));
  if (resting) return say`${cautionLabel(resting)}: ${precautionText(resting)}`;
  if (isFree) return null;
  for (const entry of mine) {
    for (const caps of capsOf(entry)) {
      if (protocol.isMaximal && forbidsMaximum(caps, protocol))
        return say`No maximal effort. ${cautionLabel(entry)}: ${precautionText(entry)}`;
      if (goesBeyond(caps, protocol)) return say`${cautionLabel(entry)}: ${capWords(caps)}`;
    }
  }
  return null;
}

/** Any capped effort keeps from the limit; a capped action from its own. */
function forbidsMaximum(
  { effortPercent = ALL, stillEffortPercent = ALL, gripEffortPercent = ALL, actionPercent, noFailure }: Caps,
  { kind, of }: Protocol,
) {
  const action = isAction(of) ? of : LOADS[of]?.action;
  const capped = Math.min(effortPercent, stillEffortPercent, gripEffortPercent, (action && actionPercent?.[action]) ?? ALL);
  return capped < ALL || (noFailure === true && kind !== 'maximum');
}

/** What of the hand a test puts down, and whether weight comes on it. A loaded range is taken on the flat palm; a helped one puts nothing down. */
function placed({ kind, of }: Protocol): { readonly contact?: Contact | undefined; readonly bears: boolean } {
  if (kind === 'loaded range') return { contact: 'open palm', bears: true };
  if (kind === 'passive range') return { bears: false };
  const { contact, bears = false } = LOADS[of] ?? {};
  return { contact, bears };
}

/** The part that bears, weight on the hand, and the angle that it takes the wrist to. */
function goesBeyond(
  { noBodyWeight, contactsOff, extensionDeg = FULL_DEG, flexionDeg = FULL_DEG, noEndOfRange }: Caps,
  protocol: Protocol,
): boolean {
  const { kind, of } = protocol;
  const { contact, bears } = placed(protocol);
  if (bears && noBodyWeight) return true;
  if (kind === 'loaded range' && noEndOfRange) return true;
  if (contact !== undefined && contactsOff?.includes(contact)) return true;
  if (contact === 'open palm' && extensionDeg < FLAT_PALM_DEG) return true;
  return kind === 'passive range' && (of === 'wrist extension' ? extensionDeg : of === 'wrist flexion' ? flexionDeg : FULL_DEG) < FULL_DEG;
}
/** Nothing caps the angle. */
const FULL_DEG = 180;
