import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { atOdds, beliefOf, type Evidence, EVIDENCE_KINDS, intervalOf, maximum, normalShare, updated } from './belief.js';

const TODAY = '2026-11-26';
const PRIOR = beliefOf([Math.log(300), Math.log(300)], 0.18, 0.08);
const seen = (value: number, change: Partial<Evidence> = {}): Evidence => ({
  ...maximum('grip', 'left', value, '2026-11-20'),
  ...change,
});
const sdOf = ({ cov }: typeof PRIOR) => Math.sqrt(cov[0][0]);

describe('a belief about a maximum', () => {
  test('without evidence it is the norm', () => {
    expect(updated(PRIOR, [], TODAY)).toEqual(PRIOR);
  });

  test('one observation moves it by their precisions, as the closed form of one normal says', () => {
    const { mean, cov } = updated(PRIOR, [seen(420, { onDay: TODAY })], TODAY);
    const [prior, error] = [0.18 ** 2 + 0.08 ** 2, 0.07 ** 2];
    expect(cov[0][0]).toBeCloseTo(1 / (1 / prior + 1 / error), 12);
    expect(mean[0]).toBeCloseTo((Math.log(300) / prior + Math.log(420) / error) / (1 / prior + 1 / error), 12);
  });

  test('the order of what was seen does not matter, and more of it never widens it', () => {
    const some = fc.record({
      kind: fc.constantFrom(...EVIDENCE_KINDS),
      hand: fc.constantFrom('left' as const, 'right' as const),
      value: fc.double({ min: 100, max: 900, noNaN: true }),
      onDay: fc.constantFrom('2024-02-01', '2026-01-10', '2026-11-20'),
    });
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 8 }), (list) => {
        const evidence = list.map((change) => seen(change.value, change));
        const [there, back] = [updated(PRIOR, evidence, TODAY), updated(PRIOR, evidence.toReversed(), TODAY)];
        for (const hand of [0, 1] as const) {
          expect(there.mean[hand]).toBeCloseTo(back.mean[hand], 10);
          expect(there.cov[hand][hand]).toBeGreaterThan(0);
          expect(there.cov[hand][hand]).toBeLessThanOrEqual(PRIOR.cov[hand][hand] + 1e-12);
        }
      }),
    );
  });

  test('one hand’s test moves the other by what they share, and narrows it less', () => {
    const { mean, cov } = updated(PRIOR, [seen(420)], TODAY);
    expect(mean[1]).toBeGreaterThan(Math.log(300));
    expect(mean[1]).toBeLessThan(mean[0]);
    expect(cov[1][1]).toBeGreaterThan(cov[0][0]);
    expect(cov[1][1]).toBeLessThan(PRIOR.cov[1][1]);
  });

  test('a test says more than a hold to failure, that more than a rating, and all of them less as they age', () => {
    const sds = (['maximum', 'to failure', 'rated', 'broken off'] as const).map((kind) =>
      sdOf(updated(PRIOR, [seen(420, { kind })], TODAY)),
    );
    expect([...sds].sort((a, b) => a - b)).toEqual(sds);
    const [fresh, old] = ['2026-11-20', '2024-11-20'].map((onDay) => sdOf(updated(PRIOR, [seen(420, { onDay })], TODAY)));
    expect(old).toBeGreaterThan(fresh! * 1.5);
  });

  test('a thousand ratings of one person never say more than the person’s own way of rating', () => {
    const many = Array.from({ length: 1000 }, () => seen(420, { kind: 'rated', onDay: TODAY }));
    expect(sdOf(updated(PRIOR, many, TODAY))).toBeGreaterThan(0.11);
  });

  test('what does not fit is named, and stays in the sum: a maximum below what was lifted the day before', () => {
    const tested = seen(300, { onDay: '2026-11-21' });
    const lifted = seen(520, { kind: 'to failure', onDay: '2026-11-20' });
    expect(atOdds([tested, lifted], TODAY)).toEqual([tested, lifted]);
    expect(atOdds([tested, seen(330)], TODAY)).toEqual([]);
    expect(atOdds([tested], TODAY)).toEqual([]);
    const both = Math.exp(updated(PRIOR, [tested, lifted], TODAY).mean[0]);
    expect(both).toBeGreaterThan(300);
    expect(both).toBeLessThan(520);
  });

  test('an exertion of nothing at a true maximum hardly moves a test of it', () => {
    const tested = seen(300, { onDay: TODAY });
    const before = Math.exp(updated(PRIOR, [tested], TODAY).mean[0]);
    const after = Math.exp(updated(PRIOR, [tested, seen(900, { kind: 'rated', onDay: TODAY })], TODAY).mean[0]);
    expect(after / before).toBeLessThan(1.1);
    expect(after / before).toBeGreaterThan(1);
  });
});

describe('chances', () => {
  test('the middle four fifths lie in the interval', () => {
    const [low, high] = intervalOf(50, 0.35);
    expect(low * high).toBeCloseTo(50 * 50, 9);
    expect(normalShare(Math.log(high / 50) / 0.35) - normalShare(Math.log(low / 50) / 0.35)).toBeCloseTo(0.8, 4);
  });

  test.each([
    [0, 0.5],
    [1, 0.841345],
    [-1.959964, 0.025],
    [3, 0.99865],
  ])('a share of %d standard deviations is %d', (z, share) => {
    expect(normalShare(z)).toBeCloseTo(share, 5);
  });
});
