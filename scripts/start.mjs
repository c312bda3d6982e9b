import { spawn } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { keepDailyBackups } from './backup.mjs';
import { keepDatabase } from './keep-database.mjs';
import { releaseLock, takeLock } from './lock.mjs';
import { ensureOnMachine } from './machine.mjs';
import { DATA, LOCK, ROOT, RUNNING } from './places.mjs';
import { freePort } from './processes.mjs';
import { SERVER_FLAGS } from './server-flags.mjs';
import { stop } from './stop.mjs';
import { UserError } from './user-error.mjs';

const DEFAULT_PORT = 4173;

export async function start() {
  const other = takeLock(LOCK);
  if (other !== null) {
    const running = existsSync(RUNNING) ? JSON.parse(readFileSync(RUNNING, 'utf8')) : null;
    console.log(
      running?.pid === other
        ? `Clay Pot is running already at ${running.address} (./clay-pot stop ends it).`
        : `Clay Pot is being started already (process ${other}).`,
    );
    return;
  }
  process.once('exit', () => releaseLock(LOCK));
  await stop({ quiet: true });
  const outside = process.env.DATABASE_URL;
  if (!outside) await ensureOnMachine('database');
  await ensureBuilt();
  const port = await choosePort();
  const database = outside ? null : await keepDatabase('demo', () => void end(1));
  const setUpCode = process.env.SET_UP_CODE || newCode();
  const server = serve(outside ?? `${database.url}clay_pot`, port, setUpCode);
  const ended = new Promise((resolve) => server.once('exit', resolve));

  let backups = null;
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    backups?.stop();
    server.kill('SIGTERM');
    await ended;
    await database?.stop();
    rmSync(RUNNING, { force: true });
    process.exit(code);
  };
  process.on('SIGINT', () => void end(0));
  process.on('SIGTERM', () => void end(0));
  process.on('SIGHUP', () => void end(0));

  const listening = new Promise((resolve) => server.once('message', resolve));
  const outcome = await Promise.race([listening, ended]);
  if (outcome !== 'listening') {
    if (ending) return;
    await database?.stop();
    throw new UserError('The server did not start; its last lines are above.');
  }
  const address = addressOf(port);
  mkdirSync(DATA, { recursive: true });
  writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, server: server.pid, address }));
  await sayReady(address, setUpCode);
  if (database) backups = keepDailyBackups(`${database.url}clay_pot`);
  const code = await ended;
  if (!ending) {
    console.error('The server ended by itself; its last lines are above.');
    await end(Number(code) || 1);
  }
}

const addressOf = (port) => {
  const host = process.env.HOST ?? '127.0.0.1';
  return `http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`;
};

/** Where it is, and how to come in: to the demo, and to one's own studio while there is none. */
async function sayReady(address, setUpCode) {
  const door = await (await fetch(`${address}/api/front-door`)).json();
  console.log(`
  Clay Pot is ready at ${address}
${door.hasDemo ? DEMO_LINES : ''}${door.canSetUp ? setUpLines(address, setUpCode) : ''}
  Ctrl-C ends it.
`);
}

const DEMO_LINES = `
  Demo studio   Lanternfield Hall (all made up)
  Sign in       coach@lanternfield.example
  Password      lantern-hall
`;

const setUpLines = (address, code) => `
  Your studio   ${address}/?set-up
  Setup code    ${code}
`;

/** Letters and digits that nobody mistakes for one another, in two groups to be read aloud. */
function newCode() {
  const signs = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
  const group = () => Array.from({ length: 5 }, () => signs[randomInt(signs.length)]).join('');
  return `${group()}-${group()}`;
}

async function choosePort() {
  if (process.env.PORT === undefined) return freePort(DEFAULT_PORT);
  const wanted = Number(process.env.PORT);
  if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535) {
    throw new UserError(`PORT must be a port number within 1–65535, not “${process.env.PORT}”.`);
  }
  await freePort(wanted, 1).catch(() => {
    throw new UserError(`Port ${wanted} is in use. Choose another with PORT=…, or leave PORT unset.`);
  });
  return wanted;
}

/** The server as a child with a line to us: when this process is killed, the line breaks and the server ends too. */
function serve(databaseUrl, port, setUpCode) {
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    SET_UP_CODE: setUpCode,
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
  };
  return spawn(process.execPath, [...SERVER_FLAGS, join(ROOT, 'packages/server/dist/main.js')], {
    cwd: ROOT,
    env,
    // Out of the terminal's process group, so that Ctrl-C is ours to pass on.
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
}
