import { setPriority } from 'node:os';
import { isMainThread } from 'node:worker_threads';

/** A little below the rest: on a full machine such a thread still gets a third of what others get. */
const NICENESS = 3;

// On Linux a thread has a priority of its own: answering requests goes before computing. Elsewhere it would be the whole process’s.
if (!isMainThread && process.platform === 'linux') setPriority(0, NICENESS);

export * from '@clay-pot/core/answers';
export { answerCalendar } from '../calendar/calendar-work.js';
