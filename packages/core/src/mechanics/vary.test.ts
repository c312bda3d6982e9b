import { describe, expect, test } from '@jest/globals';
import { handLoad } from './hand-load.js';
import { fieldValue, movableFields, withField } from './vary.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { POSTURE_LIMITS, type PostureField, type SupportPosture } from '../model/posture.js';
import { POSTURE_NAMES, USUAL_OF_SUPPORT, USUAL_POSTURES, type UsualPosture } from '../model/usual-postures.js';

const MAN = REFERENCE_BODIES.male;
const usual = Object.entries(USUAL_POSTURES) as [UsualPosture, SupportPosture][];

describe('moving one field of a posture', () => {
  test.each(usual)('%s: setting a field to the value it has changes nothing', (_name, posture) => {
    const load = handLoad(MAN, posture);
    for (const field of movableFields(posture)) {
      const again = handLoad(MAN, withField(posture, load, field, fieldValue(posture, load, field)));
      expect([field, again.bothPercentBW]).toEqual([field, expect.closeTo(load.bothPercentBW, 6)]);
    }
  });

  test.each(usual)('%s: every movable field is one the posture’s limits know, and reads back as it was set', (_name, posture) => {
    const load = handLoad(MAN, posture);
    for (const field of movableFields(posture)) {
      const { min, max } = POSTURE_LIMITS[field];
      // Straight bodies are all but stretched: their hands can come nearer, not go further.
      const away = field === 'distanceM' || field === 'hipAngleDeg' || field === 'handHeightM' ? -1 : 1;
      const nudged = fieldValue(posture, load, field) + away * (max - min) * 1e-4;
      if (nudged < min || nudged > max) continue;
      const moved = withField(posture, load, field, nudged);
      expect([field, fieldValue(moved, handLoad(MAN, moved), field)]).toEqual([field, expect.closeTo(nudged, 6)]);
    }
  });

  test('only what means something can be moved', () => {
    const has = (name: UsualPosture, field: PostureField) => movableFields(USUAL_POSTURES[name]).includes(field);
    expect([has('handstand', 'distanceM'), has('plank', 'distanceM')]).toEqual([false, true]);
    expect([has('wallLean', 'supportHeightM'), has('wallHandstand', 'supportHeightM')]).toEqual([false, false]);
    const fists = movableFields({ ...USUAL_POSTURES.plank, contact: 'fist' });
    expect(fists).not.toContain('padPressure');
    expect(movableFields({ ...USUAL_POSTURES.plank, contact: 'raised palm' })).toContain('heelLiftDeg');
    expect(movableFields({ ...USUAL_POSTURES.plank, contact: 'none' })).not.toContain('leftShare');
  });

  test('feet on a wall slide to where the body reaches it, and stand higher the nearer the hands', () => {
    const height = (distanceM: number) => handLoad(MAN, { ...USUAL_POSTURES.wallHandstand, distanceM }).joints.contact.y;
    expect(height(0.2)).toBeGreaterThan(height(0.5));
    expect(height(0.5)).toBeGreaterThan(height(0.9));
    for (const distanceM of [0.2, 0.6, 1]) {
      expect(handLoad(MAN, { ...USUAL_POSTURES.wallHandstand, distanceM }).bothPercentBW).toBeCloseTo(100, 9);
    }
    expect(() => handLoad(MAN, { ...USUAL_POSTURES.wallHandstand, distanceM: 2.5 })).toThrow('too short');
  });

  test('every usual posture has a name, and every support one of them', () => {
    expect(Object.keys(POSTURE_NAMES).sort()).toEqual(Object.keys(USUAL_POSTURES).sort());
    for (const [support, name] of Object.entries(USUAL_OF_SUPPORT)) expect(USUAL_POSTURES[name].support).toBe(support);
  });
});
