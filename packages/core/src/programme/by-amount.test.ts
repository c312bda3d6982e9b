import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { amountOf, type Dose, withAmount } from '../model/dose.js';
import { type Block, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { runs } from '../properties.fixture.js';
import { person } from '../rules/checks/sessions.fixture.js';
import type { SideGroup } from '../vocabulary/muscles.js';
import { HANDS } from '../vocabulary/hands.js';
import { inAnotherAmount } from './by-amount.js';
import { sessionLoad } from './session-load.js';

const sequenceOf = (block: Block): Sequence => ({ title: 'One', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks: [block] });

test('any number of sets, of any amount, comes to what that very dose comes to', () => {
  const levels = LIBRARY.flatMap((movement) => movement.ladder.map((level) => ({ movement, level })));
  fc.assert(
    fc.property(
      fc.constantFrom(...levels),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 1, max: 40 }),
      fc.boolean(),
      ({ movement, level }, sets, more, isUneven) => {
        const block: Block = { id: 'b', phase: 'load', movementId: movement.id, levelId: level.id, dose: level.dose };
        const { work } = level.dose;
        const amount = Math.max(1, amountOf(work) - 10 + more);
        const dose: Dose = {
          ...level.dose,
          sets,
          work: withAmount(work, amount),
          ...(isUneven && { then: [{ sets: 2, work: withAmount(work, amount + 1) }] }),
        };
        const [made, plain] = [inAnotherAmount(block, dose), { ...block, dose }].map((each) =>
          sessionLoad(person, sequenceOf(each), shippedMovement),
        );
        // A metre takes no whole milliseconds.
        expect(Math.abs(made!.durationMs - plain!.durationMs)).toBeLessThanOrEqual(2 * sets);
        expect(made!.hard).toEqual(plain!.hard);
        for (const [key, value] of Object.entries(plain!.doses)) expect(made!.doses[key as SideGroup]).toBeCloseTo(value, 4);
        for (const hand of HANDS)
          for (const [name, value] of Object.entries(plain!.hands[hand]))
            expect(Math.abs(made!.hands[hand][name as 'workS'] - value)).toBeLessThanOrEqual(0.01 + value / 1000);
      },
    ),
    runs(300),
  );
});
