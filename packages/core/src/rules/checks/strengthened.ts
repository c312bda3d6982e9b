import type { BlockView, SessionView } from '../../effort/session-view.js';
import { HANDS } from '../../vocabulary/hands.js';
import type { MuscleGroup } from '../../vocabulary/muscles.js';

/** A group is strengthened from this share of its maximum on, answered from the next. Working values. */
export const STRENGTHENED_PERCENT = 25;
/** From this effort on, work of the opposite group counts as an answer, percent. */
export const ANSWERED_PERCENT = 10;

/** The highest effort of a muscle group in a block, percent. */
export const groupEffort = ({ efforts }: SessionView, blockId: string, group: MuscleGroup) =>
  100 *
  Math.max(
    0,
    ...HANDS.flatMap((hand) =>
      (efforts.spans.get(`${hand} ${group}`) ?? []).filter((span) => span.blockId === blockId).map(({ effort }) => effort),
    ),
  );
/** Whether a block stretches a muscle group. */
export const stretches = ({ level, movement }: BlockView, group: MuscleGroup) =>
  level.load.kind === 'stretch' && movement.trains.includes(group);
