import { describe, expect, it } from '@jest/globals';
import { LIBRARY } from '../library/index.js';
import { handPictureOf } from '../picture/hand/hand-picture.js';
import { checkMovement } from '../rules/ladders/check-movement.js';
import { HAND_SETTINGS } from '../vocabulary/hand-settings.js';
import { REFERENCE_BODIES } from './body.js';
import { checkSetting, fitsSetting } from './hand-picture.js';
import { LOAD_KINDS } from './load.js';

/** A shipped level of each kind of load. */
const levels = LOAD_KINDS.map((kind) => {
  const movement = LIBRARY.find(({ ladder }) => ladder.some(({ load }) => load.kind === kind))!;
  return { movement, level: movement.ladder.find(({ load }) => load.kind === kind)! };
});

describe('where a hand is said to be', () => {
  it('can be anything under any load without breaking a picture', () => {
    for (const { movement, level } of levels) {
      for (const setting of HAND_SETTINGS) {
        const picture = handPictureOf(REFERENCE_BODIES['not stated'], movement, { ...level, hand: { setting } });
        expect(picture.at({ phase: 0.5, turn: 1 }, 'left').hands.length).toBeGreaterThan(0);
      }
    }
  });

  it('is refused where its load cannot be drawn so, by the field and with what would be right', () => {
    const { movement, level } = levels.find((each) => each.level.load.kind === 'rest')!;
    const wrong = { ...movement, ladder: [{ ...level, hand: { setting: 'planted' as const } }] as const };
    const [fault] = checkMovement(wrong);
    expect(fault?.pointer).toBe('/ladder/0/hand/setting');
    expect(fault?.message).toMatch(/“planted” is drawn from a load of the kind “body”.*“rest”/);
  });

  it('fits in the whole library, each setting of it', () => {
    for (const { movement, level } of LIBRARY.flatMap((each) => each.ladder.map((entry) => ({ movement: each, level: entry })))) {
      const setting = level.hand?.setting ?? movement.hand?.setting;
      expect(checkSetting(level)).toEqual([]);
      if (setting) expect([movement.id, level.id, fitsSetting(setting, level.load)]).toEqual([movement.id, level.id, true]);
    }
  });
});
