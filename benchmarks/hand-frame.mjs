// What one frame of a moving hand costs: what the graphics card is given, and the thread's own time without any drawing.
//   ./clay-pot start   in one window   then   node benchmarks/hand-frame.mjs http://localhost:4173 [movement ...]
// A processor draws here in place of a graphics card, so its drawing is no measure and is left out; `×4` is a thread four times as slow, as on a
// middling phone. At 60 frames a second a frame has 16.7 ms.
import { launch } from './chromium.mjs';
import { signIn } from './sign-in.mjs';
import { sized } from './small.mjs';

const [address = 'http://localhost:4173', ...wanted] = process.argv.slice(2);
const movements = wanted.length
  ? wanted
  : sized(
      ['free.wrist-circles', 'stretch.flexors', 'strength.palm-lift', 'rock.palm-backward', 'weight.roller-up'],
      ['free.wrist-circles'],
    );
const WATCHED_MS = sized(4000, 500);

const browser = await launch(['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader']);
const page = await browser.newPage({ viewport: { width: 390, height: 844 }, deviceScaleFactor: sized(2, 1), baseURL: address });
const bytes = new Map();
page.on('response', async (response) => {
  const path = new URL(response.url()).pathname;
  if (/stage-|hand-mesh/.test(path)) bytes.set(path, (await response.body().catch(() => Buffer.alloc(0))).length);
});
await page.addInitScript(() => {
  const counted = (window.counted = { calls: 0, triangles: 0, frames: [], draws: true });
  for (const name of ['drawElements', 'drawArrays']) {
    const drawn = WebGL2RenderingContext.prototype[name];
    WebGL2RenderingContext.prototype[name] = function (...given) {
      counted.calls++;
      counted.triangles += (name === 'drawElements' ? given[1] : given[2]) / 3;
      if (counted.draws) drawn.apply(this, given);
    };
  }
  const copied = CanvasRenderingContext2D.prototype.drawImage;
  CanvasRenderingContext2D.prototype.drawImage = function (...given) {
    if (counted.draws) copied.apply(this, given);
  };
  const asked = window.requestAnimationFrame.bind(window);
  window.requestAnimationFrame = (then) =>
    asked((at) => {
      const calls = counted.calls;
      const begun = performance.now();
      then(at);
      if (counted.calls > calls) counted.frames.push(performance.now() - begun);
    });
});
await signIn(page);
const session = await page.context().newCDPSession(page);

async function watched(slower) {
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  // The first second works out what is kept: moments of the way, frame and trail.
  await page.waitForTimeout(1000);
  await page.evaluate(() => Object.assign(window.counted, { calls: 0, triangles: 0, frames: [] }));
  await page.waitForTimeout(WATCHED_MS);
  return page.evaluate(() => {
    const { calls, triangles, frames } = window.counted;
    const sorted = [...frames].sort((a, b) => a - b);
    const at = (share) => sorted[Math.floor(share * (sorted.length - 1))] ?? NaN;
    const shown = frames.length;
    return { shown, calls: calls / shown, triangles: triangles / shown, middle: at(0.5), most: at(0.95) };
  });
}
const ms = (value) => value.toFixed(1).padStart(5);
console.log('                             a frame:  calls  triangles   thread ms  (19 of 20 under)   ×4: thread ms');
for (const id of movements) {
  await page.goto(`/movements/${id}`);
  await page.getByRole('group', { name: /Arrow keys turn it/ }).waitFor();
  await page.waitForTimeout(3000);
  await page.evaluate(() => (window.counted.draws = false));
  const plain = await watched(1);
  const slow = await watched(4);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  console.log(
    `${id.padEnd(36)} ${plain.calls.toFixed(0).padStart(6)} ${Math.round(plain.triangles).toLocaleString('en').padStart(10)} ${ms(plain.middle).padStart(11)} ${ms(plain.most).padStart(12)} ${ms(slow.middle).padStart(21)} ${ms(slow.most)}`,
  );
}
for (const [path, size] of bytes) console.log(`${path}: ${size.toLocaleString('en')} bytes`);
await browser.close();
