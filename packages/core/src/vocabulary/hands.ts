/** The two hands. Left is always named first. */
export const HANDS = ['left', 'right'] as const;
/** The other of the two. @example otherHand('left') → 'right' */
export const otherHand = (hand: Hand): Hand => (hand === 'left' ? 'right' : 'left');
/** Left or right. */
export type Hand = (typeof HANDS)[number];

/** Which hand is working at a moment: one, or both together. */
export const WORKING_SIDES = [...HANDS, 'both'] as const;
/** Which hand works: one, or both together. */
export type WorkingSide = (typeof WORKING_SIDES)[number];

/** Which hand, in words. */
export const HAND_WORDS: Record<WorkingSide, string> = { left: 'left hand', right: 'right hand', both: 'both hands' };

/** How a dose is spread over the two hands. */
export const SIDE_PLANS = ['together', 'left', 'right', 'left-then-right', 'right-then-left', 'alternating'] as const;
/** How a dose goes over the hands. */
export type SidePlan = (typeof SIDE_PLANS)[number];

/** The hands that a plan has work. @example handsWorking('alternating') → ['left', 'right'] */
export const handsWorking = (plan: SidePlan): readonly Hand[] => (plan === 'left' || plan === 'right' ? [plan] : HANDS);

/** Plans in which one hand at a time works, in the order of work. `alternating` swaps within a set instead. */
export function handsInTurn(plan: SidePlan): readonly WorkingSide[] {
  switch (plan) {
    case 'together':
      return ['both'];
    case 'left':
      return ['left'];
    case 'right':
      return ['right'];
    case 'left-then-right':
    case 'alternating':
      return ['left', 'right'];
    case 'right-then-left':
      return ['right', 'left'];
  }
}
