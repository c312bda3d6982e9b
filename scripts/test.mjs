import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { startDatabase } from './database.mjs';
import { ensureOnMachine } from './machine.mjs';
import { DATA } from './places.mjs';
import { runToEnd } from './processes.mjs';
import { Told } from './told.mjs';

const PARTS = ['types', 'lint', 'unit', 'e2e'];
/** Run only when named. */
const EXTRAS = ['pictures'];

/** Runs every part, or the named ones, and closes with one line of counts. */
export async function test(names) {
  const unknown = names.find((name) => ![...PARTS, ...EXTRAS].includes(name));
  if (unknown) throw new Told(`There is no part “${unknown}”; the parts are ${PARTS.join(', ')}.`);
  const wanted = new Set(names.length ? names : PARTS);
  const needsBrowser = wanted.has('e2e') || wanted.has('pictures');
  const needsDatabase = wanted.has('unit') || needsBrowser;
  await ensureOnMachine(...(needsDatabase ? ['database'] : []), ...(needsBrowser ? ['browser'] : []));
  await ensureBuilt();
  if (wanted.has('types')) await part('types', () => runToEnd('npm', ['run', '--silent', 'types']));
  if (wanted.has('lint')) await part('lint', () => runToEnd('npm', ['run', '--silent', 'lint']));
  if (!needsDatabase) return;

  const results = join(DATA, 'results');
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  const database = await startDatabase('test', { durable: false });
  const failures = [];
  const attempt = (name, work) => part(name, work).catch((error) => failures.push(error));
  process.once('SIGINT', () => void database.stop().then(() => process.exit(130)));
  try {
    const env = { TEST_DATABASE_URL: database.url, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };
    if (wanted.has('unit')) {
      const report = ['--json', `--outputFile=${join(results, 'unit.json')}`];
      await attempt('unit and server', () => runToEnd('npx', ['jest', ...report], { env }));
    }
    if (wanted.has('e2e')) {
      const e2eEnv = { TEST_DATABASE_URL: database.url, PLAYWRIGHT_JSON_OUTPUT_FILE: join(results, 'e2e.json') };
      await attempt('interface', () => runToEnd('npx', ['playwright', 'test', '-c', 'e2e'], { env: e2eEnv }));
    }
    if (wanted.has('pictures')) {
      const env = { TEST_DATABASE_URL: database.url, PICTURES: '1' };
      await attempt('pictures', () => runToEnd('npx', ['playwright', 'test', '-c', 'e2e', 'pictures'], { env }));
    }
  } finally {
    await database.stop();
  }
  const { passed, failed } = countResults(results);
  console.log(`\n${passed} passed, ${failed} failed`);
  if (failures.length) throw new Told(failures.map((error) => error.message).join('\n'));
}

async function part(name, work) {
  const start = Date.now();
  console.log(`\n— ${name}`);
  await work();
  console.log(`  ${name}: fine, ${((Date.now() - start) / 1000).toFixed(0)} s`);
}

function countResults(results) {
  const read = (name) => {
    const file = join(results, name);
    return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
  };
  const unit = read('unit.json');
  const e2e = read('e2e.json');
  return {
    passed: (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0),
    failed: (unit?.numFailedTests ?? 0) + (e2e?.stats.unexpected ?? 0) + (e2e?.stats.flaky ?? 0),
  };
}
