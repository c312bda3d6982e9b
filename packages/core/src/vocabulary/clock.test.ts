import { expect, test } from '@jest/globals';
import { clock, countdown, minutesText } from './clock.js';
import { percent, shown } from './numbers.js';

test('a clock shows minutes and two digits of seconds, never less than nothing, and never sixty seconds', () => {
  const times = [0, 999, 65_000, 600_000, 3_725_000, -5, 119_600, 59_999];
  expect(times.map(clock)).toEqual(['0:00', '0:01', '1:05', '10:00', '62:05', '0:00', '2:00', '1:00']);
});

test('a countdown shows what is not over yet, in seconds until it is long', () => {
  expect([0, 1, 1000, 61_200, 98_999, 99_001, 119_999].map(countdown)).toEqual(['0', '1', '1', '62', '99', '1:40', '2:00']);
});

test('lists round to minutes, and short things to seconds', () => {
  expect([45_000, 60_000, 89_000, 91_000].map(minutesText)).toEqual(['45 s', '1 min', '1 min', '2 min']);
});

test('numbers have the places of their step, shares are whole percent', () => {
  expect([shown(0.30000000000000004, 0.01), shown(7.04, 0.1), shown(6.6)]).toEqual(['0.30', '7.0', '7']);
  expect(percent(0.955)).toBe('96 %');
});
