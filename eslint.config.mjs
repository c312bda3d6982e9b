import jsdoc from 'eslint-plugin-jsdoc';
import hooks from 'eslint-plugin-react-hooks';
import typescript from 'typescript-eslint';

const SOURCES = ['packages/*/src/**/*.{ts,tsx}'];
const TESTS = ['**/*.test.{ts,tsx}', '**/*.fixture.{ts,tsx}'];

export default typescript.config(
  { ignores: ['**/dist/', '**/node_modules/', '.data/', '**/test-results/', '**/playwright-report/'] },
  ...typescript.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
      // Lines are as wide as a statement may be: what is wider is two statements.
      'no-warning-comments': ['error', { terms: ['prettier-ignore'], location: 'anywhere' }],
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
      complexity: ['error', 15],
      // What may import what is in .dependency-cruiser.mjs.
      'no-restricted-imports': [
        'error',
        {
          patterns: [{ group: ['@clay-pot/*/dist/*', '**/packages/*/src/**'], message: 'Import a package by its name.' }],
        },
      ],
    },
  },
  ...typescript.configs.strictTypeCheckedOnly.map((config) => ({ ...config, files: SOURCES, ignores: TESTS })),
  {
    files: SOURCES,
    ignores: TESTS,
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      // What an arrow in one line gives back is nobody’s concern where nothing is awaited.
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true }],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='slice'][arguments.0.value=0][arguments.1.value=10]",
          message: 'An instant is not cut to a day: the studio’s day is stored beside it (onDay).',
        },
        {
          selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword',
          message: 'A cast through unknown hides what the types know: say in a comment why it must be.',
        },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // There is no enum here, and looking for one took nine tenths of the time.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      // Rows of the database are written as plain objects: TypeORM gives them their class.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
    },
  },
  {
    // What a file gives away says what it is.
    files: SOURCES,
    ignores: [...TESTS, '**/index.ts', 'packages/server/src/database/migrations/**'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: { ancestorsOnly: true },
          require: { ClassDeclaration: true, FunctionDeclaration: true },
          contexts: ['TSInterfaceDeclaration', 'TSTypeAliasDeclaration', 'VariableDeclaration'].map(
            (kind) => `ExportNamedDeclaration > ${kind}`,
          ),
          enableFixer: false,
        },
      ],
    },
  },
  {
    // No clock and no chance in the core that is not passed in.
    files: ['packages/core/src/**'],
    // A thread that composes until its time is over reads the clock of the thread.
    ignores: ['**/*.test.ts', '**/*.fixture.ts', 'packages/core/src/answers/compose-in-thread.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock: pass the time in.' },
        { object: 'Math', property: 'random', message: 'The core has no chance: pass it in.' },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage', 'performance'],
    },
  },
  {
    files: ['packages/web/src/**'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      'react-hooks/exhaustive-deps': 'error',
      // Of use to those who let a compiler memoize; here it is done by hand where it was measured.
      'react-hooks/preserve-manual-memoization': 'off',
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    // Requests reach services as plain records: the pipe that checks them leaves no class to lose.
    files: ['packages/server/src/**', 'packages/web/src/**'],
    rules: { '@typescript-eslint/no-misused-spread': 'off' },
  },
  // A test that asserts too much fails by itself.
  {
    files: [...TESTS, 'packages/server/test/**', 'e2e/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  { files: ['scripts/**', 'benchmarks/**', 'clay-pot'], rules: { 'no-console': 'off' } },
  { files: ['packages/core/src/library/**', 'scripts/hand-mesh.mjs'], rules: { 'max-lines': 'off' } },
);
