import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { ROOT } from './places.mjs';
import { UserError } from './user-error.mjs';

/** Runs a program to its end with its output shown. @throws UserError when it fails. */
export async function runToEnd(program, args, { env = {}, quiet = false } = {}) {
  const child = spawn(program, args, {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
  });
  let output = '';
  child.stdout?.on('data', (chunk) => (output += chunk));
  child.stderr?.on('data', (chunk) => (output += chunk));
  const code = await new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (exitCode) => resolve(exitCode ?? 1));
  });
  if (code !== 0) {
    if (quiet) process.stderr.write(output);
    throw new UserError(`${program} ${args.join(' ')} failed (exit ${code}).`);
  }
}

/** A port of the loopback address that nobody uses: the wanted one, the next free after it, or any. */
export async function freePort(wanted = 0, tries = 50) {
  for (let port = wanted; port < wanted + tries; port++) {
    const got = await new Promise((resolve) => {
      const probe = createServer();
      probe.once('error', () => resolve(null));
      probe.listen(port, '127.0.0.1', () => {
        const { port: bound } = probe.address();
        probe.close(() => resolve(bound));
      });
    });
    if (got !== null) return got;
  }
  throw new UserError(`No free port from ${wanted} to ${wanted + tries - 1}.`);
}

/** Whether a process lives and its command line holds this text, so that a reused pid is not taken for ours. */
export function isOurs(pid, text) {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(text);
  } catch {
    return false;
  }
}

/** Asks a process to end and waits; kills it when it does not. */
export async function endProcess(pid, text, patienceMs = 20_000) {
  const until = Date.now() + patienceMs;
  if (isOurs(pid, text)) process.kill(pid, 'SIGTERM');
  while (isOurs(pid, text)) {
    if (Date.now() > until) process.kill(pid, 'SIGKILL');
    await sleep(50);
  }
}
