import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { viewOf } from '../../effort/session-view.js';
import { LIBRARY } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import { personOf } from '../../mechanics/person.js';
import { applyEdits } from '../../model/edits.js';
import { ask, athlete, type Line, write } from '../checks/sessions.fixture.js';
import { stopsOf } from '../safety/may-begin.js';
import { harderFor } from './harder.js';

const { person } = personOf({ sex: 'male', statureCm: 178, massKg: 74, birthDate: '1992-01-01' }, [], '2026-06-10');
const viewFor = (lines: readonly Line[], more: object = {}) =>
  viewOf(ask(write(lines), { person, method: METHODS['grip-and-iron'], ...more }));
const PLANK: Line = ['load', 'bearing.palm-support', 'plank'];
const KNEES: Line = ['load', 'bearing.palm-support', 'all-fours'];

describe('harder on the spot', () => {
  test('is one level further, said with what it changes', () => {
    const found = harderFor(viewFor([['range', 'rock.palm-fore-aft', 'over']]), 'b1', {});
    expect(found).toMatchObject({ ease: { changes: [expect.stringMatching(/→/)], edits: [{ kind: 'change', blockId: 'b1' }] } });
  });
  test('never from a plank into a handstand', () => {
    expect(harderFor(viewFor([PLANK]), 'b1', {})).toEqual({ why: 'none' });
  });
  test('never where something hurts, nor in what loads the same places', () => {
    const view = viewFor([KNEES, ['strength', 'strength.palm-lift', 'all-fours']]);
    expect(harderFor(view, 'b1', { b1: 3 })).toEqual({ why: 'hurts' });
    expect(harderFor(view, 'b1', { b2: 5 })).toEqual({ why: 'hurts' });
    expect(harderFor(view, 'b1', { b1: 2 })).not.toEqual({ why: 'hurts' });
  });
  test('of any movement for anybody, it breaks no rule of safety', () => {
    const cautions = ['tendon-pain', 'arthritis', 'numbness', 'under-18', 'hypermobility'];
    fc.assert(
      fc.property(fc.constantFrom(...LIBRARY), fc.nat(), fc.constantFrom(...cautions), (movement, at, caution) => {
        const level = movement.ladder[at % movement.ladder.length]!;
        const view = viewFor([['load', movement.id, level.id]], { athlete: athlete(caution) });
        const found = harderFor(view, 'b1', {});
        if ('why' in found) return;
        expect(stopsOf(viewOf({ ...view, sequence: applyEdits(view.sequence, found.ease.edits) }))).toEqual([]);
      }),
    );
  });
});
