import { describe, expect, test } from '@jest/globals';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { maximum } from '../../mechanics/belief.js';
import type { Person } from '../../mechanics/capacity.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { type Climb, CLIMBS } from '../../model/movement.js';
import { climbedBy, flatSteps, levelDemands, workSeconds } from './ladder.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 30, evidence: [], today: '2026-11-24' };

describe('what a ladder climbs', () => {
  test('is read from the demand by what the ladder says it climbs', () => {
    const support = shippedMovement('bearing.palm-support')!;
    const levelEntry = levelDemands(MAN, support).find(({ level }) => level.id === 'all-fours');
    const as = (climbs: Climb) => climbedBy({ ...support, climbs }, levelEntry!.level, levelEntry!.demand);
    expect(as('hand load')).toBe(levelEntry!.demand.left.loadPercentBW);
    expect(as('effort')).toBe(Math.max(levelEntry!.demand.left.effortPercent, levelEntry!.demand.right.effortPercent));
    expect(as('wrist angle')).toBeCloseTo(78.463, 3);
    expect(as('stretch')).toBeGreaterThan(1);
    expect([as('speed'), as('pressure')]).toEqual([0, 0]);
    expect(as('time')).toBe(40);
  });

  test('seconds of work are those of the timeline, for one hand', () => {
    const press = shippedMovement('isometric.flexion')!;
    // 6 repetitions of 1 s out, 5 s held, 1 s back, left and right in turn.
    expect(workSeconds(press, press.ladder[0])).toBe(42);
    const circles = shippedMovement('free.wrist-circles')!;
    // 5 circles of 6 s in each of two directions.
    expect(workSeconds(circles, circles.ladder[0])).toBe(60);
  });

  test('two levels that nobody could tell apart are a flat step, and a stronger person changes no order', () => {
    const hang = shippedMovement('hang.feet-supported')!;
    const [first] = hang.ladder;
    const twin = { ...first, id: 'twin' };
    expect(flatSteps(MAN, { ...hang, ladder: [first, twin] })).toHaveLength(1);
    const strong = {
      ...MAN,
      evidence: [maximum('grip', 'left', 800, '2026-11-01')],
    };
    for (const movement of LIBRARY) expect([movement.id, flatSteps(strong, movement)]).toEqual([movement.id, []]);
  });

  test('every way to climb is used by some ladder, or known to be for a studio’s own', () => {
    const used = new Set(LIBRARY.map(({ climbs }) => climbs));
    const free = (Object.keys(CLIMBS) as Climb[]).filter((climb) => !used.has(climb));
    expect(free).toEqual(['speed']);
  });
});
