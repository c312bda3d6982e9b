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

const needsBrowser = (wanted) => wanted.has('e2e') || wanted.has('pictures');
const needsDatabase = (wanted) => wanted.has('unit') || needsBrowser(wanted);

/** Runs every part, or the named ones, and closes with one line of counts. */
export async function test(names) {
  const unknown = names.find((name) => ![...PARTS, ...EXTRAS].includes(name));
  if (unknown) throw new Told(`There is no part “${unknown}”; the parts are ${PARTS.join(', ')}.`);
  const wanted = new Set(names.length ? names : PARTS);
  await ensureOnMachine(...(needsDatabase(wanted) ? ['database'] : []), ...(needsBrowser(wanted) ? ['browser'] : []));
  await ensureBuilt();
  // Each takes one core and is silent when all is well.
  const standing = ['types', 'lint'].filter((name) => wanted.has(name));
  await Promise.all(standing.map((name) => part(name, () => runToEnd('npm', ['run', '--silent', name]))));
  if (!needsDatabase(wanted)) return;

  const results = join(DATA, 'results');
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  const failures = await overDatabase(wanted, results);
  tell(results);
  if (failures.length) throw new Told(failures.map((error) => error.message).join('\n'));
}

/** Runs what needs a database over one of its own. @returns the parts that failed: one does not keep the next from running. */
async function overDatabase(wanted, results) {
  const database = await startDatabase('test', { durable: false });
  process.once('SIGINT', () => void database.stop().then(() => process.exit(130)));
  const failures = [];
  const attempt = (name, title, program, args, env) =>
    wanted.has(name) &&
    part(title, () => runToEnd('npx', [program, ...args], { env: { TEST_DATABASE_URL: database.url, ...env } })).catch((error) =>
      failures.push(error),
    );
  try {
    await attempt('unit', 'unit and server', 'jest', ['--json', `--outputFile=${join(results, 'unit.json')}`], {
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    });
    await attempt('e2e', 'interface', 'playwright', ['test', '-c', 'e2e'], {
      PLAYWRIGHT_JSON_OUTPUT_FILE: join(results, 'e2e.json'),
    });
    await attempt('pictures', 'pictures', 'playwright', ['test', '-c', 'e2e', 'pictures'], { PICTURES: '1' });
  } finally {
    await database.stop();
  }
  return failures;
}

function tell(results) {
  const slow = slowest(results);
  if (slow.length) console.log('\nThe slowest:');
  for (const { ms, name } of slow) console.log(`  ${(ms / 1000).toFixed(1).padStart(5)} s  ${name}`);
  const { passed, failed } = countResults(results);
  console.log(`\n${passed} passed, ${failed} failed`);
}

async function part(name, work) {
  const start = Date.now();
  console.log(`\n— ${name}`);
  await work();
  console.log(`  ${name}: fine, ${((Date.now() - start) / 1000).toFixed(0)} s`);
}

const SLOWEST_SHOWN = 10;

function resultsOf(results) {
  const read = (name) => {
    const file = join(results, name);
    return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
  };
  return { unit: read('unit.json'), e2e: read('e2e.json') };
}

function countResults(results) {
  const { unit, e2e } = resultsOf(results);
  return {
    passed: (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0),
    failed: (unit?.numFailedTests ?? 0) + (e2e?.stats.unexpected ?? 0) + (e2e?.stats.flaky ?? 0),
  };
}

/** The tests that took longest, so that a slow one is seen on the day it comes. */
function slowest(results) {
  const { unit, e2e } = resultsOf(results);
  const units = (unit?.testResults ?? []).flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  );
  const ofSuite = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(ofSuite)];
  const interfaces = (e2e?.suites ?? []).flatMap(ofSuite).map(({ title, file, tests }) => ({
    name: `${file}: ${title}`,
    ms: Math.max(0, ...tests.flatMap((test) => test.results.map(({ duration }) => duration))),
  }));
  return [...units, ...interfaces].sort((a, b) => b.ms - a.ms).slice(0, SLOWEST_SHOWN);
}
