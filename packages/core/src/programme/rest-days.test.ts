import { describe, expect, test } from '@jest/globals';
import { addDays } from '../vocabulary/days.js';
import { sentenceText } from '../vocabulary/sentence.js';
import { mondayOf } from '../model/programme.js';
import { daysBetween } from '../vocabulary/days.js';
import { athleteSuggestions } from './athlete-suggestions.js';
import { editProgramme } from './edits.js';
import { programmeOf } from './programme.fixture.js';
import { carriedOutIn } from './suggestion-edits.js';
import { asking, of, planOf, SEQUENCE_ID, TODAY } from './suggestions.fixture.js';

/** A programme with loading sessions on these days from today on, after a session so hard that rest is due. */
function restOn(...days: number[]) {
  // Yesterday's is the one that was done.
  const sessions = [-1, ...days].map((offset, index) => ({ id: `n${index}`, day: addDays(TODAY, offset), planId: 'hard' }));
  const programme = programmeOf(sessions, {
    fromDay: mondayOf(addDays(TODAY, -7)),
    plans: [{ id: 'hard', sequenceId: SEQUENCE_ID }],
  });
  const standing = { id: 'p1', programme, sequences: new Map([['hard', planOf()]]) };
  const { suggestions, coming } = athleteSuggestions(asking([{ daysAgo: 1, mornings: { left: 6, right: 0 } }], { programmes: [standing] }));
  const [rest] = of('rest', suggestions);
  return { programme, coming, options: rest!.options };
}

describe('rest never lands on or beside a day that loads', () => {
  test.each([[[1, 3, 5]], [[1, 4, 7]], [[1, 6]], [[1, 2, 3, 4]], [[0, 2, 9]]])('sessions in %p days', (days) => {
    const { programme, coming, options } = restOn(...days);
    for (const { effect } of options) {
      const { edits } = carriedOutIn('p1', programme, { id: 'a', reason: 'Rest', effect }, coming);
      const after = editProgramme(programme, edits).sessions.map(({ day }) => day);
      if (effect.kind === 'as it is') continue;
      const moved = after.filter((day) => !programme.sessions.some((session) => session.day === day));
      const others = after.filter((day) => !moved.includes(day));
      for (const day of moved)
        expect([day, others.map((other) => Math.abs(daysBetween(day, other))).filter((gap) => gap < 2)]).toEqual([day, []]);
      expect(after.length).toBe(programme.sessions.length - (effect.kind === 'skip' ? 1 : 0));
    }
  });

  test('says the day, and leaves the session out where no day is free', () => {
    const words = (...days: number[]) => restOn(...days).options.map((option) => sentenceText(option.words));
    expect(words(1, 6)).toEqual([
      'Move it to 12 Jun 2026',
      'Move it to 13 Jun 2026',
      'Leave out the session on 11 Jun 2026',
      'Keep the plan',
    ]);
    expect(words(1, 3, 5)).toEqual(['Leave out the session on 11 Jun 2026', 'Keep the plan']);
  });

  test('a day that was free when it was proposed and is not any more: the session is left out instead', () => {
    const { programme, coming } = restOn(1, 6);
    const fuller = { ...programme, sessions: [...programme.sessions, { id: 'x', day: addDays(TODAY, 3), planId: 'hard' }] };
    const { edits } = carriedOutIn('p1', fuller, { id: 'a', reason: 'Rest', effect: { kind: 'later', days: 1 } }, coming);
    expect(edits).toEqual([{ kind: 'remove', sessionId: 'n1' }]);
  });
});
