import { describe, expect, test } from '@jest/globals';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { standardDeviation } from 'simple-statistics';
import { photoAngleOf, photoWayOf, type ThreePoints } from './photo-angle.js';

/** Forearm along the picture, hand bent by an angle. */
const bent = (deg: number, arm = 300, hand = 150): ThreePoints => [
  { x: 500 - arm, y: 400 },
  { x: 500, y: 400 },
  { x: 500 + hand * Math.cos((deg * Math.PI) / 180), y: 400 - hand * Math.sin((deg * Math.PI) / 180) },
];

describe('an angle on a picture', () => {
  test('is from straight for a wrist, between the arms for a turn, whichever way the picture is turned', () => {
    for (const deg of [0, 20, 71, 110]) expect(photoAngleOf(bent(deg), true, 3)!.deg).toBeCloseTo(deg, 9);
    expect(photoAngleOf(bent(-71), true, 3)!.deg).toBeCloseTo(71, 9);
    const turned = bent(64).map(({ x, y }) => ({ x: y, y: -x })) as unknown as ThreePoints;
    expect(photoAngleOf(turned, true, 3)!.deg).toBeCloseTo(64, 9);
    expect(photoWayOf('supination').isFromStraight).toBe(false);
    expect(photoAngleOf(bent(100), false, 3)!.deg).toBeCloseTo(80, 9);
  });

  // By hand, at a right angle: arms of 300 and 150 px, each point off by 3 px. Variance 9·(1/300² + 1/150² + (1/300² + 1/150²)) = 9·2·(5/90 000) = 0.001 rad²;
  // its root 1.81°, times 1.96 is 3.55°.
  test('tells the error of placing the points, as by hand', () => {
    expect(photoAngleOf(bent(90), true, 3)!.errorDeg).toBeCloseTo(3.55, 2);
  });

  test('and as placing them many times shows', () => {
    const random = xoroshiro128plus(4);
    const off = () => 3 * Math.sqrt(-2 * Math.log(1 - uniformFloat64(random))) * Math.cos(2 * Math.PI * uniformFloat64(random));
    const angles = Array.from({ length: 4000 }, () => {
      const points = bent(65).map(({ x, y }) => ({ x: x + off(), y: y + off() })) as unknown as ThreePoints;
      return photoAngleOf(points, true, 3)!.deg;
    });
    expect((1.96 * standardDeviation(angles)) / photoAngleOf(bent(65), true, 3)!.errorDeg).toBeCloseTo(1, 1);
  });

  test('shorter arms are less sure; points on each other are no arm', () => {
    expect(photoAngleOf(bent(60, 60, 30), true, 3)!.errorDeg).toBeGreaterThan(4 * photoAngleOf(bent(60), true, 3)!.errorDeg);
    expect(
      photoAngleOf(
        [
          { x: 1, y: 1 },
          { x: 1, y: 1 },
          { x: 9, y: 9 },
        ],
        true,
        3,
      ),
    ).toBeNull();
  });
});
