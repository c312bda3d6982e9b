import { describe, expect, test } from '@jest/globals';
import { evidenceOf, type ReportedSession } from './evidence.js';
import { shippedMovement } from '../library/index.js';
import { atOdds, maximum } from '../mechanics/belief.js';
import { capacityOf, type Person } from '../mechanics/capacity.js';
import { demandOf } from '../mechanics/demand.js';
import { parseDose } from '../model/dose-shorthand.js';
import { findLevel, usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';

const WOMAN: Person = {
  body: { sex: 'female', statureM: 1.65, massKg: 62 },
  ageYears: 30,
  evidence: [],
  today: '2026-11-26',
};

/** A session of one block, each set of which was done to a share, with the exertion that was said of it. */
function sessionOf(movementId: string, levelId: string, dose: string, exertion: number | null, share = 1): ReportedSession {
  const movement = shippedMovement(movementId)!;
  const blocks = [{ id: 'b', phase: 'load' as const, movementId, levelId, dose: parseDose(dose, usualWay(movement)) }];
  const plan: Sequence = { title: '', purpose: '', budgetMin: 20, pacing: USUAL_PACING, blocks };
  const sets = compileTimeline(plan, shippedMovement).stints.map((stint, index) => ({
    id: `s${index}`,
    blockId: 'b',
    set: stint.set,
    side: stint.side,
    direction: stint.direction,
    unit: stint.unit,
    plannedAmount: stint.plannedAmount,
    doneAmount: Math.round(stint.plannedAmount * share),
  }));
  const at = { startedAt: '2026-11-20T09:00:00.000Z', endedAt: '2026-11-20T09:20:00.000Z', onDay: '2026-11-20' };
  return { id: 's', ...at, plan, sets, reports: [{ blockId: 'b', exertion }] };
}
const seen = (...session: Parameters<typeof sessionOf>) => evidenceOf(WOMAN, [sessionOf(...session)], shippedMovement);
const HANG = ['hang.full', 'bar', '1x15s'] as const;
const grip = capacityOf(WOMAN, 'grip', 'left').value;

describe('what sets tell of maxima', () => {
  test('the easier it was said to be, the stronger the hand', () => {
    const values = [9, 7, 5].map((exertion) => seen(...HANG, exertion).find(({ hand }) => hand === 'left')!.value);
    expect([...values].sort((a, b) => a - b)).toEqual(values);
    expect(values[0]).toBeLessThan(grip);
    expect(values[2]).toBeGreaterThan(grip);
    expect(seen(...HANG, 7)[0]).toMatchObject({ kind: 'rated', action: 'grip', onDay: '2026-11-20' });
    expect(seen(...HANG, 7)[0]!.what).toContain('rated 7 of 10');
  });

  test('it tells the plain maximum, whatever the way of holding leaves of it', () => {
    const { efforts } = demandOf(WOMAN, findLevel(shippedMovement('hang.full')!, 'bar')!).left;
    expect(efforts[0]!.factor).toBeGreaterThan(1.2);
    // As hard as it is for somebody of just this grip: said so, nothing moves.
    const percent = efforts[0]!.effortPercent;
    const value = seen(...HANG, Math.round(percent / 10) + 1)[0]!.value;
    expect(value / grip).toBeGreaterThan(0.8);
    expect(value / grip).toBeLessThan(1.25);
  });

  test('ended early near the most is a hold to failure; with nothing said it was broken off; all done with nothing said tells nothing', () => {
    expect(seen(...HANG, 10, 0.6)[0]).toMatchObject({ kind: 'to failure' });
    expect(seen(...HANG, null, 0.6)[0]).toMatchObject({ kind: 'broken off' });
    expect(seen(...HANG, null)).toEqual([]);
    expect(seen(...HANG, 8, 0)).toEqual([]);
  });

  test('a share of the own maximum, and work that is light, tell nothing of it', () => {
    expect(seen('isometric.flexion', 'strong', '2x5 @80% 5s rest60 L,R', 8)).toEqual([]);
    expect(seen('bearing.palm-support', 'plank', '1x20s', 6)).toEqual([]);
    expect(seen('stretch.flexors', 'open', '1x20s L,R', 6)).toEqual([]);
  });

  test('a rating of nothing at a true maximum moves a tested hand little, and is named as not fitting', () => {
    const tested = { ...WOMAN, evidence: [maximum('grip', 'left', grip * 0.78, '2026-11-21')] };
    const sets = evidenceOf(tested, [sessionOf(...HANG, 0)], shippedMovement);
    const both = { ...tested, evidence: [...tested.evidence, ...sets] };
    const { value, evidence } = capacityOf(both, 'grip', 'left');
    expect(evidence).toHaveLength(2);
    expect(value / capacityOf(tested, 'grip', 'left').value).toBeLessThan(1.25);
    expect(atOdds(evidence, WOMAN.today)).toHaveLength(2);
  });

  test('a hold of half an hour is believed no further than the model goes', () => {
    const list = seen('hang.feet-supported', 'half', '1x1800s', 10, 0.5);
    for (const { value } of list) expect(value).toBeLessThan(grip * 6);
  });
});
