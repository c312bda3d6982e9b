// Asks the server what nobody should: mutated requests over its own description. Nothing may answer 5xx but an honest 503, take over two seconds, or hold up the
// event loop.   node benchmarks/fuzz.mjs [requests] [seed]     TEST_DATABASE_URL names the database server, with the demo template.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { Agent, request } from 'node:http';
import { v7 as uuid } from 'uuid';
import { copyDatabase } from '../scripts/copy-database.mjs';
import { freePort } from '../scripts/processes.mjs';
import { SERVER_FLAGS } from '../scripts/server-flags.mjs';
import { TEMPLATES } from '../scripts/templates.mjs';
import { randomOf } from './fuzz/random.mjs';
import { anything, fitting, mutated } from './fuzz/values.mjs';

/** Half a character cannot stand in an address. */
const wellFormed = (text) => text.replaceAll(/[\ud800-\udfff]/g, '');

const SMALL = process.env.BENCH === 'small';
const REQUESTS = Number(process.argv[2] ?? (SMALL ? 400 : 100_000));
const SEED = Number(process.argv[3] ?? 32);
const AT_ONCE = 8;
const MOST_MS = 2000;
/** Its code is not compiled yet, and nothing of anybody is known: all of it is asked at once. */
const STARTING_MS = 15_000;
const MOST_BYTES = 1_048_576;
const MOST_LOOP_MS = 100;
/** What takes long by its nature, in a thread: asked seldom, so that the rest is asked often. It may take its time, or be refused. */
const LONG = /^\/api\/(compose|programmes\/evaluate|programmes\/[^/]+\/copies)/;
const SELDOM = 0.02;

const server = process.env.TEST_DATABASE_URL;
if (!server) throw new Error('TEST_DATABASE_URL must name the database server.');
const random = randomOf(SEED);
const house = await openHouse();
const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
let cookie = '';
const signedIn = await ask('POST', '/api/front-door/demo', undefined);
cookie = String(signedIn.headers['set-cookie']).split(';')[0];
const { paths, components } = (await ask('GET', '/api/openapi.json')).body;
const routes = Object.entries(paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, { parameters = [], requestBody }]) => ({
    method: method.toUpperCase(),
    path,
    query: parameters.filter((each) => each.in === 'query'),
    schema: resolved(requestBody?.content?.['application/json']?.schema),
  })),
);
const known = await knownIds();

const seen = new Map();
const broken = [];
let slowest = { ms: 0, what: '' };
let sent = 0;
const began = performance.now();
await Promise.all(Array.from({ length: AT_ONCE }, worker));
const seconds = (performance.now() - began) / 1000;
const loop = await loopOf();
for (const [status, count] of [...seen].sort()) console.log(`${status}: ${count}`);
console.log(`${sent} requests over ${routes.length} routes in ${seconds.toFixed(0)} s (seed ${SEED})`);
console.log(`slowest as the asking side sees it: ${slowest.ms.toFixed(0)} ms, ${slowest.what}`);
const slow = loop.slow.filter(({ url }) => !LONG.test(url));
const slowLater = slow.filter(({ atMs }) => atMs > STARTING_MS);
console.log(
  `event loop: held up ${loop.worstOwnMs.toFixed(0)} ms by its own work at worst, ${loop.worstMs.toFixed(0)} ms with waiting for a processor, p99 ${loop.p99Ms.toFixed(0)} ms; ${loop.rssMb.toFixed(0)} MB`,
);
console.log(
  `${broken.length} broken; ${slow.length - slowLater.length} took the server over ${MOST_MS} ms in its first ${STARTING_MS / 1000} s, ${slowLater.length} later`,
);
for (const each of broken.slice(0, 20)) console.log(each);
for (const { ms, atMs, method, url } of slow.slice(0, 20))
  console.log(`${ms.toFixed(0)} ms, ${(atMs / 1000).toFixed(0)} s after the first request: ${method} ${url}`);
agent.destroy();
house.child.removeAllListeners('exit');
house.child.kill('SIGTERM');
await once(house.child, 'exit');
// Small runs share their machine with everything else: there only answers count.
if (broken.length > 0 || (!SMALL && (slowLater.length > 0 || loop.worstOwnMs > MOST_LOOP_MS))) process.exitCode = 1;

async function worker() {
  while (sent < REQUESTS) {
    const route = random.one(routes);
    const isLong = LONG.test(route.path);
    // Signing out, or in as somebody else, would end the rest.
    if ((isLong && !random.chance(SELDOM)) || (route.method === 'DELETE' && /sign-in|front-door/.test(route.path))) continue;
    sent++;
    const body = bodyFor(route);
    const asked = { url: urlOf(route), what: `${route.method} ${route.path}`, isLong, body };
    const start = performance.now();
    const answer = await ask(route.method, asked.url, body).catch((error) => ({ status: refusedWhileSent(error, body), headers: {} }));
    note(asked, answer, performance.now() - start);
  }
}

