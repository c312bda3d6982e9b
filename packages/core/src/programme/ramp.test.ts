import { sentenceText } from '../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import { addDays } from '../vocabulary/days.js';
import { evaluated, MONDAY, on, programmeOf, question, saidBy } from './programme.fixture.js';
import { ramped } from './ramp.js';

const twice = on(...[0, 1, 2, 3, 4, 5].flatMap((week) => [`${week}/1 whole`, `${week}/4 whole`]));
const full = programmeOf(twice);

describe('a new programme', () => {
  test('begins where somebody stands and grows to the plan, without a week whose load grows too fast', () => {
    // Four weeks of one such session a week behind them.
    const once = evaluated(programmeOf(on('0/1 whole'))).sessions[0]!.load!;
    const past = [28, 21, 14, 7].map((back) => ({ day: addDays(MONDAY, -back), doses: once.doses, hard: [] }));
    expect(saidBy('growth', full, { past })[0]!.day).toBe(MONDAY);
    const programme = ramped(question(full, { past }));
    const amounts = programme.weeks.map(({ amountPercent }) => amountPercent);
    // Coarse doses: a repetition more is more than a fifth, so the weeks go on by ten points.
    expect(amounts).toEqual([40, 50, 60, 70, 80, 90]);
    const worst = (of: typeof full) =>
      Math.max(...saidBy('growth', of, { past }).map(({ text }) => Number(/(\d+) % above/.exec(sentenceText(text))![1])));
    expect(worst(programme)).toBeLessThanOrEqual(worst(full));
  });
  test('is the plan itself for somebody of whom nothing is known', () => {
    expect(ramped(question(full))).toEqual(full);
  });
});
