import { sentenceText } from '../../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { demandOf } from '../../mechanics/demand.js';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { findLevel } from '../../model/movement.js';
import { kgMinutes, TERMS, type TermId, termOf } from './terms.js';

const person = referencePerson(REFERENCE_BODIES['not stated'], '2026-06-10');
const demand = (movementId: string, levelId: string) => demandOf(person, findLevel(shippedMovement(movementId)!, levelId)!);

describe('what a number is, from what, and whether it is much', () => {
  test('each says all of it, in sentences', () => {
    for (const [id, { plain, term, what, from, scale }] of Object.entries(TERMS)) {
      for (const text of [what, from, scale].map((each) => sentenceText(each)))
        expect([id, text]).toEqual([id, expect.stringMatching(/[.]$/)]);
      expect([plain, term].join()).not.toMatch(/[.]$/);
    }
  });

  test('the postures that weight on the hand is compared with weigh that much', () => {
    const { judge } = TERMS.handLoad;
    expect(judge(demand('bearing.palm-support', 'all-fours').left.loadPercentBW)).toContain('all fours');
    expect(judge(demand('bearing.palm-support', 'plank').left.loadPercentBW)).toContain('plank');
    expect(judge(demand('bearing.handstand', 'wall').left.loadPercentBW)).toContain('handstand');
  });

  test('a minute of plank comes to what is said of it', () => {
    const { loadN } = demand('bearing.palm-support', 'plank').left;
    const of60 = (loadN * 60) / person.body.massKg;
    expect(kgMinutes(of60 * 60)).toBeGreaterThan(17);
    expect(kgMinutes(of60 * 60)).toBeLessThan(24);
  });

  test('an answer grows with the number: what is little is never called much', () => {
    const judged = (Object.keys(TERMS) as TermId[]).filter((id) => termOf(id).judge);
    for (const id of judged) {
      const answers = Array.from({ length: 300 }, (_, step) => sentenceText(termOf(id).judge!(step / 2)));
      const changes = answers.filter((answer, index) => index > 0 && answer !== answers[index - 1]);
      // Each answer holds over one stretch of values.
      if (!changes.some((answer) => /\d/.test(answer))) expect(new Set(changes).size).toBe(changes.length);
    }
  });
});
