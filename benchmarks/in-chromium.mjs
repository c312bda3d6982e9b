// Runs a bench of this folder in Chromium instead of Node, over the same built core.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/in-chromium.mjs fatigue.mjs
import { fileURLToPath } from 'node:url';
import { build } from 'vite';
import { launch } from './chromium.mjs';

const [name = 'fatigue.mjs'] = process.argv.slice(2);
const PAGE = `<!doctype html><script type="module">await import('/bench.js'); document.title = 'done';</script>`;

/** The bench and the core as one script. */
const { output } = await build({
  configFile: false,
  logLevel: 'error',
  build: {
    write: false,
    target: 'esnext',
    rolldownOptions: {
      input: fileURLToPath(new URL(`./${name}`, import.meta.url)),
      preserveEntrySignatures: 'strict',
      // The solver is asked for by no bench that runs here.
      external: [/^highs/, /^node:/],
      output: { codeSplitting: false },
    },
  },
});
const script = output[0].code;

const browser = await launch();
const page = await browser.newPage();
page.on('console', (message) => console.log(message.text()));
page.on('pageerror', (error) => console.error(error));
await page.route('http://bench.invalid/**', (route) => {
  const isPage = new URL(route.request().url()).pathname === '/';
  return route.fulfill(isPage ? { contentType: 'text/html', body: PAGE } : { contentType: 'text/javascript', body: script });
});
await page.goto('http://bench.invalid/');
await page.waitForFunction(() => document.title === 'done', null, { timeout: 300_000 });
await browser.close();
