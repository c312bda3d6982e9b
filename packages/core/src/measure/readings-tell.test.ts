import { describe, expect, test } from '@jest/globals';
import { heldAndTested } from './readings-tell.js';
import { ratesOf } from '../effort/rates.js';
import { shippedMovement } from '../library/index.js';
import { maximum } from '../mechanics/belief.js';
import { capacityOf, type Person } from '../mechanics/capacity.js';
import { demandOf } from '../mechanics/demand.js';
import { findLevel } from '../model/movement.js';
import type { Reading } from '../model/reading.js';

const MAN: Person = { body: { sex: 'male', statureM: 1.78, massKg: 78 }, ageYears: 32, evidence: [], today: '2026-11-26' };
const on = (kind: Reading['kind'], of: string, value: number, hand: Reading['hand'] = 'left'): Reading => ({
  ...{ kind, of, value, hand },
  onDay: '2026-11-20',
});
const testsFor = (...readings: Reading[]) => heldAndTested(MAN, readings, shippedMovement);
const gripAfter = (...readings: Reading[]) => capacityOf({ ...MAN, evidence: testsFor(...readings) }, 'grip', 'left');
const plain = capacityOf(MAN, 'grip', 'left');

describe('what holds, repetitions and all-out tests tell of maxima', () => {
  test('the longer a hang, the stronger the grip; in words, of its hand, and as a hold to failure', () => {
    const [short, long] = [testsFor(on('hold', 'hang', 20)), testsFor(on('hold', 'hang', 90))];
    expect(long[0]!.value).toBeGreaterThan(short[0]!.value);
    expect(short).toMatchObject([{ kind: 'to failure', action: 'grip', hand: 'left', what: 'Bar hang, held 20 s to the end' }]);
    expect(gripAfter(on('hold', 'hang', 90)).logSd).toBeLessThan(plain.logSd);
  });

  test('whoever hangs for as long as the endurance law gives a grip like this, has a grip like this', () => {
    const { effortPercent } = demandOf(MAN, findLevel(shippedMovement('hang.full')!, 'bar')!).left.efforts[0]!;
    const { enduranceAS, enduranceB } = ratesOf('finger flexors');
    const lawS = enduranceAS * (effortPercent / 100) ** enduranceB;
    const value = testsFor(on('hold', 'hang', lawS))[0]!.value;
    expect(value / plain.value).toBeGreaterThan(0.85);
    expect(value / plain.value).toBeLessThan(1.15);
  });

  test('an all-out test speaks for a maximum of two and a half times what was kept up', () => {
    expect(testsFor(on('critical force', 'grip', 160))).toMatchObject([{ action: 'grip', value: 400 }]);
    expect(gripAfter(on('critical force', 'grip', 160)).source).toBe('from sets');
  });

  test('a tested maximum outweighs what a hold tells', () => {
    const hold = testsFor(on('hold', 'hang', 20));
    const tested = [maximum('grip', 'left', plain.value, '2026-11-20')];
    const off = (evidence: Person['evidence']) => Math.abs(Math.log(capacityOf({ ...MAN, evidence }, 'grip', 'left').value / plain.value));
    expect(off([...tested, ...hold])).toBeLessThan(off(hold) / 2);
  });

  test('what was held four months ago is left; what was measured after a session’s work, too', () => {
    expect(testsFor({ ...on('hold', 'hang', 60), onDay: '2026-06-01' })).toEqual([]);
    const warm = { sessionId: '0197a1b2-0000-7000-8000-000000000000', moment: 'after' } as const;
    expect(testsFor({ ...on('hold', 'hang', 60), ...warm })).toEqual([]);
  });

  test('palm lifts to the end tell of the wrist; what is limited elsewhere tells nothing', () => {
    expect(testsFor(on('repetitions', 'palm lift', 8))[0]).toMatchObject({ action: 'wrist flexion', kind: 'to failure' });
    // A plank on the palms ends with trunk and shoulders long before the wrists.
    for (const entry of testsFor(on('hold', 'plank on the palms', 60))) expect(entry.action).not.toBe('wrist flexion');
    expect(testsFor(on('repetitions', 'palm lift', 0), on('active range', 'wrist flexion', 70))).toEqual([]);
  });
});
