import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { viewOf } from '../../effort/session-view.js';
import { applyEdits } from '../../model/edits.js';
import type { Sequence } from '../../model/sequence.js';
import { editsOf } from './finding.js';
import { findingsOf } from './index.js';
import { ask, found, idsOf, instead, type Line, lopsided, session, write } from './sessions.fixture.js';

describe('stretches before strength', () => {
  const fixOf = (lines: readonly Line[]) => found(ask(write(lines))).find(({ check }) => check.id === 'stretch-before-strength')!.fix!;

  test('are shortened together while each still lasts', () => {
    const fix = fixOf(instead('stretch.flexors', ['range', 'stretch.flexors', 'open', '3x30s L,R']));
    expect(sentenceText(fix.label)).toBe('Shorten: 60 s in total');
    expect(editsOf(fix).map(({ kind }) => kind)).toEqual(['change']);
  });

  test('lose the last ones where a share of the minute would be too short to matter', () => {
    const many = Array.from({ length: 8 }, (): Line => ['range', 'stretch.flexors', 'open', '1x20s L,R']);
    const fix = fixOf(instead('stretch.flexors', ...many));
    expect(sentenceText(fix.label)).toBe('Remove some: 60 s in total');
    const left = applyEdits(write(instead('stretch.flexors', ...many)), editsOf(fix));
    const stretches = left.blocks.filter(({ movementId }) => movementId === 'stretch.flexors');
    expect(stretches.length).toBeGreaterThan(2);
    for (const { dose } of stretches) expect(dose.work).toEqual({ kind: 'time', seconds: expect.any(Number) });
    expect(idsOf(ask(left))).not.toContain('stretch-before-strength');
    expect(idsOf(ask(left))).not.toContain('dose-outside');
  });
});

describe('one sequence with everything wrong', () => {
  const WRONG: readonly Line[] = [
    ['prepare', 'rock.palm-fore-aft', 'over'],
    ['prepare', 'free.open-close', 'fast', '1x5s'],
    ['range', 'stretch.flexors', 'open', '4x40s L'],
    ['load', 'rock.palm-circles', 'all-fours', '1x3 >'],
    ['strength', 'strength.palm-lift', 'plank', '3x10 rest5'],
    ['strength', 'grip.ball-squeeze', 'gripper', '3x10 @90% 8s rest5 R'],
    ['strength', 'isometric.radial', 'strong', '3x10 @85% 8s rest5 R'],
    ['strength', 'weight.curl', 'heavy', '3x15 rest5 R'],
    ['skill', 'bearing.palm-support', 'plank', '2x300s rest10'],
  ];
  const past = [
    session('2026-06-06', { movementIds: [], doses: { 'right wrist flexors': 1 } }),
    session('2026-06-09', { movementIds: [], hard: ['right wrist flexors'] }),
    ...['2026-05-16', '2026-05-23', '2026-05-30'].map((day) => session(day, { doses: { 'right wrist flexors': 0.4 } })),
  ].sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const question = ask(write(WRONG, { budgetMin: 5 }), {
    athlete: {
      cautions: [{ caution: 'numbness' }, { caution: 'arthritis' }, { caution: 'tendon-pain' }],
      equipment: ['mat'],
    },
    past,
    person: lopsided,
  });

  test('at least 25 checks speak at once, stops first', () => {
    const ids = idsOf(question);
    expect(ids.length).toBeGreaterThanOrEqual(25);
    const weights = found(question).map(({ check }) => ['stop', 'mend', 'look'].indexOf(check.severity));
    expect(weights).toEqual([...weights].sort((a, b) => a - b));
  });

  test('mending one finding after another comes to an end, with no stop left', () => {
    let sequence = question.sequence;
    for (let round = 0; round < 80; round++) {
      const fix = found({ ...question, sequence }).find((finding) => finding.fix)?.fix;
      if (!fix) break;
      sequence = applyEdits(sequence, editsOf(fix));
    }
    const left = found({ ...question, sequence });
    expect(left.filter(({ fix }) => fix)).toEqual([]);
    expect(left.filter(({ check }) => check.severity === 'stop')).toEqual([]);
  });
});

describe('sequences at the edge', () => {
  test.each<[string, Sequence]>([
    ['empty', write([])],
    [
      'stretches only',
      write([
        ['range', 'stretch.flexors', 'open'],
        ['settle', 'settle.long-flexors', 'easy'],
      ]),
    ],
    [
      'all left',
      write([
        ['load', 'isometric.flexion', 'medium', '3x8 @50% L'],
        ['load', 'isometric.extension', 'medium', '3x8 @50% L'],
      ]),
    ],
    ['four hours', write([['load', 'bearing.palm-support', 'all-fours', '8x1800s rest30']], { budgetMin: 240 })],
  ])('%s: answered with finite numbers', (_what, sequence) => {
    const view = viewOf(ask(sequence));
    for (const dose of view.account.doses.values()) expect(Number.isFinite(dose)).toBe(true);
    for (const { lowest } of view.courses.values()) expect(lowest).toBeGreaterThan(0);
    for (const { text } of findingsOf(view)) expect(sentenceText(text)).not.toMatch(/NaN|undefined|Infinity/);
  });
});
