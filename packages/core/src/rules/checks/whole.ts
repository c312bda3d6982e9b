import type { SessionView } from '../../effort/session-view.js';

/** A session with fewer blocks than this is a piece of a day: it need not be whole. */
export const WHOLE_FROM_BLOCKS = 6;
/** Whether a session is long enough to be judged as a whole. */
export const isWhole = ({ blocks }: SessionView) => blocks.length >= WHOLE_FROM_BLOCKS;