function bodyFor(route) {
  const body = madeFor(route);
  try {
    JSON.stringify(body);
    return body;
  } catch {
    // Mutated into something that holds itself: it can't be sent.
    return [];
  }
}

function madeFor(route) {
  if (route.schema) return bodyOf(route);
  return random.chance(0.05) && route.method !== 'GET' ? anything(random) : undefined;
}

/** What is over the limit is refused while it is still being sent. */
function refusedWhileSent(error, body) {
  return body !== undefined && JSON.stringify(body).length > MOST_BYTES ? 413 : String(error.code ?? error.message);
}

function note({ url, what, isLong, body }, { status, headers }, ms) {
  seen.set(status, (seen.get(status) ?? 0) + 1);
  if (!isLong && ms > slowest.ms) slowest = { ms, what };
  const isHonest = status === 503 && headers['retry-after'] !== undefined;
  const isBroken = typeof status !== 'number' || (status >= 500 && !isHonest);
  if (isBroken && broken.length < 1000)
    broken.push(`${status} ${ms.toFixed(0)} ms ${what} ${url.slice(0, 120)} ${JSON.stringify(body)?.slice(0, 300)}`);
}

function urlOf({ path, query, method }) {
  const filled = path.replace(/\{(\w+)\}/g, (_all, name) => {
    if (random.chance(0.1)) return encodeURIComponent(String(random.one(['é', 'x', '..', '0', 'null', 'a'.repeat(99), '\u0000', uuid()])));
    const own = known.get(path.split('/{')[0]) ?? [];
    // Of new things only what is stored can be deleted.
    if (method === 'PUT' && random.chance(0.3)) return uuid();
    return encodeURIComponent(name === 'movementId' ? 'free.open-close' : own.length > 0 && name === 'id' ? random.one(own) : uuid());
  });
  const asked = query
    .filter(() => random.chance(0.5))
    .map(({ name }) => `${name}=${encodeURIComponent(wellFormed(String(anything(random))).slice(0, 500))}`);
  return asked.length > 0 ? `${filled}?${asked.join('&')}` : filled;
}

function bodyOf({ schema }) {
  const sound = fitting(schema, random);
  return random.chance(0.25) ? sound : mutated(sound, random);
}

function resolved(schema) {
  const name = schema?.$ref?.split('/').at(-1);
  return name ? components.schemas[name] : schema;
}

async function knownIds() {
  const ids = new Map();
  for (const collection of ['athletes', 'sequences', 'programmes', 'sessions', 'movements', 'methods']) {
    const { body } = await ask('GET', `/api/${collection}`);
    const list = Array.isArray(body) ? body : (body.items ?? body.sessions ?? []);
    ids.set(`/api/${collection}`, list.map(({ id }) => id).filter(Boolean));
  }
  return ids;
}

function ask(method, path, body) {
  return new Promise((resolve, reject) => {
    const payload = body === undefined ? undefined : JSON.stringify(body);
    const headers = {
      host: `127.0.0.1:${house.port}`,
      ...(cookie && { cookie }),
      ...(payload !== undefined && { 'content-type': 'application/json', 'content-length': Buffer.byteLength(payload) }),
    };
    const sending = request({ agent, host: '127.0.0.1', port: house.port, method, path, headers }, (response) => {
      const parts = [];
      response.on('data', (part) => parts.push(part));
      response.on('end', () => {
        const text = Buffer.concat(parts).toString();
        const isJson = String(response.headers['content-type']).includes('json');
        resolve({ status: response.statusCode, headers: response.headers, body: isJson && text ? JSON.parse(text) : text });
      });
      response.on('error', reject);
    });
    sending.on('error', reject);
    sending.end(payload);
  });
}

async function openHouse() {
  const database = 'clay_pot_test_fuzz';
  await copyDatabase(server, TEMPLATES.demo, database);
  const port = await freePort();
  const child = spawn(
    process.execPath,
    [...SERVER_FLAGS, '--import', new URL('fuzz/server-watch.mjs', import.meta.url).href, 'packages/server/dist/main.js'],
    {
      cwd: new URL('..', import.meta.url),
      env: { ...process.env, DATABASE_URL: server + database, PORT: String(port), LOG_LEVEL: 'fatal' },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    },
  );
  await new Promise((resolve, reject) => {
    child.once('message', resolve);
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}.`)));
  });
  child.send('loop');
  await once(child, 'message');
  return { child, port };
}

async function loopOf() {
  house.child.send('loop');
  const [told] = await once(house.child, 'message');
  return told;
}
