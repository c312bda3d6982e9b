import type { BlockForm } from '../../effort/turn-work.js';
import type { BlockView } from '../../effort/session-view.js';
import type { HandDemand } from '../../mechanics/demand.js';
import type { Dose } from '../../model/dose.js';
import type { Level, Movement } from '../../model/movement.js';
import { type Hand, HANDS, handsWorking, otherHand } from '../../vocabulary/hands.js';

/** A level as dosed for somebody: what the gate is asked about. */
export interface Work {
  readonly movement: Movement;
  /** As it is planned, before the dose makes a load of it. */
  readonly level: Level;
  readonly dose: Dose;
  /** As dosed: one form, or one a round where the level or the pace changes; empty where this body cannot take it. */
  readonly forms: readonly BlockForm[];
}

/** A block of a sequence, as the gate is asked about it. */
export const workIn = ({ movement, level, block: { dose }, forms }: BlockView): Work => ({ movement, level, dose, forms });

/** What one hand does or bears in one form of a block. */
export interface Moment {
  readonly hand: Hand;
  readonly form: BlockForm;
  readonly demand: HandDemand;
}

/** Everything that a block asks of either hand: in both directions, in each round, and of the hand that is planted beside the working one. */
export function momentsOf({ movement, dose, forms }: Work): Moment[] {
  const working = handsWorking(dose.sides);
  const resists = movement.otherHand === 'resists';
  return forms.flatMap((form) =>
    HANDS.flatMap((hand): Moment[] => {
      if (working.includes(hand)) {
        return [form.demand, ...form.others].map((demand) => ({ hand, form, demand: demand[hand] }));
      }
      if (resists) return [{ hand, form, demand: pushingBack(form.demand[otherHand(hand)]) }];
      const beside = form.demand.beside?.[hand];
      return beside && beside.loadN > 0 ? [{ hand, form, demand: beside }] : [];
    }),
  );
}

/** A hand that holds against the other one is as busy as that one, with its own wrist where it likes it. */
const pushingBack = ({ effortPercent }: HandDemand): HandDemand => ({
  ...{ loadN: 0, loadPercentBW: 0, efforts: [], effortPercent },
  ...{ angle: null, stretchNm: 0 },
});
