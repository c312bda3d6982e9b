import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  cross,
  dot,
  facing,
  inverse,
  lengthOf,
  mirrored,
  placed,
  placedBetween,
  type Placement,
  seenFrom,
  turnAbout,
  turnBetween,
  turned,
  turns,
  turnTo,
  unitOf,
  type Vec3,
  placedIn,
  X,
  Y,
  Z,
} from './space.js';

const number = fc.double({ min: -1, max: 1, noNaN: true });
const vector = fc.tuple(number, number, number);
const axis = vector.filter((v) => lengthOf(v) > 0.1).map(unitOf);
const turn = fc.tuple(axis, fc.double({ min: -180, max: 180, noNaN: true })).map(([about, deg]) => turnAbout(about, deg));
const placement = fc.record({ at: vector, turn }) as fc.Arbitrary<Placement>;
const near = (a: Vec3, b: Vec3) => expect(lengthOf([a[0] - b[0], a[1] - b[1], a[2] - b[2]])).toBeLessThan(1e-9);

describe('places and turns in space', () => {
  test('a quarter about z takes x to y; axes cross to each other', () => {
    near(turned(turnAbout(Z, 90), X), Y);
    near(cross(X, Y), Z);
    expect(lengthOf([2, 3, 6])).toBeCloseTo(7);
  });

  test('a turn keeps lengths and angles; several are done from the last to the first', () => {
    fc.assert(
      fc.property(turn, turn, vector, vector, (a, b, v, w) => {
        expect(dot(turned(a, v), turned(a, w))).toBeCloseTo(dot(v, w), 9);
        near(turned(turns(a, b), v), turned(a, turned(b, v)));
      }),
    );
  });

  test('what is told from inside is found again from outside', () => {
    fc.assert(
      fc.property(placement, placement, vector, (outer, inner, at) => {
        near(seenFrom(outer, placed(outer, at)), at);
        near(placed(placedIn(outer, inner), at), placed(outer, placed(inner, at)));
        near(placed(placedIn(inverse(outer), outer), at), at);
      }),
    );
  });

  test('three axes give the turn that leads to them, whichever way they point', () => {
    fc.assert(
      fc.property(turn, (a) => {
        const [x, y, z] = [turned(a, X), turned(a, Y), turned(a, Z)];
        const found = turnTo(x, y, z);
        near(turned(found, X), x);
        near(turned(found, Y), y);
        near(turned(facing(y, z), Z), z);
      }),
    );
  });

  test('half way between two turns lies as far from both', () => {
    fc.assert(
      fc.property(turn, turn, (a, b) => {
        const middle = turnBetween(a, b, 0.5);
        const away = (from: typeof a) => Math.abs(middle.reduce((sum, v, i) => sum + v * from[i]!, 0));
        expect(away(a)).toBeCloseTo(away(b), 6);
      }),
    );
  });

  test('the mirror of a mirror is what it was, and mirrors what is inside', () => {
    fc.assert(
      fc.property(placement, placement, vector, (a, b, [x, y, z]) => {
        near(placed(mirrored(mirrored(a)), [x, y, z]), placed(a, [x, y, z]));
        const through = placed(mirrored(a), [-x, y, z]);
        const plain = placed(a, [x, y, z]);
        near(through, [-plain[0], plain[1], plain[2]]);
        near(placedBetween(a, b, 0).at, a.at);
      }),
    );
  });
});
