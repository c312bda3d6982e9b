import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { suggestionAfter, type SessionOutcome } from './after-session.js';

const DONE: SessionOutcome = { ending: 'completed', completion: 1, maxDiscomfort: 1, discomfortPolicy: 'mild' };

describe('what a session asks for next', () => {
  test.each([
    [DONE, 'go-on', 'can go ahead as planned'],
    [{ ...DONE, maxDiscomfort: null }, 'go-on', 'No discomfort was recorded'],
    [{ ...DONE, maxDiscomfort: 4 }, 'hold', 'discomfort 4 of 10'],
    [{ ...DONE, maxDiscomfort: 6 }, 'ease', 'lower level'],
    [{ ...DONE, maxDiscomfort: 3, discomfortPolicy: 'none' }, 'ease', 'this method allows none'],
    [{ ...DONE, ending: 'ended early', completion: 0.5 }, 'hold', 'Ended early, 50 % done'],
    [{ ...DONE, ending: 'ended early', completion: 0.9 }, 'go-on', 'can go ahead as planned'],
    // What hurt weighs more than how far it went.
    [{ ...DONE, ending: 'ended early', completion: 0.2, maxDiscomfort: 7 }, 'ease', 'discomfort 7 of 10'],
  ] as const)('%j → %s', (outcome, proposed, words) => {
    const suggestion = suggestionAfter(outcome);
    expect(suggestion.proposed).toBe(proposed);
    expect(sentenceText(suggestion.reason)).toContain(words);
  });
});
