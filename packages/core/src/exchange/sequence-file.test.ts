import { describe, expect, test } from '@jest/globals';
import { FileError, type FileFault } from './json-file.js';
import { decodeSequence, encodeSequence } from './sequence-file.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';

const SEQUENCE: Sequence = {
  title: 'Everything once',
  purpose: 'Every movement at every level',
  budgetMin: 60,
  pacing: USUAL_PACING,
  blocks: LIBRARY.flatMap((movement) =>
    movement.ladder.map((level) => ({
      id: `${movement.id} ${level.id}`,
      phase: 'prepare' as const,
      movementId: movement.id,
      levelId: level.id,
      dose: level.dose,
      note: 'a note',
    })),
  ).slice(0, 120),
};
const SMALL = encodeSequence({ ...SEQUENCE, blocks: SEQUENCE.blocks.slice(0, 2) });

function faultsOf(text: string): readonly FileFault[] {
  try {
    decodeSequence(text, shippedMovement);
  } catch (error) {
    if (error instanceof FileError) return error.faults;
    throw error;
  }
  throw new Error('The file was taken.');
}
/** The 1-based line on which a text stands, found apart from the code under test. */
const lineOf = (text: string, part: string) => text.split('\n').findIndex((line) => line.includes(part)) + 1;

describe('sequence files', () => {
  test('what is exported can be imported, whole', () => {
    expect(decodeSequence(encodeSequence(SEQUENCE), shippedMovement)).toEqual(SEQUENCE);
  });

  test('a file says what it is', () => {
    expect(JSON.parse(SMALL)).toMatchObject({ format: 'clay-pot/sequence', version: 3 });
  });

  test.each<[string, (text: string) => string, string, string, string]>([
    ['a value over its limit', (t) => t.replace('"sets": 1', '"sets": 99'), '"sets": 99', '/blocks/0/dose/sets', 'within 1–20'],
    ['a misspelt field', (t) => t.replace('"purpose"', '"porpoise"'), '"porpoise"', '/porpoise', 'not a known field'],
    ['an unknown level', (t) => t.replace('"free-fist"', '"no-fist"'), '"no-fist"', '/blocks/1/levelId', 'Its levels are'],
    ['an unknown movement', (t) => t.replace('"free.wrist-circles"', '"free.x"'), '"free.x"', '/blocks/0/movementId', 'no movement'],
    ['a wrong kind of work', (t) => t.replace('"repetitions"', '"reps"'), '"reps"', '/blocks/0/dose/work/kind', 'one of repetitions'],
    ['an unknown phase', (t) => t.replace('"prepare"', '"warm"'), '"warm"', '/blocks/0/phase', 'prepare, range, load'],
    ['a version that never was', (t) => t.replace('"version": 3', '"version": 0'), '"version": 0', '/version', 'one of 1, 2, 3'],
  ])('%s is told with line and field', (_what, damage, part, pointer, words) => {
    const text = damage(SMALL);
    const fault = faultsOf(text).find((candidate) => candidate.pointer === pointer);
    expect(fault?.line).toBe(lineOf(text, part));
    expect(fault?.message).toContain(words);
  });

  test('a file of version 1 is read as it is', () => {
    expect(decodeSequence(SMALL.replace('"version": 2', '"version": 1'), shippedMovement)).toEqual(decodeSequence(SMALL, shippedMovement));
  });

  test('method and mutes come back as they went; a rule of safety stays unmuted', () => {
    const whole = { ...decodeSequence(SMALL, shippedMovement), methodId: 'floor-loading' };
    const muted = { ...whole, mutes: [{ check: 'fast-motion', reason: 'Before racing.' }] };
    expect(decodeSequence(encodeSequence(muted), shippedMovement)).toEqual(muted);
    const unsafe = encodeSequence({ ...whole, mutes: [{ check: 'leave-out', reason: 'No.' }] });
    expect(faultsOf(unsafe)).toEqual([expect.objectContaining({ pointer: '/mutes/0/check' })]);
  });

  test('several faults are told at once', () => {
    const text = SMALL.replace('"sets": 1', '"sets": 0').replace('"budgetMin": 60', '"budgetMin": "an hour"');
    expect(
      faultsOf(text)
        .map((fault) => fault.pointer)
        .sort(),
    ).toEqual(['/blocks/0/dose/sets', '/budgetMin']);
  });

  test('a missing field is named, and told where it belongs', () => {
    const faults = faultsOf(SMALL.replace(/ {2}"title": .*\n/, ''));
    expect(faults).toEqual([{ line: 1, column: 1, pointer: '/title', message: 'is missing: it must be text' }]);
  });

  test('broken JSON is told with its line', () => {
    const lines = SMALL.split('\n');
    lines[4] = lines[4]!.replace(',', '');
    expect(faultsOf(lines.join('\n'))[0]).toMatchObject({
      line: 6,
      message: expect.stringContaining('comma expected'),
    });
    expect(faultsOf('')[0]?.message).toBeTruthy();
    expect(faultsOf('[]')[0]?.message).toContain('object');
  });
});
