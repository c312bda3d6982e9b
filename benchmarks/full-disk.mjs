// Fills the disk under the database, then stalls the database: writes are refused with the reason, reads go on, and all works again without a restart.
//   node benchmarks/full-disk.mjs     As root, since it mounts a small disk of memory for its own database, which is removed at the end.
import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { v7 as uuid } from 'uuid';
import { startDatabase } from '../scripts/database.mjs';
import { DATA } from '../scripts/places.mjs';
import { freePort } from '../scripts/processes.mjs';

const NAME = 'full-disk';
const DISK = join(DATA, NAME);
const FILL = join(DISK, 'fill');
const MB = 1_048_576;
const WITHIN_MS = 10_000;

mkdirSync(DISK, { recursive: true });
execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=420M', 'tmpfs', DISK]);
const database = await startDatabase(NAME);
const port = await freePort(0);
const env = { ...process.env, DATABASE_URL: `${database.url}clay_pot`, PORT: String(port), LOG_LEVEL: 'fatal' };
const server = spawn(process.execPath, ['packages/server/dist/main.js'], { env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
await once(server, 'message');
const base = `http://127.0.0.1:${port}/api`;
const door = await fetch(`${base}/front-door/demo`, { method: 'POST' });
const headers = { cookie: String(door.headers.get('set-cookie')).split(';')[0], 'content-type': 'application/json' };
const read = async (path) => (await fetch(`${base}${path}`, { headers })).json();
const [listed] = await read('/sequences');
const { document } = await read(`/sequences/${listed.id}`);
const problems = [];

const before = await write();
await fillDisk();
const refused = await untilStatus(507);
const reads = [
  (await fetch(`${base}/athletes?find=a`, { headers })).status,
  (await fetch(`${base}/sequences/${before.id}`, { headers })).status,
];
rmSync(FILL);
const after = await untilStatus(200);
console.log(
  `full: ${refused.status} ${refused.detail} (${refused.ms} ms); reads ${reads.join(', ')}; with room again: ${after.status} after ${after.waitedMs} ms`,
);
if (refused.status !== 507 || reads.some((status) => status !== 200) || after.status !== 200) problems.push('A full disk was not handled.');

process.kill(database.pid, 'SIGSTOP');
const [stalledRead, stalledWrite] = await Promise.all([timed(() => fetch(`${base}/athletes?find=b`, { headers })), write()]);
process.kill(database.pid, 'SIGCONT');
const again = await untilStatus(200);
console.log(
  `stalled: read ${stalledRead.status} after ${stalledRead.ms} ms; write ${stalledWrite.status} ${stalledWrite.detail}; going again: ${again.status} after ${again.waitedMs} ms`,
);
if (stalledRead.status !== 503 || stalledWrite.status !== 503 || again.status !== 200) problems.push('A stalled database was not handled.');

server.kill('SIGTERM');
await once(server, 'exit');
await database.stop();
await sleep(500);
execFileSync('umount', [DISK]);
rmSync(DISK, { recursive: true, force: true });
for (const problem of problems) console.log(problem);
if (problems.length > 0) process.exitCode = 1;

async function timed(ask) {
  const start = performance.now();
  const answer = await ask();
  const detail = answer.ok ? '' : (await answer.json()).detail;
  return { status: answer.status, detail, ms: Math.round(performance.now() - start) };
}

async function write() {
  const id = uuid();
  const body = JSON.stringify({ ...document, title: `Kept ${id}`, purpose: 'x'.repeat(200) });
  return { id, ...(await timed(() => fetch(`${base}/sequences/${id}`, { method: 'PUT', headers, body }))) };
}

/** Writes until it is answered so. */
async function untilStatus(status) {
  const start = performance.now();
  for (;;) {
    const answer = await write();
    const waitedMs = Math.round(performance.now() - start);
    if (answer.status === status || waitedMs > WITHIN_MS) return { ...answer, waitedMs };
    await sleep(50);
  }
}

async function fillDisk() {
  const file = createWriteStream(FILL);
  const full = new Promise((resolve) => file.once('error', resolve));
  const block = Buffer.alloc(MB);
  let isFull = false;
  void full.then(() => (isFull = true));
  while (!isFull) if (!file.write(block)) await Promise.race([once(file, 'drain').catch(() => undefined), full]);
}
