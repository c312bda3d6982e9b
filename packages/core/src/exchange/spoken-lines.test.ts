import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import type { Level, Movement } from '../model/movement.js';
import { printDose } from '../model/dose-shorthand.js';
import { readSequenceText, SEQUENCE_TEXT_LENGTH } from './read-sequence-text.js';
import { runs } from '../properties.fixture.js';

const read = (text: string) => readSequenceText(text, { shelf: LIBRARY, methods: Object.values(METHODS) });

/** How the same dose is said, and the places that it stands in. */
const SAID = {
  repetitions: ['3x{n}', '3 x {n}', '3 sets of {n}', '3 sets of {n} reps', '3 sets, {n} reps'],
  time: ['3x{n}s', '3 x {n} s', '3 sets of {n} seconds', '3 x {n} sec'],
  breaths: ['3x{n}br', '3 x {n} breaths', '3 sets of {n} slow breaths'],
  distance: ['3x{n}m', '3 x {n} metres', '3 sets of {n} m'],
} as const;
const RESTS = ['rest 45', 'rest 45 s', '45 s rest', 'with 45 seconds rest between sets', 'rest45'];
const PLACES = ['{m}: {d}, {r}', '{m} {d} {r}', '- {m}, {d}, {r}', '2. {m} – {d}, {r}', '{d} {m}, {r}'];

const anyLine = fc
  .constantFrom(...LIBRARY)
  .chain((movement) =>
    fc.record({
      movement: fc.constant(movement),
      level: fc.constantFrom<Level>(...movement.ladder),
      kind: fc.constantFrom(...movement.work),
      n: fc.integer({ min: 16, max: 40 }),
      said: fc.nat(9),
      rest: fc.constantFrom(...RESTS),
      place: fc.constantFrom(...PLACES),
    }),
  )
  .map(({ movement, level, kind, n, said, rest, place }) => {
    const forms = SAID[kind];
    const dose = (forms[said % forms.length] ?? forms[0]).replace('{n}', String(n));
    const text = place.replace('{m}', `${movement.name}, ${level.name}`).replace('{d}', dose).replace('{r}', rest);
    return { movement, level, kind, n, text };
  });

const meant = (movement: Movement, level: Level) => `${movement.id} ${level.id}`;

describe('lines as people say them', () => {
  test('movement, level, sets, amount and rest are what was said, wherever they stand', () => {
    fc.assert(
      fc.property(anyLine, ({ movement, level, kind, n, text }) => {
        const { document, faults } = read(`Title\n${text}`);
        expect([text, faults.map(({ message }) => message)]).toEqual([text, []]);
        const [block] = document!.blocks;
        expect([text, `${block!.movementId} ${block!.levelId}`]).toEqual([text, meant(movement, level)]);
        const unit = { repetitions: '', time: 's', breaths: 'br', distance: 'm' }[kind];
        expect(printDose(block!.dose)).toMatch(new RegExp(`^3x${n}${unit} rest45(?: |$)`));
      }),
      runs(300),
    );
  });

  test.each([
    ['commas', ','],
    ['blanks', `a${' '.repeat(588)}`],
    ['digits', '1'],
    ['names', 'palm, '],
    ['misspelt words', 'wrisst circels '],
    ['doses', '1 x '],
  ])('a long text of %s is read in a moment', (_what, piece) => {
    const line = piece.repeat(590).slice(0, 590);
    const text = `${line}\n`.repeat(200).slice(0, SEQUENCE_TEXT_LENGTH);
    const startedAt = performance.now();
    const { faults } = read(`Title\n${text}`);
    expect(performance.now() - startedAt).toBeLessThan(5000);
    // Where hardly anything is understood the rest is not asked about.
    expect(faults.length).toBeLessThanOrEqual(61);
  });

  test('past what a sequence holds the text is not read, and says so', () => {
    const { document, faults } = read(`Title\n${'Palm lift, all fours: 1x5\n'.repeat(130)}`);
    expect(document?.blocks).toHaveLength(120);
    expect(faults.map(({ line, message }) => [line, message])).toEqual([
      [122, 'A sequence has at most 120 blocks: the text is not read from here on.'],
    ]);
  });
});
