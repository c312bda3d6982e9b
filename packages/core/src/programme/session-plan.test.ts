import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { parseDose, printSets } from '../model/dose-shorthand.js';

import type { RecordedCaution } from '../model/athlete.js';
import type { Programme } from '../model/programme.js';
import { usualWay } from '../model/movement.js';
import { write } from '../rules/checks/sessions.fixture.js';
import { on, programmeOf, SEQUENCES } from './programme.fixture.js';
import { inAmount } from '../rules/doses/in-amount.js';
import { METHODS } from '../library/methods.js';
import { riseSteps, sequencesOn } from './session-plan.js';

const way = usualWay(shippedMovement('strength.palm-lift')!);
const scaled = (text: string, percent: number) => printSets(inAmount(parseDose(text, way), percent));

describe('a dose of another amount', () => {
  test.each([
    ['3x10', 60, '2x9'],
    ['2x30s', 50, '1x30s'],
    ['1x20s', 50, '1x10s'],
    ['3x10', 100, '3x10'],
    ['1x1', 20, '1x1'],
    ['4x5', 125, '4x6'],
    ['2x10', 60, '2x6'],
    ['2x10', 50, '1x10'],
    ['1x6', 80, '1x5'],
  ])('%s at %i %% is %s', (text, percent, is) => {
    expect(scaled(text, percent)).toBe(is);
  });

  test('less is never longer sets and never less effort', () => {
    const dose = parseDose('3x8 @80%', way);
    const less = inAmount(dose, 60);
    expect(less.effortPercent).toBe(80);
    expect(less.work).toMatchObject({ kind: 'repetitions', count: expect.any(Number) });
    expect((less.work as { count: number }).count).toBeLessThanOrEqual(8);
  });
});

describe('a session of a programme', () => {
  const programme = programmeOf(on('0/1 whole', '1/1 whole', '2/1 whole'), {
    weeks: [
      { kind: 'build', amountPercent: 100 },
      { kind: 'easier', amountPercent: 60 },
      { kind: 'build', amountPercent: 100 },
    ],
  });
  const whole = SEQUENCES.get('whole')!;
  const at = (of: Programme, index: number) =>
    sequencesOn(of, shippedMovement, { cautions: [], method: METHODS['floor-loading'] })(of.sessions[index]!, whole);

  test('is its plan itself in a usual week, and in an easier one has less of what loads and all of what moves', () => {
    expect(at(programme, 0)).toBe(whole);
    const easier = at(programme, 1);
    expect(easier.blocks.filter((block, index) => block !== whole.blocks[index]).map(({ phase }) => phase)).toEqual(
      expect.arrayContaining(['strength']),
    );
    for (const [index, block] of easier.blocks.entries()) {
      if (block.phase === 'prepare' || block.phase === 'range' || block.phase === 'settle') expect(block).toBe(whole.blocks[index]);
    }
    // The same blocks are the same objects: what is known of them stays known.
    expect(at(programme, 1).blocks[8]).toBe(easier.blocks[8]);
  });

  test('grows by itself from session to session, up to what is usual', () => {
    const daily = programmeOf(on('0/1 easy', '1/1 easy', '2/1 easy', '3/1 easy'), {
      plans: [{ id: 'easy', sequenceId: '00000000-0000-4000-8000-000000000002', rise: { steps: 2, each: 'session' } }],
    });
    expect(daily.sessions.map(riseSteps(daily, METHODS['floor-loading']))).toEqual([0, 2, 4, 6]);
    const circles = write([['prepare', 'free.wrist-circles', 'free-fist', '1x8']]);
    const counts = daily.sessions.map(
      (session) =>
        sequencesOn(daily, shippedMovement, { cautions: [], method: METHODS['floor-loading'] })(session, circles).blocks[0]!.dose.work,
    );
    expect(counts).toEqual([8, 10, 12, 14].map((count) => ({ kind: 'repetitions', count })));
    const near = write([['prepare', 'free.wrist-circles', 'free-fist', '1x19']]);
    expect(
      sequencesOn(daily, shippedMovement, { cautions: [], method: METHODS['floor-loading'] })(daily.sessions[3]!, near).blocks[0]!.dose
        .work,
    ).toMatchObject({
      count: 20,
    });
  });

  test('grows no sooner than the method lets anything grow, however often it is led', () => {
    const often = on('0/1 easy', '0/3 easy', '0/5 easy', '1/1 easy', '1/3 easy', '3/1 easy');
    const grown = (each: 'session' | 'week', daysPerStep: number) => {
      const plans = [{ id: 'easy', sequenceId: '00000000-0000-4000-8000-000000000002', rise: { steps: 1, each } }];
      const programme = programmeOf(often, { plans });
      return programme.sessions.map(riseSteps(programme, { daysPerStep }));
    };
    expect(grown('session', 6)).toEqual([0, 0, 0, 1, 1, 2]);
    expect(grown('session', 0)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(grown('week', 6)).toEqual([0, 0, 0, 1, 1, 2]);
    expect(grown('week', 10)).toEqual([0, 0, 0, 0, 0, 1]);
  });

  test('does not grow with a hand that hurts or is not cleared: it stays where it was when that began', () => {
    const daily = programmeOf(on('0/1 easy', '1/1 easy', '2/1 easy', '3/1 easy'), {
      plans: [{ id: 'easy', sequenceId: '00000000-0000-4000-8000-000000000002', rise: { steps: 2, each: 'session' } }],
    });
    const circles = write([['prepare', 'free.wrist-circles', 'free-fist', '1x8 L']]);
    const countsWith = (...cautions: RecordedCaution[]) =>
      daily.sessions.map(
        (session) =>
          sequencesOn(daily, shippedMovement, { cautions, method: METHODS['floor-loading'] })(session, circles).blocks[0]!.dose.work,
      );
    const sore = { caution: 'sore-place', place: 'wrist-back', score: 4, since: daily.sessions[2]!.day } as const;
    expect(countsWith({ ...sore, hand: 'left' })).toMatchObject([8, 10, 10, 10].map((count) => ({ count })));
    expect(countsWith({ caution: 'numbness', hand: 'left' })).toMatchObject([8, 8, 8, 8].map((count) => ({ count })));
    // What is felt a little, and the other hand, hold nothing.
    const grown = [8, 10, 12, 14].map((count) => ({ count }));
    expect(countsWith({ ...sore, hand: 'left', score: 2 })).toMatchObject(grown);
    expect(countsWith({ ...sore, hand: 'right' })).toMatchObject(grown);
  });

  test('is what accepted suggestions made of its plan, from their day on', () => {
    const change = {
      id: 'c1',
      fromDay: programme.sessions[1]!.day,
      planId: 'whole',
      edits: [{ kind: 'remove' as const, blockId: 'b13' }],
      reason: 'The palm hurts.',
    };
    const changed = { ...programme, changes: [change] };
    expect(at(changed, 0).blocks).toHaveLength(whole.blocks.length);
    expect(at(changed, 1).blocks.map(({ id }) => id)).not.toContain('b13');
    expect(at(changed, 2).blocks).toHaveLength(whole.blocks.length - 1);
  });
});
