// What a minute of leading a session costs the page's thread, by the browser's own counters.
//   ./clay-pot start   in one window   then   node benchmarks/player.mjs http://localhost:4173 [seconds]
// Prints the share of one core that tasks, scripts, style and layout take, with the hand drawn flat and (unless --flat) in space.
import { launch } from './chromium.mjs';
import { signIn } from './sign-in.mjs';

const [address = 'http://localhost:4173', secondsText = '60'] = process.argv.slice(2).filter((word) => !word.startsWith('--'));
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
  await page.getByLabel(/Asked today/).check();
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
  const share = (name) => `${((100 * (after[name] - before[name])) / (after.Timestamp - before.Timestamp)).toFixed(1)} %`;
  console.log(
    `${what}: ${share('TaskDuration')} of a core (script ${share('ScriptDuration')}, style ${share('RecalcStyleDuration')}, layout ${share('LayoutDuration')})`,
  );
  await browser.close();
}

await measure('hand drawn flat', ['--disable-3d-apis']);
if (!process.argv.includes('--flat')) {
  await measure('hand in space', ['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader']);
}
