import { type Sentence } from '../../vocabulary/sentence.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Level, Movement } from '../../model/movement.js';
import { type Caution, type CautionId, CAUTIONS } from '../../vocabulary/cautions.js';
import { type Hand, HANDS, handsWorking, type SidePlan } from '../../vocabulary/hands.js';
import { cautionAdvice, concerns, forbidsLoading, restsHand } from './cautions.js';
import { handsUsed } from './hands-used.js';

/** The precautions of a restriction, before anything is led. */
export interface Advice {
  readonly caution: CautionId;
  readonly text: Sentence;
  /** Nothing that loads the hand until it is cleared. */
  readonly forbids: boolean;
}

/**
 * An athlete’s precautions: what forbids loading first. A referral that was cleared without limits asks for nothing any more.
 * @param cautions as they stand on the day (`cautionsOn`)
 */
export function advicesOf(cautions: readonly RecordedCaution[]): Advice[] {
  const advices = cautions
    .filter((entry) => CAUTIONS[entry.caution].rule === 'adapt' || forbidsLoading(entry) || entry.within)
    .map((entry) => ({ caution: entry.caution, text: cautionAdvice(entry), forbids: forbidsLoading(entry) }));
  return [...advices.filter(({ forbids }) => forbids), ...advices.filter(({ forbids }) => !forbids)];
}

/** Whether a level may not be done by these hands before somebody has cleared them. */
export const mustWait = (entry: RecordedCaution, level: Pick<Level, 'loading'>, hands: readonly Hand[]): boolean =>
  forbidsLoading(entry) && concerns(entry, hands) && (level.loading !== 'unloaded' || restsHand(entry));

/**
 * Whether the hand beside the working one may not do its part before it is cleared: one that rests does nothing, one that may not be loaded
 * does not push back.
 */
export function otherHandWaits(
  entry: RecordedCaution,
  { otherHand }: Pick<Movement, 'otherHand'>,
  { loading }: Level,
  plan: SidePlan,
): boolean {
  if (otherHand === undefined || loading === 'unloaded') return false;
  const beside = HANDS.filter((hand) => !handsWorking(plan).includes(hand));
  return forbidsLoading(entry) && concerns(entry, beside) && (otherHand === 'resists' || restsHand(entry));
}

/** The ways in which somebody may do a level: those whose hands are cleared and for whom it is not to be left out. */
export function openSides(movement: Movement, level: Level, cautions: readonly RecordedCaution[]): SidePlan[] {
  return movement.sides.filter((plan) => {
    const { stops, avoid } = concernsOf(movement, level, cautions, handsUsed(level, plan));
    return stops.length + avoid.length === 0 && !cautions.some((entry) => otherHandWaits(entry, movement, level, plan));
  });
}

/** Whether a note of a movement concerns a caution: that one, or one like it. */
function isConcerned(concerned: readonly CautionId[], id: CautionId): boolean {
  const { like }: Caution = CAUTIONS[id];
  return concerned.includes(id) || concerned.some((other) => other === like);
}

/** What forbids, or asks for care with, one level of a movement for somebody. */
export interface LevelConcerns {
  /** Advice of uncleared referrals: this level loads the hand and must wait. */
  readonly stops: readonly Sentence[];
  /** The movement's own cautions that say to leave it out. */
  readonly avoid: readonly string[];
  readonly care: readonly string[];
}

/** What somebody's cautions say of one level by itself. @param hands that do it; both where it is not known */
export function concernsOf(
  movement: Movement,
  level: Level,
  cautions: readonly RecordedCaution[],
  hands: readonly Hand[] = HANDS,
): LevelConcerns {
  const mine = cautions.filter((entry) => concerns(entry, hands));
  const own = movement.cautions.filter((note) => mine.some(({ caution }) => isConcerned(note.concerns, caution)));
  return {
    stops: mine.filter((entry) => mustWait(entry, level, hands)).map(cautionAdvice),
    avoid: own.filter(({ avoid }) => avoid).map(({ text }) => text),
    care: own.filter(({ avoid }) => !avoid).map(({ text }) => text),
  };
}
