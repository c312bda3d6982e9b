// People who do not exist, with their methods: for whom the benchmarks compose.
import { EQUIPMENT, maximum } from '@clay-pot/core';
import { LIBRARY, METHODS, shippedMovement } from '@clay-pot/core/library';

const TODAY = '2026-11-01';
const body = (sex, statureM, massKg) => ({ sex, statureM, massKg });
const grip = (left, right) => [maximum('grip', 'left', left, TODAY), maximum('grip', 'right', right, TODAY)];

/** A teacher, a climber of fifteen, a fencer with a weaker left hand, a carpenter with arthritis, a regular. */
export const PEOPLE = {
  teacher: { method: 'woven-into-practice', sizes: body('female', 1.65, 62), ageYears: 34 },
  boulderer: {
    method: 'grip-and-iron',
    sizes: body('male', 1.7, 58),
    ageYears: 15,
    evidence: grip(330, 350),
    cautions: [{ caution: 'under-18' }],
  },
  fencer: { method: 'careful-return', sizes: body('female', 1.72, 66), ageYears: 27, evidence: grip(290, 360) },
  carpenter: { method: 'daily-range', sizes: body('male', 1.76, 84), ageYears: 61, cautions: [{ caution: 'arthritis' }] },
  regular: { method: 'floor-loading', sizes: body('male', 1.8, 78), ageYears: 29, evidence: grip(520, 540) },
};

/** What the generator is asked for one of them, with all equipment and the whole library. */
export const questionFor = ({ method, sizes, ageYears, evidence = [], cautions = [] }, goal, minutes) => ({
  goal,
  minutes,
  method: METHODS[method],
  person: { body: sizes, ageYears, evidence, today: TODAY },
  athlete: { cautions, equipment: EQUIPMENT },
  past: [],
  now: `${TODAY}T10:00:00.000Z`,
  shelf: LIBRARY,
  lookup: shippedMovement,
});
