// A large studio at work: what each screen asks, over fifty connections, beside a bare handler with one indexed query in the same run.
//   node benchmarks/size.mjs [database]     TEST_DATABASE_URL names the database server; the database is seeded when it is not there (a few minutes).
//   BENCH=small asks the usual demo for a moment: that everything answers.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { copyDatabase } from '../scripts/copy-database.mjs';
import { freePort } from '../scripts/processes.mjs';
import { SERVER_FLAGS } from '../scripts/server-flags.mjs';
import { TEMPLATES } from '../scripts/templates.mjs';
import { load, together } from './size/load.mjs';

const SMALL = process.env.BENCH === 'small';
const server = process.env.TEST_DATABASE_URL;
if (!server) throw new Error('TEST_DATABASE_URL must name the database server.');
const database = SMALL ? 'clay_pot_test_size_small' : (process.argv[2] ?? 'clay_pot_test_size');
const ONLY = process.env.ONLY?.split(',');
const CONNECTIONS = 50;
const FOR_MS = SMALL ? 120 : 4000;
const ROUNDS = SMALL ? 2 : 10;
/** Share of the bare handler’s requests a second that each is meant to reach, and how many times its p99 it may take. */
const MOST_P99 = 10;
const MOST_MB = 500;
const FILLED_WITHIN_S = 20;
const HEALTH_MS = 100;

if (SMALL) await copyDatabase(server, TEMPLATES.demo, database);
else await createWhenMissing();
const sql = await mysql.createConnection((server + database).replace(/^mariadb:/, 'mysql:'));
const forgotten = SMALL || ONLY ? null : await sql.query('DELETE FROM kept_answers');
const [house, bare] = [await serve('packages/server/dist/main.js'), await serve('benchmarks/size/bare.mjs', [server + database])];
const base = `http://127.0.0.1:${house.port}/api`;
const door = await fetch(`${base}/front-door/demo`, { method: 'POST' });
// As a browser asks. The bare handler’s answers are small.
const headers = { cookie: String(door.headers.get('set-cookie')).split(';')[0], 'accept-encoding': 'gzip' };
const read = async (path) => (await fetch(`${base}${path}`, { headers })).json();

const [[{ studio_id: studioId }]] = await sql.query('SELECT studio_id FROM athletes LIMIT 1');
const ids = async (query) => (await sql.query(query))[0].map(({ id }) => id);
const athletes = await ids('SELECT id FROM athletes');
const counts = {};
for (const table of ['athletes', 'sessions', 'done_sets', 'readings', 'sequences', 'programmes']) {
  counts[table] = (await sql.query(`SELECT COUNT(*) AS n FROM ${table}`))[0][0].n;
}
console.log(
  Object.entries(counts)
    .map(([table, n]) => `${n} ${table.replace('_', ' ')}`)
    .join(', '),
);
const problems = [];
if (forgotten) await coldStart();
else while ((await read('/suggestions')).toLookAt > 0);

let turn = 0;
const one = (list) => list[turn++ % list.length];
const ROUTES = [
  { name: 'one athlete', least: 0.5, path: () => `/athletes/${one(athletes)}` },
  { name: 'sessions', least: 0.5, beside: 'page', path: () => '/sessions' },
  { name: 'sessions of one', least: 0.5, beside: 'page', path: () => `/sessions?athlete=${one(athletes)}` },
  { name: 'programmes', least: 0.5, beside: 'page', path: () => '/programmes' },
  { name: 'sequences', least: 0.5, beside: 'page', path: () => '/sequences' },
  { name: 'people', least: 0.25, path: () => '/athletes' },
  { name: 'today', least: 0.25, path: () => '/today' },
  { name: 'class', least: 0.25, path: () => '/class' },
  { name: 'suggestions', least: 0.1, path: () => '/suggestions' },
].filter(({ name }) => !ONLY || ONLY.includes(name));
const rows = [];
if (!ONLY || ONLY.includes('set')) rows.push(await setAppend());
for (const { name, least, beside = 'one', path } of ROUTES) {
  const ours = { port: house.port, headers, next: () => ({ path: `/api${path()}` }) };
  const others = { port: bare.port, headers: {}, next: () => ({ path: `/${beside}/${one(athletes)}/${studioId}` }) };
  rows.push(row(name, await sideBySide(ours, others), least));
}
console.table(rows);
const mb = await residentMb(house.child.pid);
console.log(`server: ${mb} MB`);
if (mb > MOST_MB) problems.push(`The server takes ${mb} MB.`);
for (const problem of problems) console.log(problem);
for (const { child } of [house, bare]) {
  child.removeAllListeners('exit');
  child.kill('SIGTERM');
}
await sql.end();
// A small run shares its machine with everything else: there only answers count.
if (problems.length > 0 && !SMALL) process.exitCode = 1;

