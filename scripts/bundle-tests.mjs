import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { rolldown } from 'rolldown';
import { DATA, ROOT } from './places.mjs';

/** Where the bundled tests of a project lie; stack traces lead back to the sources. */
export const bundled = (project) => join(DATA, 'unit', project);

const packageOf = (name) => join(ROOT, 'packages', name);

/**
 * Tests run in a context of their own, which reads every module anew: a screen's test reads some two thousand. Bundled, all tests of a project share a few files.
 * What they are of is the same code: core and web from their sources, whatever stands in another package as it was built.
 */
const PROJECTS = {
  core: { folders: ['core/src', 'core/test'], tests: /\.test\.ts$/, before: 'core/jest.properties' },
  contracts: { folders: ['contracts/test'], tests: /\.test\.ts$/ },
  // Decorators need their metadata: the server is tested as it was built. Its frameworks load what they find on the way.
  server: {
    folders: ['server/test'],
    tests: /\.test\.ts$/,
    built: 'server',
    keepsOut: (id) => /^[^./]/.test(id) && !id.startsWith('@clay-pot/'),
  },
  web: { folders: ['web/src'], tests: /\.test\.ts$/, setup: 'jest.storage' },
  pieces: { folders: ['web/src'], tests: /\.test\.tsx$/, setup: 'jest.document' },
};

/** The runner's own, what only Node has, and what finds files beside itself. */
const ALWAYS_OUT = /^(@jest\/globals$|node:|highs)/;

/**
 * What the code asks of the language over and over, bound to names of each file: in the context of a test every look at a global is intercepted, and a computation
 * that reads `Math` a million times takes ten times as long there as anywhere else.
 */
const BOUND = 'const { Math, Number, Object, Array, Map, Set, WeakMap, Infinity, NaN } = globalThis;';

/** Bundles the tests of every project. */
export async function bundleTests() {
  rmSync(join(DATA, 'unit'), { recursive: true, force: true });
  mkdirSync(join(DATA, 'unit'), { recursive: true });
  writeFileSync(join(DATA, 'unit', 'package.json'), '{ "type": "module" }\n');
  await Promise.all(Object.entries(PROJECTS).map(([name, project]) => bundle(name, project)));
}

async function bundle(name, { setup, before, built, keepsOut = () => false, ...project }) {
  const files = testsOf(project);
  const input = Object.fromEntries(
    files.map(({ folder, path }) => [`${folder}/${path.replace(/\.tsx?$/, '')}`, join(ROOT, 'packages', folder, path)]),
  );
  if (setup) input[setup] = join(packageOf('web'), `${setup}.mjs`);
  if (before) input[basename(before)] = join(packageOf(before.split('/')[0]), `${basename(before)}.mjs`);
  const build = await rolldown({
    input,
    external: (id) => ALWAYS_OUT.test(id) || keepsOut(id),
    platform: setup ? 'browser' : 'node',
    resolve: { mainFields: ['module', 'main'] },
    transform: { define: { 'process.env.NODE_ENV': '"test"' } },
    treeshake: false,
    plugins: [placed(built)],
    onLog: () => undefined,
  });
  await build.write({
    dir: bundled(name),
    sourcemap: true,
    entryFileNames: '[name].js',
    chunkFileNames: '[name].js',
    intro: BOUND,
    codeSplitting: {
      groups: [
        { name: 'three', test: /node_modules[\\/]three/ },
        { name: 'vendor', test: /node_modules/ },
        { name: 'house', test: /packages[\\/]\w+[\\/](src|dist)[\\/](?!.*\.(test|fixture)\.)/ },
      ],
    },
  });
}

const testsOf = ({ folders, tests }) =>
  folders.flatMap((folder) =>
    readdirSync(join(ROOT, 'packages', folder), { recursive: true })
      .map(String)
      .filter((path) => tests.test(path))
      .map((path) => ({ folder, path })),
  );

/** Lets a bundled file find what lies beside its source, and reads a package as it was built. */
const placed = (built) => ({
  name: 'placed',
  resolveId(id, importer) {
    if (id.endsWith('?url')) return `\0${id}`;
    if (!built || !importer || !id.startsWith('.')) return null;
    const [source, dist] = [join(packageOf(built), 'src/'), join(packageOf(built), 'dist/')];
    const path = join(dirname(importer), id);
    return path.startsWith(source) ? path.replace(source, dist) : null;
  },
  // Addresses of files are for a browser.
  load: (id) => (id.startsWith('\0') && id.endsWith('?url') ? 'export default "";' : null),
  transform(code, id) {
    if (!code.includes('import.meta') || !id.startsWith(join(ROOT, 'packages'))) return null;
    const known = code
      .replaceAll('import.meta.dirname', JSON.stringify(dirname(id)))
      .replaceAll('import.meta.url', JSON.stringify(`file://${id}`));
    return { code: known, map: null };
  },
});
