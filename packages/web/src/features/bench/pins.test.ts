import { describe, expect, test } from '@jest/globals';
import { MOST_PINS, pinName, readPins, writePins } from './pins.js';
import { postureSubject } from '../../domain/movement/subject.js';

describe('pins', () => {
  const pin = (name: string) => ({ name, subject: postureSubject('plank') });
  test('go into the address and come back; what cannot be read is left out, and three are the most', () => {
    const four = ['a', 'b', 'c', 'd'].map(pin);
    expect(readPins(writePins(four))).toEqual(four.slice(0, MOST_PINS));
    expect([readPins(null), readPins('nonsense'), readPins('[{"name":"x","at":"y"}]')]).toEqual([[], [], []]);
    expect(writePins([])).toBeNull();
  });
  test('the same name twice is told apart', () => {
    expect(pinName(pin('Plank'), [])).toBe('Plank');
    expect(pinName(pin('Plank'), [pin('Plank')])).toBe('Plank 2');
  });
});
