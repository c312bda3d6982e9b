import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { isOurs } from './processes.mjs';

/** Whoever's command line holds this is one of ours. */
const OURS = 'clay-pot';

/**
 * Takes a lock that one process has at a time; what a killed one left behind is taken over.
 * @returns null when it was taken, else the pid of the process that has it
 */
export function takeLock(path) {
  mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
  const mine = `${path}.${process.pid}`;
  writeFileSync(mine, String(process.pid), { mode: 0o600 });
  try {
    for (;;) {
      try {
        // A link is made only where there is none, with its content at once.
        linkSync(mine, path);
        return null;
      } catch (error) {
        if (error.code !== 'EEXIST') throw error;
      }
      const holder = holderOf(path);
      if (holder !== null && holder !== process.pid && isOurs(holder, OURS)) return holder;
      clearStale(path, holder);
    }
  } finally {
    rmSync(mine, { force: true });
  }
}

/** The process of ours that has a lock; null where none does. */
export function lockHolder(path) {
  const holder = holderOf(path);
  return holder !== null && isOurs(holder, OURS) ? holder : null;
}

/** Gives a lock back, if it is ours. */
export function releaseLock(path) {
  if (holderOf(path) === process.pid) rmSync(path, { force: true });
}

function holderOf(path) {
  try {
    return Number(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Moves a dead lock away; one that somebody took meanwhile is put back. */
function clearStale(path, holder) {
  const aside = `${path}.stale-${process.pid}`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  if (holderOf(aside) !== holder) {
    try {
      linkSync(aside, path);
    } catch {
      // Somebody else was quicker: theirs counts.
    }
  }
  rmSync(aside, { force: true });
}
