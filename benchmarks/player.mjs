// What a minute of leading a session costs the page's thread, by the browser's own counters.
//   ./clay-pot start   in one window   then   node benchmarks/player.mjs http://localhost:4173 [seconds] [--flat] [--most-percent 3]
// Prints the share of one core that tasks, scripts, style and layout take, with the hand drawn flat and (unless --flat) in space.
import { parseArgs } from 'node:util';
import { launch } from './chromium.mjs';
import { signIn } from './sign-in.mjs';
import { sized } from './small.mjs';

const options = { flat: { type: 'boolean' }, 'most-percent': { type: 'string' } };
const { positionals, values } = parseArgs({ allowPositionals: true, options });
const [address = 'http://localhost:4173', secondsText = String(sized(60, 3))] = positionals;
/** The share of a core that leading may take; it is no error to take more unless somebody says so. */
const MOST_PERCENT = Number(values['most-percent'] ?? Infinity);
const SECONDS = Number(secondsText);
/** Until the first movement has begun and its pictures are drawn. */
const WARM_MS = 9_000;

async function measure(what, switches) {
  const browser = await launch(switches);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address });
  await signIn(page);
  const { sequenceId, athleteId } = await page.evaluate(async () => {
    const ask = async (path) => (await fetch(`/api${path}`)).json();
    const sequence = (await ask('/sequences')).find(({ title }) => title === 'Careful return');
    const athlete = (await ask('/athletes')).find(({ name }) => name === 'Mirela Danko');
    return { sequenceId: sequence.id, athleteId: athlete.id };
  });
  await page.goto(`/sequences/${sequenceId}/lead?athlete=${athleteId}`);
  await page.getByLabel(/I asked today/).check();
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByTestId('big-number').waitFor();
  await page.waitForTimeout(Math.min(WARM_MS, SECONDS * 1000));
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  const read = async () =>
    Object.fromEntries((await session.send('Performance.getMetrics')).metrics.map(({ name, value }) => [name, value]));
  const before = await read();
  await page.waitForTimeout(SECONDS * 1000);
  const after = await read();
  const percent = (name) => (100 * (after[name] - before[name])) / (after.Timestamp - before.Timestamp);
  const share = (name) => `${percent(name).toFixed(1)} %`;
  console.log(
    `${what}: ${share('TaskDuration')} of a core (script ${share('ScriptDuration')}, style ${share('RecalcStyleDuration')}, layout ${share('LayoutDuration')})`,
  );
  await browser.close();
  if (percent('TaskDuration') > MOST_PERCENT) throw new Error(`${what}: leading takes more than ${MOST_PERCENT} % of a core.`);
}

await measure('hand drawn flat', ['--disable-3d-apis']);
if (!values.flat) {
  await measure('hand in space', ['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader']);
}
