import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';

const LOCK = JSON.stringify(resolve('scripts/lock.mjs'));
/** Takes the lock, says who has it now, and waits to be told to give it back. */
const TAKES = `
  import { releaseLock, takeLock } from ${LOCK};
  const path = process.argv[1];
  process.send(takeLock(path) ?? process.pid);
  process.on('message', () => { releaseLock(path); process.disconnect(); });
`;

let folder: string;
let lock: string;
const started: ChildProcess[] = [];
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'lock-'));
  lock = join(folder, 'lock');
});
afterEach(async () => {
  for (const child of started.splice(0)) {
    if (child.exitCode !== null || child.signalCode !== null) continue;
    child.kill('SIGKILL');
    await once(child, 'exit');
  }
  rmSync(folder, { recursive: true });
});

/** A process whose command line names the house, as the locks know it by. */
function start(name = 'clay-pot'): ChildProcess {
  const child = spawn(process.execPath, ['--input-type=module', '-e', TAKES, lock, name], {
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {},
  });
  started.push(child);
  return child;
}
async function holderSeenBy(child: ChildProcess): Promise<number> {
  const [holder] = (await once(child, 'message')) as [number];
  return holder;
}

test('of many who come at once one has it, and all others are told who', async () => {
  const children = Array.from({ length: 8 }, () => start());
  const holders = await Promise.all(children.map(holderSeenBy));
  const [holder] = holders;
  expect(new Set(holders)).toEqual(new Set([holder]));
  expect(children.map(({ pid }) => pid)).toContain(holder);
  expect(Number(readFileSync(lock, 'utf8'))).toBe(holder);
  // Whoever doesn’t have it gives nothing back.
  const other = children.find(({ pid }) => pid !== holder)!;
  other.send('give back');
  await once(other, 'exit');
  expect(existsSync(lock)).toBe(true);
  const owner = children.find(({ pid }) => pid === holder)!;
  owner.send('give back');
  await once(owner, 'exit');
  expect(existsSync(lock)).toBe(false);
});

test('what a killed one left behind is taken over', async () => {
  const first = start();
  expect(await holderSeenBy(first)).toBe(first.pid);
  first.kill('SIGKILL');
  await once(first, 'exit');
  expect(existsSync(lock)).toBe(true);
  const next = start();
  expect(await holderSeenBy(next)).toBe(next.pid);
});

test('so is one whose number another program has by now', async () => {
  const stranger = spawn(process.execPath, ['-e', 'setInterval(() => undefined, 1000)'], { stdio: 'ignore', cwd: '/', env: {} });
  started.push(stranger);
  writeFileSync(lock, String(stranger.pid));
  const mine = start();
  expect(await holderSeenBy(mine)).toBe(mine.pid);
  expect(stranger.exitCode).toBeNull();
});
