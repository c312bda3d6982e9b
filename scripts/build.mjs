import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DATA, ROOT, TSC } from './places.mjs';
import { runToEnd } from './processes.mjs';

/** Brings packages and built files up to date; does nothing, quickly, when nothing changed. */
export async function ensureBuilt() {
  await ensureCompiled();
  await ensureWeb();
}

/** Installs what the lock file names and compiles core, contracts and server. */
export async function ensureCompiled() {
  await whenChanged('packages', lockFiles, [join(ROOT, 'node_modules')], async () => {
    console.log('Installing npm packages …');
    // Not `npm ci`: it refuses a lock file in which a package for some other platform could not be resolved.
    await runToEnd('npm', ['install', '--no-save', '--no-audit', '--no-fund'], { quiet: true });
  });
  await whenChanged(
    'build',
    () => sourcesOf('core', 'contracts', 'server'),
    built('core', 'contracts', 'server'),
    async () => {
      console.log('Compiling …');
      await runToEnd(process.execPath, [TSC, '-b'], { quiet: true });
    },
  );
}

/** Builds the interface from what is compiled. */
export async function ensureWeb() {
  await whenChanged(
    'web',
    () => sourcesOf('core', 'contracts', 'web'),
    built('web'),
    async () => {
      console.log('Building the interface …');
      await runToEnd('npm', ['run', 'build', '-w', 'packages/web'], { quiet: true });
    },
  );
}

async function whenChanged(name, filesOf, results, work) {
  const stamp = join(DATA, `${name}.stamp`);
  const now = fingerprint(filesOf());
  const before = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (before === now && results.every((path) => existsSync(path))) return;
  await work();
  mkdirSync(DATA, { recursive: true });
  writeFileSync(stamp, now);
}

const lockFiles = () => [join(ROOT, 'package-lock.json')];
const built = (...packages) => packages.map((name) => join(ROOT, 'packages', name, 'dist'));

function sourcesOf(...packages) {
  const files = packages.flatMap((name) => {
    const folder = join(ROOT, 'packages', name);
    return readdirSync(folder, { recursive: true })
      .map(String)
      .filter((path) => !/(^|\/)(node_modules|dist)(\/|$)/.test(path))
      .map((path) => join(folder, path));
  });
  return [...files, join(ROOT, 'tsconfig.base.json'), join(ROOT, 'package-lock.json')].sort();
}

/** By name, size and time of change: reading a few hundred files each start would cost more than it tells. */
function fingerprint(files) {
  const hash = createHash('sha256');
  for (const file of files) {
    const { size, mtimeMs } = statSync(file);
    if (statSync(file).isFile()) hash.update(`${file} ${size} ${mtimeMs}\n`);
  }
  return hash.digest('hex');
}
