import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { parseDose, printDose } from '../model/dose-shorthand.js';
import { type Level, usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { asDosed, foundKilograms, withFoundLoad, withFoundLoads } from './as-dosed.js';
import { maximum } from './belief.js';
import type { Person } from './capacity.js';
import { demandOf } from './demand.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 30, evidence: [], today: '2026-06-01' };
/** The left wrist has half of what a man has. */
const LOPSIDED: Person = { ...MAN, evidence: [maximum('wrist flexion', 'left', 5, '2026-05-20')] };
const levelOf = (id: string, levelId: string) => {
  const movement = shippedMovement(id)!;
  return { movement, level: movement.ladder.find((level) => level.id === levelId)! };
};
const curl = levelOf('weight.curl', 'light');
const dosed = (person: Person, { level, movement }: typeof curl, text: string): Level =>
  asDosed(person, movement, level, parseDose(text, usualWay(movement)));
const efforts = (person: Person, level: Level) => {
  const { left, right } = demandOf(person, level);
  return [left.effortPercent, right.effortPercent];
};

describe('a weight that an effort finds', () => {
  test.each([30, 50, 70])('asks no more than %d %% of either hand, and a step more would', (percent) => {
    const kg = foundKilograms(MAN, curl.movement, curl.level, { effortPercent: percent })!;
    const at = (massKg: number) => Math.max(...efforts(MAN, dosed(MAN, curl, `2x10 ${massKg}kg L,R`)));
    expect(at(kg)).toBeLessThanOrEqual(percent);
    expect(at(kg + 0.25)).toBeGreaterThan(percent);
  });

  test('minds the weaker hand, and grows with the effort', () => {
    const found = (person: Person, percent: number) => foundKilograms(person, curl.movement, curl.level, { effortPercent: percent })!;
    expect(found(LOPSIDED, 50)).toBeLessThan(found(MAN, 50));
    expect(found(MAN, 60)).toBeGreaterThan(found(MAN, 40));
  });

  test('is found of nothing that has no weight, and none without an effort', () => {
    expect(foundKilograms(MAN, curl.movement, levelOf('isometric.flexion', 'medium').level, { effortPercent: 50 })).toBeNull();
    expect(foundKilograms(MAN, curl.movement, curl.level, {})).toBeNull();
  });

  test('takes the place of the effort when a session begins; where the level changes by rounds the effort stays', () => {
    const dose = parseDose('2x10 @50% L,R');
    const kept = withFoundLoad(MAN, curl.movement, curl.level, dose);
    expect(printDose(kept)).toBe(`2x10 ${foundKilograms(MAN, curl.movement, curl.level, dose)}kg L,R`);
    const inRange = withFoundLoad(MAN, curl.movement, curl.level, parseDose('2x10 @50-60% sore@30% L,R'));
    expect(printDose(inRange)).toBe(printDose(kept));
    const block = (id: string) => ({
      id,
      phase: 'strength' as const,
      movementId: 'weight.curl',
      levelId: 'light',
      dose,
    });
    const document: Sequence = {
      ...{ title: 'Two', purpose: '', budgetMin: 10, pacing: USUAL_PACING },
      blocks: [block('a'), block('b')],
      rounds: [{ id: 'r', blockIds: ['b'], times: 2, restS: 10, change: { levels: 1 } }],
    };
    const [first, second] = withFoundLoads(MAN, document, shippedMovement).blocks;
    expect([first!.dose.effortPercent, first!.dose.load]).toEqual([undefined, kept.load]);
    expect(second!.dose).toBe(dose);
  });
});

describe('what a dose changes of a level', () => {
  test('a press is as hard as it says', () => {
    const press = levelOf('isometric.flexion', 'medium');
    expect(efforts(MAN, dosed(MAN, press, '1x6 @35% 5s L,R'))).toEqual([35, 35]);
  });

  test('a fist kept at an effort while the wrist circles asks for that much of the grip', () => {
    const circles = levelOf('free.clenched-circles', 'third');
    const plain = Math.max(...efforts(MAN, circles.level));
    expect(plain).toBeLessThan(30);
    expect(Math.max(...efforts(MAN, dosed(MAN, circles, '1x3 @45% tempo4-4 L,R <>')))).toBeGreaterThanOrEqual(45);
  });

  test('a stretch is pushed against', () => {
    const { load } = dosed(MAN, levelOf('stretch.flexors', 'open'), '1x20s @30% L,R');
    expect(load).toMatchObject({ kind: 'stretch', pushPercent: 30 });
  });

  test('free motion twice as fast is twice as often', () => {
    const circles = levelOf('free.wrist-circles', 'free-fist');
    const often = (text: string) => (dosed(MAN, circles, text).load as { perMinute: number }).perMinute;
    expect(often('1x4 tempo2-2 L,R <>')).toBeCloseTo(2 * often('1x4 tempo4-4 L,R <>'), 6);
  });

  test('a wedge takes its slope off the wrist, and nothing of the load', () => {
    const support = levelOf('bearing.palm-support', 'all-fours');
    const [flat, wedged] = ['1x20s', '1x20s wedge20'].map((text) => demandOf(MAN, dosed(MAN, support, text)).left);
    expect(flat!.angle!.deg - wedged!.angle!.deg).toBeCloseTo(20, 0);
    expect(Math.abs(flat!.loadPercentBW - wedged!.loadPercentBW)).toBeLessThan(1);
  });
});
