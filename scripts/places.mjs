import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const DATA = join(ROOT, '.data');
/** The compiler. `typescript` beside it is the library that the layout check reads sources with. */
export const TSC = join(ROOT, 'node_modules/typescript-native/bin/tsc');
/** Held by the one start that runs, or is about to. */
export const LOCK = join(DATA, 'start.lock');
/** Where backups of the private database are kept. */
export const BACKUPS = join(DATA, 'backups');
/** What a running start tells about itself. */
export const RUNNING = join(DATA, 'running.json');
