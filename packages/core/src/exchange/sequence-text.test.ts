import { FORMER_NAMES } from '../library/former-names.js';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY, shippedMethod, shippedMovement } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import { parseDose, printDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { PHASES } from '../vocabulary/phases.js';
import { readSequenceText } from './read-sequence-text.js';
import { decodeSequence } from './sequence-file.js';
import { writeSequenceText } from './write-sequence-text.js';

const ownName = (id: string) => (id === 'free.open-close' ? 'Jellyfish' : undefined);
const read = (text: string) => readSequenceText(text, { shelf: LIBRARY, ownName, methods: Object.values(METHODS) });
const write = (sequence: Sequence) => writeSequenceText(sequence, { lookup: shippedMovement, method: shippedMethod, shelf: LIBRARY });

/** Without ids, which a text does not hold: blocks and rounds by their places. */
function plain({ blocks, rounds, ...rest }: Sequence) {
  const placeOf = new Map(blocks.map(({ id }, index) => [id, index]));
  return {
    ...rest,
    blocks: blocks.map(({ id: _id, ...block }) => block),
    rounds: (rounds ?? []).map(({ id: _id, blockIds, ...round }) => ({
      ...round,
      places: blockIds.map((id) => placeOf.get(id)),
    })),
  };
}

const MESSAGE = `Hands before the climb
20 min
method: Grip and iron

prepare
Jellyfish: 1x20
Wrist circles, arm forward, fist: 1x3 @40% tempo5-5 L,R <>
  look again: after

strength
3 rounds, rest 60, 20% faster:
Wrist curl, supported, light: 1x10 6kg L,R
Reverse wrist curl, supported, light: 1x10 @40% L,R

break 45
Handle carry, medium: 2x40m,1xmax
  note: Tall, quiet shoulders.
`;

describe('a sequence as plain text', () => {
  test('is read as a coach would write it in a message', () => {
    const { document, faults } = read(MESSAGE);
    expect(faults).toEqual([]);
    expect(document).toMatchObject({ title: 'Hands before the climb', budgetMin: 20, methodId: 'grip-and-iron' });
    expect(document?.blocks.map(({ movementId, levelId, phase }) => [movementId, levelId, phase])).toEqual([
      ['free.open-close', 'slow', 'prepare'],
      ['free.wrist-circles', 'free-fist', 'prepare'],
      ['weight.curl', 'light', 'strength'],
      ['weight.reverse-curl', 'light', 'strength'],
      ['grip.bar-carry', 'medium', 'strength'],
    ]);
    expect(document?.blocks.map(({ dose }) => printDose(dose))).toContain('2x40m,1xmax');
    expect(document?.blocks[1]?.lookAgain).toEqual(['after']);
    expect(document?.blocks[4]).toMatchObject({ breakS: 45, note: 'Tall, quiet shoulders.' });
    expect(document?.rounds).toMatchObject([{ blockIds: ['b3', 'b4'], times: 3, restS: 60, change: { fasterPercent: 20 } }]);
  });

  test('what was not said to the letter is said back', () => {
    const { document, interpretations } = read('Short\nstrength\nPlank, knees: 2x20s\nwrist circels\nPalm lift');
    expect(document?.blocks.map(({ movementId, levelId }) => [movementId, levelId])).toContainEqual(['bearing.palm-support', 'knees-back']);
    expect(interpretations.map(({ line, took }) => `${line}: ${took}`)).toEqual([
      '3: Palm support, Knees back',
      '4: Wrist circles, Forearm on the thigh, loose fist',
      '4: the level’s usual dose',
      '5: Palm lift, Hands on a table',
      '5: the level’s usual dose',
      expect.stringMatching(/^1: \d+ min, as long as it takes$/),
    ]);
  });

  test('without phases movements stay in their order, in the phase that fits there', () => {
    const { document } = read('Mixed\nPalm support, plank: 1x20s\nWrist circles, arm forward, fist: 1x3 L,R <>');
    expect(document?.blocks.map(({ movementId, phase }) => [movementId, phase])).toEqual([
      ['bearing.palm-support', 'skill'],
      ['free.wrist-circles', 'settle'],
    ]);
  });

  test('the written order is kept under any headings, and a phase may come twice', () => {
    const text = 'Twice\nWarm-up\nWrist circles: 1x5\nStrength\nPalm lift: 1x5\nWarm-up\nFinger waves: 1x5\nStrength\nFist rolls: 1x5';
    expect(read(text).document?.blocks.map(({ movementId, phase }) => `${phase} ${movementId}`)).toEqual([
      'prepare free.wrist-circles',
      'strength strength.palm-lift',
      'prepare free.finger-waves',
      'strength rock.fist-rolls',
    ]);
  });

  test('a second side or direction is never added unasked', () => {
    const { document } = read('T\nWrist circles: 1x10\nWrist curl, supported, light: 2x10\nWrist circles: 1x10 <>');
    expect(document?.blocks.map(({ dose: { sides, directions } }) => [sides, directions])).toEqual([
      ['together', 'first'],
      ['together', 'none'],
      ['together', 'each'],
    ]);
  });

  test.each<[string, string, number, number, string, string]>([
    ['an unknown movement', 'T\nprepare\n  Floating anvils: 1x8', 3, 3, 'There is no movement “Floating anvils”', ''],
    ['a name that could be several', 'T\nPalm: 1x8', 2, 1, 'Choose one', 'Palm'],
    ['an unknown level', 'T\nPalm lift, on the moon: 1x8', 2, 1, 'has no level “on the moon”', 'All fours'],
    ['a part of a dose', 'T\nPalm lift, all fours: 2x6 hard rest40', 2, 27, 'Can’t read “hard” in a dose', ''],
    ['a dose that does not fit', 'T\nPalm lift, all fours: 2x6br', 2, 23, 'is dosed in', ''],
    ['a load that it has no place for', 'T\nPalm lift, all fours: 2x6 12kg', 2, 23, 'has no weight to set', ''],
    ['a change of rounds', 'T\nstrength\n3 rounds, rest 60, twice:\nPalm lift, plank: 1x6', 3, 20, '“twice” isn’t part of a round', ''],
    ['too many rounds', 'T\nstrength\n30 rounds:\nPalm lift, plank: 1x6', 3, 1, 'within 2–10 rounds', ''],
    ['a round of nothing', 'T\nstrength\n3 rounds:', 3, 1, 'movements of this round below it', ''],
    ['an unknown method', 'T\nmethod: Iron and fire\nPalm lift, plank: 1x6', 2, 9, 'There is no method “Iron and fire”', ''],
    ['an unknown check', 'T\nunheeded: gravity, no\nPalm lift, plank: 1x6', 1, 1, 'gravity', ''],
    ['nothing', '  \n ', 1, 1, 'The text is empty', ''],
  ])('%s is told with its line and column', (_what, text, line, column, words, nearest) => {
    const { faults } = read(text);
    expect(faults[0]).toMatchObject({ line, column });
    expect(faults[0]!.message).toContain(words);
    expect(faults[0]!.nearest.join()).toContain(nearest);
  });

  test('a file with everything comes back from its text', () => {
    const file = readFileSync(join(import.meta.dirname, '../../test/files/sequence-v3.claypot.json'), 'utf8');
    const sequence = decodeSequence(file, shippedMovement);
    const { document, faults } = read(write(sequence));
    expect(faults).toEqual([]);
    expect(plain(document!)).toEqual(plain(sequence));
  });

  test('every level of every movement is read back as itself', () => {
    for (const movement of LIBRARY) {
      for (const level of movement.ladder) {
        const block: Block = {
          id: 'b1',
          phase: 'prepare',
          movementId: movement.id,
          levelId: level.id,
          dose: level.dose,
        };
        const sequence = { title: 'One', purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks: [block] };
        const { document, interpretations } = read(write(sequence));
        expect([document?.blocks, interpretations]).toEqual([[block], []]);
      }
    }
  });

  test('names of before still open', () => {
    const [first, second] = read('Old\n\nHook glide, without tension\nFlexion press, middle of the range, gentle').document!.blocks;
    expect([first!.movementId, second!.movementId, second!.levelId]).toEqual(['glide.hook', 'isometric.flexion', 'gentle']);
  });

  test.each(Object.entries(FORMER_NAMES))('%s is found by what it was called before: %s', (id, name) => {
    const { document, interpretations } = read(`Old\n\n[x]\n`.replace('[x]', name!));
    expect([document?.blocks[0]?.movementId, interpretations.length]).toEqual([id, expect.any(Number)]);
  });

  test('any sequence comes back from its text', () => {
    const anyBlock = fc.constantFrom(...LIBRARY).chain((movement) =>
      fc.record({
        phase: fc.constantFrom(...PHASES),
        movementId: fc.constant(movement.id),
        level: fc.constantFrom(...movement.ladder),
        breakS: fc.constantFrom(undefined, 30),
        note: fc.constantFrom(undefined, 'Slow: and easy, 3 rounds', 'break 30'),
        looks: fc.boolean(),
        atOnce: fc.boolean(),
        bonus: fc.boolean(),
      }),
    );
    fc.assert(
      fc.property(
        fc.array(anyBlock, { minLength: 1, maxLength: 10 }),
        fc.constantFrom('A title', 'prepare', '30 min', 'title: twice', '3 rounds', 'Break 20', 'Palm lift: a class'),
        fc.nat(9),
        fc.constantFrom(undefined, { levels: -1 }, { fasterS: 1.5 }, { fasterPercent: -20, morePercent: 50, levels: 2 }),
        (any, title, at, change) => {
          const blocks = any.map(({ level, breakS, note, looks, atOnce, bonus, ...block }, index): Block => ({
            ...block,
            id: `x${index}`,
            levelId: level.id,
            dose: level.dose,
            ...(breakS !== undefined && { breakS }),
            ...(atOnce && index > 0 && { atOnce }),
            ...(bonus && { bonus }),
            ...(note !== undefined && { note }),
            ...(looks && { lookAgain: ['after' as const] }),
          }));
          const mine = blocks.slice(at, at + 2).filter(({ phase }) => phase === blocks[at]?.phase);
          const rounds = [{ id: 'r', blockIds: mine.map(({ id }) => id), times: 2, restS: 30, ...(change && { change }) }];
          const sequence: Sequence = {
            title,
            purpose: 'Any',
            budgetMin: 33,
            pacing: { ...USUAL_PACING, breathInS: 4.5 },
            blocks,
            ...(mine.length > 0 && { rounds }),
          };
          const { document, faults } = read(write(sequence));
          expect(faults).toEqual([]);
          expect(plain(document!)).toEqual(plain(sequence));
        },
      ),
    );
  });

  test('doses are written in the movement’s usual way, as they are typed', () => {
    const movement = shippedMovement('free.wrist-circles')!;
    const block: Block = {
      id: 'b1',
      phase: 'prepare',
      movementId: movement.id,
      levelId: 'free-fist',
      dose: parseDose('1x3 tempo5-5', usualWay(movement)),
    };
    const text = write({ title: 'One', purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks: [block] });
    expect(text).toBe('One\n10 min\n\nWarm-up\nWrist circles, Arm forward, fist: 1x3 tempo5-5 L,R <>\n');
  });
});

test('rounds out of their bounds are told of where they are written, and pacing takes its unit', () => {
  expect(read('Many\nload\n11 rounds:\n  Palm lift, all fours: 1x5').faults).toEqual([
    { line: 3, column: 1, message: 'Rounds must be within 2–10 rounds, not 11.', nearest: [], choices: [] },
  ]);
  const { document } = read('Quick\npacing: ready 3 s, announce 2 s, change 3 s, breathe 4-6 s\nPalm lift, all fours: 1x5');
  expect(document?.pacing).toMatchObject({ readyS: 3, announceS: 2, changeSidesS: 3 });
});
