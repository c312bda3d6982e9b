import type { BlockView, SessionView } from '../../effort/session-view.js';

/** Blocks of one movement with the seconds of work of each hand. */
export function byMovement({ blocks }: SessionView) {
  const groups = new Map<string, BlockView[]>();
  for (const view of blocks) groups.set(view.movement.id, [...(groups.get(view.movement.id) ?? []), view]);
  return [...groups.values()].map((views) => ({
    views,
    workS: {
      left: views.reduce((sum, { account }) => sum + account.left.workS, 0),
      right: views.reduce((sum, { account }) => sum + account.right.workS, 0),
    },
  }));
}
