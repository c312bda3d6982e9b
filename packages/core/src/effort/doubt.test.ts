import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { blockGroups } from './block-groups.js';
import { chancesOfGroup } from './chances.js';
import { decidesWords, whatToMeasure } from './doubt.js';
import type { EffortSpan } from './effort-timeline.js';
import { viewOf } from './session-view.js';
import { maximum } from '../mechanics/belief.js';
import { personOf } from '../mechanics/person.js';
import { findingsOf } from '../rules/checks/index.js';
import { ask, write, type Line } from '../rules/checks/sessions.fixture.js';

const RECORD = { sex: 'female', statureCm: 165, massKg: 62, birthDate: '1996-06-10' } as const;
const LIFTS: readonly Line[] = [
  ['load', 'strength.palm-lift', 'all-fours'],
  ['strength', 'strength.palm-lift', 'plank'],
  ['strength', 'strength.palm-lift-hold', 'plank'],
  ['strength', 'edge.hang', 'deep'],
];
const seen = (lines: readonly Line[], flexionNm?: number) => {
  const { person } = personOf(RECORD, [], '2026-06-10');
  const tests = (['left', 'right'] as const).map((hand) => maximum('wrist flexion', hand, flexionNm ?? 1, '2026-06-08'));
  return viewOf(ask(write(lines), { person: { ...person, evidence: flexionNm === undefined ? [] : tests } }));
};

describe('chances', () => {
  const span = (effort: number, seconds: number, logSd: number): EffortSpan => ({
    blockId: 'b',
    startMs: 0,
    endMs: seconds * 1000,
    effort,
    charged: effort,
    logSd,
  });
  const chance = (...spans: EffortSpan[]) => chancesOfGroup('left wrist flexors', spans, undefined).get('b')!;

  test('just the maximum for a moment is had by half of people; what is known is plain', () => {
    expect(chance(span(1, 1, 0.35))).toBeCloseTo(0.5, 1);
    expect([chance(span(1.02, 1, 0)), chance(span(0.98, 1, 0))]).toEqual([0, 1]);
  });

  test('fall with effort, with time and, for what half can do, with nothing else; wide beliefs are nearer to a half', () => {
    const byEffort = [0.5, 0.7, 0.9, 1.1, 1.3].map((effort) => chance(span(effort, 20, 0.3)));
    expect([...byEffort].sort((a, b) => b - a)).toEqual(byEffort);
    expect(chance(span(0.6, 90, 0.3))).toBeLessThan(chance(span(0.6, 30, 0.3)));
    expect(chance(span(1.3, 1, 0.1))).toBeLessThan(chance(span(1.3, 1, 0.5)));
  });

  test('of a block are told group by group, beside effort and interval, the hardest first', () => {
    const view = seen(LIFTS);
    const groups = blockGroups(view).get('b2')!;
    const [hardest] = groups;
    expect(hardest).toMatchObject({ group: 'wrist flexors' });
    expect(hardest!.effortInterval[0]).toBeLessThan(hardest!.effortPercent);
    expect(hardest!.effortInterval[1]).toBeGreaterThan(100);
    expect(hardest!.chanceOfCompletion).toBeGreaterThan(0.05);
    expect(hardest!.chanceOfCompletion).toBeLessThan(0.5);
    // What cannot be done by the middle of people like this has no dose.
    expect(hardest!.enduranceDose).toBe(0);
    const percents = groups.map(({ effortPercent }) => effortPercent);
    expect([...percents].sort((a, b) => b - a)).toEqual(percents);
  });
});

describe('what is in doubt', () => {
  test('is told in people, with what would settle it; the one measurement that decides most is named', () => {
    const findings = findingsOf(seen(LIFTS));
    const over = findings.filter(({ check }) => check.id === 'demand-over');
    expect(over.map(({ text }) => sentenceText(text))).toEqual([
      expect.stringMatching(/too much for about \d in 10 people like this\. Test the (left|right) wrist flexors to be sure\.$/),
      expect.stringMatching(/wrist flexors to be sure\.$/),
      expect.stringMatching(/grip to be sure\.$/),
    ]);
    const measure = whatToMeasure(findings.flatMap(({ doubt }) => doubt ?? []))!;
    expect(measure).toMatchObject({ action: 'wrist flexion', decides: 3, of: 4 });
    expect(decidesWords(measure)).toMatch(/^Test the (left|right) wrist flexors to decide 3 of 4 findings\.$/);
  });

  test('is spoken of plainly once it is measured, one way or the other', () => {
    const strong = findingsOf(seen(LIFTS, 14)).map(({ text }) => sentenceText(text));
    expect(strong.join()).not.toContain('wrist flexors are taken to have');
    const weak = findingsOf(seen(LIFTS, 7)).find(({ check }) => check.id === 'demand-over')!;
    expect(sentenceText(weak.text)).toMatch(/^Palm lift: needs 1\d\d % of the maximum of the (left|right) wrist flexors\.$/);
    expect(weak.doubt).toBeUndefined();
  });

  test('nothing in doubt asks for no measurement', () => {
    expect(whatToMeasure([])).toBeNull();
  });
});
