import { describe, expect, test } from '@jest/globals';
import { LIBRARY } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import { parseDose, printDose, ShorthandError } from '../model/dose-shorthand.js';
import { readSequenceText } from './read-sequence-text.js';
import { typedDose } from './typed-dose.js';

const read = (text: string) => readSequenceText(text, { shelf: LIBRARY, methods: Object.values(METHODS) });
const blocksOf = (text: string) => {
  const { document, faults } = read(`Title\n${text}`);
  expect(faults).toEqual([]);
  return document!.blocks;
};
const doseOf = (line: string) => {
  const [block] = blocksOf(line);
  return `${printDose(block!.dose)}${block!.note ? ` (${block!.note})` : ''}`;
};

describe('doses as coaches give them', () => {
  test.each([
    ['Wrist curl, light: 3 sets of 8–12', '3x8-12'],
    ['Palm support, plank: 2 x 20 to 30 s', '2x20-30s'],
    ['Palm support, plank 15 s now, 30 s goal', '1x15s goal30s'],
    ['Palm support, plank 15 s, goal 8 breaths', '1x15s (goal 8br)'],
    ['Ball squeeze 10 reps at 30-40 %, sore: 20-30 %', '1x10 @30-40% sore@20-30%'],
    ['Ball squeeze 10 reps at 40 %, 20 % if sore', '1x10 @40% sore@20%'],
    ['Wrist flexor stretch, curled: left 30 s, right 1 min', '1x30s R60s L,R'],
    ['Wrist flexor stretch, curled: right 60 s, left 30 s', '1x30s R60s R,L'],
    ['Radial deviation with lever, light 2 x 10, finish one side first', '2x10 LL,RR'],
    ['Single finger extension with band, light: 10 per finger', '1x10 L,R'],
    ['Single finger extension with band, light: 8 each, index and ring finger only', '1x8 L,R only:index+ring'],
    ['Thumb press against each finger, gentle: 3 per finger', '1x12 L,R'],
    ['Thumb press against each finger, gentle: 3-5 per finger', '1x12-20 L,R'],
    ['Isometric wrist extension, medium: first set 5 x 6 s, second set 5 x 8 s', '1x5,1x5(8s) 6s L,R'],
    ['Forearm rotations, elbows at your sides 3 x 20 s, each set 10 % faster', '3x20s faster10%'],
    ['Wrist curl, light 3 x 10, each set half a second faster', '3x10 faster0.5s'],
  ])('%s', (line, dose) => expect(doseOf(line).replace(/ \(L,R\)$/, '')).toBe(dose));

  test('at once, a bonus and a recap', () => {
    const blocks = blocksOf(
      [
        'Wrist curl, light: 2x10',
        'at once',
        'Wrist flexor stretch, curled: 20 s',
        'Bonus: Ball squeeze, soft: 30 s',
        'recap, quicker',
      ].join('\n'),
    );
    expect(blocks.map(({ movementId, atOnce = false, bonus = false, dose }) => [movementId, atOnce, bonus, printDose(dose)])).toEqual([
      ['weight.curl', false, false, '2x10'],
      ['stretch.flexors', true, false, '1x20s L,R'],
      ['grip.ball-squeeze', false, true, '1x30s'],
      ['weight.curl', false, false, '1x10 tempo1-1.5'],
      ['stretch.flexors', false, false, '1x13s L,R'],
    ]);
  });

  test('under a heading all that follows is a bonus, up to the next phase', () => {
    const blocks = blocksOf(['Wrist curl, light: 2x10', 'Bonus:', 'Ball squeeze, soft: 30 s', 'Cool-down', 'Shakes: 30 s'].join('\n'));
    expect(blocks.map(({ bonus = false }) => bonus)).toEqual([false, true, false]);
  });

  test('rounds that get faster by seconds', () => {
    const { document } = read('Title\n3 rounds, 1 s faster each round:\n  Wrist curl, light: 1x8 tempo2-2');
    expect(document?.rounds?.[0]?.change).toEqual({ fasterS: 1 });
  });
});

describe('what is typed into a dose', () => {
  const movement = LIBRARY.find(({ id }) => id === 'weight.curl')!;
  const [level] = movement.ladder;
  const typed = (text: string, before = '2x12 tempo1-2 rest30 L,R') => printDose(typedDose(text, parseDose(before), movement, level));
  test.each([
    ['3x8', '3x8 tempo1-2 rest30 L,R'],
    ['3 sets of 8–12', '3x8-12 tempo1-2 rest30 L,R'],
    ['rest 1 min', '2x12 tempo1-2 rest60 L,R'],
    ['10 reps, 3 s down', '1x10 tempo1-3 rest30 L,R'],
    ['left 8, right 12', '1x8 R12 tempo1-2 rest30 L,R'],
    ['to failure', '1xmax tempo1-2 rest30 L,R'],
    ['3 x 10 slow', '3x10 tempo3-3 rest30 L,R'],
  ])('%s', (text, dose) => expect(typed(text)).toBe(dose));

  test.each(['3x8 wildly', 'palms', '3 x 8 with a friend'])('“%s” is no dose', (text) => {
    expect(() => typed(text)).toThrow(ShorthandError);
  });
});
