import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { type Changeable, changesSince } from './changes-since.js';

const NONE: Changeable = { sessions: [], intakes: [], cautions: [] };
const session = (more: Partial<Changeable['sessions'][number]> = {}): Changeable['sessions'][number] => ({
  ...{ id: 's', title: 'Two hands', onDay: '2026-06-09', ending: 'completed', completion: 1, maxDiscomfort: 1, discomfortPolicy: 'mild' },
  ...more,
});
const changesFor = (of: Partial<Changeable>) =>
  changesSince({ ...NONE, ...of }, '2026-06-09', '2026-06-10').map(({ isGrave, text }) => [isGrave, sentenceText(text)]);

describe('what changed since a day', () => {
  test('a session that went well is told calmly; one that asks for less is grave and comes first', () => {
    const sessions = [session(), session({ id: 't', title: 'Hard one', maxDiscomfort: 6 })];
    const [first, second] = changesFor({ sessions });
    expect(first).toEqual([true, expect.stringMatching(/^Hard one, 100 % done: peak discomfort 6 of 10/)]);
    expect(second).toEqual([false, expect.stringMatching(/^Two hands, 100 % done: /)]);
  });

  test('a session that was stopped is grave whatever was felt', () => {
    expect(changesFor({ sessions: [session({ ending: 'stopped', maxDiscomfort: 0 })] })).toEqual([
      [true, expect.stringMatching(/^Two hands, stopped: /)],
    ]);
  });

  test('a hand that was numb the next morning is grave', () => {
    const morning = { left: 0, right: 0, numb: 'left' } as const;
    expect(changesFor({ sessions: [session({ morning })] })).toEqual([[true, expect.stringContaining('numb or tingling')]]);
  });

  test('what is older, or of a day to come, is not told', () => {
    expect(changesFor({ sessions: [session({ onDay: '2026-06-08' })] })).toEqual([]);
    expect(changesFor({ intakes: [{ onDay: '2026-06-11', verdict: 'stop now' }] })).toEqual([]);
  });

  test.each([
    ['go', false, 'check-in: clear to train'],
    ['refer first', true, 'check-in: get it checked first'],
  ] as const)('a check-in that says %s', (verdict, isGrave, text) => {
    expect(changesFor({ intakes: [{ onDay: '2026-06-10', verdict }] })).toEqual([[isGrave, text]]);
  });

  test.each([
    ['2026-06-08', 1],
    ['2026-06-09', 1],
    ['2026-06-10', 0],
    ['2026-06-07', 0],
  ])('a clearance through %s: loading is forbidden again the day after (%s)', (clearedUntil, count) => {
    const cautions = [{ caution: 'numbness', clearedOn: '2026-05-01', clearedBy: 'Dr Oake', clearedUntil } as const];
    expect(changesFor({ cautions })).toHaveLength(count);
  });
});
