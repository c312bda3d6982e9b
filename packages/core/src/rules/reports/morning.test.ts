import { describe, expect, test } from '@jest/globals';
import { suggestionAfter } from '../suggestions/after-session.js';
import { adviseOnMorning, isNextDayCheckDue, morningOf } from './morning.js';

const scoresOf = (left: number, right = 0) => ({ left, right });

describe('the morning after', () => {
  test.each([
    [2, null, 'go-on'],
    [3, null, 'hold'],
    [4, { left: 3, right: 0 }, 'hold'],
    [5, { left: 4, right: 0 }, 'step-back'],
    [2, { left: 0, right: 0 }, 'step-back'],
    [3, { left: 1, right: 0 }, 'step-back'],
    [2, { left: 1, right: 0 }, 'go-on'],
  ] as const)('%i after %j: %s', (left, before, advice) => {
    expect(adviseOnMorning(scoresOf(left), before, 'left').advice).toBe(advice);
  });

  test('each hand is its own, the graver is told; numbness refers whatever the score', () => {
    const before = { left: 0, right: 0 };
    expect(morningOf(scoresOf(1, 4), before)).toMatchObject({ advice: 'step-back', text: expect.stringContaining('Right hand 4 of 10') });
    expect(morningOf({ ...scoresOf(0), numb: 'left' }, null).advice).toBe('refer');
    expect(adviseOnMorning({ ...scoresOf(0), numb: 'left' }, null, 'right').advice).toBe('go-on');
  });

  test('is asked for on the next day and the one after, once', () => {
    expect(['2026-06-01', '2026-06-02', '2026-06-03', '2026-06-04'].map((day) => isNextDayCheckDue('2026-06-01', false, day))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(isNextDayCheckDue('2026-06-01', true, '2026-06-02')).toBe(false);
  });

  test('it weighs in what is proposed next: a session that felt fine may still ask for a step back', () => {
    const fine = { ending: 'completed', completion: 1, maxDiscomfort: 1, discomfortPolicy: 'mild' } as const;
    expect(suggestionAfter({ ...fine, morning: scoresOf(3), morningBefore: { left: 0, right: 0 } })).toMatchObject({ proposed: 'ease' });
    expect(suggestionAfter({ ...fine, morning: scoresOf(3), morningBefore: null }).proposed).toBe('hold');
    expect(suggestionAfter({ ...fine, morning: scoresOf(1), morningBefore: null }).proposed).toBe('go-on');
    expect(suggestionAfter({ ...fine, maxDiscomfort: 6, morning: scoresOf(0), morningBefore: null }).proposed).toBe('ease');
    expect(suggestionAfter({ ...fine, morning: { ...scoresOf(0), numb: 'both' }, morningBefore: null }).reason).toContain(
      'have it checked',
    );
  });

  test('a hand that went numb waits for a clearance, not for a day', () => {
    const fine = { ending: 'completed', completion: 1, maxDiscomfort: 9, discomfortPolicy: 'mild' } as const;
    const { proposed, reason } = suggestionAfter({ ...fine, morning: { ...scoresOf(0), numb: 'left' }, morningBefore: null });
    expect(proposed).toBe('rest');
    expect(reason).toMatch(/No load on that hand until it is cleared\.$/);
    expect(reason).not.toContain('a day more');
  });
});
