import { describe, expect, test } from '@jest/globals';
import { viewOf } from '../effort/session-view.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { describePot, type PotMeasure, potOf, potWeights, potWords, shapesOfPot } from './pot.js';
import type { Phase } from '../vocabulary/phases.js';

type Line = [phase: Phase, movementId: string, levelId: string, dose: string];
const WARM: Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist', '2x4 L,R <>'],
  ['prepare', 'free.bending-waves', 'arms-forward', '2x10'],
];
const REST: Line[] = [['settle', 'settle.resting-breaths', 'seated', '1x8br']];
const press = (sides: string, more = ''): Line => ['strength', 'isometric.flexion', 'medium', `2x8 @50% 4s rest20 ${sides} ${more}`];

function potFor(lines: Line[], measure: PotMeasure = 'effort', budgetMin = 20) {
  const blocks = lines.map(([phase, movementId, levelId, dose], index) => ({
    id: `b${index + 1}`,
    phase,
    movementId,
    levelId,
    dose: parseDose(dose, usualWay(shippedMovement(movementId)!)),
  }));
  const sequence: Sequence = { title: 'T', purpose: '', budgetMin, pacing: USUAL_PACING, blocks };
  const person = referencePerson(REFERENCE_BODIES.male, '2026-06-10');
  const view = viewOf({
    sequence,
    lookup: shippedMovement,
    shelf: LIBRARY,
    person,
    method: METHODS['daily-range'],
    athlete: null,
    past: [],
    now: '2026-06-10T10:00:00.000Z',
  });
  return { view, pot: potOf(view, measure) };
}

describe('the pot', () => {
  test('coils stand on each other from foot to rim, as tall as their blocks', () => {
    const { pot, view } = potFor([...WARM, press('L,R'), ...REST]);
    expect(pot.coils[0]!.startMs).toBe(0);
    pot.coils.slice(1).forEach((coil, index) => expect(coil.startMs).toBe(pot.coils[index]!.endMs));
    expect(pot.coils.at(-1)!.endMs).toBe(view.timeline.durationMs);
    for (const { left, right } of pot.coils) {
      for (const half of [left, right]) {
        expect(half.width).toBeGreaterThan(0);
        expect(half.width).toBeLessThanOrEqual(1);
        for (const glaze of half.glaze) expect(glaze).toBeGreaterThan(0);
      }
    }
  });

  const TIRING: Line = ['strength', 'bearing.palm-support', 'plank', '1x900s'];
  const LATE: Line = ['skill', 'isometric.flexion', 'strong', '1x8 @80% 6s L,R'];
  const AT_ONCE: Line = ['prepare', 'isometric.flexion', 'medium', '2x8 @50% 4s rest20 L,R'];
  test.each<[string, string, number, Line[]]>([
    ['an even session', 'even', 20, [...WARM, press('L,R'), ...REST]],
    ['one hand only', 'lopsided', 20, [...WARM, press('L'), press('L'), ...REST]],
    ['load at the end', 'top-heavy', 20, [...WARM, ...WARM, ...WARM, LATE]],
    ['load at once', 'thin base', 20, [AT_ONCE, ...WARM, ...REST]],
    ['more than there is time', 'overlong', 3, [...WARM, press('L,R'), ...REST]],
    ['a hold that fails', 'cracked', 30, [...WARM, TIRING, ...REST]],
    ['nothing', 'empty', 20, []],
  ])('%s reads as %s', (_what, shape, budget, lines) => {
    const { pot } = potFor(lines, 'effort', budget);
    expect(shapesOfPot(pot)).toContain(shape);
    expect(potWords(pot).join(' ')).not.toMatch(/NaN|undefined/);
    if (shape !== 'even') expect(shapesOfPot(pot)).not.toContain('even');
  });

  test('what was done was held: the same work as a record has no cracks', () => {
    const { view, pot } = potFor([...WARM, TIRING, ...REST]);
    expect(pot.cracks.length).toBeGreaterThan(0);
    expect(shapesOfPot(potOf(view, 'effort', 'done'))).not.toContain('cracked');
  });

  test('left and right swap with the hands', () => {
    const left = potFor([...WARM, press('L')]).pot;
    const right = potFor([...WARM, press('R')]).pot;
    // The norms of left hands are a little lower, so that free motion is a little wider there.
    expect(potWeights(left).left / potWeights(right).right).toBeCloseTo(1, 1);
    expect(potWords(left).join()).toContain('Leans left');
  });

  test('each measure shows its own numbers', () => {
    const lines: Line[] = [...WARM, ['strength', 'bearing.palm-support', 'plank', '1x30s']];
    const at = (measure: PotMeasure) => potFor(lines, measure).pot.coils[2]!.left.value;
    expect(at('load')).toBeGreaterThan(30);
    expect(at('load')).toBeLessThan(40);
    expect(at('effort')).toBeGreaterThan(10);
    expect(at('effort')).toBeLessThan(30);
    expect(at('dose')).toBeLessThan(1);
  });

  test('glaze recedes while a hand works and comes back while it rests', () => {
    const { pot } = potFor([...WARM, press('L,R'), ['settle', 'settle.resting-breaths', 'seated', '1x20br']]);
    const [worked, rested] = [pot.coils[2]!.left.glaze, pot.coils[3]!.left.glaze];
    expect(Math.min(...worked)).toBeLessThan(worked[0]!);
    expect(rested.at(-1)).toBeGreaterThan(rested[0]!);
  });

  test('says the same in words', () => {
    const { pot } = potFor([...WARM, press('L,R'), ...REST]);
    const words = describePot(pot, () => 'Isometric wrist flexion');
    expect(words).toMatch(
      /Effort of 4 blocks over \d+:\d\d of 20:00\. .*Widest at block 3, Isometric wrist flexion: 50 % of maximum\. Capacity left at the lowest: \d+ %\./,
    );
    expect(describePot(potFor([]).pot, () => '')).toContain('No coils yet.');
  });
});
