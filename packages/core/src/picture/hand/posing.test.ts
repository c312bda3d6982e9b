import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY } from '../../library/index.js';
import { HAND_JOINT_NAMES, HAND_JOINTS, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import { HAND_PLACE_IDS, HAND_PLACES } from '../../vocabulary/hand-places.js';
import { SORE_PLACE_IDS, SORE_PLACE_LIST } from '../../vocabulary/sore-places.js';
import { poseOfStation, stationsOf } from './course.js';
import { freeHand } from './free-hand.js';
import { frameAround, mirroredFrame, shownAt } from './framing.js';
import { mirroredMoment } from './moment.js';
import { placeOn, placePicture, PLACE_SIDES, PLACES_ON } from './places.js';
import { draggedTo, HANDLE_PLACES, HANDLES, posableIn, posingFrame, stationOf, turnedOver, withJoint } from './posing.js';
import { SHAPE_POSES } from './shapes.js';
import { MEASURED_SIZE, skeletonOf } from './skeleton.js';
import { eyeFor } from './framing.js';
import { VIEW_POINTS } from './views.js';
import { runs } from '../../properties.fixture.js';

const skeleton = skeletonOf(MEASURED_SIZE);
const anyPose = fc.record(
  Object.fromEntries(HAND_JOINT_NAMES.map((joint) => [joint, fc.integer({ min: HAND_JOINTS[joint].min, max: HAND_JOINTS[joint].max })])),
) as fc.Arbitrary<HandPose>;
const isWithin = (pose: HandPose) =>
  HAND_JOINT_NAMES.every((joint) => pose[joint] >= HAND_JOINTS[joint].min && pose[joint] <= HAND_JOINTS[joint].max);

describe('posing a hand', () => {
  it('keeps any pose as a station: the joints come back as they were', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        expect(poseOfStation(skeleton, stationOf(pose), 'index')).toEqual(pose);
      }),
    );
  });

  it('names the shape that a pose is nearest to, and nothing else where it is that shape', () => {
    expect(stationOf({ ...SHAPE_POSES.fist, wristExtensionDeg: 30 })).toEqual({
      shape: 'fist',
      joints: { wristExtensionDeg: 30 },
    });
    expect(stationOf({ ...SHAPE_POSES.hook, indexDipDeg: SHAPE_POSES.hook.indexDipDeg + 3 }).shape).toBe('hook');
  });

  it('brings a dragged joint to the pointer where the joints reach, and never beyond their limits', () => {
    const view = VIEW_POINTS['thumb side'];
    fc.assert(
      fc.property(
        fc.constantFrom(...HANDLE_PLACES),
        fc.float({ min: -1, max: 1, noNaN: true }),
        fc.float({ min: -1, max: 1, noNaN: true }),
        (place, x, y) => {
          const pose = SHAPE_POSES.open;
          const frame = posingFrame(skeleton, pose, view);
          const far = (tried: HandPose) => {
            const [sx, sy] = shownAt(frame, placeOn(skeleton, freeHand(tried), place));
            return Math.hypot(sx - x, sy - y);
          };
          const dragged = draggedTo(skeleton, pose, place, frame, [x, y]);
          expect(isWithin(dragged)).toBe(true);
          // Whole degrees: the way of a long finger's tip over half a degree is the most that it can be off.
          expect(far(dragged)).toBeLessThanOrEqual(far(pose) + 0.02);
          const moved = HANDLES[place] ?? [];
          const coming = moved.map((joint) => joint.replace('Pip', 'Dip'));
          for (const joint of HAND_JOINT_NAMES) {
            if (!moved.includes(joint) && !coming.includes(joint)) expect(dragged[joint]).toBe(pose[joint]);
          }
        },
      ),
      runs(60),
    );
  });

  it('takes a joint where it already can be: dragging a place to where another pose has it gives that pose', () => {
    const view = VIEW_POINTS['thumb side'];
    const wanted = { ...SHAPE_POSES.open, indexPipDeg: 70 };
    const frame = posingFrame(skeleton, wanted, view);
    const at = shownAt(frame, placeOn(skeleton, freeHand(wanted), 'index-dip'));
    const dragged = draggedTo(skeleton, { ...wanted, indexPipDeg: 20 }, 'index-dip', frame, at);
    expect(Math.abs(dragged.indexPipDeg - 70)).toBeLessThanOrEqual(2);
    // The end joint came along, as it does when nothing holds it.
    expect(dragged.indexDipDeg).toBeGreaterThan(20);
  });

  it('bends the end joint with the middle one, and back again', () => {
    const bent = withJoint(SHAPE_POSES.together, 'ringPipDeg', 52);
    expect(bent.ringDipDeg).toBe(30);
    expect(withJoint(bent, 'ringPipDeg', 2).ringDipDeg).toBe(SHAPE_POSES.together.ringDipDeg);
    expect(withJoint(bent, 'ringPipDeg', 999).ringPipDeg).toBe(HAND_JOINTS.ringPipDeg.max);
  });

  it('turned over twice is as it was, within what both ways allow', () => {
    const station = { shape: 'fist', joints: { wristExtensionDeg: 40, wristRadialDeg: -10, indexMcpDeg: 60 } } as const;
    expect(turnedOver(station).joints).toEqual({ wristExtensionDeg: -40, wristRadialDeg: 10, indexMcpDeg: 60 });
    expect(turnedOver(turnedOver(station))).toEqual(station);
  });

  it('leaves the fingers to the floor where the hand stands on it', () => {
    expect(posableIn('planted')).not.toContain('indexPipDeg');
    expect(posableIn('forearm ahead')).toContain('indexPipDeg');
  });

  it('holds the picture still while the hand stays well in it, and takes it anew when it does not', () => {
    const view = VIEW_POINTS['thumb side'];
    const first = posingFrame(skeleton, SHAPE_POSES.open, view);
    const curled = posingFrame(skeleton, { ...SHAPE_POSES.open, indexMcpDeg: 20 }, view, first);
    expect(curled.middle).toBe(first.middle);
    const far = posingFrame(skeleton, { ...SHAPE_POSES.open, wristExtensionDeg: 85 }, view, first);
    expect(far.middle).not.toBe(first.middle);
  });

  it('reads the stations of every shipped level, each within a hand’s limits', () => {
    for (const movement of LIBRARY) {
      for (const level of movement.ladder) {
        const stations = stationsOf(movement, level);
        expect(stations.length).toBeGreaterThan(0);
        for (const station of stations) expect(isWithin(poseOfStation(skeleton, station, 'index'))).toBe(true);
        if (level.shapes) expect([stations[0]?.shape, stations.at(-1)?.shape]).toEqual(level.shapes);
      }
    }
  });
});

