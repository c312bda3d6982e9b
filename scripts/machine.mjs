import { existsSync } from 'node:fs';
import { runToEnd } from './processes.mjs';
import { Told } from './told.mjs';

/** Debian packages and the file that proves each is there. The server core brings no service that starts by itself. */
const NEEDS = {
  database: { file: '/usr/sbin/mariadbd', packages: ['mariadb-server-core', 'mariadb-client-core'] },
  browser: { file: '/usr/bin/chromium', packages: ['chromium'] },
};

/** Installs what is missing when run as root; tells an ordinary user exactly what to install. */
export async function ensureOnMachine(...names) {
  const missing = names.map((name) => NEEDS[name]).filter((need) => !existsSync(need.file));
  if (!missing.length) return;
  const packages = missing.flatMap((need) => need.packages);
  if (process.getuid?.() !== 0) {
    throw new Told(`These Debian packages are missing. Install them, then run this again:

  sudo apt-get update && sudo apt-get install --no-install-recommends ${packages.join(' ')}
`);
  }
  console.log(`Installing ${packages.join(', ')} …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await runToEnd('apt-get', ['update'], { env, quiet: true });
  await runToEnd('apt-get', ['install', '-y', '--no-install-recommends', ...packages], { env, quiet: true });
}
