import { expect, test } from '@jest/globals';
import { maximum } from '../mechanics/belief.js';
import { PLACE_OF } from '../vocabulary/places.js';
import type { Possible } from './candidate.js';
import { candidatesFor, possibleFor } from './candidates.js';
import { composeFor } from './composing.fixture.js';
import { composingOf } from './question.js';

const shelf = possibleFor(composeFor('racket-arm', 'daily-range'));
const sets = ({ movement: { id }, phase }: Possible) =>
  shelf.possible.filter((each) => each.movement.id === id && each.phase === phase && !each.extra);

test('what is possible for somebody is the same whatever it is wanted for, and however long', () => {
  expect(possibleFor(composeFor('gentle-return', 'daily-range', { minutes: 7 }))).toEqual(shelf);
});

test('a goal that is trained for at a desk is given what is done there', () => {
  const { possible, excluded } = possibleFor(composeFor('desk-hands', 'daily-range'));
  expect(new Set(possible.map(({ posture }) => PLACE_OF[posture]))).toEqual(new Set(['seated', 'standing']));
  expect(excluded.length).toBeGreaterThan(shelf.excluded.length);
});

test('what was found before is chosen from as what is found now', () => {
  const question = composeFor('mixed-class', 'daily-range');
  const found = candidatesFor(composingOf(question));
  expect(candidatesFor(composingOf({ ...question, possible: shelf }))).toEqual(found);
  expect(candidatesFor(composingOf({ ...question, possible: { possible: [], excluded: [] } })).candidates).toEqual([]);
});

test('nothing brings more to a want than the time in which hands work', () => {
  for (const { gives, workS } of candidatesFor(composingOf(composeFor('mixed-class', 'daily-range'))).candidates) {
    for (const givenS of gives) expect(givenS).toBeLessThanOrEqual((workS.left + workS.right) / 2 + 1e-9);
  }
});

test('each set asks as much as every other, and takes some time', () => {
  const several = shelf.possible.filter((each) => sets(each).length > 1 && each === sets(each)[0]);
  expect(several.length).toBeGreaterThan(50);
  for (const each of several) {
    const [most, ...fewer] = sets(each) as [Possible, ...Possible[]];
    for (const less of fewer) {
      const share = less.dose.sets / most.dose.sets;
      expect(less.workS.left).toBeCloseTo(share * most.workS.left, 9);
      for (const [group, dose] of Object.entries(most.doses)) {
        expect(less.doses[group as keyof typeof less.doses]).toBeCloseTo(share * dose, 9);
      }
      // A movement by itself is as hard in its only set.
      expect(less.groupPercent).toEqual(most.groupPercent);
      expect(less.seconds).toBeLessThan(most.seconds);
    }
  }
});

test('where the method gives the weaker hand more, there is a set for it alone', () => {
  const { person } = composeFor('racket-arm', 'careful-return');
  const evidence = [maximum('grip', 'left', 240, person.today), maximum('grip', 'right', 330, person.today)];
  const { possible } = possibleFor(composeFor('racket-arm', 'careful-return', { person: { ...person, evidence } }));
  const extras = possible.filter(({ extra }) => extra);
  expect(extras.length).toBeGreaterThan(0);
  for (const { workS, dose, level } of extras) {
    expect([dose.sides, dose.sets, workS.right, level.loading]).toEqual(['left', 1, 0, 'resisted']);
  }
  expect(shelf.possible.filter(({ extra }) => extra)).toEqual([]);
});
