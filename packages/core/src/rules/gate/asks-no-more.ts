import type { HandDemand } from '../../mechanics/demand.js';
import type { Contact } from '../../vocabulary/contacts.js';
import type { RangeMotion } from '../../vocabulary/motions.js';
import { type Hand, HAND_WORDS, HANDS } from '../../vocabulary/hands.js';
import { momentsOf, type Work } from './moments.js';

/** The most that a block asks of one hand. */
interface Most {
  readonly effortPercent: number;
  readonly loadPercentBW: number;
  /** The furthest that the wrist is taken in each direction, degrees. */
  readonly degrees: ReadonlyMap<RangeMotion, number>;
}

/** Why something gentler is looked for: it hurts, or it is more than there is strength for. */
export type EaseReason = 'hurts' | 'hard';

/** Smaller differences are none: what is shown is rounded, and hands stand a little higher on fists and handles. */
const SAME = { points: 0.5, percentBW: 1, deg: 1 } as const;
/** Up to this a bent wrist is at ease, whatever direction it is bent in; degrees. Working value. */
const AT_EASE_DEG = 30;
/**
 * Up to this effort a wrist that hurts may ask a little more of its muscles where it is bent less, as on a wedge, a fist or an incline: the top of the gentle
 * band of isometrics for a sensitive wrist. Percent.
 */
const GENTLE_PERCENT = 40;
/** A wrist that is bent so much less is spared; degrees. */
const SPARED_DEG = 5;

/** How demanding each way to set the hand down is (practice: levers of difficulty); the fingertips of one hand carry what a palm would. */
const DEMANDING: Record<Contact, number> = {
  ...{ none: 0, handle: 1, ball: 1, fist: 1, 'open palm': 2 },
  ...{ 'raised palm': 3, edge: 3, fingertips: 4, 'back of hand': 5 },
};

function mostOf(work: Work, hand: Hand): Most | null {
  const mine = momentsOf(work).filter((moment) => moment.hand === hand);
  if (mine.length === 0) return null;
  const degrees = new Map<RangeMotion, number>();
  const highest = (of: (demand: HandDemand) => number) => Math.max(...mine.map(({ demand }) => of(demand)));
  for (const { demand } of mine) {
    if (demand.angle) degrees.set(demand.angle.motion, Math.max(demand.angle.deg, degrees.get(demand.angle.motion) ?? 0));
  }
  return {
    effortPercent: highest(({ effortPercent }) => effortPercent),
    loadPercentBW: highest(({ loadPercentBW }) => loadPercentBW),
    degrees,
  };
}

/**
 * In what a block asks more of a hand than another does, in words; null where in nothing. What is offered as easier asks more in nothing: not in effort, not
 * in weight on the hand, not in the angle of the wrist, and of no other hand. Where it hurts, the wrist is spared first: see `GENTLE_PERCENT`.
 */
export function asksMoreThan(work: Work, than: Work, reason: EaseReason): string | null {
  // A position that the body cannot take has nothing to compare with.
  if (than.forms.length === 0) return null;
  const { contact } = work.level;
  if (DEMANDING[contact] > Math.max(DEMANDING[than.level.contact], DEMANDING['open palm'])) return `the ${contact} under load`;
  for (const hand of HANDS) {
    const [now, before] = [mostOf(work, hand), mostOf(than, hand)];
    if (!now) continue;
    if (!before) return `it uses the ${HAND_WORDS[hand]}`;
    const more = moreOf(now, before, reason);
    if (more) return `${more} (${HAND_WORDS[hand]})`;
  }
  return null;
}

function moreOf(now: Most, before: Most, reason: EaseReason): string | null {
  if (now.loadPercentBW > before.loadPercentBW + SAME.percentBW) return 'more weight on the hand';
  for (const [motion, deg] of now.degrees) {
    if (deg > AT_EASE_DEG && deg > (before.degrees.get(motion) ?? 0) + SAME.deg) return `more ${motion.replace('wrist ', '')}`;
  }
  if (now.effortPercent <= before.effortPercent + SAME.points) return null;
  return reason === 'hurts' && isSpared(now, before) && now.effortPercent <= GENTLE_PERCENT ? null : 'more effort';
}

/** The wrist is bent less under no more weight. */
const isSpared = (now: Most, before: Most): boolean =>
  [...before.degrees].some(([motion, deg]) => (now.degrees.get(motion) ?? 0) <= deg - SPARED_DEG);
