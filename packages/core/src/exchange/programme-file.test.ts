import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { on, programmeOf, SEQUENCES } from '../programme/programme.fixture.js';
import { FileError } from './json-file.js';
import { decodeProgramme, encodeProgramme } from './programme-file.js';

const programme = programmeOf(on('0/1 whole', '0/3 easy', '1/1 hard'), {
  event: { day: '2026-07-18', name: 'Show' },
  changes: [{ id: 'c1', fromDay: '2026-06-15', planId: 'whole', edits: [{ kind: 'remove', blockId: 'b13' }], reason: 'It hurt.' }],
});
const file = encodeProgramme(programme, SEQUENCES);
const faultsIn = (text: string) => {
  try {
    decodeProgramme(text, shippedMovement);
    return [];
  } catch (error) {
    return (error as FileError).faults;
  }
};

describe('a programme file', () => {
  test('is read as what was written, with its sequences', () => {
    const read = decodeProgramme(file, shippedMovement);
    expect(read.programme).toEqual(programme);
    expect(read.sequences).toEqual(new Map(SEQUENCES));
  });

  test.each([
    ['another format', file.replace('clay-pot/programme', 'clay-pot/sequence'), '/format', /must be/],
    ['a later version', file.replace('"version": 1', '"version": 2'), '/version', /up to version 1/],
    ['a day outside', file.replaceAll('2026-06-08', '2027-01-01'), '/sessions/1/day', /must lie within/],
    [
      'a sequence missing',
      file.replace('"planId": "easy",\n      "sequence"', '"planId": "none",\n      "sequence"'),
      '/plans/1',
      /no sequence for the plan “easy”/,
    ],
    [
      'a movement of nobody',
      file.replace('grip.ball-squeeze', 'grip.nothing'),
      '/sequences/0/sequence/blocks/1/movementId',
      /grip.nothing/,
    ],
    ['broken JSON', file.replace('"weeks": [', '"weeks": ['.slice(0, -1)), '', /Not valid JSON/],
  ])('with %s says at which line and field', (_, text, pointer, message) => {
    const [fault] = faultsIn(text);
    expect(fault).toMatchObject({ pointer });
    expect(fault!.message).toMatch(message);
    expect(fault!.line).toBeGreaterThan(0);
  });
});
