import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { startDatabase } from './database.mjs';
import { ensureOnMachine } from './machine.mjs';
import { ROOT, RUNNING, TSC } from './places.mjs';
import { freePort, isOurs } from './processes.mjs';
import { SERVER_FLAGS } from './server-flags.mjs';
import { UserError } from './user-error.mjs';

const WEB_PORT = 5173;
const API_PORT = 4273;

/**
 * For those who change the house: packages are compiled as they are saved, the server restarts, the browser takes the change in place. Data
 * are those of `start`, so only one of the two runs.
 */
export async function dev() {
  const running = existsSync(RUNNING) ? JSON.parse(readFileSync(RUNNING, 'utf8')) : null;
  if (running && isOurs(running.pid, 'clay-pot')) {
    throw new UserError(`Clay Pot is running at ${running.address}: end it first (./clay-pot stop).`);
  }
  const outside = process.env.DATABASE_URL;
  if (!outside) await ensureOnMachine('database');
  await ensureBuilt();
  const database = outside ? null : await startDatabase('demo');
  const [apiPort, webPort] = [await freePort(API_PORT), await freePort(WEB_PORT)];
  const api = `http://127.0.0.1:${apiPort}`;
  const children = [
    run(process.execPath, [TSC, '-b', '--watch', '--preserveWatchOutput']),
    run(process.execPath, ['--watch', ...SERVER_FLAGS, join(ROOT, 'packages/server/dist/main.js')], {
      DATABASE_URL: outside ?? `${database.url}clay_pot`,
      PORT: String(apiPort),
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'info',
    }),
    run('npm', ['run', 'dev', '-w', 'packages/web', '--', '--port', String(webPort), '--strictPort'], { API: api }),
  ];
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    const running = children.filter(({ exitCode, pid }) => exitCode === null && pid !== undefined);
    for (const child of running) process.kill(-Number(child.pid), 'SIGTERM');
    await Promise.all(running.map((child) => new Promise((resolve) => child.once('exit', resolve))));
    await database?.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0));
  for (const child of children) child.once('exit', (code) => void end(code ?? 1));
  console.log(`\n  Clay Pot, as it is being written: http://localhost:${webPort}   (the API: ${api}/api/docs)\n`);
}

/** A child in a process group of its own, so that what it starts ends with it. */
const run = (program, args, env = {}) =>
  spawn(program, args, {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
    detached: true,
  });
