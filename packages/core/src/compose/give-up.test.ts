import { expect, test } from '@jest/globals';
import { LinearWriter } from './linear.js';
import { giveUpOf } from './give-up.js';
import { solver } from './composing.fixture.js';

/** Blocks of some seconds each, which have to be there, in some minutes. */
function needing(seconds: readonly number[], minutes: number, more?: (writer: LinearWriter, blocks: number[]) => void) {
  const writer = new LinearWriter();
  const blocks = seconds.map(() => writer.unknown({ worth: 1, whole: true }));
  writer.row(
    'minutes',
    blocks.map((at, index) => [at, seconds[index] ?? 0]),
    { max: 60 * minutes },
  );
  for (const at of blocks) writer.row('locked', [[at, 1]], { min: 1 }, `block ${at}`);
  more?.(writer, blocks);
  return { unknowns: writer.unknowns, rows: writer.rows };
}

test('where everything can be had nothing is given up', () => {
  expect(giveUpOf(needing([120, 100], 4), solver)).toEqual([]);
});

test('minutes that are missing are told by how many', () => {
  expect(giveUpOf(needing([120, 130, 20], 4), solver)).toEqual([{ rule: 'minutes', text: '1 more minutes are needed' }]);
  expect(giveUpOf(needing([200, 200], 4), solver)).toEqual([{ rule: 'minutes', text: '3 more minutes are needed' }]);
});

test('a little more time goes before what was locked; what would take many times the minutes goes itself', () => {
  expect(giveUpOf(needing([200], 3), solver).map(({ rule }) => rule)).toEqual(['minutes']);
  expect(giveUpOf(needing([900], 3), solver).map(({ rule }) => rule)).toEqual(['locked']);
});

test('what a method would have goes before what was locked', () => {
  const linear = needing([100, 100], 10, (writer, blocks) => {
    writer.row(
      'position-changes',
      blocks.map((at) => [at, 2]),
      { max: 3 },
    );
  });
  expect(giveUpOf(linear, solver).map(({ rule }) => rule)).toEqual(['position-changes']);
});

test('what keeps hands sound is never offered: what was locked goes instead', () => {
  const linear = needing([60, 60], 10, (writer, blocks) => {
    writer.row(
      'hard-spacing',
      blocks.map((at) => [at, 30]),
      { max: 28 },
      'finger flexors',
    );
  });
  const given = giveUpOf(linear, solver);
  expect(given).toEqual([
    { rule: 'locked', text: 'give up keeping block 0' },
    { rule: 'locked', text: 'give up keeping block 1' },
  ]);
});
