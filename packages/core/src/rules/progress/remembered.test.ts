import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { parseDose, printDose } from '../../model/dose-shorthand.js';
import { session } from '../checks/sessions.fixture.js';
import { lastForm, levelFor, remembered } from './remembered.js';

const curl = shippedMovement('weight.curl')!;
const [light, medium] = curl.ladder as [(typeof curl.ladder)[0], (typeof curl.ladder)[0]];
const form = (levelId: string, load = {}) => ({ movementId: curl.id, levelId, load });
const past = [
  session('2026-06-01', { forms: [form('light', { massKg: 3 })] }),
  session('2026-06-05', { forms: [form('light'), form('medium', { massKg: 6.5, edgeMm: 20 })] }),
  session('2026-06-08', { forms: [] }),
];
const NOW = '2026-06-10T10:00:00.000Z';

describe('what somebody takes up again', () => {
  test('is the last that they did of a movement', () => {
    expect(lastForm(past, curl.id)).toMatchObject({ levelId: 'medium', load: { massKg: 6.5 } });
    expect(lastForm(past, 'grip.hook-hold')).toBeUndefined();
  });

  test('the same level, one below after two weeks without it, the easiest where neither may be', () => {
    expect(levelFor(curl, curl.ladder, past, NOW)).toBe(medium);
    expect(levelFor(curl, curl.ladder, past, '2026-06-25T10:00:00.000Z')).toBe(light);
    expect(levelFor(curl, [light], past, NOW)).toBe(light);
    expect(levelFor(curl, curl.ladder, [], NOW)).toBe(light);
    expect(levelFor(curl, [], past, NOW)).toBeUndefined();
  });

  test('with its weight, which takes the place of an effort; what the level has no place for stays out', () => {
    expect(printDose(remembered(parseDose('2x10 @40% L,R'), curl, medium, past))).toBe('2x10 6.5kg L,R');
    const asWritten = parseDose('2x10 L,R');
    expect(remembered(asWritten, curl, light, past)).toBe(asWritten);
    expect(remembered(asWritten, curl, medium, [])).toBe(asWritten);
  });
});
