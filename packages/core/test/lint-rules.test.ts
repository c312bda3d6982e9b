import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../../..');
const SOURCE = `export const day = (at: string) => at.slice(0, 10);
/** A number. */
export const count = (at: string) => (at as unknown as number) + Date.now();
`;
let tree = '';

beforeAll(() => {
  // Apart from the sources, which the linter may be reading at this moment.
  tree = mkdtempSync(join(tmpdir(), 'linted-'));
  const folder = join(tree, 'packages/core/src');
  mkdirSync(folder, { recursive: true });
  // Where the linter looks for what knows types.
  symlinkSync(join(ROOT, 'node_modules'), join(tree, 'node_modules'));
  cpSync(join(ROOT, '.oxlintrc.json'), join(tree, '.oxlintrc.json'));
  mkdirSync(join(tree, 'scripts'));
  cpSync(join(ROOT, 'scripts/lint-rules.mjs'), join(tree, 'scripts/lint-rules.mjs'));
  writeFileSync(join(folder, 'sample.ts'), SOURCE);
  writeFileSync(join(folder, 'sample.test.ts'), SOURCE);
});
afterAll(() => rmSync(tree, { recursive: true }));

test('the linter’s interface for rules of our own still takes them: each reports in sources, and what holds everywhere in tests', async () => {
  const linter = join(ROOT, 'node_modules/oxlint/bin/oxlint');
  const args = [linter, '--format', 'unix', 'packages'];
  const output = await new Promise<string>((resolve) => execFile(process.execPath, args, { cwd: tree }, (_, printed) => resolve(printed)));
  const reported = [...output.matchAll(/^(\S+?):(\d+):.*\((.+)\)\]$/gm)].map(([, file, line, rule]) => `${file}:${line} ${rule}`);
  expect(reported.sort()).toEqual([
    'packages/core/src/sample.test.ts:1 no-cut-instant',
    'packages/core/src/sample.ts:1 exported-has-doc',
    'packages/core/src/sample.ts:1 no-cut-instant',
    'packages/core/src/sample.ts:3 no-double-cast',
    'packages/core/src/sample.ts:3 no-restricted-properties',
  ]);
});
