import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { handGeometry } from './hand-contact.js';
import { handLoad } from './hand-load.js';
import { RAD } from './plane.js';
import { segmentsOf } from './segments.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { USUAL_HAND } from '../model/posture.js';
import { USUAL_POSTURES } from '../model/usual-postures.js';
import type { Contact, Facing } from '../vocabulary/contacts.js';

const MAN = REFERENCE_BODIES.male;
const segments = segmentsOf(MAN);
const at = (contact: Contact, facing: Facing, tiltDeg: number, padPressure = 0.3) =>
  handGeometry(segments, { ...USUAL_HAND, contact, facing, padPressure }, tiltDeg * RAD);

describe('the planted hand', () => {
  test.each<[Contact, Facing, number, number]>([
    ['open palm', 'forward', 0, 78.463],
    ['open palm', 'forward', 15, 93.463],
    ['open palm', 'forward', -20, 58.463],
    // Leaning back from fingers that point backward opens the wrist further.
    ['open palm', 'backward', -20, 98.463],
    ['open palm', 'outward', 20, 79.167],
    ['back of hand', 'forward', 10, -91.373],
    ['fist', 'forward', 12, 0],
    ['handle', 'forward', -12, 0],
  ])('%s facing %s with the forearm at %d° asks for %d°', (contact, facing, tiltDeg, deg) => {
    expect(at(contact, facing, tiltDeg).extensionDeg).toBeCloseTo(deg, 3);
  });

  test('the centre of pressure runs from under the wrist to the knuckle line, and beyond with a raised palm', () => {
    const length = segments.hand.lengthM;
    expect(at('open palm', 'forward', 0, 0).copAheadM).toBe(0);
    expect(at('open palm', 'forward', 0, 1).copAheadM).toBeCloseTo(length, 12);
    const raised = at('raised palm', 'forward', 0, 0.3);
    expect(raised.copAheadM).toBeGreaterThan(length * Math.cos(20 * RAD));
    expect(raised.beyondKnucklesM).toBeGreaterThan(0);
    expect(at('fingertips', 'forward', 0).pressure).toEqual({ heel: 0, knuckles: 0, pads: 1 });
  });

  test('the moment at the wrist is force times that distance, and says which muscles hold it', () => {
    const load = handLoad(MAN, USUAL_POSTURES.plank);
    expect(load.left.wristMomentNm).toBeCloseTo(load.left.loadN * 0.3 * segments.hand.lengthM, 9);
    expect(load.heldBy).toBe('wrist flexors');
    const back = handLoad(MAN, { ...USUAL_POSTURES.allFours, contact: 'back of hand', facing: 'inward' });
    expect(back.heldBy).toBe('wrist extensors');
    expect(back.wristExtensionDeg).toBeCloseTo(-81.373, 3);
  });

  test('heel, knuckles and pads share all of the load, whatever the contact', () => {
    const contact = fc.constantFrom<Contact>('open palm', 'raised palm', 'fist', 'back of hand', 'fingertips', 'handle', 'ball');
    const facing = fc.constantFrom<Facing>('forward', 'outward', 'inward', 'backward');
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(contact, facing, fc.double({ min: -40, max: 40, noNaN: true }), share, (which, where, tilt, pads) => {
        const { pressure } = at(which, where, tilt, pads);
        const { heel, knuckles, pads: onPads } = pressure;
        expect(heel + knuckles + onPads).toBeCloseTo(1, 12);
        for (const part of [heel, knuckles, onPads]) expect(part).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  test('on the forearms the hands bear nothing', () => {
    const load = handLoad(MAN, { ...USUAL_POSTURES.plank, contact: 'none', facing: 'free' });
    expect([load.left.loadN, load.left.wristMomentNm]).toEqual([0, 0]);
    expect(load.forearmsPercentBW).toBeGreaterThan(50);
  });
});
