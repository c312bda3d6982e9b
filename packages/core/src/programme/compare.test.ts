import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { compareProgrammes } from './compare.js';
import { editProgramme, freshSessionId } from './edits.js';
import { loadedGroups, loadLine } from './load-line.js';
import { day, evaluated, on, programmeOf } from './programme.fixture.js';

const before = programmeOf(on('0/1 whole', '0/3 easy', '1/1 whole'));
const texts = (after: typeof before) => compareProgrammes(before, after).map(({ text }) => sentenceText(text));

describe('two programmes', () => {
  test('differ in words, each change once', () => {
    expect(texts(before)).toEqual([]);
    const after = editProgramme(before, [
      { kind: 'move', sessionId: 's1', day: day(0, 2) },
      { kind: 'remove', sessionId: 's2' },
      { kind: 'add', session: { id: freshSessionId(before), day: day(2, 1), planId: 'hard' } },
      { kind: 'week', index: 1, week: { kind: 'easier', amountPercent: 60 } },
      { kind: 'away', away: [{ fromDay: day(1, 2), toDay: day(1, 4), kind: 'travel' }] },
    ]);
    expect(texts({ ...after, title: 'Further' })).toEqual([
      'Title: “Toward the show” becomes “Further”',
      'Session of 8 Jun 2026 moves to 9 Jun 2026',
      'Session of 10 Jun 2026 removed',
      'New session on 22 Jun 2026',
      'Week 2: Build 100 % becomes Deload 60 %',
      'Travelling, 16 Jun 2026 to 18 Jun 2026',
    ]);
  });
});

describe('the load line of a group', () => {
  test('is steady where the days are, and its week is above its band where they grow', () => {
    const daily = [0, 1, 2, 3, 4, 5].flatMap((week) => [1, 2, 3, 4, 5, 6, 7].map((weekday) => `${week}/${weekday} easy`));
    const view = evaluated(programmeOf(on(...daily)));
    const [group] = loadedGroups(view);
    const line = loadLine(view, group!);
    expect(line).toHaveLength(42);
    // Four weeks of the same are steady: the week is what the month is.
    expect(line.at(-1)!.week / line.at(-1)!.month).toBeCloseTo(1, 1);
    const first = line[6]!;
    expect(first.week).toBeGreaterThan(first.band[1]);
    expect(line.every(({ isPlanned }) => isPlanned)).toBe(true);
  });
});
