import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../../src/effort/session-view.js';
import { METHODS, shippedMovement } from '../../src/library/index.js';
import type { RecordedCaution } from '../../src/model/athlete.js';
import { applyEdits } from '../../src/model/edits.js';
import { ask, type Line, write } from '../../src/rules/checks/sessions.fixture.js';
import { easesFor } from '../../src/rules/fixes/on-the-spot.js';
import { gate, type GateSubject } from '../../src/rules/gate/gate.js';
import { stopsOf } from '../../src/rules/safety/may-begin.js';
import { EQUIPMENT, type Place } from '../../src/vocabulary/places.js';
import { sentenceText } from '../../src/vocabulary/sentence.js';

const cleared = (within: RecordedCaution['within']): RecordedCaution => ({
  caution: 'numbness',
  clearedOn: '2026-06-01',
  clearedBy: 'A. Example',
  within,
});
const viewWith = (caution: RecordedCaution, line: Line) =>
  viewOf(ask(write([line]), { athlete: { cautions: [caution], equipment: EQUIPMENT }, method: METHODS['floor-loading'] }));

describe('what was once proposed against a rule', () => {
  test.each<[string, RecordedCaution, Line]>([
    ['arthritis, a reverse curl', { caution: 'arthritis' }, ['strength', 'weight.reverse-curl', 'medium']],
    ['tendon pain, a palm lift', { caution: 'tendon-pain' }, ['strength', 'strength.palm-lift', 'plank']],
    ['cleared up to 20 %, a handstand at the wall', cleared({ effortPercent: 20 }), ['skill', 'bearing.palm-support', 'wall']],
    ['no body weight, rocks on all fours', cleared({ noBodyWeight: true }), ['range', 'rock.palm-fore-aft', 'behind']],
    ['under 18, a weighted hang', { caution: 'under-18' }, ['strength', 'hang.full', 'added']],
    ['cleared up to 60 %, fingertips', cleared({ effortPercent: 60 }), ['skill', 'bearing.fingertip-support', 'knees-back']],
  ])('%s: a stop, and nothing easier is one', (_what, caution, line) => {
    const view = viewWith(caution, line);
    expect(stopsOf(view).length).toBeGreaterThan(0);
    for (const reason of ['hurts', 'hard'] as const) {
      const eases = easesFor(view, ['b1'], reason);
      expect(eases.length).toBeGreaterThan(0);
      for (const { edits } of eases) {
        expect([edits, stopsOf(viewOf({ ...view, sequence: applyEdits(view.sequence, edits) }))]).toEqual([edits, []]);
      }
    }
  });

  test('with arthritis a weight is only left out, and a minor hangs with no added weight and on both hands', () => {
    const [only, ...others] = easesFor(viewWith({ caution: 'arthritis' }, ['strength', 'weight.reverse-curl', 'light']), ['b1'], 'hurts');
    expect([only!.edits.map(({ kind }) => kind), others]).toEqual([['remove'], []]);
    const hang = viewWith({ caution: 'under-18' }, ['strength', 'hang.one-hand', 'light']);
    expect(
      stopsOf(hang)
        .map(({ text }) => sentenceText(text))
        .join(),
    ).toContain('it hangs on one hand');
  });
});

describe('the gate says why', () => {
  const { person } = viewWith({ caution: 'arthritis' }, ['strength', 'weight.reverse-curl', 'light']);
  const asks = (movementId: string, levelId: string, more: Partial<GateSubject> & { sides?: 'left' | 'right' } = {}) => {
    const movement = shippedMovement(movementId)!;
    const level = movement.ladder.find(({ id }) => id === levelId)!;
    const { sides, ...subject } = more;
    const who: GateSubject = { person, athlete: { cautions: [], equipment: EQUIPMENT }, method: METHODS['floor-loading'], ...subject };
    const answer = gate(who, movement, level, { ...level.dose, ...(sides && { sides }) });
    return answer.verdict === 'not' ? answer.refusals.map(({ rule }) => rule) : answer.verdict;
  };
  const who = (...cautions: RecordedCaution[]) => ({ athlete: { cautions, equipment: EQUIPMENT } });

  test('allowed, allowed within limits that it keeps, or not, with the rule', () => {
    expect(asks('bearing.palm-support', 'all-fours')).toBe('allowed');
    expect(asks('bearing.palm-support', 'all-fours', who({ caution: 'tendon-pain' }))).toBe('allowed within');
    expect(asks('strength.palm-lift', 'plank', who({ caution: 'tendon-pain' }))).toContain('caution-limit');
    expect(asks('bearing.palm-support', 'all-fours', who({ caution: 'numbness', hand: 'left' }))).toContain('not-cleared');
    expect(asks('weight.reverse-curl', 'light', who({ caution: 'inflammatory-arthritis' }))).toContain('leave-out');
    expect(asks('weight.reverse-curl', 'light', { athlete: { cautions: [], equipment: [] } })).toContain('equipment-missing');
    expect(asks('bearing.palm-support', 'all-fours', { notAt: ['floor' satisfies Place] })).toContain('place-missing');
  });

  test('a hand that is planted beside the working one is loaded too; one that only waits is not', () => {
    const left = who({ caution: 'numbness', hand: 'left' });
    expect(asks('strength.one-palm-lift', 'all-fours', { ...left, sides: 'right' })).toContain('not-cleared');
    expect(asks('grip.ball-squeeze', 'soft', { ...left, sides: 'right' })).toBe('allowed');
  });
});
