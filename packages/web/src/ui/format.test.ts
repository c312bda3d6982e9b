import { expect, test } from '@jest/globals';
import { agoText, dayText, weekdayText } from './format.js';

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

test('weekdays', () => {
  expect(weekdayText([1, 3, 7])).toBe('Mon Wed Sun');
  expect(weekdayText([1, 2, 3, 4, 5, 6, 7])).toBe('every day');
});
