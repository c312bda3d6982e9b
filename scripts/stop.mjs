import { existsSync, readFileSync, rmSync } from 'node:fs';
import { removeDatabase, stopDatabase } from './database.mjs';
import { RUNNING } from './places.mjs';
import { endProcess, isOurs } from './processes.mjs';

/** Ends a running start; also what a killed one left behind. */
export async function stop({ quiet = false } = {}) {
  let ended = false;
  if (existsSync(RUNNING)) {
    const { pid, server } = JSON.parse(readFileSync(RUNNING, 'utf8'));
    ended = isOurs(pid, 'clay-pot') || isOurs(server, 'server/dist/main.js');
    await endProcess(pid, 'clay-pot');
    await endProcess(server, 'server/dist/main.js');
    rmSync(RUNNING, { force: true });
  }
  ended = (await stopDatabase('demo')) || ended;
  if (!quiet) console.log(ended ? 'Stopped.' : 'Nothing was running.');
}

export async function reset() {
  await stop({ quiet: true });
  removeDatabase('demo');
  console.log('Private database deleted. The next start seeds the demo studio again.');
}
