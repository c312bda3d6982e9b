import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import type { SuggestionKind } from '../rules/suggestions/index.js';
import { addDays } from '../vocabulary/days.js';
import { firstOf } from '../vocabulary/lists.js';
import type { AthleteSuggestionsQuestion } from './athlete-suggestions.js';
import { suggestionsFor, nextIn, of, planOf, SUPPORT, TODAY, type Went } from './suggestions.fixture.js';

const CLEAN: readonly Went[] = [{ daysAgo: 7 }, { daysAgo: 2 }];
const STOPPED = { caution: 'stop-sign', hand: 'left', since: '2026-06-08', stopped: { sessionId: 's2', sign: 'numbness' } } as const;
const keysOf = (suggestions: ReturnType<typeof suggestionsFor>) => suggestions.map(({ key, kind }) => `${kind}: ${key}`);

describe('suggestions, each once made and once not', () => {
  test.each<[string, SuggestionKind, readonly Went[], Partial<AthleteSuggestionsQuestion>, boolean]>([
    ['two clean sessions', 'progress', CLEAN, {}, true],
    ['one clean session', 'progress', CLEAN.slice(1), {}, false],
    ['two sessions on one day', 'progress', [{ daysAgo: 2 }, { daysAgo: 2 }], {}, false],
    [
      'clean, and the plan has the next step already',
      'progress',
      CLEAN,
      { programmes: [nextIn(1, planOf('all-fours', '2x25s rest40'))] },
      false,
    ],
    ['the support hurt', 'ease', [{ daysAgo: 7 }, { daysAgo: 2, plan: planOf('knees-back'), supportHurts: 6 }], {}, true],
    ['the support was felt', 'ease', [{ daysAgo: 7 }, { daysAgo: 2, supportHurts: 2 }], {}, false],
    ['it hurt in two of three', 'swap', [{ daysAgo: 8, supportHurts: 5 }, { daysAgo: 7 }, { daysAgo: 2, supportHurts: 6 }], {}, true],
    ['it hurt once', 'swap', [{ daysAgo: 8 }, { daysAgo: 7 }, { daysAgo: 2, supportHurts: 6 }], {}, false],
    ['a morning of five', 'rest', [{ daysAgo: 1, mornings: { left: 5, right: 1 } }], { programmes: [nextIn(1)] }, true],
    [
      'a morning of five, and days of rest ahead',
      'rest',
      [{ daysAgo: 1, mornings: { left: 5, right: 1 } }],
      { programmes: [nextIn(5)] },
      false,
    ],
    [
      'nothing left, twice',
      'rest',
      [
        { daysAgo: 4, exertion: 9 },
        { daysAgo: 1, exertion: 10 },
      ],
      { programmes: [nextIn(1)] },
      true,
    ],
    [
      'nothing left, once',
      'rest',
      [
        { daysAgo: 4, exertion: 6 },
        { daysAgo: 1, exertion: 10 },
      ],
      { programmes: [nextIn(1)] },
      false,
    ],
    ['measured nine weeks ago', 'measure again', CLEAN, { measuredOn: addDays(TODAY, -63) }, true],
    ['measured a week ago', 'measure again', CLEAN, {}, false],
    ['never measured, three sessions', 'measure again', [{ daysAgo: 8 }, ...CLEAN], { measuredOn: null }, true],
    ['never measured, one session', 'measure again', CLEAN.slice(1), { measuredOn: null }, false],
    ['half of it done', 'hold', [{ daysAgo: 2, share: 0.5 }], {}, true],
    ['all of it done', 'hold', [{ daysAgo: 2 }], {}, false],
    ['form gave way', 'hold', [{ daysAgo: 7 }, { daysAgo: 2, supportFaults: ['Index knuckle lifts'] }], {}, true],
    [
      'form gave way twice',
      'ease',
      [
        { daysAgo: 5, supportFaults: ['Held breath'] },
        { daysAgo: 2, supportFaults: ['Held breath'] },
      ],
      {},
      true,
    ],
    ['form gave way, and then did not', 'ease', [{ daysAgo: 5, supportFaults: ['Held breath'] }, { daysAgo: 2 }], {}, false],
    ['form gave way', 'progress', [{ daysAgo: 7 }, { daysAgo: 2, supportFaults: ['Held breath'] }], {}, false],
    ['a stop on record', 'refer', CLEAN, { athlete: { cautions: [STOPPED], equipment: [] } }, true],
    ['nothing on record', 'refer', CLEAN, {}, false],
    ['mornings that grow', 'refer', [1, 2, 3].map((left, i) => ({ daysAgo: 7 - 3 * i, mornings: { left, right: 0 } })), {}, true],
    ['mornings that come and go', 'refer', [2, 1, 3].map((left, i) => ({ daysAgo: 7 - 3 * i, mornings: { left, right: 0 } })), {}, false],
  ])('%s: %s', (_, kind, sessions, more, isMade) => {
    expect(of(kind, suggestionsFor(sessions, more)).some(({ movementId }) => movementId === null || movementId === SUPPORT)).toBe(isMade);
  });

  test('who has never trained and of whom nothing stands is not called about', () => {
    expect(suggestionsFor([], { measuredOn: null })).toEqual([]);
  });

  test('after two weeks without, what loads goes a level back, and what loads nothing stays', () => {
    const suggestions = suggestionsFor([{ daysAgo: 20, plan: planOf('knees-back') }], { programmes: [nextIn(1, planOf('knees-back'))] });
    expect(keysOf(of('ease', suggestions))).toEqual(['ease: level grip.ball-squeeze', `ease: level ${SUPPORT}`]);
    expect(new Set(of('ease', suggestions).map(({ cause }) => cause))).toEqual(new Set(['away']));
  });
});

