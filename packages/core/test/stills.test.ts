import { beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../../..');
const FOLDER = join(ROOT, 'packages/web/public/assets/stills');
/** A repository should stay quick to clone. */
const MOST_BYTES = 12e6;

interface Stills {
  readonly list: Readonly<Record<string, readonly (string | number)[]>>;
  readonly files: readonly string[];
  readonly there: readonly string[];
}

/** The compiled core says what there should be, as it does for who bakes the pictures. */
const wanted = () =>
  new Promise<Stills>((resolve, reject) =>
    execFile(process.execPath, ['scripts/stills.mjs'], { cwd: ROOT, maxBuffer: 64e6 }, (error, printed) =>
      error ? reject(error) : resolve(JSON.parse(printed) as Stills),
    ),
  );

describe('baked pictures of the library', () => {
  let stills: Stills;
  beforeAll(async () => {
    stills = await wanted();
    // Every level is drawn once: some time on a machine that does other things beside it.
  }, 120_000);

  test('show every level as it is drawn now: node scripts/bake-stills.mjs draws what has changed', () => {
    const list = JSON.parse(readFileSync(join(ROOT, 'packages/web/src/drawing/hand/stills.json'), 'utf8')) as Stills['list'];
    const stale = Object.keys(stills.list).filter((level) => String(list[level]) !== String(stills.list[level]));
    expect(stale).toEqual([]);
    expect(Object.keys(list)).toHaveLength(Object.keys(stills.list).length);
  });

  test('are all there, nothing else is, and together they are small', () => {
    expect(stills.files.length).toBeGreaterThan(1000);
    expect(stills.there).toEqual(stills.files);
    const bytes = stills.files.reduce((sum, file) => sum + statSync(join(FOLDER, file)).size, 0);
    expect(bytes).toBeLessThan(MOST_BYTES);
  });

  test('have something on them: an empty picture is a few hundred bytes', () => {
    const empty = stills.files.filter((file) => statSync(join(FOLDER, file)).size < 700);
    expect(empty).toEqual([]);
  });
});
