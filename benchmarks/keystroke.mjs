// From a key to the painted answer in the editor: a sequence of thirty blocks (or as many as given), a level up and down again, everything recomputed.
//   ./clay-pot start   in one window   then   node benchmarks/keystroke.mjs http://localhost:4173 [blocks] [--most-ms 20]
// Prints wall time from the key to the frame that shows the row's answer and to the one that shows the whole sequence's (pot, sums, checks), and
// the thread's own time for the row, which a busy machine disturbs less.
import { parseArgs } from 'node:util';
import { launch } from './chromium.mjs';
import { signIn } from './sign-in.mjs';
import { sized } from './small.mjs';

const { positionals, values } = parseArgs({ allowPositionals: true, options: { 'most-ms': { type: 'string' } } });
const [address = 'http://localhost:4173', blockCount = '30'] = positionals;
/** The thread's own time that a key may take; it is no error to take longer unless somebody says so. */
const MOST_MS = Number(values['most-ms'] ?? Infinity);
const KEYS = sized(60, 6);
const WARM = sized(20, 2);

const browser = await launch();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address });
await signIn(page);

/** The class of the demo over and over. */
const id = await page.evaluate(async (count) => {
  const ask = async (path, options) => (await fetch(`/api${path}`, options)).json();
  const list = await ask('/sequences');
  const { document } = await ask(`/sequences/${list.find(({ title }) => title.startsWith('Lantern class')).id}`);
  const order = ['prepare', 'range', 'load', 'strength', 'skill', 'settle'];
  const blocks = Array.from({ length: count }, (_, index) => document.blocks[index % document.blocks.length])
    .map((block, index) => ({ ...block, id: `b${index}` }))
    .sort((a, b) => order.indexOf(a.phase) - order.indexOf(b.phase));
  const hex = (length) => Array.from({ length }, () => Math.floor(Math.random() * 16).toString(16)).join('');
  const made = `0192f0c4-7b1e-7${hex(3)}-8${hex(3)}-${hex(12)}`;
  const { rounds: _rounds, ...rest } = document;
  const body = JSON.stringify({ ...rest, title: 'Many blocks', budgetMin: 60, blocks });
  const answer = await fetch(`/api/sequences/${made}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
  if (!answer.ok) throw new Error(`It could not be stored: ${await answer.text()}`);
  return made;
}, Number(blockCount));
await page.goto(`/sequences/${id}`);
await page.getByRole('region', { name: 'Pot' }).waitFor();
await page.evaluate(() => {
  window.samples = [];
  window.wholes = [];
  let pressedAt = 0;
  let lastSeen = null;
  const afterFrame = (then) =>
    requestAnimationFrame(() => {
      const channel = new MessageChannel();
      channel.port1.onmessage = then;
      channel.port2.postMessage(0);
    });
  window.addEventListener(
    'keydown',
    () => {
      const start = performance.now();
      if (lastSeen !== null) window.wholes.push(lastSeen);
      [pressedAt, lastSeen] = [start, null];
      afterFrame(() => window.samples.push(performance.now() - start));
    },
    true,
  );
  // The last change of the page within a tenth of a second belongs to the key: what is saved later does not.
  new MutationObserver(() => {
    const at = pressedAt;
    if (performance.now() - at < 100) afterFrame(() => at === pressedAt && (lastSeen = performance.now() - at));
  }).observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
});
const row = page.getByRole('listitem', { name: /^Block 15/ });
await row.focus();

/** Presses a key many times, and prints what it took. @param handled the event that does the work @param keyAt names the key of each press */
async function measure(what, handled, keyAt) {
  const press = async (count) => {
    for (let index = 0; index < count; index++) {
      await page.keyboard.press(keyAt(index));
      await page.waitForTimeout(120);
    }
  };
  await press(WARM);
  await page.evaluate(() => (window.samples = []));
  await page.evaluate(() => (window.wholes = []));
  await press(KEYS);
  const wall = (await page.evaluate(() => window.samples)).sort((a, b) => a - b);
  const whole = middle(await page.evaluate(() => window.wholes));
  const session = await page.context().newCDPSession(page);
  const events = [];
  session.on('Tracing.dataCollected', ({ value }) => events.push(...value));
  await session.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['devtools.timeline'] },
  });
  await press(KEYS);
  const complete = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
  await session.send('Tracing.end');
  await complete;
  await session.detach();
  const own = (name, only = () => true) =>
    middle(events.filter((event) => event.name === name && event.dur && only(event)).map(({ tdur, dur }) => (tdur ?? dur) / 1000));
  const script = own('EventDispatch', ({ args }) => args?.data?.type === handled);
  const drawing = ['UpdateLayoutTree', 'Layout', 'PrePaint', 'Paint', 'Layerize'].map((name) => [name, own(name)]);
  const total = script + drawing.reduce((sum, [, ms]) => sum + ms, 0);
  const ninth = wall[Math.floor(wall.length * 0.9)];
  console.log(
    `${what}: key to painted frame ${middle(wall).toFixed(1)} ms, least ${wall[0].toFixed(1)}, nine in ten under ${ninth.toFixed(1)}; to the whole ${whole.toFixed(1)} ms`,
  );
  const parts = drawing.map(([name, ms]) => `${name} ${ms.toFixed(1)}`).join(', ');
  console.log(`  thread's own time ${total.toFixed(1)} ms, of it computing and React ${script.toFixed(1)}, ${parts}`);
  if (!(total > 0 && total <= MOST_MS))
    throw new Error(`${what} takes ${total.toFixed(1)} ms of the thread: at most ${MOST_MS} are allowed.`);
}
const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

await measure('a level up and down', 'keydown', (index) => (index % 2 ? '[' : ']'));
await row.getByRole('button', { name: /^More (seconds|repetitions|breaths)/ }).focus();
await measure('a dose a step longer', 'click', () => 'Enter');
await page.evaluate((made) => fetch(`/api/sequences/${made}`, { method: 'DELETE' }), id);
await browser.close();