describe('form that gave way', () => {
  const KNUCKLE = { supportFaults: ['Index knuckle lifts'] };
  const [hold] = of('hold', suggestionsFor([{ daysAgo: 7 }, { daysAgo: 2, ...KNUCKLE }]));

  test('is told with the fault and the hand, and offers to stay first, then less', () => {
    expect(hold).toMatchObject({ cause: 'form', hands: ['left'], movementId: SUPPORT, sessionId: 's2' });
    expect(hold?.why).toBe('Palm support, left hand: index knuckle lifts. Repeat it unchanged.');
    expect(hold?.evidence[0]?.text).toContain('index knuckle lifts');
    expect(hold?.options.map(({ id }) => id)).toEqual(expect.arrayContaining(['stay', 'less']));
    expect(hold?.options[0].id).toBe('stay');
  });

  test('twice asks for less, and says exactly of what', () => {
    const [ease] = of(
      'ease',
      suggestionsFor([
        { daysAgo: 5, ...KNUCKLE },
        { daysAgo: 2, ...KNUCKLE },
      ]),
    );
    expect(ease?.options[0]).toMatchObject({ id: 'less', effect: { kind: 'blocks' } });
    expect(ease?.options[0].words).toMatch(/^Palm support: /);
    expect(ease?.why).toContain('2 sessions in a row');
  });
});

describe('what a suggestion says', () => {
  const suggestions = suggestionsFor(CLEAN, { programmes: [nextIn(1)] });
  const progress = of('progress', suggestions).find(({ movementId }) => movementId === SUPPORT)!;

  test('exactly what changes, by which plan, and how likely it is carried to its end', () => {
    const [proposed, ...others] = progress.options;
    expect(proposed.words).toBe('Palm support: 2 sets of 15 s → 2 sets of 20 s');
    expect(proposed.effect).toMatchObject({
      kind: 'blocks',
      plans: [{ place: { programmeId: 'p1', planId: 'hard' } }],
    });
    expect(proposed.chance).toBeGreaterThan(0.8);
    expect(others.map(({ words }) => words).join()).toContain('3 sets of 15 s');
  });

  test('what it rests on, the newest first, to be opened', () => {
    expect(progress.evidence.map(({ sessionId, text }) => [sessionId, text])).toEqual([
      ['s2', '2 sets of 15 s, discomfort 1, effort (RPE) 5'],
      ['s1', '2 sets of 15 s, discomfort 1, effort (RPE) 5'],
    ]);
    expect(sentenceText(progress.why)).toContain('clean in the last 2 sessions');
  });

  test('the gravest come first', () => {
    const all = suggestionsFor([{ daysAgo: 7 }, { daysAgo: 2, plan: planOf('knees-back'), supportHurts: 6 }], {
      measuredOn: addDays(TODAY, -63),
      programmes: [nextIn(1)],
      athlete: { cautions: [{ ...STOPPED, hand: 'right' }], equipment: [] },
    });
    expect(all.map(({ kind }) => kind)[0]).toBe('refer');
    expect(sentenceText(firstOf(of('refer', all)).why)).toContain('numbness');
  });
});
