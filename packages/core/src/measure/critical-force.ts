import { mean } from 'simple-statistics';
import { published, working } from '../vocabulary/constant.js';

/** The test: as hard as possible every time, so many times so long, with so long between. */
export const ALL_OUT = {
  contractions: published('All-out test', 24, 'contractions', 'Giles et al. 2021, Int J Sports Physiol Perform 16:1661–8').value,
  workS: published('All-out test, squeeze', 7, 's', 'Giles et al. 2021').value,
  restS: published('All-out test, rest', 3, 's', 'Giles et al. 2021').value,
} as const;
/** The end of the test: what can be kept up. */
const LAST = published('Critical force', 3, 'last contractions', 'Giles et al. 2021: the mean of the last three').value;
/** Still falling by more than this between the last three and the three before. */
const STILL_FALLING = working('Still falling', 0.05, 'of the force', 'twice what a hand’s contractions scatter by', [0.03, 0.08]).value;
/** Fewer contractions do not reach the end. */
export const FEWEST_CONTRACTIONS = 12;

/** What an all-out intermittent test tells. */
export interface CriticalForce {
  /** The force that can be kept up in this rhythm, N. */
  readonly criticalForceN: number;
  /** Impulse that was done above it: what can be done above it once, N·s. */
  readonly capacityAboveNs: number;
  /** Critical force in percent of the best contraction. */
  readonly percentOfBest: number;
  readonly bestN: number;
  /** What was left above critical force after each contraction, N·s, from all of it to nothing. */
  readonly leftNs: readonly number[];
  /** What keeps the numbers from being plain, in words. */
  readonly faults: readonly string[];
}

/**
 * Critical force and the work capacity above it. @param contractionsN mean force of each contraction, in order, N
 * @param workS seconds that each lasted
 * @throws RangeError with fewer than `FEWEST_CONTRACTIONS`
 * @example criticalForceOf([...Array(21).fill(300), 200, 200, 200]).criticalForceN → 200
 */
export function criticalForceOf(contractionsN: readonly number[], workS: number = ALL_OUT.workS): CriticalForce {
  if (contractionsN.length < FEWEST_CONTRACTIONS) {
    throw new RangeError(`At least ${FEWEST_CONTRACTIONS} contractions are needed, not ${contractionsN.length}.`);
  }
  const criticalForceN = mean(contractionsN.slice(-LAST));
  const bestN = Math.max(...contractionsN);
  const above = contractionsN.map((force) => (force - criticalForceN) * workS);
  const capacityAboveNs = above.reduce((sum, each) => sum + each, 0);
  let used = 0;
  const leftNs = above.map((each) => capacityAboveNs - (used += each));
  return {
    criticalForceN,
    capacityAboveNs,
    percentOfBest: (100 * criticalForceN) / bestN,
    bestN,
    leftNs,
    faults: faultsOfTest(contractionsN, criticalForceN, bestN),
  };
}

function faultsOfTest(forces: readonly number[], criticalForceN: number, bestN: number): string[] {
  const faults: string[] = [];
  const before = mean(forces.slice(-2 * LAST, -LAST));
  if (forces.length < ALL_OUT.contractions) {
    faults.push(`${forces.length} of ${ALL_OUT.contractions} contractions: critical force is probably lower than this.`);
  }
  if (before > criticalForceN * (1 + STILL_FALLING)) {
    faults.push('The force was still dropping at the end: critical force is at most this value.');
  }
  if (criticalForceN > before * (1 + STILL_FALLING)) {
    faults.push('The last contractions were harder than the ones before: the earlier ones weren’t all-out.');
  }
  if (Math.max(...forces.slice(0, LAST)) < 0.9 * bestN) {
    faults.push(
      'The first contractions weren’t the hardest: it wasn’t all-out from the start. The work above critical force reads too low.',
    );
  }
  const slack = forces.findIndex((force, index) => force < 0.5 * Math.min(forces[index - 1] ?? Infinity, forces[index + 1] ?? Infinity));
  if (slack > 0 && slack < forces.length - 1) faults.push(`Contraction ${slack + 1} was missed or slipped.`);
  return faults;
}

/**
 * How many contractions in the rhythm of the test a force above the critical one allows, rested, until nothing is left above it; Infinity at or below it. Of a hold
 * without rests it says nothing: between these contractions something comes back.
 * @example contractionsAbove({ criticalForceN: 200, capacityAboveNs: 3500 }, 300) → 5
 */
export const contractionsAbove = (
  { criticalForceN, capacityAboveNs }: Pick<CriticalForce, 'criticalForceN' | 'capacityAboveNs'>,
  forceN: number,
  workS: number = ALL_OUT.workS,
): number => (forceN <= criticalForceN ? Infinity : Math.floor(capacityAboveNs / ((forceN - criticalForceN) * workS)));

/** How often a share of the best contraction can be repeated with all that there is above the critical force. */
export interface RepeatsAbove {
  readonly percentOfBest: number;
  readonly forceN: number;
  readonly contractions: number;
}

const REPEATS_AT = [60, 70, 80, 90] as const;

/** Contractions at shares of the best one that lie above the critical force. @param workS seconds that each lasts */
export const repeatsAbove = (
  result: Pick<CriticalForce, 'criticalForceN' | 'capacityAboveNs' | 'bestN'>,
  workS: number = ALL_OUT.workS,
): RepeatsAbove[] =>
  REPEATS_AT.map((percentOfBest) => {
    const forceN = (result.bestN * percentOfBest) / 100;
    return { percentOfBest, forceN, contractions: contractionsAbove(result, forceN, workS) };
  }).filter(({ contractions }) => Number.isFinite(contractions));
