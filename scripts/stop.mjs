import { existsSync, readFileSync, rmSync } from 'node:fs';
import { createInterface } from 'node:readline/promises';
import { join } from 'node:path';
import { keepBefore, overPrivate } from './backup.mjs';
import { removeDatabase, stopDatabase } from './database.mjs';
import { lockHolder } from './lock.mjs';
import { DATA, LOCK, RUNNING } from './places.mjs';
import { endProcess, isOurs } from './processes.mjs';
import { UserError } from './user-error.mjs';

/** Ends a running start; also what a killed one left behind. */
export async function stop({ quiet = false } = {}) {
  let ended = false;
  // One that is still starting has told nothing of itself yet.
  const starting = lockHolder(LOCK);
  if (starting !== null && starting !== process.pid && !existsSync(RUNNING)) {
    ended = true;
    await endProcess(starting, 'clay-pot');
  }
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

/** ./clay-pot reset [--yes]: asks first, and keeps what is there as a backup. */
export async function reset(options = []) {
  if (!options.includes('--yes') && !(await isSure())) throw new UserError('The database was kept.');
  await stop({ quiet: true });
  const kept = existsSync(join(DATA, 'demo')) ? await keepBefore('reset', overPrivate).catch((error) => notKept(error)) : null;
  removeDatabase('demo');
  console.log(`Private database deleted.${kept ? ` What was in it is in ${kept}.` : ''} The next start seeds the demo studio again.`);
}

/** A database that can't be read can't be kept: only who insists deletes it. */
function notKept(error) {
  throw new UserError(
    `The database was kept, because no backup could be made: ${error.message}\nTo delete it all the same, remove the folder .data/demo.`,
  );
}

async function isSure() {
  if (!process.stdin.isTTY) throw new UserError('This deletes the private database. Run it in a terminal, or with --yes.');
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asking.question('Delete all studios, athletes and sessions of the private database? Type yes: ');
  asking.close();
  return answer.trim().toLowerCase() === 'yes';
}
