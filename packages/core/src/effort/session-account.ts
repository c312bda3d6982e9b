import { itemAt, must } from '../vocabulary/lists.js';
import type { EffortTimeline } from './effort-timeline.js';
import { sumsByBlock } from './block-sums.js';
import type { HandDemand } from '../mechanics/demand.js';
import { carryDistanceM } from '../mechanics/external-load.js';
import { findLevel, type MovementLookup } from '../model/movement.js';
import { type Turn, turnKey } from '../model/rounds.js';
import type { Sequence } from '../model/sequence.js';
import { type Timeline, workedMs } from '../timeline/timeline.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';
import { working } from '../vocabulary/constant.js';

/** Moving the empty hand is not load: below this share of the maximum, with nothing on the hand, time does not count. */
export const LOADED_FROM_PERCENT = working('Under load', 5, '% of maximum', 'less is the weight of the empty hand', [3, 10]).value;

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
  /** From the start of its first turn to the end of its last, and the length of its turns together. */
  readonly startMs: number;
  readonly endMs: number;
  readonly lengthMs: number;
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

/** The figures of a hand’s account. */
export const HAND_FIGURES = ['workS', 'underLoadS', 'impulseNs', 'repetitions', 'carryM'] as const satisfies readonly (keyof HandAccount)[];

/** What a session comes to: for each hand, each muscle group and each block. */
export interface SessionAccount {
  readonly hands: Readonly<Record<Hand, HandAccount>>;
  readonly blocks: readonly BlockAccount[];
  /** In the timeline's order. */
  readonly turns: readonly TurnAccount[];
  /** Σ time over endurance time, per group and side: 1 is one hold to failure's worth. */
  readonly doses: ReadonlyMap<SideGroup, number>;
  /** Seconds in which a group works at all. */
  readonly groupS: ReadonlyMap<SideGroup, number>;
}

/** Adds up what a timeline asks of both hands. @param efforts of the same timeline */
export function accountOf(sequence: Sequence, timeline: Timeline, efforts: EffortTimeline, lookup: MovementLookup): SessionAccount {
  const { doses, groupS, blockDoses } = groupSums(efforts);
  const sums = timeline.turns.map((): Record<Hand, Sums> => ({ left: { ...NOTHING }, right: { ...NOTHING } }));
  const indexOf = new Map(timeline.turns.map((turn, index) => [turnKey(turn), index]));
  for (const event of timeline.events) {
    if (event.stint === null) continue;
    const seconds = workedMs(event) / 1000;
    const index = must(indexOf.get(turnKey(event)), 'a turn of every event');
    const demand = efforts.turnDemands[index] ?? null;
    for (const hand of HANDS) {
      const sum = itemAt(sums, index)[hand];
      if (event.side === 'both' || event.side === hand) {
        sum.workS += seconds;
        if (event.kind === 'repetition') sum.repetitions += 1;
        sum.impulseNs += seconds * (demand?.[hand].loadN ?? 0);
      } else {
        // A planted hand carries weight while it waits.
        const besideN = demand?.beside?.[hand].loadN ?? 0;
        sum.impulseNs += seconds * besideN;
        if (besideN > 0) sum.besideS += seconds;
      }
    }
  }
  const blockS = timeline.blocks.map((): Record<Hand, number> => ({ left: 0, right: 0 }));
  timeline.turns.forEach(({ blockIndex }, index) => {
    for (const hand of HANDS) itemAt(blockS, blockIndex)[hand] += itemAt(sums, index)[hand].workS;
  });
  const turns = timeline.turns.map(({ blockIndex, blockId, round }, index): TurnAccount => {
    const demand = efforts.turnDemands[index] ?? null;
    const of = (hand: Hand): BlockHand => {
      const { workS, repetitions } = itemAt(sums, index)[hand];
      // Rounds of a block share its dose by their work.
      const share = workS > 0 ? workS / itemAt(blockS, blockIndex)[hand] : 0;
      const enduranceDose = share * (blockDoses.get(`${blockId} ${hand}`) ?? 0);
      return { workS, repetitions, ...loadOf(demand?.[hand], workS), enduranceDose };
    };
    return { blockIndex, round, left: of('left'), right: of('right') };
  });
  const blocks = timeline.blocks.map((span, blockIndex): BlockAccount => {
    const mine = turns.filter((turn) => turn.blockIndex === blockIndex);
    const { blockId, startMs, endMs, lengthMs } = span;
    return { blockId, startMs, endMs, lengthMs, left: together(mine, 'left'), right: together(mine, 'right') };
  });
  return { hands: { left: handSums('left'), right: handSums('right') }, blocks, turns, doses, groupS };

  function handSums(hand: Hand): HandAccount {
    const total = { workS: 0, underLoadS: 0, impulseNs: 0, repetitions: 0, carryM: 0 };
    turns.forEach((turn, index) => {
      const { workS, loadN, repetitions, effortPercent } = turn[hand];
      const { impulseNs, besideS } = itemAt(sums, index)[hand];
      const stretched = (efforts.turnDemands[index]?.[hand].stretchNm ?? 0) > 0;
      total.workS += workS;
      total.repetitions += repetitions;
      total.impulseNs += impulseNs;
      total.underLoadS += besideS;
      if (loadN > 0 || stretched || effortPercent >= LOADED_FROM_PERCENT) total.underLoadS += workS;
      if (isCarried(sequence, turn.blockIndex, lookup)) total.carryM += carryDistanceM(workS);
    });
    return total;
  }
}

/** A block's turns on one hand: sums, and the load and effort of the hardest. */
function together(turns: readonly TurnAccount[], hand: Hand): BlockHand {
  const all = turns.map((turn) => turn[hand]);
  const hardest = all.reduce<BlockHand>(
    (most, each) => (each.effortPercent > most.effortPercent || each.loadN > most.loadN ? each : most),
    all[0] ?? NO_WORK,
  );
  const sum = (of: (each: BlockHand) => number) => all.reduce((total, each) => total + of(each), 0);
  return {
    ...hardest,
    workS: sum(({ workS }) => workS),
    enduranceDose: sum(({ enduranceDose }) => enduranceDose),
    repetitions: sum(({ repetitions }) => repetitions),
  };
}

/** The totals of one block for one hand; `besideS` is the time it carries weight while the other works. */
interface Sums {
  workS: number;
  repetitions: number;
  impulseNs: number;
  besideS: number;
}
const NOTHING: Sums = { workS: 0, repetitions: 0, impulseNs: 0, besideS: 0 };

/** What one turn of a block comes to for each hand. */
export interface TurnAccount extends Turn {
  readonly left: BlockHand;
  readonly right: BlockHand;
}

const NO_LOAD = { loadN: 0, loadPercentBW: 0, effortPercent: 0, effortInterval: [0, 0] } as const;

const NO_WORK: BlockHand = { workS: 0, repetitions: 0, enduranceDose: 0, ...NO_LOAD };

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
  return load?.kind === 'lift' && (load.distanceM !== undefined || block.dose.work.kind === 'distance');
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
