// Draws what is missing of the library's still pictures, and takes away what nothing shows any more:
//   node scripts/bake-stills.mjs   (after the core is compiled; it needs Chromium)
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format } from 'oxfmt';
import { chromium } from 'playwright';
import { createServer } from 'vite';
import { chromiumPath } from './machine.mjs';
import { ROOT } from './places.mjs';
import { filesThere, listOf, SIZES, STILLS_FOLDER, STILLS_LIST, wantedFiles, wantedStills } from './stills.mjs';

const PORT = 4199;

const levels = wantedStills();
const files = wantedFiles(levels);
const there = new Set(filesThere());
const missing = [...files].filter(([file]) => !there.has(file));
console.log(`${files.size} pictures, ${missing.length} to draw`);
mkdirSync(STILLS_FOLDER, { recursive: true });
for (const file of there) if (!files.has(file)) rmSync(join(STILLS_FOLDER, file));
if (missing.length > 0) await drawAll(missing);
const { code } = await format('stills.json', JSON.stringify(listOf(levels)));
writeFileSync(STILLS_LIST, code);

async function drawAll(wishes) {
  const web = join(ROOT, 'packages/web');
  const server = await createServer({
    root: web,
    configFile: join(web, 'vite.config.ts'),
    server: { port: PORT, strictPort: true },
    logLevel: 'warn',
  });
  await server.listen();
  const args = ['--no-sandbox', '--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'];
  const browser = await chromium.launch({ executablePath: chromiumPath(), args });
  try {
    const page = await browser.newPage();
    page.on('pageerror', (error) => console.error(error.message));
    await page.goto(`http://localhost:${PORT}/bake/index.html`);
    await page.waitForFunction(() => 'bake' in window);
    for (const [index, [file, { movementId, levelId, name, size }]] of wishes.entries()) {
      const { quality, ...pixels } = SIZES[size];
      const wish = { movementId, levelId, name, ...pixels };
      const url = await page.evaluate(([what, how]) => window.bake(what, how), [wish, quality]);
      writeFileSync(join(STILLS_FOLDER, file), Buffer.from(url.split(',')[1], 'base64'));
      if (index % 100 === 99) console.log(`  ${index + 1} drawn`);
    }
  } finally {
    await browser.close();
    await server.close();
  }
}
