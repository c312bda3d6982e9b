import { sentenceText } from '../../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import { type ClassMember, attentionNeeded } from './attention-needed.js';
import type { Reading } from '../../model/reading.js';

const TODAY = '2026-06-10';
const grip = (onDay: string, left: number, right: number): Reading[] => [
  { kind: 'maximum', of: 'grip', hand: 'left', value: left, onDay },
  { kind: 'maximum', of: 'grip', hand: 'right', value: right, onDay },
];
const SESSION = {
  ending: 'completed',
  completion: 1,
  maxDiscomfort: 1,
  discomfortPolicy: 'mild',
  onDay: '2026-06-08',
  isDecided: false,
} as const;
const WELL: ClassMember = {
  cautions: [],
  dominantHand: 'right',
  askedOn: '2026-06-01',
  readings: grip('2026-06-01', 400, 430),
  measuredOn: '2026-06-01',
  lastSession: SESSION,
};
const look = (change: Partial<ClassMember>) => attentionNeeded({ ...WELL, ...change }, TODAY);

describe('who needs a look', () => {
  test('nobody who was asked, measured and trained lately, with two alike hands', () => {
    expect(look({})).toEqual({ weight: 0, reasons: [] });
  });

  test.each<[Partial<ClassMember>, RegExp]>([
    [{ cautions: [{ caution: 'numbness', hand: 'left' }] }, /Numbness or tingling, left hand: unloaded only/],
    [{ lastSession: { ...SESSION, maxDiscomfort: 6 } }, /discomfort 6 of 10/],
    [{ lastSession: { ...SESSION, morning: { left: 4, right: 0 }, morningBefore: { left: 1, right: 0 } } }, /3 worse than before/],
    [{ lastSession: { ...SESSION, onDay: '2026-05-20' } }, /21 days without a session/],
    [{ lastSession: null }, /no session yet/],
    [{ askedOn: null }, /check-in due: no check-in yet/],
    [{ readings: [], measuredOn: null }, /never tested/],
    [{ readings: grip('2026-03-01', 400, 430), measuredOn: '2026-03-01' }, /last tested 14 weeks ago/],
    [{ readings: grip('2026-06-01', 300, 430) }, /grip: left 30 % lower/],
    [{ readings: [...grip('2026-05-01', 400, 430), ...grip('2026-06-01', 320, 350)] }, /grip, left: 20 % lower than before, a real change/],
  ])('%j: %s', (change, reason) => {
    expect(sentenceText(look(change).reasons[0]!)).toMatch(reason);
  });

  test('a change within the error is none; what was decided waits no longer', () => {
    expect(look({ readings: [...grip('2026-05-01', 400, 430), ...grip('2026-06-01', 380, 410)] }).reasons).toEqual([]);
    expect(look({ lastSession: { ...SESSION, maxDiscomfort: 6, isDecided: true } }).reasons).toEqual([]);
  });

  test('whoever was measured at something else was measured', () => {
    expect(look({ readings: [], measuredOn: '2026-06-01' }).reasons).toEqual([]);
    expect(look({ readings: grip('2026-03-01', 400, 430), measuredOn: '2026-06-01' }).reasons).toEqual([]);
  });

  test('a name keeps its capitals', () => {
    const cautions = [{ caution: 'numbness', clearedBy: 'Dr Ines Varga', clearedOn: '2026-05-01', clearedUntil: '2026-06-12' }] as const;
    expect(look({ cautions }).reasons.map((each) => sentenceText(each))).toEqual([
      expect.stringMatching(/^check-in due: clearance by Dr Ines Varga ends on /),
    ]);
  });

  test('what may hurt comes before what is only late, however much of that there is', () => {
    const late = look({ askedOn: null, readings: [], measuredOn: null, lastSession: null });
    const sore = look({ lastSession: { ...SESSION, maxDiscomfort: 6 } });
    const barred = look({ cautions: [{ caution: 'numbness' }] });
    expect([barred.weight, sore.weight, late.weight].every((weight, index, all) => index === 0 || weight < all[index - 1]!)).toBe(true);
    expect(late.reasons).toHaveLength(3);
  });
});