describe('places of a hand', () => {
  it('are each seen on one side at least, and those of a wrist’s front not from behind', () => {
    const seen = new Set(PLACE_SIDES.flatMap((side) => PLACES_ON[side]));
    expect(HAND_PLACE_IDS.filter((place) => !seen.has(place))).toEqual([]);
    expect(PLACES_ON['back of the hand']).not.toContain('wrist-front');
    expect(new Set(Object.values(HAND_PLACES)).size).toBe(HAND_PLACE_IDS.length);
  });

  it('lie inside their picture, apart enough to be tapped on a hand of 300 pixels', () => {
    for (const side of PLACE_SIDES) {
      const picture = placePicture(skeleton, side);
      for (const which of ['left', 'right'] as const) {
        const { hands } = picture.at(picture.still, which);
        const frame = frameAround(skeleton, [{ hands, things: [] }], eyeFor(picture.view, which), picture.forearmM);
        const at = PLACES_ON[side].map((place) => shownAt(frame, placeOn(skeleton, hands[0]!, place)));
        const outside = PLACES_ON[side].filter((_, i) => Math.max(...at[i]!.map(Math.abs)) >= 1);
        expect([side, outside]).toEqual([side, []]);
        const pixels = at.map(([x, y]) => [x * 150 * (frame.halfWidthM / frame.halfHeightM), y * 150] as const);
        const apart = pixels.flatMap((a, i) => pixels.slice(i + 1).map((b) => Math.hypot(a[0] - b[0], a[1] - b[1])));
        expect(Math.min(...apart)).toBeGreaterThan(9);
      }
    }
  });

  it('have the thumb on the side where one’s own thumb is', () => {
    const thumb = (side: 'left' | 'right', on: 'palm' | 'back of the hand') => {
      const picture = placePicture(skeleton, on);
      const moment = picture.at(picture.still, side);
      const frame = frameAround(skeleton, [moment], eyeFor(picture.view, side));
      return shownAt(frame, placeOn(skeleton, moment.hands[0]!, 'thumb-tip'))[0];
    };
    // One's own right hand, fingers up: the thumb is on the right when one sees the palm, on the left when one sees the back.
    expect(thumb('right', 'palm')).toBeGreaterThan(0.3);
    expect(thumb('right', 'back of the hand')).toBeLessThan(-0.3);
    expect(thumb('left', 'palm')).toBeLessThan(-0.3);
  });

  it('are the mirror of each other in the two hands’ pictures', () => {
    const pose = SHAPE_POSES.hook;
    const frame = posingFrame(skeleton, pose, VIEW_POINTS.facing);
    const moment = { hands: [freeHand(pose)], things: [] };
    const left = mirroredMoment(moment).hands[0]!;
    for (const place of HANDLE_PLACES) {
      const [x, y] = shownAt(frame, placeOn(skeleton, moment.hands[0]!, place));
      const [mx, my] = shownAt(mirroredFrame(frame), placeOn(skeleton, left, place));
      expect(mx).toBeCloseTo(-x, 9);
      expect(my).toBeCloseTo(y, 9);
    }
  });

  it('of soreness hold every place, and a list of those that is short', () => {
    expect(new Set(SORE_PLACE_IDS).size).toBe(SORE_PLACE_IDS.length);
    expect(SORE_PLACE_IDS).toEqual(expect.arrayContaining([...SORE_PLACE_LIST]));
    expect(SORE_PLACE_LIST.length).toBeLessThanOrEqual(13);
    const joints: HandJoint[] = HANDLE_PLACES.flatMap((place) => HANDLES[place] ?? []);
    expect(new Set(joints)).toEqual(new Set(HAND_JOINT_NAMES));
  });
});