/** Two servers by turns: on a machine that others use too, a second is not like the next. */
async function sideBySide(...servers) {
  const sums = servers.map(() => []);
  for (let round = -1; round < ROUNDS; round++) {
    for (const [index, { port, headers: sent, next }] of servers.entries()) {
      const result = await load(port, { connections: CONNECTIONS, forMs: FOR_MS / ROUNDS, headers: sent, next });
      if (result.failed.size > 0) throw new Error(`${next().path} answered ${JSON.stringify([...result.failed])}`);
      // The first round warms up.
      if (round >= 0) sums[index].push(result);
    }
  }
  return sums.map(together);
}

function row(name, [got, least1], least) {
  const ratio = got.perSecond / least1.perSecond;
  const slower = got.p99Ms / least1.p99Ms;
  if (ratio < least) problems.push(`${name}: ${ratio.toFixed(3)} of a bare handler, ${least} meant.`);
  if (slower > MOST_P99) problems.push(`${name}: p99 is ${slower.toFixed(1)} times the bare one.`);
  return {
    name,
    'req/s': Math.round(got.perSecond),
    'p50 ms': Math.round(got.p50Ms),
    'p99 ms': Math.round(got.p99Ms),
    'bare req/s': Math.round(least1.perSecond),
    'bare p99 ms': Math.round(least1.p99Ms),
    ratio: Number(ratio.toFixed(3)),
    meant: least,
  };
}

/** A set each to sessions that are running, beside a bare insert. */
async function setAppend() {
  const [sequence] = await ids(`SELECT id FROM sequences WHERE title = 'Warm thumbs'`);
  const { document } = await read(`/sequences/${sequence}`);
  const sessions = [];
  // So many that each has some twelve sets at the end.
  for (const athleteId of [...athletes, ...athletes, ...athletes]) {
    const id = uuid();
    const body = { athleteId, sequenceId: sequence, startedAt: new Date().toISOString(), plan: document };
    const begun = await fetch(`${base}/sessions/${id}`, {
      method: 'PUT',
      headers: { ...headers, 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!begun.ok) throw new Error(await begun.text());
    sessions.push(id);
  }
  const block = document.blocks[0];
  const set = {
    blockId: block.id,
    movementId: block.movementId,
    levelId: block.levelId,
    set: 1,
    side: 'both',
    direction: null,
    unit: 'repetitions',
    plannedAmount: 12,
    doneAmount: 12,
    endedAt: new Date().toISOString(),
    corrects: null,
  };
  const put = () => ({ method: 'PUT', path: `/api/sessions/${one(sessions)}/sets/${uuid()}`, body: set });
  const insert = () => ({ path: `/insert/${uuid()}/${studioId}/${one(sessions)}` });
  return row('set append', await sideBySide({ port: house.port, headers, next: put }, { port: bare.port, headers: {}, next: insert }), 0.5);
}

/** Nothing is known of anybody: how long until all suggestions are, and what everybody else waits meanwhile. */
async function coldStart() {
  const began = performance.now();
  const health = [];
  let left = 1;
  const asking = (async () => {
    while (left > 0) {
      const start = performance.now();
      await (await fetch(`${base}/health/ready`)).text();
      health.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  })();
  while (left > 0) {
    ({ toLookAt: left } = await read('/suggestions'));
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  await asking;
  const seconds = (performance.now() - began) / 1000;
  health.sort((a, b) => a - b);
  const p99 = health[Math.floor(health.length * 0.99)];
  console.log(
    `cold start: all suggestions known after ${seconds.toFixed(1)} s; health p99 ${p99.toFixed(0)} ms, at most ${health.at(-1).toFixed(0)} ms`,
  );
  if (seconds > FILLED_WITHIN_S) problems.push(`All suggestions are known after ${seconds.toFixed(1)} s.`);
  if (p99 > HEALTH_MS) problems.push(`Health takes ${p99.toFixed(0)} ms meanwhile.`);
}

async function residentMb(pid) {
  const { readFile } = await import('node:fs/promises');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(await readFile(`/proc/${pid}/status`, 'utf8'))[1]) / 1024);
}

async function createWhenMissing() {
  const connection = await mysql.createConnection(server.replace(/^mariadb:/, 'mysql:'));
  await connection.query(`CREATE DATABASE IF NOT EXISTS ${database} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci`);
  await connection.end();
}

async function serve(script, more = []) {
  const port = await freePort(0);
  const env = { ...process.env, DATABASE_URL: server + database, PORT: String(port), LOG_LEVEL: 'error', DEMO: 'studio:200,years:2' };
  const child = spawn(process.execPath, [...SERVER_FLAGS, script, ...(more.length > 0 ? [String(port), ...more] : [])], {
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  child.once('exit', (code) => {
    throw new Error(`${script} ended with ${code}.`);
  });
  await once(child, 'message');
  return { child, port };
}
