import { describe, expect, test } from '@jest/globals';
import { checkMovement, handSaid, itemAt, stationsOf } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { stationName, withHand, withHandOf, withStations } from './stations.js';

const rest = shippedMovement('settle.resting-breaths')!;
const circles = shippedMovement('free.wrist-circles')!;

describe('stations of a level’s hand', () => {
  test('are called by where they are on the way', () => {
    expect([0].map((i) => stationName(i, 1, false))).toEqual(['Held']);
    expect([0, 1].map((i) => stationName(i, 2, false))).toEqual(['Start', 'End']);
    expect([0, 1, 2].map((i) => stationName(i, 3, false))).toEqual(['Start', 'Middle', 'End']);
    expect([0, 1, 2, 3].map((i) => stationName(i, 4, false))).toEqual(['Start', 'Middle 1', 'Middle 2', 'End']);
    expect([0, 1].map((i) => stationName(i, 4, true))).toEqual(['1', '2']);
  });

  test('are kept with the level, and a level without any is as it was', () => {
    const level = rest.ladder[0];
    const posed = withStations(level, [{ shape: 'fist' }, { shape: 'open', joints: { wristExtensionDeg: 30 } }]);
    expect(stationsOf(rest, posed)).toHaveLength(2);
    expect(checkMovement({ ...rest, ladder: [posed] })).toEqual([]);
    expect(withStations(level, [])).toBe(level);
    expect(withHand(withHand(level, { view: 'facing' }), { view: undefined })).toEqual(level);
  });

  test('copied from a movement that goes round or presses, or from one that does not, are as there', () => {
    const round = itemAt(circles.ladder, 0);
    const back = withHandOf(round, rest, rest.ladder[0]);
    expect(handSaid(circles, back).round).toBe(false);
    expect(back.hand?.setting).toBe('on the thigh');
    // A planted hand needs a posture: a free one keeps its own place.
    const planted = shippedMovement('strength.palm-lift')!;
    expect(withHandOf(rest.ladder[0], planted, planted.ladder[0]).hand?.setting).toBeUndefined();
  });

  test('take over the shapes that a level kept by a word of its own', () => {
    const fist = itemAt(circles.ladder, 1);
    expect(fist.shapes?.[0]).toBe('fist');
    const copied = withHandOf(rest.ladder[0], circles, fist);
    expect(copied.hand?.round).toBe(true);
    expect(copied.hand?.course?.map(({ shape }) => shape)).toEqual(['fist', 'fist', 'fist', 'fist']);
    expect(withStations(fist, copied.hand!.course!).shapes).toBeUndefined();
  });
});
