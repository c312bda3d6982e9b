import { describe, expect, test } from '@jest/globals';
import { callAfter, type SessionOutcome } from './after-session.js';

const DONE: SessionOutcome = { ending: 'completed', completion: 1, maxDiscomfort: 1, discomfortPolicy: 'mild' };

describe('what a session asks for next', () => {
  test.each([
    [DONE, 'go-on', 'can go as planned'],
    [{ ...DONE, maxDiscomfort: null }, 'go-on', 'Nobody told of discomfort'],
    [{ ...DONE, maxDiscomfort: 4 }, 'hold', 'Discomfort 4 of 10'],
    [{ ...DONE, maxDiscomfort: 6 }, 'ease', 'lower level'],
    [{ ...DONE, maxDiscomfort: 3, discomfortPolicy: 'none' }, 'ease', 'where the method allows none'],
    [{ ...DONE, ending: 'ended early', completion: 0.5 }, 'hold', 'Ended early, 50 % done'],
    [{ ...DONE, ending: 'ended early', completion: 0.9 }, 'go-on', 'can go as planned'],
    // What hurt weighs more than how far it went.
    [{ ...DONE, ending: 'ended early', completion: 0.2, maxDiscomfort: 7 }, 'ease', 'Discomfort 7 of 10'],
  ] as const)('%j → %s', (outcome, proposed, words) => {
    const call = callAfter(outcome);
    expect(call.proposed).toBe(proposed);
    expect(call.reason).toContain(words);
  });
});
