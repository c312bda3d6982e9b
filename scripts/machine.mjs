import { existsSync } from 'node:fs';
import { runToEnd } from './processes.mjs';
import { UserError } from './user-error.mjs';

const HEADLESS = '/usr/bin/chromium-headless-shell';
const CHROMIUM = '/usr/bin/chromium';

/**
 * Debian packages and the file that proves each is there. The server core brings no service that starts by itself.
 * Chromium without its window takes half the processor time of the whole one for the same page; the whole one serves where it is the only one there.
 */
const NEEDS = {
  database: { file: '/usr/sbin/mariadbd', packages: ['mariadb-server-core', 'mariadb-client-core'] },
  browser: { file: HEADLESS, packages: ['chromium-headless-shell'], instead: CHROMIUM },
};

/** The Chromium that tests, pictures and benches run in. */
export const chromiumPath = () => (existsSync(HEADLESS) ? HEADLESS : CHROMIUM);

/** Installs what is missing when run as root; tells an ordinary user exactly what to install. */
export async function ensureOnMachine(...names) {
  const missing = names.map((name) => NEEDS[name]).filter((need) => !existsSync(need.file));
  const asRoot = process.getuid?.() === 0;
  const wanted = asRoot ? missing : missing.filter((need) => !replaced(need));
  if (!wanted.length) return;
  const packages = wanted.flatMap((need) => need.packages);
  if (!asRoot) {
    throw new UserError(`These Debian packages are missing. Install them, then run this again:

  sudo apt-get update && sudo apt-get install --no-install-recommends ${packages.join(' ')}
`);
  }
  console.log(`Installing ${packages.join(', ')} …`);
  try {
    await install(packages);
  } catch (error) {
    if (!wanted.every(replaced)) throw error;
    console.log(`  ${error.message} Going on with ${wanted.map((need) => need.instead).join(', ')}.`);
  }
}

/** Whether something else is there that does the same, more slowly. */
const replaced = ({ instead }) => instead !== undefined && existsSync(instead);

async function install(packages) {
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await runToEnd('apt-get', ['update'], { env, quiet: true });
  await runToEnd('apt-get', ['install', '-y', '--no-install-recommends', ...packages], { env, quiet: true });
}
