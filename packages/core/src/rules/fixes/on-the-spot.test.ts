import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../../effort/session-view.js';
import { personOf } from '../../mechanics/person.js';
import { METHODS } from '../../library/methods.js';
import { applyEdits } from '../../model/edits.js';
import { findingsOf } from '../checks/index.js';
import { ask, athlete, type Line, write } from '../checks/sessions.fixture.js';
import { easesFor, kindOf } from './on-the-spot.js';

const { person } = personOf({ sex: 'female', statureCm: 168, massKg: 62, birthDate: '1990-01-01' }, [], '2026-06-10');
const LINES: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['prepare', 'free.open-close', 'fast'],
  ['range', 'stretch.flexors', 'open'],
  ['range', 'rock.palm-fore-aft', 'over'],
  ['load', 'bearing.palm-support', 'plank', '2x45s rest15'],
  ['strength', 'strength.palm-lift', 'plank'],
  ['strength', 'isometric.end-extension', 'strong', '1x5 @40% 6s tempo1-2 L,R'],
  ['strength', 'grip.ball-squeeze', 'soft'],
];
const THINGS = ['mat', 'chair', 'table', 'wall', 'handles', 'soft ball'];
const view = (caution = 'nothing', things: readonly string[] = THINGS) => {
  const of = athlete(caution, things);
  const restricted = { ...of, cautions: caution === 'nothing' ? [] : of.cautions };
  return viewOf(
    ask(write(LINES, { methodId: 'woven-into-practice' }), {
      person,
      method: METHODS['woven-into-practice'],
      athlete: restricted,
    }),
  );
};

describe('the rest of its kind', () => {
  test('is what asks the same of the hand: the palms under load, lifted or flat, and nothing else', () => {
    expect(kindOf(view(), 'b4')).toEqual(['b4', 'b5', 'b6']);
  });
  test('of free motion is what moves the same joints: circles do not make finger opening a complaint', () => {
    expect(kindOf(view(), 'b1')).toEqual(['b1']);
  });
});

describe('what can be done on the spot', () => {
  test('where it is too hard, first an easier level with no more of it than before', () => {
    const [first, , ...rest] = easesFor(view(), ['b1'], 'hard');
    expect(first!.changes).toEqual(['Wrist circles: arm forward, fist → forearm on the thigh, loose fist']);
    expect(rest.at(-1)!.changes).toEqual(['Remove wrist circles']);
  });

  test('where it hurts, first what spares the bent wrist: each block of the kind is named with what becomes of it', () => {
    const [eased, out] = easesFor(view(), ['b4', 'b5', 'b6'], 'hurts');
    expect(eased!.changes).toHaveLength(3);
    expect(eased!.changes[1]).toMatch(/^Palm support → fist support, plank/);
    expect(out!.changes).toEqual(['Remove palm rocks, fore and aft', 'Remove palm support', 'Remove palm lift']);
  });

  test('handles and tables are proposed only where there are any', () => {
    const words = (things: readonly string[]) =>
      easesFor(view('nothing', things), ['b4', 'b5', 'b6'], 'hurts').flatMap(({ changes }) => changes);
    expect(words([]).join()).not.toMatch(/table|handles/);
  });

  test('at the lowest level there is less of it, or another movement, or nothing of it', () => {
    const changes = easesFor(view(), ['b8'], 'hard').map((ease) => ease.changes.join());
    expect(changes.length).toBeGreaterThan(1);
    expect(changes.at(-1)).toBe('Remove ball squeeze');
  });

  test('no answer makes of a block too much for somebody: with tendon pain no stronger press than before', () => {
    const before = view('tendon-pain');
    for (const { block } of before.blocks) {
      for (const { edits } of easesFor(before, [block.id], 'hurts')) {
        const after = viewOf({ ...before, sequence: applyEdits(before.sequence, edits) });
        const grave = (of: typeof after) =>
          findingsOf(of).filter(({ check, blockIds }) => check.severity === 'stop' && blockIds.includes(block.id)).length;
        expect(grave(after)).toBeLessThanOrEqual(grave(before));
        const effort = after.sequence.blocks.find(({ id }) => id === block.id)?.dose.effortPercent ?? 0;
        expect(effort).toBeLessThanOrEqual(Math.max(block.dose.effortPercent ?? 0, 40));
      }
    }
  });
});
