// Kills the server and the database at random while phones record: nothing that was acknowledged may be lost, doubled or altered.
//   node benchmarks/faults.mjs [acknowledged] [seed]     BENCH=small for a moment of it. Its database is its own and removed at the end.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { setTimeout as sleep } from 'node:timers/promises';
import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { removeDatabase, startDatabase } from '../scripts/database.mjs';
import { freePort } from '../scripts/processes.mjs';
import { randomOf } from './fuzz/random.mjs';

const SMALL = process.env.BENCH === 'small';
const MEANT = Number(process.argv[2] ?? (SMALL ? 60 : 10_000));
const random = randomOf(Number(process.argv[3] ?? 32));
const NAME = 'faults';
const WRITERS = 12;
const SESSIONS = 40;
/** Between two kills, milliseconds. */
const [SOONEST, LATEST] = SMALL ? [300, 900] : [1500, 5000];
const DAY = '2026-06-01';
const KINDS = ['sets', 'reports', 'readings'];

const answers = new Map();

removeDatabase(NAME);
let database = await startDatabase(NAME);
const port = await freePort(0);
let server = await startServer();
const base = `http://127.0.0.1:${port}/api`;
const door = await fetch(`${base}/front-door/demo`, { method: 'POST' });
const headers = { cookie: String(door.headers.get('set-cookie')).split(';')[0], 'content-type': 'application/json' };
const read = async (path) => (await fetch(`${base}${path}`, { headers })).json();

const [athlete] = await read('/athletes');
const sequence = (await read('/sequences')).find(({ title }) => title === 'Warm thumbs');
const { document: plan } = await read(`/sequences/${sequence.id}`);
const sessions = Array.from({ length: SESSIONS }, () => uuid());
for (const id of sessions) {
  const body = { athleteId: athlete.id, sequenceId: sequence.id, startedAt: new Date().toISOString(), plan };
  await send(`/sessions/${id}`, body);
}

const kills = { server: 0, database: 0, both: 0 };
const sent = new Map();
const acknowledged = new Map();
let isOver = false;
const began = performance.now();
const killing = killer();
await Promise.all(Array.from({ length: WRITERS }, () => writer()));
isOver = true;
await killing;
const seconds = (performance.now() - began) / 1000;
await untilReady();
const faults = await compared();
const count = Object.values(kills).reduce((sum, each) => sum + each, 0);
console.log(`${acknowledged.size} writes acknowledged in ${seconds.toFixed(0)} s, ${sent.size} sent`);
console.log(
  `${count} kills: ${Object.entries(kills)
    .map(([what, n]) => `${what} ${n}`)
    .join(', ')}`,
);
console.log(
  `answers: ${[...answers]
    .sort()
    .map(([status, n]) => `${status} × ${n}`)
    .join(', ')}`,
);
console.log(
  `${faults.lost} lost, ${faults.doubled} doubled, ${faults.altered} altered, ${faults.strange} that nobody sent, ${faults.sums} sums wrong`,
);
server.kill('SIGTERM');
await once(server, 'exit');
await database.stop();
removeDatabase(NAME);
if (Object.values(faults).some((each) => each > 0)) process.exitCode = 1;

/** A phone: sends the next thing once the one before is acknowledged, and the same again while it isn’t. */
async function writer() {
  while (acknowledged.size < MEANT) {
    const id = uuid();
    const kind = random.one(KINDS);
    const sessionId = random.one(sessions);
    const block = random.one(plan.blocks);
    // Told apart from all others by its amount and its instant.
    const amount = 1 + (sent.size % 999);
    const at = new Date(Date.now() + sent.size).toISOString();
    const path = kind === 'readings' ? `/athletes/${athlete.id}/readings/${id}` : `/sessions/${sessionId}/${kind}/${id}`;
    const body = bodyOf(kind, { block, amount, at });
    sent.set(id, { kind, sessionId, amount: kind === 'reports' ? amount % 11 : amount });
    await send(path, body);
    acknowledged.set(id, sent.get(id));
  }
}

