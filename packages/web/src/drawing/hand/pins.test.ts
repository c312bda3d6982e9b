import { describe, expect, test } from '@jest/globals';
import { inDirection, nearestTo, type Pin } from './pins.js';

const PINS: Pin[] = [
  { place: 'index-tip', x: 0.3, y: 0.1 },
  { place: 'index-dip', x: 0.32, y: 0.2 },
  { place: 'index-pip', x: 0.36, y: 0.32 },
  { place: 'middle-tip', x: 0.5, y: 0.05 },
  { place: 'palm', x: 0.5, y: 0.7 },
];
const BOX = { width: 200, height: 300 };
const at = (place: string) => PINS.find((pin) => pin.place === place)!;

describe('places in a picture', () => {
  test('the nearest one is meant, measured in pixels, and none from too far away', () => {
    expect(nearestTo(PINS, 66, 58, BOX, 44)).toBe('index-dip');
    expect(nearestTo(PINS, 104, 190, BOX, 44)).toBe('palm');
    expect(nearestTo(PINS, 190, 290, BOX, 44)).toBeUndefined();
    expect(nearestTo([], 10, 10, BOX, 44)).toBeUndefined();
  });

  test('arrow keys go along a finger, across to the next, and stop where nothing lies', () => {
    expect(inDirection(PINS, at('index-tip'), 0, 1)?.place).toBe('index-dip');
    expect(inDirection(PINS, at('index-dip'), 0, -1)?.place).toBe('index-tip');
    expect(inDirection(PINS, at('index-tip'), 1, 0)?.place).toBe('middle-tip');
    expect(inDirection(PINS, at('palm'), 0, 1)).toBeUndefined();
    expect(inDirection(PINS, at('index-tip'), -1, 0)).toBeUndefined();
  });
});
