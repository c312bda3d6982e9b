import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { rolldown } from 'rolldown';
import { DATA, ROOT } from './places.mjs';

/** Where the bundled tests of a project lie; stack traces lead back to the sources. */
export const bundled = (project) => join(DATA, 'unit', project);

const packageOf = (name) => join(ROOT, 'packages', name);

/** Packages of which another version lies at the root, where bundles would find it: these come with them. */
const OF_THE_SERVER = ['lru-cache'];

/**
 * Tests run in a context of their own, which loads every module again: a screen’s test loads some two thousand. Bundled, all tests of a project share a few files.
 * Core and web are bundled from their sources, other packages as they were built.
 */
const PROJECTS = {
  core: { folders: ['core/src', 'core/test'], tests: /\.test\.ts$/, before: 'core/jest.properties', groups: 12 },
  contracts: { folders: ['contracts/test'], tests: /\.test\.ts$/ },
  // Decorators need their metadata: the server is tested as it was built. Its frameworks load what they find on the way.
  server: {
    folders: ['server/test'],
    tests: /\.test\.ts$/,
    built: 'server',
    groups: 8,
    keepsOut: (id) => /^[^./]/.test(id) && !id.startsWith('@clay-pot/') && !OF_THE_SERVER.includes(id),
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

/**
 * With the whole run, tests of these projects share files: loading the frameworks or the core for each of them takes as long as many of the tests.
 * A file is run under its own name. Each keeps its variables and hooks to itself, and is first in the names of its tests.
 */
const isGrouped = () => process.env.TESTS_GROUPED === '1';

/** Bundles the tests of every project. */
export async function bundleTests() {
  rmSync(join(DATA, 'unit'), { recursive: true, force: true });
  mkdirSync(join(DATA, 'unit'), { recursive: true });
  writeFileSync(join(DATA, 'unit', 'package.json'), '{ "type": "module" }\n');
  await Promise.all(Object.entries(PROJECTS).map(([name, project]) => bundle(name, project)));
}

async function bundle(name, { setup, before, built, groups, keepsOut = () => false, ...project }) {
  const files = testsOf(project);
  const grouped = groups && isGrouped() ? inGroups(files, groups) : null;
  const input = grouped
    ? Object.fromEntries(grouped.map((_, index) => [`group-${index + 1}.test`, GROUP + index]))
    : Object.fromEntries(files.map((file) => [`${file.folder}/${file.path.replace(/\.tsx?$/, '')}`, pathOf(file)]));
  if (setup) input[setup] = join(packageOf('web'), `${setup}.mjs`);
  if (before) input[basename(before)] = join(packageOf(before.split('/')[0]), `${basename(before)}.mjs`);
  const build = await rolldown({
    input,
    external: (id) => ALWAYS_OUT.test(id) || keepsOut(id),
    platform: setup ? 'browser' : 'node',
    resolve: { mainFields: ['module', 'main'] },
    transform: { define: { 'process.env.NODE_ENV': '"test"' } },
    treeshake: false,
    plugins: [placed(built), ...(grouped ? [together(grouped)] : [])],
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

const pathOf = ({ folder, path }) => join(ROOT, 'packages', folder, path);

/** The largest first, one to each group in turn, so that no group has all that takes long. */
function inGroups(files, count) {
  const bySize = files
    .map((file) => ({ file, size: statSync(pathOf(file)).size }))
    .sort((a, b) => b.size - a.size)
    .map(({ file }) => file);
  return Array.from({ length: count }, (_, group) => bySize.filter((_file, index) => index % count === group));
}

const GROUP = '\0group-';

/** Makes a file of each group, and of each test file in it a `describe` of its own. */
const together = (groups) => {
  const members = new Map(groups.flat().map((file) => [pathOf(file), `${file.folder}/${file.path}`]));
  return {
    name: 'together',
    resolveId: (id) => (id.startsWith(GROUP) ? id : null),
    load: (id) =>
      id.startsWith(GROUP)
        ? groups[Number(id.slice(GROUP.length))].map((file) => `import ${JSON.stringify(pathOf(file))};`).join('\n')
        : null,
    transform(code, id) {
      const name = members.get(id);
      if (!name) return null;
      // Imports stand first in every file here, and what follows is free to be the body of a function.
      const imports = /^(?:\s*(?:\/\/.*\n|\/\*[\s\S]*?\*\/|import\s[\s\S]*?from\s+'[^']+';|import\s+'[^']+';))*/.exec(code)[0];
      const opened = ` import { describe as inFile } from '@jest/globals'; inFile(${JSON.stringify(name)}, () => {`;
      return { code: `${imports}${opened}${code.slice(imports.length)}\n});`, map: null };
    },
  };
};

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
