import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { cautionsOn, forbidsLoading } from './cautions.js';
import { advicesOf, concernsOf } from './clearance.js';
import { adviseOnDiscomfort, DISCOMFORT_WORDS } from '../reports/discomfort.js';
import { CAUTION_IDS, CAUTIONS } from '../../vocabulary/cautions.js';
import { ageOn } from '../../vocabulary/days.js';
import { STOP_RULES, STOP_SIGN_IDS } from '../../vocabulary/stop-signs.js';

describe('referral', () => {
  const referring = CAUTION_IDS.filter((id) => CAUTIONS[id].rule === 'refer');

  test('numbness, dropping things, injury, rest pain and a recent injection refer, and so does what stopped a session', () => {
    expect(referring.sort()).toEqual([
      'dropping-things',
      'growing-finger',
      'growing-wrist',
      'nerve-complaint',
      'no-consent',
      'numbness',
      'one-white-hand',
      'recent-injury',
      'recent-sprain',
      'rest-pain',
      'steroid-injection',
      'stop-sign',
      'strong-pain',
      'swollen-place',
    ]);
  });

  test('only a clearance with both day and name lifts it', () => {
    expect(forbidsLoading({ caution: 'numbness' })).toBe(true);
    expect(forbidsLoading({ caution: 'numbness', clearedOn: '2026-05-01' })).toBe(true);
    expect(forbidsLoading({ caution: 'numbness', clearedBy: 'Dr Example' })).toBe(true);
    const cleared = { caution: 'numbness', clearedOn: '2026-05-01', clearedBy: 'Dr Example' } as const;
    expect(forbidsLoading(cleared)).toBe(false);
    expect(advicesOf([cleared])).toEqual([]);
  });

  test('what forbids loading is told first', () => {
    const both = [{ caution: 'arthritis' as const }, { caution: 'numbness' as const }];
    expect(advicesOf(both).map(({ caution, forbids }) => [caution, forbids])).toEqual([
      ['numbness', true],
      ['arthritis', false],
    ]);
  });
});

describe('age', () => {
  test('counts whole years up to the birthday', () => {
    expect(ageOn('2008-11-25', '2026-11-24')).toBe(17);
    expect(ageOn('2008-11-24', '2026-11-24')).toBe(18);
  });

  test('under 18 is minded without being ticked, once', () => {
    const minor = { birthDate: '2010-01-01', cautions: [] };
    expect(cautionsOn(minor, '2026-06-01').map((entry) => entry.caution)).toEqual(['under-18']);
    const ticked = { ...minor, cautions: [{ caution: 'under-18' as const }] };
    expect(cautionsOn(ticked, '2026-06-01')).toHaveLength(1);
    expect(cautionsOn(minor, '2028-01-01')).toEqual([]);
    expect(cautionsOn({ birthDate: null, cautions: [] }, '2026-06-01')).toEqual([]);
  });
});

describe('discomfort', () => {
  test('0–2 goes on, 3–4 holds, 5 and more eases or stops', () => {
    const advice = Array.from({ length: 11 }, (_, score) => adviseOnDiscomfort(score, 'mild'));
    expect(advice).toEqual([
      ...Array<string>(3).fill('go-on'),
      ...Array<string>(2).fill('hold-level'),
      ...Array<string>(6).fill('ease-or-stop'),
    ]);
    expect(DISCOMFORT_WORDS['ease-or-stop']).toContain('stop');
    const strict = [0, 1, 2, 3, 10].map((score) => adviseOnDiscomfort(score, 'none'));
    expect(strict).toEqual(['go-on', 'hold-level', 'hold-level', 'ease-or-stop', 'ease-or-stop']);
  });

  test('numbness is a stop sign, and the rules for every sheet say stop, ask, and local rules first', () => {
    expect(STOP_SIGN_IDS).toContain('numbness');
    const rules = STOP_RULES.join(' ');
    for (const words of ['Stop if it hurts', 'doctor or hand therapist', 'Local rules come first']) expect(rules).toContain(words);
  });
});

describe('one level for one person', () => {
  const lift = shippedMovement('strength.palm-lift')!;
  test('an uncleared referral stops every level that loads, forearms too, and no free motion', () => {
    const numb = [{ caution: 'numbness' as const }];
    expect(concernsOf(lift, lift.ladder[0], numb).stops).toEqual([CAUTIONS.numbness.advice]);
    const forearms = shippedMovement('bearing.forearm-support')!;
    expect(concernsOf(forearms, forearms.ladder[0], numb).stops).toHaveLength(1);
    const circles = shippedMovement('free.wrist-circles')!;
    expect(concernsOf(circles, circles.ladder[0], numb).stops).toEqual([]);
    const cleared = [{ caution: 'numbness' as const, clearedOn: '2026-05-01', clearedBy: 'Dr Somebody' }];
    expect(concernsOf(lift, lift.ladder[0], cleared).stops).toEqual([]);
  });

  test('the movement’s own cautions are told apart: what to leave out, what to do with care', () => {
    const back = shippedMovement('strength.fist-to-back')!;
    const { avoid, care } = concernsOf(back, back.ladder[0], [{ caution: 'past-sprain' }]);
    expect(avoid).toEqual(['Loaded flexion: not with a sore or recently sprained wrist.']);
    expect(care).toHaveLength(1);
    expect(concernsOf(lift, lift.ladder[0], [{ caution: 'hypermobility' }])).toEqual({
      stops: [],
      avoid: [],
      care: [],
    });
  });
});
