import fc from 'fast-check';
import { LIBRARY, METHODS, shippedMovement } from '../../src/library/index.js';
import { maximum } from '../../src/mechanics/belief.js';
import type { Person } from '../../src/mechanics/capacity.js';
import type { RecordedCaution } from '../../src/model/athlete.js';
import { type Block, inPhaseOrder, type Sequence, USUAL_PACING } from '../../src/model/sequence.js';
import { cautionsOn } from '../../src/rules/safety/cautions.js';
import type { SessionQuestion } from '../../src/effort/session-view.js';
import { session } from '../../src/rules/checks/sessions.fixture.js';
import { CAUTION_IDS } from '../../src/vocabulary/cautions.js';
import { addDays } from '../../src/vocabulary/days.js';
import { HAND_PLACE_IDS } from '../../src/vocabulary/hand-places.js';
import { HANDS, WORKING_SIDES } from '../../src/vocabulary/hands.js';
import { PHASES } from '../../src/vocabulary/phases.js';
import { EQUIPMENT } from '../../src/vocabulary/places.js';
import { itemAt } from '../../src/vocabulary/lists.js';

export const TODAY = '2026-06-10';
export const NOW = `${TODAY}T10:00:00.000Z`;

const int = (min: number, max: number) => fc.integer({ min, max });

/** Somebody of any size, age and strength, tested or not. */
const person: fc.Arbitrary<Person> = fc
  .record({
    sex: fc.constantFrom('female' as const, 'male' as const),
    statureCm: int(150, 200),
    massKg: int(45, 110),
    ageYears: fc.oneof({ weight: 3, arbitrary: int(18, 75) }, int(10, 17)),
    gripN: fc.option(int(120, 600), { nil: null }),
  })
  .map(({ sex, statureCm, massKg, ageYears, gripN }) => ({
    body: { sex, statureM: statureCm / 100, massKg } as Person['body'],
    ageYears,
    evidence: gripN === null ? [] : HANDS.map((hand) => maximum('grip', hand, gripN, '2026-06-01')),
    today: TODAY,
  }));

const clearance = fc.record(
  {
    effortPercent: fc.constantFrom(20, 30, 40, 60, 80),
    extensionDeg: fc.constantFrom(30, 45, 60, 80),
    noBodyWeight: fc.constant(true as const),
  },
  { requiredKeys: [] },
);
/** A restriction of either hand or both: standing, cleared, or cleared within limits; a sore place with its score. */
const caution: fc.Arbitrary<RecordedCaution> = fc
  .record({
    caution: fc.constantFrom(...CAUTION_IDS),
    hand: fc.constantFrom(...WORKING_SIDES),
    cleared: fc.constantFrom('no', 'wholly', 'within'),
    within: clearance,
    place: fc.constantFrom(...HAND_PLACE_IDS),
    score: int(1, 10),
  })
  .map(({ caution: id, hand, cleared, within, place, score }): RecordedCaution => {
    const at = { caution: id, hand, since: addDays(TODAY, -5) };
    if (id === 'sore-place') return { ...at, place, symptom: 'ache', score };
    if (id === 'stop-sign') return { ...at, stopped: { sessionId: 's', sign: 'numbness' } };
    if (cleared === 'no') return at;
    return { ...at, clearedOn: addDays(TODAY, -2), clearedBy: 'A. Example', ...(cleared === 'within' && { within }) };
  });

const MOVEMENTS = LIBRARY.filter(({ ladder }) => ladder.length > 0);
const block: fc.Arbitrary<Omit<Block, 'id'>> = fc
  .record({ at: int(0, MOVEMENTS.length - 1), level: int(0, 9), sides: int(0, 9), phase: fc.constantFrom(...PHASES) })
  .map(({ at, level, sides, phase }) => {
    const movement = itemAt(MOVEMENTS, at);
    const chosen = itemAt(movement.ladder, level % movement.ladder.length);
    // One set of repetitions may alternate, time may not: the level’s own plan else.
    const plan = itemAt(movement.sides, sides % movement.sides.length);
    const dose = plan === 'alternating' ? chosen.dose : { ...chosen.dose, sides: plan };
    return { phase, movementId: movement.id, levelId: chosen.id, dose };
  });
export const sequence: fc.Arbitrary<Sequence> = fc.array(block, { minLength: 2, maxLength: 6 }).map((blocks) => ({
  title: 'Any',
  purpose: '',
  budgetMin: 30,
  pacing: USUAL_PACING,
  blocks: inPhaseOrder(blocks.map((each, index) => ({ ...each, id: `b${index + 1}` }))),
}));

/** Who asks, with what is on record of them on the day: what follows from age stands among it. */
export const subject: fc.Arbitrary<Omit<SessionQuestion, 'sequence'>> = fc
  .record({
    person,
    cautions: fc.array(caution, { maxLength: 3 }),
    equipment: fc.oneof(fc.subarray([...EQUIPMENT]), fc.constant([...EQUIPMENT])),
    method: fc.constantFrom(...Object.values(METHODS)),
    past: fc.array(int(1, 6), { maxLength: 3 }),
  })
  .map(({ person: who, cautions, equipment, method, past }) => {
    const birthDate = addDays(TODAY, -Math.round((who.ageYears ?? 40) * 365.25 + 30));
    return {
      person: who,
      athlete: { cautions: cautionsOn({ cautions, birthDate }, TODAY), equipment },
      method,
      past: [...past]
        .sort((a, b) => b - a)
        .map((days) => session(addDays(TODAY, -days), { hard: ['left finger flexors', 'right finger flexors'] })),
      now: NOW,
      lookup: shippedMovement,
      shelf: LIBRARY,
    };
  });
