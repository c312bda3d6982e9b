import { must } from '../../vocabulary/lists.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { WORK } from '../../vocabulary/phases.js';

/** The blocks’ ids. */
export const ids = (views: readonly BlockView[]) => views.map(({ block }) => block.id);
/** Moved by the own muscles alone, or helped. */
export const isFree = ({ level }: Pick<BlockView, 'level'>) => level.loading === 'unloaded' || level.loading === 'assisted';
/** What the warm-up prepares for. */
export const isWork = ({ block }: BlockView) => WORK.includes(block.phase);

/** The block with an id that the timeline or the efforts name. */
export const blockOf = ({ blocks }: SessionView, id: string): BlockView =>
  must(
    blocks.find(({ block }) => block.id === id),
    `a block ${id}`,
  );
