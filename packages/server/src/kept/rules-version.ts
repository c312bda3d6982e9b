import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const LENGTH = 16;

/** The version of everything that is computed: what an older program kept is computed again by a newer one. */
export const RULES_VERSION = versionOf(dirname(createRequire(import.meta.url).resolve('@clay-pot/core')));

function versionOf(folder: string): string {
  const hash = createHash('sha256');
  for (const path of readdirSync(folder, { recursive: true }).map(String).sort()) {
    if (path.endsWith('.js')) hash.update(path).update(readFileSync(join(folder, path)));
  }
  return hash.digest('hex').slice(0, LENGTH);
}
