import { expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { session } from '../rules/checks/sessions.fixture.js';
import { findLevel, usualWay } from '../model/movement.js';
import { parseDose } from '../model/dose-shorthand.js';
import { must } from '../vocabulary/lists.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { composeFor } from './composing.fixture.js';
import { type ComposeQuestion, composingOf } from './question.js';
import { suiting } from './suitable.js';

/** What a movement is given as to somebody who asks for handstands by floor loading; the reason where it is not. */
function given(movementId: string, more: Partial<ComposeQuestion> = {}): string {
  const composing = composingOf(composeFor('handstand-load', 'floor-loading', more));
  const suits = suiting(composing, must(shippedMovement(movementId), `a movement ${movementId}`));
  return 'why' in suits ? sentenceText(suits.why) : suits.level.id;
}
/** A week ago somebody did this. */
const didLast = (movementId: string, levelId: string) => [
  session('2026-06-03', { movementIds: [movementId], forms: [{ movementId, levelId }] }),
];

test('what was done last goes on where it was; what nobody has done begins far down', () => {
  const ladder = must(shippedMovement('bearing.palm-support'), 'a movement').ladder.map(({ id }) => id);
  const begun = given('bearing.palm-support');
  expect(ladder.indexOf(begun)).toBeGreaterThanOrEqual(0);
  expect(ladder.indexOf(begun)).toBeLessThan(2);
  const [, , third] = ladder;
  expect(given('bearing.palm-support', { past: didLast('bearing.palm-support', third!) })).toBe(third);
});

test('after two weeks without it a level is gone back', () => {
  const ladder = must(shippedMovement('bearing.palm-support'), 'a movement').ladder.map(({ id }) => id);
  const [, second, third] = ladder;
  const past = didLast('bearing.palm-support', third!);
  expect(given('bearing.palm-support', { past, now: '2026-06-24T10:00:00.000Z' })).toBe(second);
});

test('a handstand comes after what leads to it, and then begins at its first level', () => {
  expect(given('bearing.handstand')).toMatch(/^Handstand, wall to free: plank or pike or .* comes first/);
  const plank = must(shippedMovement('bearing.palm-support'), 'a movement').ladder.find(({ posture }) => posture === 'plank');
  const past = didLast('bearing.palm-support', must(plank, 'a plank').id);
  const [first] = must(shippedMovement('bearing.handstand'), 'a movement').ladder;
  expect(given('bearing.handstand', { past })).toBe(first?.id);
});

test('what is not here, what the method leaves, and what somebody has been warned of says so', () => {
  const few = { cautions: [], equipment: ['mat' as const] };
  expect(given('weight.roller-down', { athlete: few })).toBe('Wrist roller, extensors: no wrist roller here.');
  expect(given('settle.cold-water')).toMatch(/recovers with warmth and movement\.$/);
  const numb = { cautions: [{ caution: 'numbness' as const, hand: 'both' as const }], equipment: EQUIPMENT };
  expect(given('bearing.palm-support', { athlete: numb })).toContain('Numbness or tingling');
  const nowhere = { notAt: ['standing', 'floor', 'wall', 'bar'] as const };
  expect(given('bearing.palm-support', nowhere)).toContain('not possible in these positions');
});

test('what is kept of a sequence stays at its level and dose, unless something speaks against it now', () => {
  const movement = must(shippedMovement('isometric.flexion'), 'a movement');
  const gentle = must(findLevel(movement, 'gentle'), 'a level');
  const dose = { ...gentle.dose, restS: gentle.dose.restS + 7 };
  const keep = [{ id: 'b1', phase: 'load' as const, movementId: movement.id, levelId: 'gentle', dose }];
  const composing = composingOf(composeFor('handstand-load', 'floor-loading', { keep }));
  expect(suiting(composing, movement)).toMatchObject({ level: { id: 'gentle' }, dose, phase: 'load' });
  const tooLong = [{ ...keep[0]!, dose: parseDose('9x30 @90% 60s', usualWay(movement)) }];
  const other = suiting(composingOf(composeFor('handstand-load', 'floor-loading', { keep: tooLong })), movement);
  expect(other).not.toMatchObject({ dose: tooLong[0]!.dose });
});

test('everything on the shelf is given at a level of its own, or has a sentence why not', () => {
  const composing = composingOf(composeFor('mixed-class', 'careful-return'));
  for (const movement of LIBRARY) {
    const suits = suiting(composing, movement);
    if ('why' in suits) expect(sentenceText(suits.why)).toMatch(/\.$/);
    else expect(movement.ladder).toContain(suits.level);
  }
});
