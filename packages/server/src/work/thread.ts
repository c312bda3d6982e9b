import { constants, setPriority } from 'node:os';
import { isMainThread } from 'node:worker_threads';

// On Linux a thread has a priority of its own: answering requests goes before computing. Elsewhere it would be the whole process’s.
if (!isMainThread && process.platform === 'linux') setPriority(0, constants.priority.PRIORITY_BELOW_NORMAL);

export * from '@clay-pot/core/answers';
