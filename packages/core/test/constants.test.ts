import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import * as core from '../src/index.js';
import { working } from '../src/vocabulary/constant.js';
import { REFERENCE_BODIES } from '../src/model/body.js';

const { constants, handLoad, USUAL_POSTURES, withValue } = core;
const document = readFileSync(new URL('../../../docs/constants.md', import.meta.url), 'utf8');
const rows = new Map(
  document
    .split('\n')
    .filter((line) => line.startsWith('| '))
    .map((line) => line.split('|').map((cell) => cell.trim()))
    .map(([, name = '', value = '']) => [name, value]),
);

describe('the constants of the computations', () => {
  test('each has a name of its own, and a source, or a reason with a range that it lies in', () => {
    const names = constants().map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    expect(names.length).toBeGreaterThan(120);
    for (const { name, value, source, reason, range } of constants()) {
      expect([name, source !== null || (reason.length > 3 && range !== null)]).toEqual([name, true]);
      if (range) expect([name, value >= range[0] && value <= range[1]]).toEqual([name, true]);
    }
    expect(() => working('a slip', 5, 'm', 'of the finger', [0, 1])).toThrow('outside its own range');
  });

  test('stand in docs/constants.md as they are in the code: node benchmarks/constants.mjs writes it', () => {
    const computedRows = constants().map(({ name, value, unit }) => [name, `${Number(value.toPrecision(4))} ${unit}`]);
    expect(computedRows.map(([name]) => [name, rows.get(name!)])).toEqual(computedRows);
  });

  test('can be moved for a computation, and stand as before after it, even when it fails', () => {
    const wrist = constants().find(({ name }) => name === 'Wrist over a flat palm')!;
    const angle = () => handLoad({ ...REFERENCE_BODIES.male }, USUAL_POSTURES.plank).wristExtensionDeg;
    const before = angle();
    expect(withValue(wrist, 0.45, angle)).toBeLessThan(before - 2);
    expect(() =>
      withValue(wrist, 0.45, () => {
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(angle()).toBe(before);
  });
});
