import type { SessionView } from '../../effort/session-view.js';

/** A session with fewer blocks than this is a piece of a day: it need not be whole. */
export const WHOLE_FROM_BLOCKS = 6;
/** Whether it is a cool-down by itself: what a session before it needed, it needs no more. */
export const isCoolDown = ({ blocks }: SessionView) => blocks.length > 0 && blocks.every(({ block }) => block.phase === 'settle');
/** Whether a session is long enough to be judged as a whole. */
export const isWhole = (view: SessionView) => view.blocks.length >= WHOLE_FROM_BLOCKS && !isCoolDown(view);

/** Most movements of a class by the clock are timed alike. Working value. */
const TIMED_SHARE = 0.8;
/** Whether it is a class by the clock: nearly all movements take the same seconds, so that everybody changes together. */
export function isTimedClass({ blocks }: SessionView): boolean {
  const timed = blocks.flatMap(({ block: { dose } }) => (dose.work.kind === 'time' ? [dose.work.seconds] : []));
  const most = Math.max(0, ...timed.map((seconds) => timed.filter((other) => other === seconds).length));
  return blocks.length >= WHOLE_FROM_BLOCKS && most >= TIMED_SHARE * blocks.length;
}
