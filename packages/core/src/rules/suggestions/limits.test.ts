import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../../effort/session-view.js';
import { LIBRARY, METHODS, shippedMovement } from '../../library/index.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { applyEdits } from '../../model/edits.js';
import { planOf, SEQUENCE_ID, suggestionsFor, TODAY } from '../../programme/suggestions.fixture.js';
import { addDays } from '../../vocabulary/days.js';
import { EQUIPMENT } from '../../vocabulary/places.js';
import { sentenceText } from '../../vocabulary/sentence.js';
import { person } from '../checks/sessions.fixture.js';
import { stopsOf } from '../safety/may-begin.js';

const SORE: RecordedCaution = { caution: 'sore-place', hand: 'left', place: 'wrist-back', symptom: 'ache', score: 6 };
const assigned = [{ sequenceId: SEQUENCE_ID, sequence: planOf(), day: addDays(TODAY, 1) }];
const limits = (cautions: readonly RecordedCaution[], more = {}) =>
  suggestionsFor([], { assigned, athlete: { cautions, equipment: EQUIPMENT }, ...more }).find(({ key }) => key === 'limits');

describe('a planned sequence that a restriction stops', () => {
  test('changes to what may be led, each change named, never led before or not', () => {
    const suggestion = limits([SORE])!;
    expect(sentenceText(suggestion.why)).toMatch(/can’t start: 1 block goes past a restriction\. Change or remove it\.$/);
    expect(suggestion.hands).toEqual(['left']);
    for (const { changes, effect } of suggestion.options) {
      expect(changes!.map((change) => sentenceText(change)).join()).toMatch(/palm support/i);
      if (effect.kind !== 'blocks') throw new Error('changes no block');
      const after = viewOf({
        ...{ sequence: applyEdits(planOf(), effect.plans[0]!.edits), lookup: shippedMovement, shelf: LIBRARY, person },
        ...{ method: METHODS['floor-loading'], athlete: { cautions: [SORE], equipment: EQUIPMENT }, past: [] },
        now: `${TODAY}T10:00:00.000Z`,
      });
      expect(stopsOf(after)).toEqual([]);
    }
  });

  test('is left alone where nothing stops it, and where nobody planned it', () => {
    expect(limits([])).toBeUndefined();
    expect(limits([{ ...SORE, hand: 'right', score: 2 }])).toBeUndefined();
    expect(limits([SORE], { assigned: [] })).toBeUndefined();
  });

  test('is changed once where it is assigned twice', () => {
    const twice = [...assigned, { ...assigned[0]!, day: addDays(TODAY, 3) }];
    const { effect } = limits([SORE], { assigned: twice })!.options[0];
    expect(effect.kind === 'blocks' && effect.plans.length).toBe(1);
  });

  test('is asked about again once more is limited', () => {
    const before = limits([SORE])!.evidenceKey;
    expect(limits([SORE])!.evidenceKey).toBe(before);
    expect(limits([SORE, { ...SORE, hand: 'right' }])?.evidenceKey).not.toBe(before);
    expect(before.length).toBeLessThan(20);
  });
});
