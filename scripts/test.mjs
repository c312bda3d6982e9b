import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { benches } from './benches.mjs';
import { ensureCompiled, ensureWeb } from './build.mjs';
import { startDatabase } from './database.mjs';
import { ensureOnMachine } from './machine.mjs';
import { DATA } from './places.mjs';
import { runToEnd } from './processes.mjs';
import { makeTemplates, TEMPLATES } from './templates.mjs';
import { tell } from './test-results.mjs';
import { UserError } from './user-error.mjs';

const PARTS = ['types', 'lint', 'unit', 'benches', 'e2e'];
/** Run only when named. */
const EXTRAS = ['pictures'];

/** Runs every part, or the named ones, and closes with one line of counts. */
export async function test(names) {
  const unknown = names.find((name) => ![...PARTS, ...EXTRAS].includes(name));
  if (unknown) throw new UserError(`There is no part “${unknown}”; the parts are ${PARTS.join(', ')}.`);
  const wanted = new Set(names.length ? names : PARTS);
  const inBrowser = ['e2e', 'pictures', 'benches'].some((part) => wanted.has(part));
  const overDatabase = wanted.has('unit') || wanted.has('benches') || inBrowser;
  await Promise.all([ensureOnMachine(...(overDatabase ? ['database'] : []), ...(inBrowser ? ['browser'] : [])), ensureCompiled()]);

  const results = join(DATA, 'results');
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  const failures = [];
  const run = new Run(wanted, failures);
  const database = overDatabase ? await startDatabase('test', { durable: false }) : null;
  process.once('SIGINT', () => void database?.stop().then(() => process.exit(130)));
  try {
    const env = {
      TEST_DATABASE_URL: database?.url ?? '',
      TEST_TEMPLATE: TEMPLATES.empty,
      TEST_TEMPLATE_DEMO: TEMPLATES.demo,
    };
    const templates = database ? makeTemplates(database.url) : Promise.resolve();
    // What is read and what is run go side by side; the browser has the machine for itself.
    await Promise.all([
      reading(run, inBrowser)
        .then(() => templates)
        .then(() => run.part('benches', 'benches', () => benches(database.url))),
      templates.then(() => unit(run, results, env)),
    ]);
    await browser(run, results, env);
  } finally {
    await database?.stop();
  }
  if (overDatabase) failures.push(...tell(results));
  if (failures.length) throw new UserError(failures.map((error) => error.message).join('\n'));
}

/** The parts that are wanted, timed; one that fails does not keep the next from running. */
class Run {
  constructor(wanted, failures) {
    this.wanted = wanted;
    this.failures = failures;
  }

  async part(name, title, work) {
    if (name !== null && !this.wanted.has(name)) return;
    const start = Date.now();
    console.log(`\n— ${title}`);
    try {
      await work();
      console.log(`  ${title}: fine, ${seconds(start)} s`);
    } catch (error) {
      console.log(`  ${title}: failed, ${seconds(start)} s`);
      this.failures.push(error);
    }
  }
}

const seconds = (start) => ((Date.now() - start) / 1000).toFixed(0);
const npm = (script) => runToEnd('npm', ['run', '--silent', script]);

async function reading(run, inBrowser) {
  if (inBrowser) await run.part(null, 'the interface is built', ensureWeb);
  await run.part('types', 'types', () => npm('types'));
  await run.part('lint', 'lint', () => npm('lint'));
}

const unit = (run, results, env) =>
  run.part('unit', 'unit and server', () =>
    runToEnd('npx', ['jest', '--json', `--outputFile=${join(results, 'unit.json')}`], {
      env: { ...env, TESTS_GROUPED: '1', NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
    }),
  );

async function browser(run, results, env) {
  const playwright = (more, ...args) => runToEnd('npx', ['playwright', 'test', '-c', 'e2e', ...args], { env: { ...env, ...more } });
  await run.part('e2e', 'interface', () => playwright({ PLAYWRIGHT_JSON_OUTPUT_FILE: join(results, 'e2e.json') }));
  await run.part('pictures', 'pictures', () => playwright({ PICTURES: '1' }, 'pictures'));
}
