import { describe, expect, it } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { handPictureOf } from './hand-picture.js';
import { partsIn } from './flesh.js';
import { pushArrow } from './pushing.js';
import { dot, lengthOf, sub, turned, unitOf, type Vec3, X, Y, Z } from './space.js';

const body = REFERENCE_BODIES['not stated'];
const pictured = (id: string) => {
  const movement = shippedMovement(id)!;
  return handPictureOf(body, movement, movement.ladder[0]);
};
/** The way of a press, and the hand's own axes: toward the little finger of a right hand, the fingertips, out of the back. */
function pressed(id: string, side: 'left' | 'right' = 'right') {
  const picture = pictured(id);
  const [from, to] = pushArrow(picture, side)!;
  const [hand] = picture.at(picture.still, side).hands;
  const { turn } = partsIn(picture.skeleton, hand!).hand;
  const along = (axis: Vec3) => dot(unitOf(sub(to, from)), turned(turn, axis));
  return {
    way: unitOf(sub(to, from)),
    longM: lengthOf(sub(to, from)),
    back: along(Z),
    little: along(X),
    tips: along(Y),
  };
}

describe('the arrow of a press', () => {
  it('goes out of the back of the hand when the wrist would extend, and into the palm when it would flex', () => {
    expect(pressed('isometric.extension').back).toBeGreaterThan(0.9);
    expect(pressed('isometric.flexion').back).toBeLessThan(-0.9);
  });

  it('goes to the thumb’s side, and to the little finger’s, on either hand', () => {
    expect(pressed('isometric.radial').little).toBeLessThan(-0.8);
    expect(pressed('isometric.ulnar').little).toBeGreaterThan(0.8);
    expect(pressed('isometric.radial', 'left').little).toBeGreaterThan(0.8);
  });

  it('goes down where a palm, the pads or the back of a hand press into what they stand on', () => {
    for (const id of ['isometric.table-palm', 'strength.finger-press', 'strength.back-press']) {
      expect([id, pressed(id).way[2] < -0.5]).toEqual([id, true]);
    }
  });

  it('turns with the forearm when it is turned: across it, and as long as all others', () => {
    const { tips, longM, way } = pressed('isometric.turns');
    // Supination from the thumb up brings a right thumb to the right.
    expect(way[0]).toBeGreaterThan(0.5);
    expect(pressed('isometric.turns', 'left').way[0]).toBeLessThan(-0.5);
    expect(Math.abs(tips)).toBeLessThan(0.3);
    expect(longM).toBeCloseTo(0.042, 6);
  });

  it('is not drawn where the hand moves, holds or only rests', () => {
    for (const id of ['free.wrist-circles', 'stretch.flexors', 'grip.ball-squeeze', 'bearing.palm-support']) {
      expect([id, pushArrow(pictured(id), 'left')]).toEqual([id, null]);
    }
  });

  it('leaves nothing that repeats without showing it: it moves, presses, or pulls at what does not give', () => {
    expect(pictured('grip.ring-little-squeeze').moves).toBe(true);
    expect(pictured('grip.putty-pinch').moves).toBe(true);
    expect(pictured('edge.finger-curls').moves).toBe(true);
    expect(pictured('rock.palm-backward').moves).toBe(true);
  });
});
