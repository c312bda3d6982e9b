import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { copyDatabase } from './copy-database.mjs';
import { ROOT } from './places.mjs';
import { freePort, runToEnd } from './processes.mjs';
import { TEMPLATES } from './templates.mjs';

const DATABASE = 'clay_pot_test_benches';

/** What computes only. */
const OF_THE_CORE = ['compose', 'constants', 'explain', 'fatigue', 'findings', 'library-efforts', 'postures', 'programme', 'simulate'];
/**
 * What is looked at in Chromium, over a running house. Their limits are those of a busy machine: they are far from what is aimed at, and catch what
 * has become several times as slow.
 */
const IN_A_HOUSE = [['hand-frame'], ['keystroke', '--most-ms', '60'], ['player', '--flat', '--most-percent', '40']];

/** Runs every bench once, as small as it goes: what nobody runs for months still works. @param {string} server URL of the database server */
export async function benches(server) {
  const env = { BENCH: 'small', TEST_DATABASE_URL: server };
  const bench = (name, ...args) => runToEnd('node', [join(ROOT, 'benchmarks', `${name}.mjs`), ...args], { env, quiet: true });
  for (const name of OF_THE_CORE) await bench(name);
  await bench('in-chromium', 'fatigue.mjs');
  await bench('suggestions');
  await bench('fuzz');
  await bench('size');
  await copyDatabase(server, TEMPLATES.demo, DATABASE);
  const port = await freePort();
  const house = spawn(process.execPath, [join(ROOT, 'packages/server/dist/main.js')], {
    env: { ...process.env, DATABASE_URL: server + DATABASE, PORT: String(port), LOG_LEVEL: 'error' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await new Promise((resolve, reject) => {
    house.once('message', resolve);
    house.once('exit', (code) => reject(new Error(`The house of the benches ended with ${code}.`)));
  });
  try {
    for (const [name, ...args] of IN_A_HOUSE) await bench(name, `http://127.0.0.1:${port}`, ...args);
  } finally {
    house.removeAllListeners('exit');
    house.kill('SIGTERM');
  }
}
