import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const DATA = join(ROOT, '.data');
/** What a running start tells about itself. */
export const RUNNING = join(DATA, 'running.json');
