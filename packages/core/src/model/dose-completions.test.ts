import { describe, expect, test } from '@jest/globals';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { doseCompletions } from './dose-completions.js';
import { parseDose } from './dose-shorthand.js';
import { checkFit } from './fit.js';
import { usualWay } from './movement.js';

const after = (typed: string, movementId: string, levelAt = 0) => {
  const movement = shippedMovement(movementId)!;
  return doseCompletions(typed, movement, movement.ladder[levelAt]!);
};
const parts = (...question: Parameters<typeof after>) => after(...question).map(({ part }) => part);

describe('how a dose may go on', () => {
  test.each<[string, string, string[]]>([
    ['3x8 re', 'weight.curl', ['rest20', 'rest30', 'rest60', 'rest90', 'rest120']],
    ['3x8 @4', 'weight.curl', ['@40%']],
    ['3x8 tempo1', 'weight.curl', ['tempo1-1', 'tempo1-2', 'tempo1-3']],
    ['3x8 6', 'weight.curl', ['6kg']],
    ['2x15s w', 'bearing.palm-support', ['wedge15']],
    ['2x15s L', 'bearing.palm-support', ['LR']],
    ['1x3 <', 'free.wrist-circles', ['<>']],
    ['2x10,1xm', 'grip.ball-squeeze', ['2x10,1xmax16', '2x10,1xmax30s']],
    ['1xe', 'stretch.flexors', ['1xease40s', '1xease6br']],
    ['3', 'grip.bar-carry', ['3x20m', '3x40m', '3xmax40m', '3x15s', '3x20s']],
  ])('“%s” of %s', (typed, movementId, expected) => expect(parts(typed, movementId)).toEqual(expected));

  test('keeps what stands before, and says what the part means', () => {
    expect(after('3x8 pau', 'weight.curl')[0]).toEqual({
      text: '3x8 pause1',
      part: 'pause1',
      means: 'seconds between repetitions',
    });
  });

  test('has nothing to say of nothing, of what is whole, and of what begins no part', () => {
    for (const typed of ['', '3x8 ', '3x8 rest120', '3x8 zz']) expect(parts(typed, 'weight.curl')).toEqual([]);
  });

  test('proposes what can be read and fits, whatever the movement', () => {
    for (const movement of LIBRARY) {
      for (const level of movement.ladder) {
        for (const begun of ['3', '1xm', '1xe', '3x1', '@', 'r', 't', 'p', 'w', 's', 'e', 'h', 'a', 'b', 'L', '<']) {
          const typed = /^\d/.test(begun) ? begun : `${level.dose.work.kind === 'repetitions' ? '2x8' : '2x20s'} ${begun}`;
          for (const { text, part } of doseCompletions(typed, movement, level)) {
            // Which hands and which kind of work is said by other parts of the text.
            const dose = parseDose(text, { ...usualWay(movement), sides: 'together' });
            const others = ['/dose/work/kind', '/dose/sides'];
            const unfit = checkFit(dose, movement, level).filter(({ pointer }) => !others.includes(pointer));
            expect([movement.id, level.id, part, unfit]).toEqual([movement.id, level.id, part, []]);
          }
        }
      }
    }
  });
});
