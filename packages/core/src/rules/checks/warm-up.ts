import type { BlockView } from '../../effort/session-view.js';
import { isFree } from './block-views.js';
import type { Phase } from '../../vocabulary/phases.js';

/** Phases of the warm-up. */
export const WARM_UP: readonly Phase[] = ['prepare', 'range'];
/** Whether a block belongs to the warm-up. */
export const inWarmUp = ({ block }: BlockView) => WARM_UP.includes(block.phase);
/** Whether body weight rests on the hands in it. */
export const bearsBody = ({ level }: BlockView) => level.load.kind === 'body' || level.load.kind === 'hang';

/** Easy rocks and touches below this effort are themselves the way into a range. Working value. */
export const LOADS_FROM_PERCENT = 20;
/** Whether a block loads anything. */
export const loads = (view: BlockView) => !isFree(view) && (view.effortPercent >= LOADS_FROM_PERCENT || bearsBody(view));
