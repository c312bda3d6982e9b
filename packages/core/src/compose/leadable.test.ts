import { describe, expect, test } from '@jest/globals';
import { groupRests, missingRests } from '../effort/group-rests.js';
import { viewOf } from '../effort/session-view.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import type { RecordedCaution } from '../model/athlete.js';
import { WORK } from '../vocabulary/phases.js';
import { handsWorking } from '../vocabulary/hands.js';
import { must } from '../vocabulary/lists.js';
import { EQUIPMENT, PLACE_OF } from '../vocabulary/places.js';
import { sentenceText } from '../vocabulary/sentence.js';
import { apart, missingRestS } from './apart.js';
import { candidatesFor, possibleFor } from './candidates.js';
import { compose, isComposed } from './compose.js';
import type { Composed } from './composed.js';
import { composeFor, solver } from './composing.fixture.js';
import { examined, composingOf, type ComposeQuestion } from './question.js';
import { rested } from './rested.js';

function atOnce(question: ComposeQuestion): Composed {
  const answer = compose(question, solver, { better: () => false });
  if (!isComposed(answer)) throw new Error('Nothing was composed.');
  return answer;
}
const QUESTIONS = [
  composeFor('grip-endurance', 'grip-and-iron', { minutes: 30 }),
  composeFor('handstand-load', 'floor-loading', { minutes: 20 }),
  composeFor('throwing-hand', 'woven-into-practice', { minutes: 12 }),
];
const barred = (hand: 'left' | 'right', more: Partial<RecordedCaution> = {}) => ({
  cautions: [{ caution: 'numbness' as const, hand, ...more }],
  equipment: EQUIPMENT,
});

describe('a generated sequence can be led', () => {
  test.each(QUESTIONS.map((question) => [question.goal.id, question] as const))(
    '%s: rests, sets, movements and places',
    (_id, question) => {
      const { sequence } = atOnce(question);
      const view = viewOf(examined(composingOf(question), sequence.blocks));
      expect(groupRests(view).length + sequence.blocks.length).toBeGreaterThan(5);
      expect([...missingRests(view)]).toEqual([]);
      expect(sequence.blocks.length).toBeLessThanOrEqual(Math.max(6, Math.round(question.minutes / 1.5)));
      // What trains has two sets; mending may take one from a hold that would fail.
      const work = sequence.blocks.filter(({ phase }) => WORK.includes(phase));
      expect(work.filter(({ dose }) => dose.sets === 1).length).toBeLessThanOrEqual(work.length / 5);
      const places = view.blocks.map(({ level }) => PLACE_OF[level.posture]);
      const changes = places.filter((place, index) => index > 0 && place !== places[index - 1]).length;
      expect(changes).toBeLessThanOrEqual(2 * new Set(places).size);
    },
  );

  test('muscles rest as long as the dose says, by the order or by a break', () => {
    const composing = composingOf(must(QUESTIONS[0], 'a question'));
    const { candidates } = candidatesFor(composing);
    const seated = candidates.filter(({ phase, station, posture }) => phase === 'strength' && station === 'seated' && posture === 'seated');
    const apiece = seated.filter(({ movement }, index) => seated.findIndex((each) => each.movement === movement) === index).slice(0, 8);
    const better = apart(apiece);
    expect(new Set(better)).toEqual(new Set(apiece));
    expect(missingRestS(better)).toBeLessThanOrEqual(missingRestS(apiece));

    const hangs = ['hang.feet-supported', 'hang.one-leg'].map((id) =>
      must(
        candidates.find(({ movement }) => movement.id === id),
        id,
      ),
    );
    const blocks = hangs.map(({ movement, level, dose, phase }) => ({
      ...{ id: movement.id, movementId: movement.id, levelId: level.id },
      ...{ dose, phase },
    }));
    expect(missingRests(viewOf(examined(composing, blocks))).size).toBe(1);
    const after = rested(composing, { ...composing.frame, blocks });
    expect(missingRests(viewOf(examined(composing, after.blocks))).size).toBe(0);
    expect(after.blocks.map(({ breakS }) => breakS !== undefined)).toEqual([false, true]);
  });
});

describe('whom a sequence is generated for', () => {
  test('one hand barred leaves the other its work, one-handed', () => {
    const question = composeFor('throwing-hand', 'floor-loading', { athlete: barred('left') });
    const open = possibleFor(question).possible;
    expect(new Set(open.map(({ movement }) => movement.id)).size).toBeGreaterThan(80);
    const { sequence, findings } = atOnce(question);
    expect(findings.map(({ check }) => check.id).filter((id) => id !== 'side-plan')).toEqual([]);
    const loaded = sequence.blocks.filter(({ movementId, levelId }) => {
      const level = must(shippedMovement(movementId), 'a movement').ladder.find(({ id }) => id === levelId);
      return level?.loading !== 'unloaded';
    });
    expect(loaded.length).toBeGreaterThan(2);
    for (const { dose } of loaded) expect(handsWorking(dose.sides)).toEqual(['right']);
  });

  test('a first session has no hang on one hand, on a bent wrist or with weight, and nothing meant for the practised', () => {
    const strong = { ...composeFor('grip-endurance', 'grip-and-iron').person, evidence: [] };
    for (const { level } of possibleFor(composeFor('edge-strength', 'grip-and-iron', { person: strong })).possible) {
      expect([level.id, level.meantFor]).toEqual([level.id, undefined]);
      if (level.load.kind === 'hang') expect([level.load.addedKg]).toEqual([0]);
    }
    const { excluded } = possibleFor(composeFor('grip-endurance', 'grip-and-iron'));
    const why = (id: string) => sentenceText(excluded.find(({ movementId }) => movementId === id)?.why ?? '');
    const oneHand = must(
      LIBRARY.find(({ id }) => id === 'hang.one-hand'),
      'a hang on one hand',
    );
    expect(why(oneHand.id)).not.toBe('');
  });

  test('a pike comes after weight on the hands in an easier position', () => {
    const question = composeFor('handstand-load', 'floor-loading');
    const pike = must(
      LIBRARY.find(({ ladder }) => ladder.every(({ posture }) => posture === 'pike')),
      'a movement that is a pike only',
    );
    const { possible, excluded } = possibleFor(question);
    expect(possible.some(({ movement }) => movement === pike)).toBe(false);
    expect(sentenceText(excluded.find(({ movementId }) => movementId === pike.id)?.why ?? '')).toMatch(/comes first/);
  });

  test('a want that gets nearly nothing says what holds it there', () => {
    const nothingHere = { cautions: [], equipment: [] };
    const composed = atOnce(composeFor('grip-endurance', 'daily-range', { athlete: nothingHere, notAt: ['bar'] }));
    const held = composed.heldBack();
    composed.wants.forEach(({ gotS, targetS }, index) => {
      expect([index, held[index] !== null]).toEqual([index, gotS < 0.1 * targetS]);
    });
    expect(held.some((text) => text !== null)).toBe(true);
  });
});
