import type { Health, PastCondition, Symptom } from '../../model/intake.js';
import type { Sex } from '../../model/body.js';
import { daysBetween } from '../../vocabulary/days.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { HandPlace } from '../../vocabulary/hand-places.js';
import { isMinor } from '../safety/cautions.js';
import { type Led, refer, stop, SYMPTOM_RULES } from './screen-rules.js';

/** From this score on pain is strong, wherever it is (Boonstra et al. 2016). */
export const STRONG_FROM = 7;
/** Sharp pain of the wrist or the base of the thumb is looked at sooner. Working value. */
const SHARP_FROM = 6;
/** So long a fall is asked about: a fracture of the scaphoid is often missed at first (Rhemrev et al. 2011, Int J Emerg Med 4:4). */
const FALL_DAYS = 42;
/** Until these ages the ends of the forearm’s bones grow and are loaded with care (DiFiori et al. 2006); the later where nobody knows. */
const WRIST_GROWS_UNTIL: Readonly<Record<Sex, number>> = { female: 14, male: 16, 'not stated': 16 };

/** What is known beside a symptom. */
export interface SymptomContext {
  readonly ageYears: number | null;
  readonly sex: Sex;
  /** ISO day of the answers. */
  readonly onDay: string;
  readonly history: NonNullable<Health['history']>;
}

const WRIST: readonly HandPlace[] = ['wrist-front', 'wrist-back', 'wrist-thumb-side', 'wrist-little-side'];
const THUMB_SIDE: readonly HandPlace[] = ['wrist-thumb-side', 'thumb-base'];
const isWrist = (place: HandPlace) => WRIST.includes(place);
/** The joints of a finger: its ends of bone. */
const isFingerJoint = (place: HandPlace) => /^(?:index|middle|ring|little)-(?:dip|pip|mcp)$/.test(place);

/** Everything that a place that is felt leads to: by its kind, by how much, by what it is of somebody who grows, and after a fall. */
export function ledBySymptom(symptom: Symptom, context: SymptomContext): Led[] {
  return [SYMPTOM_RULES[symptom.kind], ...byScore(symptom), ...whileGrowing(symptom, context), ...afterFall(symptom, context)];
}

/** Strong pain is a question for a doctor; sharp pain of wrist and thumb base a little sooner. */
function byScore({ place, kind, score = 0 }: Symptom): Led[] {
  const isSharp = kind === 'sharp' && score >= SHARP_FROM && (isWrist(place) || place === 'thumb-base');
  return score >= STRONG_FROM || isSharp ? [refer('strong-pain')] : [];
}

function whileGrowing({ place }: Symptom, { ageYears, sex }: SymptomContext): Led[] {
  if (ageYears === null || !isMinor(ageYears)) return [];
  if (isFingerJoint(place)) return [refer('growing-finger')];
  return isWrist(place) && ageYears < WRIST_GROWS_UNTIL[sex] ? [refer('growing-wrist')] : [];
}

/** After a fall sharp pain of the thumb’s side stops at once; anything else at the wrist is looked at before it is loaded. */
function afterFall({ place, hand, kind }: Symptom, { history, onDay }: SymptomContext): Led[] {
  if (!history.some((entry) => isRecentFall(entry, hand, onDay))) return [];
  if (kind === 'sharp' && THUMB_SIDE.includes(place)) return [stop('thumb-hollow')];
  return isWrist(place) || place === 'thumb-base' ? [refer('recent-sprain')] : [];
}

/** A fall, or what comes of one; without a date it may be of last week. A clearance answers what was before it. */
function isRecentFall({ condition, hand = 'both', since, clearedOn, clearedBy }: PastCondition, of: Hand, today: string): boolean {
  if (condition !== 'fall' && condition !== 'sprain' && condition !== 'fracture') return false;
  if (hand !== 'both' && hand !== of) return false;
  if (clearedOn && clearedBy) return false;
  return since === undefined ? condition !== 'fracture' : daysBetween(since, today) <= FALL_DAYS;
}
