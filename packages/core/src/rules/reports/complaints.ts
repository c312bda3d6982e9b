import type { RecordedCaution } from '../../model/athlete.js';
import type { Sex } from '../../model/body.js';
import { type Complaint, complaintWords, type Morning } from '../../model/session.js';
import type { Hand } from '../../vocabulary/hands.js';
import { handsOf } from '../safety/cautions.js';
import { HAND_PLACES, type HandPlace } from '../../vocabulary/hand-places.js';
import type { SorePlace } from '../../vocabulary/sore-places.js';
import { type Led, refer } from '../screening/screen-rules.js';
import { ledBySymptom, STRONG_FROM } from '../screening/symptom-rules.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from './discomfort.js';

/** Where something hurt in a session, and of whom. */
export interface ComplaintContext {
  readonly sessionId: string;
  /** The studio’s calendar day of it. */
  readonly onDay: string;
  readonly ageYears: number | null;
  readonly sex: Sex;
}

const isOnHand = (place: SorePlace): place is HandPlace => place in HAND_PLACES;

/** Whether a block in which something hurt counts as not finished, and is not fine afterwards. */
export const isHurt = ({ discomfort }: Pick<Complaint, 'discomfort'>): boolean => discomfort > DISCOMFORT_GO_ON_MAX;

/**
 * What something that hurt in a session leaves behind: the sore place, which limits everything planned and led until the next check-in, and a referral where
 * it is strong or of somebody who grows. Nothing while it is hardly felt.
 */
export function cautionsOfComplaint(
  complaint: Pick<Complaint, 'hand' | 'place' | 'discomfort'>,
  { sessionId, onDay, ageYears, sex }: ComplaintContext,
): RecordedCaution[] {
  if (!isHurt(complaint)) return [];
  const { hand, place, discomfort: score } = complaint;
  const note = complaintWords(complaint);
  const led: Led[] = isOnHand(place)
    ? ledBySymptom({ place, hand: hand === 'right' ? 'right' : 'left', kind: 'ache', score }, { ageYears, sex, onDay, history: [] })
    : score >= STRONG_FROM
      ? [refer('strong-pain')]
      : [];
  const referrals = led.filter(({ verdict }) => verdict === 'refer first');
  return [
    { caution: 'sore-place', hand, since: onDay, sessionId, score, ...(isOnHand(place) ? { place } : { note }) },
    ...referrals.map(({ caution }): RecordedCaution => ({ caution, hand, since: onDay, note })),
  ];
}

/**
 * A record’s cautions after a next-day check: what a session left of mild soreness is over where the hand is fine the next morning. Strong pain waits for a
 * check-in. @param morning how the hands are
 */
export const withoutSettled = (
  cautions: readonly RecordedCaution[],
  sessionId: string,
  morning: Pick<Morning, 'left' | 'right' | 'numb'>,
): RecordedCaution[] => {
  const isFine = (hand: Hand) => morning[hand] <= DISCOMFORT_GO_ON_MAX && morning.numb !== hand && morning.numb !== 'both';
  return cautions.filter(
    (entry) => entry.sessionId !== sessionId || (entry.score ?? 0) > DISCOMFORT_HOLD_MAX || !handsOf(entry).every(isFine),
  );
};
