import { expect, test } from '@jest/globals';
import { agoText, clock, dayText, minutes, percent, weekdayText } from './format.js';

test('a clock shows minutes and two digits of seconds, never less than nothing', () => {
  expect([0, 999, 65_000, 600_000, 3_725_000, -5].map(clock)).toEqual([
    '0:00',
    '0:01',
    '1:05',
    '10:00',
    '62:05',
    '0:00',
  ]);
});

test('lists round to minutes, and short things to seconds', () => {
  expect([45_000, 60_000, 89_000, 91_000].map(minutes)).toEqual(['45 s', '1 min', '1 min', '2 min']);
});

test('days ago are counted by the calendar, not by hours', () => {
  const now = new Date(2026, 5, 10, 1, 0);
  expect(agoText(new Date(2026, 5, 10, 0, 30).toISOString(), now)).toBe('today');
  expect(agoText(new Date(2026, 5, 9, 23, 50).toISOString(), now)).toBe('yesterday');
  expect(agoText(new Date(2026, 5, 8, 23, 50).toISOString(), now)).toBe('2 days ago');
  expect(agoText(new Date(2025, 11, 1).toISOString(), now)).toBe('6 months ago');
});

test('the year is told when it is another one', () => {
  const now = new Date(2026, 5, 10);
  expect(dayText(new Date(2026, 2, 3), now)).toBe('Tue 3 Mar');
  expect(dayText(new Date(2025, 2, 3), now)).toBe('Mon 3 Mar 2025');
});

test('shares and weekdays', () => {
  expect(percent(0.955)).toBe('96 %');
  expect(weekdayText([1, 3, 7])).toBe('Mon Wed Sun');
  expect(weekdayText([1, 2, 3, 4, 5, 6, 7])).toBe('every day');
});
