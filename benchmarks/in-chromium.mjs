// Runs a bench of this folder in Chromium instead of Node, over the same built core.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/in-chromium.mjs fatigue.mjs
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { launch } from './chromium.mjs';

const [name = 'fatigue.mjs'] = process.argv.slice(2);
const CORE = new URL('../packages/core/dist/', import.meta.url);
const PAGE = `<!doctype html><script type="importmap">{"imports":{"@clay-pot/core":"/core/index.js"}}</script>
<script type="module">await import('/bench/${name}'); document.title = 'done';</script>`;

const browser = await launch();
const page = await browser.newPage();
page.on('console', (message) => console.log(message.text()));
page.on('pageerror', (error) => console.error(error));
await page.route('http://bench.invalid/**', async (route) => {
  const { pathname } = new URL(route.request().url());
  if (pathname === '/') return route.fulfill({ contentType: 'text/html', body: PAGE });
  const file = pathname.startsWith('/core/')
    ? new URL(pathname.slice(6), CORE)
    : new URL(`./${pathname.slice(7)}`, import.meta.url);
  return route.fulfill({ contentType: 'text/javascript', body: await readFile(fileURLToPath(file), 'utf8') });
});
await page.goto('http://bench.invalid/');
await page.waitForFunction(() => document.title === 'done', null, { timeout: 300_000 });
await browser.close();
