import { itemAt } from '../vocabulary/lists.js';
import type { EffortTimeline } from './effort-timeline.js';
import { sumsByBlock } from './block-sums.js';
import type { HandDemand } from '../mechanics/demand.js';
import { carryDistanceM } from '../mechanics/external-load.js';
import { findLevel, type MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { type Timeline, workedMs } from '../timeline/timeline.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';
import { working } from '../vocabulary/constant.js';

/** Moving the empty hand is not load: below this share of the maximum, with nothing on the hand, time does not count. */
export const LOADED_FROM_PERCENT = working('Under load', 5, '% of maximum', 'less is the weight of the empty hand', [3, 10]).value; // prettier-ignore

/** What one block comes to on one hand. Loads and efforts are those of its work, not an average with its pauses. */
export interface BlockHand {
  readonly workS: number;
  readonly loadN: number;
  readonly loadPercentBW: number;
  /** The hardest muscle group's share of its maximum, percent. */
  readonly effortPercent: number;
  /** Four fifths of people of whom as much is known lie between. */
  readonly effortInterval: readonly [low: number, high: number];
  /** Largest endurance dose of any of its groups. */
  readonly enduranceDose: number;
  readonly repetitions: number;
}
/** What one block comes to for each hand. */
export interface BlockAccount {
  readonly blockId: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly left: BlockHand;
  readonly right: BlockHand;
}

/** Sums of a session on one hand. */
export interface HandAccount {
  readonly workS: number;
  /** With weight on the hand, a stretch, or at least a twentieth of some muscle's maximum. */
  readonly underLoadS: number;
  /** Weight on the hand times time, N·s; presses against one's own other hand have none. */
  readonly impulseNs: number;
  readonly repetitions: number;
  /** Distance walked with a load in the hand. */
  readonly carryM: number;
}

/** What a session comes to: for each hand, each muscle group and each block. */
export interface SessionAccount {
  readonly hands: Readonly<Record<Hand, HandAccount>>;
  readonly blocks: readonly BlockAccount[];
  /** Σ time over endurance time, per group and side: 1 is one hold to failure's worth. */
  readonly doses: ReadonlyMap<SideGroup, number>;
  /** Seconds in which a group works at all. */
  readonly groupS: ReadonlyMap<SideGroup, number>;
}

/** Adds up what a timeline asks of both hands. @param efforts of the same timeline */
export function accountOf(
  sequence: Sequence,
  timeline: Timeline,
  efforts: EffortTimeline,
  lookup: MovementLookup,
): SessionAccount {
  const { doses, groupS, blockDoses } = groupSums(efforts);
  const sums = timeline.blocks.map((): Record<Hand, Sums> => ({ left: { ...NOTHING }, right: { ...NOTHING } }));
  for (const event of timeline.events) {
    if (event.stint === null) continue;
    const seconds = workedMs(event) / 1000;
    const demand = efforts.demands[event.blockIndex] ?? null;
    for (const hand of HANDS) {
      const sum = itemAt(sums, event.blockIndex)[hand];
      if (event.side === 'both' || event.side === hand) {
        sum.workS += seconds;
        if (event.kind === 'repetition') sum.repetitions += 1;
        sum.impulseNs += seconds * (demand?.[hand].loadN ?? 0);
      } else {
        // A planted hand that waits still bears.
        const besideN = demand?.beside?.[hand].loadN ?? 0;
        sum.impulseNs += seconds * besideN;
        if (besideN > 0) sum.besideS += seconds;
      }
    }
  }
  const blocks = timeline.blocks.map(({ blockId, startMs, endMs }, index): BlockAccount => {
    const demand = efforts.demands[index] ?? null;
    const of = (hand: Hand): BlockHand => {
      const { workS, repetitions } = itemAt(sums, index)[hand];
      return {
        workS,
        repetitions,
        ...loadOf(demand?.[hand], workS),
        enduranceDose: blockDoses.get(`${blockId} ${hand}`) ?? 0,
      };
    };
    return { blockId, startMs, endMs, left: of('left'), right: of('right') };
  });
  return { hands: { left: handSums('left'), right: handSums('right') }, blocks, doses, groupS };

  function handSums(hand: Hand): HandAccount {
    const total = { workS: 0, underLoadS: 0, impulseNs: 0, repetitions: 0, carryM: 0 };
    blocks.forEach((block, index) => {
      const { workS, loadN, repetitions, effortPercent } = block[hand];
      const { impulseNs, besideS } = itemAt(sums, index)[hand];
      const stretched = (efforts.demands[index]?.[hand].stretchNm ?? 0) > 0;
      total.workS += workS;
      total.repetitions += repetitions;
      total.impulseNs += impulseNs;
      total.underLoadS += besideS;
      if (loadN > 0 || stretched || effortPercent >= LOADED_FROM_PERCENT) total.underLoadS += workS;
      if (isCarried(sequence, index, lookup)) total.carryM += carryDistanceM(workS);
    });
    return total;
  }
}

/** What one block comes to on one hand; `besideS` is time in which it bears while the other works. */
interface Sums {
  workS: number;
  repetitions: number;
  impulseNs: number;
  besideS: number;
}
const NOTHING: Sums = { workS: 0, repetitions: 0, impulseNs: 0, besideS: 0 };

const NO_LOAD = { loadN: 0, loadPercentBW: 0, effortPercent: 0, effortInterval: [0, 0] } as const;

/** A hand that does no work in a block carries nothing in it. */
function loadOf(demand: HandDemand | undefined, workS: number) {
  if (!demand || workS === 0) return NO_LOAD;
  const { loadN, loadPercentBW, effortPercent, efforts } = demand;
  return { loadN, loadPercentBW, effortPercent, effortInterval: efforts[0]?.interval ?? NO_LOAD.effortInterval };
}

function isCarried(sequence: Sequence, index: number, lookup: MovementLookup): boolean {
  const block = itemAt(sequence.blocks, index);
  const movement = lookup(block.movementId);
  const load = movement && findLevel(movement, block.levelId)?.load;
  return load?.kind === 'lift' && load.distanceM !== undefined;
}

function groupSums({ spans }: EffortTimeline) {
  const doses = new Map<SideGroup, number>();
  const groupS = new Map<SideGroup, number>();
  const blockDoses = new Map<string, number>();
  for (const [key, list] of spans) {
    let [dose, seconds] = [0, 0];
    for (const [blockId, sum] of sumsByBlock(key, list)) {
      dose += sum.dose;
      seconds += sum.seconds;
      const at = `${blockId} ${partsOf(key).hand}`;
      blockDoses.set(at, Math.max(blockDoses.get(at) ?? 0, sum.dose));
    }
    doses.set(key, dose);
    groupS.set(key, seconds);
  }
  return { doses, groupS, blockDoses };
}

/** What a block asks at most, of the hands that work in it. */
export const hardestPercent = ({ left, right }: BlockAccount) => Math.max(left.effortPercent, right.effortPercent);
