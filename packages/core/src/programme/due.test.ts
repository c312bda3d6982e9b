import { describe, expect, test } from '@jest/globals';
import { dueOn, nextAfter } from './due.js';
import { addDays, weekdayOf } from '../vocabulary/days.js';

const assignment = { id: 'g', sequenceId: 's', athleteId: 'a', weekdays: [1, 3, 5], fromDay: '2026-03-01' };
const session = (day: string) => ({ sequenceId: 's', athleteId: 'a', day });

describe('who is due', () => {
  test('weekdays by the calendar', () => {
    // 2 March 2026 is a Monday.
    expect(weekdayOf('2026-03-02')).toBe(1);
    expect(weekdayOf('2026-03-08')).toBe(7);
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2026-01-01', -1)).toBe('2025-12-31');
  });

  test('due on a planned day, done once a session was led, absent on other days', () => {
    expect(dueOn('2026-03-11', [assignment], [])).toMatchObject([{ state: 'due' }]);
    expect(dueOn('2026-03-11', [assignment], [session('2026-03-11')])).toMatchObject([{ state: 'done' }]);
    expect(dueOn('2026-03-12', [assignment], [])).toEqual([]);
  });

  test('misses of the last seven days, not before the first day it holds', () => {
    const [due] = dueOn('2026-03-11', [assignment], [session('2026-03-06')]);
    expect(due?.missedDays).toEqual(['2026-03-04', '2026-03-09']);
    const [fresh] = dueOn('2026-03-11', [{ ...assignment, fromDay: '2026-03-08' }], []);
    expect(fresh?.missedDays).toEqual(['2026-03-09']);
  });

  test('the next day after today, of several the earliest; nothing where nothing is given', () => {
    // The 11th is a Wednesday.
    expect(nextAfter('2026-03-11', [assignment])?.day).toBe('2026-03-13');
    expect(nextAfter('2026-03-13', [assignment])?.day).toBe('2026-03-16');
    expect(nextAfter('2026-03-11', [assignment, { ...assignment, id: 'h', weekdays: [4] }])).toMatchObject({
      day: '2026-03-12',
      assignment: { id: 'h' },
    });
    expect(nextAfter('2026-03-11', [{ ...assignment, fromDay: '2026-04-01' }])?.day).toBe('2026-04-01');
    expect(nextAfter('2026-03-11', [{ ...assignment, weekdays: [] }])).toBeNull();
  });

  test('a session of another sequence or athlete does not count', () => {
    const others = [
      { ...session('2026-03-11'), sequenceId: 'x' },
      { ...session('2026-03-11'), athleteId: 'y' },
    ];
    expect(dueOn('2026-03-11', [assignment], others)).toMatchObject([{ state: 'due' }]);
  });
});
