import { describe, expect, test } from '@jest/globals';
import { handLoad, REFERENCE_BODIES, referencePerson } from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import {
  currentDemand,
  fieldsOf,
  levelSubject,
  nameOfSubject,
  postureOfSubject,
  postureSubject,
  readSubject,
  setField,
  troubleWith,
  writeSubject,
} from './subject.js';

const PERSON = referencePerson(REFERENCE_BODIES.female, '2026-11-24');

describe('what lies on the load bench', () => {
  test('every level of the library can be put into an address and read back as it was', () => {
    for (const movement of LIBRARY) {
      for (const level of movement.ladder) {
        const subject = levelSubject(movement.id, level.id)!;
        expect(readSubject(writeSubject(subject))).toEqual(subject);
        expect(nameOfSubject(subject, level)).toBe(level.name);
      }
    }
  });

  test.each([
    null,
    '',
    'nonsense',
    '{}',
    '{"contact":"nose","facing":"forward","load":{"kind":"rest","pressN":0}}',
    '{"contact":"fist","facing":"forward","load":{"kind":"body"}}',
  ])('%j in the address is nothing to compute', (text) => expect(readSubject(text)).toBeNull());

  test('a number that is set is what is computed, and the others stay as a body would keep them', () => {
    const { subject, refusal } = setField(PERSON, postureSubject('allFours'), 'leanDeg', 8);
    expect(refusal).toBeUndefined();
    const load = handLoad(PERSON.body, postureOfSubject(subject)!);
    expect(load.leanDeg).toBeCloseTo(8, 9);
    expect(fieldsOf(PERSON.body, subject).find(({ name }) => name === 'leanDeg')!.value).toBeCloseTo(8, 9);
  });

  test('an uneven posture loads the hands as it stands, each with its own share', () => {
    const { subject } = setField(PERSON, postureSubject('plank'), 'leftShare', 0.7);
    const { left, right } = currentDemand(PERSON, subject);
    expect(left.loadN / (left.loadN + right.loadN)).toBeCloseTo(0.7, 9);
  });

  test('what no such body can do takes the nearest that it can, and says why', () => {
    const before = postureSubject('plank');
    const { subject, refusal } = setField(PERSON, before, 'distanceM', 2.5);
    expect(refusal!.message).toContain('too short');
    expect(refusal!.took).toBeGreaterThan(1);
    expect(troubleWith(PERSON, subject)).toBeNull();
    expect(handLoad(PERSON.body, postureOfSubject(subject)!).distanceM).toBeCloseTo(refusal!.took!, 3);
  });

  test('weights and holds have their numbers too, and their limits', () => {
    const movement = shippedMovement('edge.lift-open')!;
    const subject = levelSubject(movement.id, 'deep')!;
    expect(fieldsOf(PERSON.body, subject).map(({ name }) => name)).toEqual(['massKg', 'edgeMm']);
    expect(setField(PERSON, subject, 'edgeMm', 2).refusal!.message).toContain('within 4–80 mm');
    expect(nameOfSubject(setField(PERSON, subject, 'massKg', 11).subject, movement.ladder[0])).toBe('Deep edge, light, changed');
    expect(levelSubject('no such movement', null)).toBeNull();
  });
});
