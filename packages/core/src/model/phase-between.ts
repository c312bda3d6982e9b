import { type Phase, PHASES, WORK } from '../vocabulary/phases.js';
import { type Level, type Movement, USUAL_PHASE } from './movement.js';

/** Where a block comes to stand whose phase nobody named. */
export interface Neighbours {
  /** The phase of the block before it. */
  readonly before?: Phase | undefined;
  /** The phase of the block after it, where that is known. */
  readonly after?: Phase | undefined;
  /** Whether anything that loads comes later. */
  readonly loadFollows: boolean;
}

const rankOf = (phase: Phase) => PHASES.indexOf(phase);

/**
 * The phase of a block that was added or written without one: its usual phase where that lies between its neighbours; the cool-down for what is light
 * once the work is over; otherwise the phase of the block before it. A phase never moves a block.
 */
export function phaseBetween({ family }: Movement, { loading }: Level, { before, after, loadFollows }: Neighbours): Phase {
  const usual = USUAL_PHASE[family];
  const [from, to] = boundsOf(before, after);
  if (rankOf(usual) >= rankOf(from) && rankOf(usual) <= rankOf(to)) return usual;
  if (isWorking(usual) && isWorking(to) && rankOf(usual) > rankOf(to)) return to;
  const isLight = loading === 'unloaded' || loading === 'assisted';
  const isOver = (isWorking(before) || before === 'settle') && !loadFollows;
  if (isLight && isOver && to === 'settle') return 'settle';
  return before ?? after ?? usual;
}

const isWorking = (phase: Phase | undefined): boolean => phase !== undefined && WORK.includes(phase);

/** The earliest and the latest phase that fit there. */
function boundsOf(before: Phase | undefined, after: Phase | undefined): readonly [from: Phase, to: Phase] {
  const from = before ?? 'prepare';
  if (after === undefined) return [from, 'settle'];
  return [from, rankOf(after) >= rankOf(from) ? after : from];
}
