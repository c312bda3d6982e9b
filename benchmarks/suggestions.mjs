// How long a studio's suggestions take: when nothing is known, after something that concerns nobody was saved, and when all is known. Meanwhile the
// server is asked whether it lives, and for Today.
//   ./clay-pot test types   (builds the server)   then   node benchmarks/suggestions.mjs [athletes ...]
// The demo's twelve people are copied until there are as many as asked for. A database of its own is started, unless TEST_DATABASE_URL names one.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { createConnection } from 'mysql2/promise';
import { copyDatabase } from '../scripts/copy-database.mjs';
import { removeDatabase, startDatabase } from '../scripts/database.mjs';
import { makeTemplates, TEMPLATES } from '../scripts/templates.mjs';
import { sized } from './small.mjs';

const MAIN = fileURLToPath(new URL('../packages/server/dist/main.js', import.meta.url));
const given = process.argv.slice(2).map(Number);
const SIZES = given.length > 0 ? given : sized([12, 70, 200], [14]);
const BESIDE_EVERY_MS = 50;

/** Tables whose rows belong to an athlete, and those of a session. */
const OF_ATHLETES = ['athletes', 'readings', 'intakes', 'assignments', 'sessions', 'programmes'];
const OF_SESSIONS = ['done_sets', 'block_reports', 'complaints', 'form_ticks', 'hand_looks'];
/** Columns that name a person or what is theirs: a copy names its own. */
const OWN = new Set(['id', 'athlete_id', 'session_id']);

/** Copies people with all that is theirs until there are enough. */
async function grow(databaseUrl, athletes) {
  const connection = await createConnection({ uri: databaseUrl.replace(/^mariadb:/, 'mysql:') });
  const [[{ there }]] = await connection.query('SELECT COUNT(*) AS there FROM athletes');
  await connection.query('SET FOREIGN_KEY_CHECKS = 0');
  for (let copy = 1; there * copy < athletes; copy++) {
    const most = Math.min(there, athletes - there * copy);
    const another = (column) =>
      `INSERT(INSERT(INSERT(INSERT(MD5(CONCAT(${column}, ':${copy}')), 9, 0, '-'), 14, 0, '-'), 19, 0, '-'), 24, 0, '-')`;
    const people = `(SELECT id FROM (SELECT id FROM athletes WHERE name NOT LIKE 'Copy %' ORDER BY id LIMIT ${most}) few)`;
    for (const table of [...OF_ATHLETES, ...OF_SESSIONS]) {
      const [columns] = await connection.query(`SHOW COLUMNS FROM ${table}`);
      const names = columns.map(({ Field }) => Field);
      const values = names.map((name) => {
        if (OWN.has(name)) return another(`\`${name}\``);
        return table === 'athletes' && name === 'name' ? `CONCAT('Copy ${copy} of ', name)` : `\`${name}\``;
      });
      const whose =
        table === 'athletes'
          ? `id IN ${people}`
          : OF_SESSIONS.includes(table)
            ? `session_id IN (SELECT id FROM sessions WHERE athlete_id IN ${people})`
            : `athlete_id IN ${people}`;
      await connection.query(
        `INSERT INTO ${table} (${names.map((name) => `\`${name}\``).join(', ')}) SELECT ${values.join(', ')} FROM ${table} WHERE ${whose}`,
      );
    }
  }
  await connection.query('DELETE FROM kept_answers');
  await connection.end();
}

const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** The built server over a database, with its coach signed in. */
async function open(databaseUrl) {
  const port = await freePort();
  const env = { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), LOG_LEVEL: 'error' };
  const child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
  await new Promise((resolve) => child.once('message', resolve));
  const address = `http://127.0.0.1:${port}/api`;
  const headers = { 'content-type': 'application/json', origin: `http://127.0.0.1:${port}` };
  const body = JSON.stringify({ email: 'coach@lanternfield.example', password: 'lantern-hall' });
  const signedIn = await fetch(`${address}/sign-in`, { method: 'POST', headers, body });
  const cookie = signedIn.headers.get('set-cookie').split(';')[0];
  const ask = async (path, options = {}) => {
    const answer = await fetch(address + path, { ...options, headers: { ...headers, cookie } });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
    return answer.json();
  };
  return { ask, close: () => new Promise((resolve) => child.once('exit', resolve).kill('SIGTERM')) };
}

/** Asks for something again and again while work is done. @returns the longest that it took, milliseconds */
async function beside(house, path, work) {
  const times = [];
  let isDone = false;
  const asking = (async () => {
    while (!isDone) {
      const start = performance.now();
      await house.ask(path);
      times.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, BESIDE_EVERY_MS));
    }
  })();
  const result = await work();
  isDone = true;
  await asking;
  times.sort((a, b) => a - b);
  return { result, most: times.at(-1) ?? 0, ninth: times[Math.floor(times.length * 0.9)] ?? 0 };
}

/** Asks for suggestions until everybody was looked at. */
async function allSuggestions(house) {
  const start = performance.now();
  let requests = 0;
  for (;;) {
    const { toLookAt, suggestions } = await house.ask('/suggestions');
    requests += 1;
    if (toLookAt === 0) return { ms: performance.now() - start, requests, suggestions: suggestions.length };
  }
}

async function measure(server, athletes) {
  const name = 'clay_pot_test_bench';
  await copyDatabase(server, TEMPLATES.demo, name);
  await grow(server + name, athletes);
  const house = await open(server + name);
  const cold = await beside(house, '/health/live', () => beside(house, '/today', () => allSuggestions(house)));
  const today = cold.result;
  const { result } = today;
  const each = (result.ms / athletes).toFixed(0);
  console.log(`${athletes} athletes, ${result.suggestions} suggestions`);
  console.log(`  cold: ${result.ms.toFixed(0)} ms in ${result.requests} requests, ${each} ms each`);
  console.log(
    `  meanwhile: alive within ${cold.most.toFixed(0)} ms (nine in ten ${cold.ninth.toFixed(0)}), Today within ${today.most.toFixed(0)} (${today.ninth.toFixed(0)})`,
  );
  const [{ id }] = await house.ask('/sequences');
  const { document } = await house.ask(`/sequences/${id}`);
  await house.ask(`/sequences/${randomUUID().replace(/^(.{14})./, '$17')}`, {
    method: 'PUT',
    body: JSON.stringify({ ...document, title: 'Nobody does this' }),
  });
  const after = await allSuggestions(house);
  console.log(
    `  after a save that concerns nobody: ${after.ms.toFixed(0)} ms in ${after.requests} request${after.requests > 1 ? 's' : ''}`,
  );
  const warm = await allSuggestions(house);
  console.log(`  known: ${warm.ms.toFixed(0)} ms in ${warm.requests} request${warm.requests > 1 ? 's' : ''}`);
  await house.close();
}

const outside = process.env.TEST_DATABASE_URL;
const database = outside ? { url: outside, stop: async () => {} } : await startDatabase('bench', { durable: false });
if (!outside) await makeTemplates(database.url);
for (const athletes of SIZES) await measure(database.url, athletes);
await database.stop();
if (!outside) removeDatabase('bench');
