import { enduranceDoseOf } from './compartments.js';
import type { EffortSpan } from './effort-timeline.js';
import { ratesOf } from './rates.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';

/** What one group does in one block: its peak with its spread, its dose, and for how long. */
export interface BlockSum {
  readonly effort: number;
  readonly logSd: number;
  readonly dose: number;
  readonly seconds: number;
}

const NOTHING: BlockSum = { effort: 0, logSd: 0, dose: 0, seconds: 0 };

/** The work of one group, block by block: the one place where doses are added up. */
export function sumsByBlock(key: SideGroup, spans: readonly EffortSpan[]): ReadonlyMap<string, BlockSum> {
  const rates = ratesOf(partsOf(key).group);
  const sums = new Map<string, BlockSum>();
  for (const { blockId, startMs, endMs, effort, charged, logSd } of spans) {
    const before = sums.get(blockId) ?? NOTHING;
    const spanS = (endMs - startMs) / 1000;
    const dose = before.dose + enduranceDoseOf(rates, effort, spanS, charged);
    const seconds = before.seconds + spanS;
    const harder = effort > before.effort;
    sums.set(blockId, {
      effort: harder ? effort : before.effort,
      logSd: harder ? logSd : before.logSd,
      dose,
      seconds,
    });
  }
  return sums;
}
