import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../../effort/session-view.js';
import { METHODS } from '../../library/index.js';
import { applyEdits } from '../../model/edits.js';
import { EQUIPMENT } from '../../vocabulary/places.js';
import { ask, type Line, write } from '../checks/sessions.fixture.js';
import { affectedBy, easesOfEach } from '../fixes/on-the-spot.js';
import { stopsOf } from '../safety/may-begin.js';
import { afterIntake, withFelt } from '../screening/after-intake.js';
import { cautionsOfComplaint, withoutSettled } from './complaints.js';

const CONTEXT = { sessionId: 's1', onDay: '2026-06-10', ageYears: 30, sex: 'female' } as const;
const of = (discomfort: number, more: object = {}, context: Partial<Record<keyof typeof CONTEXT, unknown>> = {}) =>
  cautionsOfComplaint({ hand: 'left', place: 'wrist-back', discomfort, ...more }, { ...CONTEXT, ...context } as typeof CONTEXT);

describe('what something that hurt in a session leaves behind', () => {
  test('nothing up to 2; the sore place from 3; a referral from 7, and at any score of a wrist that grows', () => {
    expect(of(2)).toEqual([]);
    expect(of(4)).toEqual([{ caution: 'sore-place', hand: 'left', since: '2026-06-10', sessionId: 's1', score: 4, place: 'wrist-back' }]);
    expect(of(7).map(({ caution }) => caution)).toEqual(['sore-place', 'strong-pain']);
    expect(of(3, {}, { ageYears: 13 }).map(({ caution }) => caution)).toEqual(['sore-place', 'growing-wrist']);
    expect(of(8, { place: 'elsewhere' }).map(({ caution }) => caution)).toEqual(['sore-place', 'strong-pain']);
    expect(of(5, { place: 'fingers' })[0]).toMatchObject({ note: 'left hand, fingers: 5 of 10' });
  });

  test('it stands until the next check-in, or until a mild one is fine the next morning', () => {
    const felt = withFelt([{ caution: 'arthritis' }], of(4));
    expect(felt).toHaveLength(2);
    expect(afterIntake(felt, [])).toEqual([{ caution: 'arthritis' }]);
    expect(withoutSettled(felt, 's1', { left: 1, right: 6 })).toEqual([{ caution: 'arthritis' }]);
    expect(withoutSettled(felt, 's1', { left: 4, right: 0 })).toEqual(felt);
    expect(withoutSettled(withFelt([], of(6)), 's1', { left: 0, right: 0 })).toHaveLength(1);
  });
});

describe('what hurts reaches every later block', () => {
  const LINES: readonly Line[] = [
    ['prepare', 'free.wrist-circles', 'free-fist'],
    ['range', 'rock.palm-fore-aft', 'behind'],
    ['strength', 'strength.palm-lift', 'all-fours'],
    ['strength', 'grip.ball-squeeze', 'soft'],
    ['skill', 'bearing.fist-support', 'all-fours'],
    ['skill', 'bearing.palm-support', 'all-fours'],
  ];
  const viewWith = (discomfort: number) => {
    const felt = of(discomfort);
    const athlete = { cautions: felt, equipment: EQUIPMENT };
    return { felt, view: viewOf(ask(write(LINES), { athlete, method: METHODS['floor-loading'] })) };
  };

  test('by what loads the place, not by the movement alone: the palms, not the circles, the squeeze or the fists', () => {
    const { felt, view } = viewWith(6);
    expect(affectedBy(view, 'b2', felt)).toEqual(['b2', 'b3', 'b6']);
  });

  test('what is proposed for each keeps the limits of the sore place, and is shown one by one', () => {
    const { felt, view } = viewWith(6);
    const each = easesOfEach(view, affectedBy(view, 'b2', felt), 'hurts');
    expect(each.map(({ mayStay }) => mayStay)).toEqual([false, false, false]);
    const edits = each.flatMap(({ eases }) => eases[0]?.edits ?? []);
    expect(stopsOf(viewOf({ ...view, sequence: applyEdits(view.sequence, edits) }))).toEqual([]);
  });

  test('strong pain leaves nothing that loads the hand', () => {
    const { felt, view } = viewWith(8);
    const ids = affectedBy(view, 'b2', felt);
    expect(ids).toEqual(['b2', 'b3', 'b4', 'b5', 'b6']);
    for (const { eases } of easesOfEach(view, ids, 'hurts')) {
      for (const { edits } of eases)
        expect(stopsOf(viewOf({ ...view, sequence: applyEdits(view.sequence, edits) })).flatMap(({ blockIds }) => blockIds)).not.toContain(
          'blockId' in edits[0]! ? edits[0].blockId : '',
        );
    }
  });
});