function bodyOf(kind, { block, amount, at }) {
  if (kind === 'sets') {
    const { id: blockId, movementId, levelId } = block;
    const done = { set: 1, side: 'both', direction: null, unit: 'repetitions', plannedAmount: 12, doneAmount: amount };
    return { blockId, movementId, levelId, ...done, endedAt: at, corrects: null };
  }
  if (kind === 'reports') return { blockId: block.id, discomfort: amount % 11, exertion: 4, note: '', at };
  return { kind: 'maximum', of: 'grip', hand: 'left', value: amount, onDay: DAY, isSure: true };
}

async function send(path, body) {
  for (;;) {
    const answer = await fetch(`${base}${path}`, {
      method: 'PUT',
      headers,
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(15_000),
    }).catch((error) => ({ status: error.name === 'TimeoutError' ? 'timeout' : 'gone', ok: false }));
    answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1);
    if (answer.ok) return;
    if (typeof answer.status === 'number' && answer.status !== 503) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
    await sleep(100);
  }
}

async function killer() {
  while (!isOver) {
    await sleep(SOONEST + random.next() * (LATEST - SOONEST));
    if (isOver) return;
    const what = random.one(Object.keys(kills));
    kills[what]++;
    if (what !== 'server') await killDatabase();
    if (what !== 'database') {
      server.kill('SIGKILL');
      await once(server, 'exit');
    }
    if (what !== 'server') database = await startDatabase(NAME, { onPort: database.port });
    if (what !== 'database') server = await startServer();
  }
}

async function killDatabase() {
  process.kill(database.pid, 'SIGKILL');
  await database.ended;
}

async function startServer() {
  for (;;) {
    const env = { ...process.env, DATABASE_URL: `${database.url}clay_pot`, PORT: String(port), LOG_LEVEL: 'fatal' };
    const child = spawn(process.execPath, ['packages/server/dist/main.js'], { env, stdio: ['ignore', 'ignore', 'ignore', 'ipc'] });
    const outcome = await Promise.race([once(child, 'message').then(() => 'listening'), once(child, 'exit')]);
    if (outcome === 'listening') return child;
  }
}

async function untilReady() {
  while (!(await fetch(`${base}/health/ready`).catch(() => ({ ok: false }))).ok) await sleep(100);
}

/** What is stored beside what was acknowledged. */
async function compared() {
  const sql = await mysql.createConnection(`${database.url}clay_pot`.replace(/^mariadb:/, 'mysql:'));
  const rows = async (text) => (await sql.query(text, [sessions]))[0];
  const stored = [
    ...(await rows('SELECT id, session_id AS sessionId, done_amount AS amount FROM done_sets WHERE session_id IN (?)')),
    ...(await rows('SELECT id, session_id AS sessionId, discomfort AS amount FROM block_reports WHERE session_id IN (?)')),
    ...(await rows('SELECT id, NULL AS sessionId, value AS amount FROM readings WHERE is_sure = 1 OR id IN (?)')).filter(({ id }) =>
      sent.has(id),
    ),
  ];
  await sql.end();
  const found = { lost: 0, doubled: 0, altered: 0, strange: 0, sums: 0 };
  const seen = new Map();
  for (const row of stored) {
    if (seen.has(row.id)) found.doubled++;
    seen.set(row.id, row);
    const was = sent.get(row.id);
    if (!was) found.strange++;
    else if (Number(row.amount) !== was.amount || (was.kind !== 'readings' && row.sessionId !== was.sessionId)) found.altered++;
  }
  for (const id of acknowledged.keys()) if (!seen.has(id)) found.lost++;
  const { completion } = await import('../packages/core/dist/index.js');
  for (const id of sessions) {
    const record = await read(`/sessions/${id}`);
    if (Math.abs(record.completion - completion(record.rows)) > 1e-9) found.sums++;
  }
  return found;
}
