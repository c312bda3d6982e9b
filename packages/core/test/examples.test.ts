import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import * as exchange from '../src/exchange/index.js';
import * as core from '../src/index.js';
import * as library from '../src/library/index.js';

/** Every `@example` of the core's docstrings is what it says: `→` for the same, `≈` for the same to the places that are written. */

const SOURCES = join(import.meta.dirname, '../src');
const KNOWN = { ...core, ...library, ...exchange };
const EXAMPLE = /@example (.+?) (→|≈) (.+?)(?:\s*\*\/)?$/gm;

const files = readdirSync(SOURCES, { recursive: true })
  .map(String)
  .filter((path) => path.endsWith('.ts') && !path.endsWith('.test.ts'));
const examples = files.flatMap((path) =>
  [...readFileSync(join(SOURCES, path), 'utf8').matchAll(EXAMPLE)].map(([, expression, sign, result]): [string, string, string, string] => [
    path,
    expression!,
    sign!,
    result!,
  ]),
);

/** What an expression comes to with the core's exports in scope. */
const valueOf = (expression: string): unknown => {
  const names = Object.keys(KNOWN);
  return new Function(...names, `return (${expression});`)(...Object.values(KNOWN));
};
const places = (number: string) => number.split('.')[1]?.length ?? 0;

describe('the examples in the docstrings', () => {
  test.each(examples)('%s: %s %s %s', (_path, expression, sign, result) => {
    if (sign === '→') expect(valueOf(expression)).toEqual(valueOf(result));
    else expect(valueOf(expression)).toBeCloseTo(Number(result), places(result));
  });

  test('none stands in a form that is not run', () => {
    const written = files.map((path) => readFileSync(join(SOURCES, path), 'utf8').match(/@example/g)?.length ?? 0);
    expect(examples).toHaveLength(written.reduce((sum, count) => sum + count, 0));
  });
});
