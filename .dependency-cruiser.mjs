/** The layout as rules (docs/architecture.md): `npm run lint` holds the tree against them. */
const CORE = [
  'vocabulary',
  'model',
  'mechanics',
  'timeline',
  'effort',
  'measure',
  'rules',
  'compose',
  'programme',
  'picture',
  'library',
  'exchange',
  'answers',
];
const TESTS = '\\.(test|fixture)\\.tsx?$';

const downward = CORE.slice(0, -1).map((folder, index) => ({
  name: `core-${folder}-imports-upward`,
  comment: 'Folders of the core import only from folders above them in the list of docs/architecture.md.',
  severity: 'error',
  from: { path: `^packages/core/src/${folder}/`, pathNot: TESTS },
  to: { path: `^packages/core/src/(${CORE.slice(index + 1).join('|')})/` },
}));

/** What a bundler makes the address of a file of: only it can resolve one that a package exports. */
const ADDRESS = '\\?url$';

export default {
  forbidden: [
    ...downward,
    {
      name: 'core-has-no-other-rooms',
      comment: 'A new folder of the core gets its place in the list first.',
      severity: 'error',
      from: { path: `^packages/core/src/(?!(${CORE.join('|')})/|index\\.ts$)` },
      to: {},
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core/src/' },
      to: { path: '^packages/(contracts|server|web)/' },
    },
    {
      name: 'no-node-in-what-runs-anywhere',
      comment: 'Core and contracts run in browser and server, the web in the browser.',
      severity: 'error',
      from: { path: '^packages/(core|contracts|web)/src/', pathNot: TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'contracts-know-the-core-only',
      severity: 'error',
      from: { path: '^packages/contracts/src/' },
      to: { path: '^packages/(server|web)/' },
    },
    {
      name: 'server-and-web-meet-in-contracts',
      severity: 'error',
      from: { path: '^packages/(server|web)/' },
      to: { path: '^packages/(server|web)/', pathNot: '^packages/$1/' },
    },
    {
      name: 'features-never-import-each-other',
      comment: 'What two features share about a noun belongs to web/src/domain, pieces of interface to ui, pictures to drawing.',
      severity: 'error',
      from: { path: '^packages/web/src/features/([^/]+)/' },
      to: { path: '^packages/web/src/features/', pathNot: '^packages/web/src/features/$1/' },
    },
    {
      name: 'only-the-router-knows-features',
      severity: 'error',
      from: { path: '^packages/web/src/(api|domain|drawing|store|ui|workers)/' },
      to: { path: '^packages/web/src/(app|features)/' },
    },
    {
      name: 'domain-stands-on-pieces',
      comment: 'ui and drawing know nothing of the product’s nouns in store and domain.',
      severity: 'error',
      from: { path: '^packages/web/src/(ui|drawing)/' },
      to: { path: '^packages/web/src/(domain|store)/' },
    },
    {
      name: 'migrations-are-frozen',
      comment: 'A migration does the same for ever: what the house that runs works out is left to database/derived.ts.',
      severity: 'error',
      from: { path: '^packages/server/src/database/migrations/' },
      to: { path: '^packages/', pathNot: '^packages/server/src/database/migrations/frozen\\.ts$' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-undeclared-packages',
      comment: 'A package is declared where it is imported.',
      severity: 'error',
      from: { path: '^packages/', pathNot: `${TESTS}|/test/` },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown', 'unknown', 'undetermined'], pathNot: ADDRESS },
    },
    { name: 'nothing-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: ADDRESS } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: '/dist/|node_modules/\\.vite' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    combinedDependencies: false,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['types', 'import', 'default'] },
  },
};
