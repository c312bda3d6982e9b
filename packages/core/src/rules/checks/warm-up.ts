import type { BlockView } from '../../effort/session-view.js';
import { isFree } from './block-views.js';
import type { Phase } from '../../vocabulary/phases.js';

const WARM_UP: readonly Phase[] = ['prepare', 'range'];
export const inWarmUp = ({ block }: BlockView) => WARM_UP.includes(block.phase);
export const bearsBody = ({ level }: BlockView) => level.load.kind === 'body' || level.load.kind === 'hang';

/** Easy rocks and touches below this effort are themselves the way into a range. Working value. */
export const LOADS_FROM_PERCENT = 20;
export const loads = (view: BlockView) =>
  !isFree(view) && (view.effortPercent >= LOADS_FROM_PERCENT || bearsBody(view));
