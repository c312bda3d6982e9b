import { describe, expect, test } from '@jest/globals';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { ForceSample } from './sample.js';
import { traceOf } from './trace.js';

interface Made {
  readonly hz?: number;
  readonly seconds?: number;
  readonly noiseN?: number;
  readonly startS?: number;
}

/** A force over time as a gauge with noise of its own shows it. */
function made(forceAt: (s: number) => number, { hz = 80, seconds = 8, noiseN = 2, startS = 0 }: Made = {}): ForceSample[] {
  const random = xoroshiro128plus(7);
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniformFloat64(random))) * Math.cos(2 * Math.PI * uniformFloat64(random));
  return Array.from({ length: Math.round(seconds * hz) }, (_, index) => ({
    tS: startS + index / hz,
    valueN: forceAt(index / hz) + noiseN * normal(),
  }));
}

/** At rest for a second, up by 1000 N/s to 400 N, held for four seconds, let go. */
const squeeze = (s: number) => (s < 1 ? 0 : s < 1.4 ? 1000 * (s - 1) : s < 5.4 ? 400 : s < 5.6 ? 400 - 2000 * (s - 5.4) : 0);
const kinds = (samples: readonly ForceSample[], rangeN?: number) =>
  traceOf(samples, rangeN === undefined ? {} : { rangeN }).faults.map(({ kind }) => kind);

describe('a squeeze whose numbers are known', () => {
  // By hand: onset 1.00 s, peak and plateau 400 N, 1000 N/s, steadiness 100 · 2 ÷ 400 = 0.5 %, impulse 400 · (0.2 + 4 + 0.1) = 1720 N·s.
  test.each([10, 20, 80, 250, 1000, 5000])('at %i values a second', (hz) => {
    const trace = traceOf(made(squeeze, { hz }));
    expect(Math.abs(trace.onsetS! - 1)).toBeLessThan(0.02);
    expect(Math.abs(trace.endS! - 5.6)).toBeLessThan(0.11);
    expect(Math.abs(trace.peakN! - 400)).toBeLessThan(5);
    expect(Math.abs(trace.plateauN! - 400)).toBeLessThan(2.5);
    expect(Math.abs(trace.rateNPerS! - 1000)).toBeLessThan(30);
    expect(Math.abs(trace.impulseNs! - 1720)).toBeLessThan(20);
    if (hz < 5000) expect(Math.abs(trace.steadinessPercent! - 0.5)).toBeLessThan(0.12);
    expect(trace.faults.map(({ kind }) => kind)).toEqual(hz === 5000 ? ['flooded'] : []);
  });

  test('without noise, and on a clock that began elsewhere', () => {
    const still = traceOf(made(squeeze, { noiseN: 0 }));
    expect(still).toMatchObject({ peakN: 400, faults: [] });
    expect(still.steadinessPercent!).toBeLessThan(1e-6);
    const late = traceOf(made(squeeze, { startS: 1_000_000 }));
    expect(Math.abs(late.onsetS! - 1_000_001)).toBeLessThan(0.02);
    expect(Math.abs(late.rateNPerS! - 1000)).toBeLessThan(30);
  });

  test('a small force has small numbers', () => {
    const trace = traceOf(made((s) => squeeze(s) * 0.075, { noiseN: 0.3 }));
    expect(Math.abs(trace.plateauN! - 30)).toBeLessThan(0.4);
    expect(Math.abs(trace.onsetS! - 1)).toBeLessThan(0.03);
  });

  test('a rise that slows down is as steep as its middle', () => {
    // 400 (1 − e^(−t/τ)), τ = 0.15 s: from a fifth to four fifths in τ ln 4, 0.6 · 400 ÷ (0.15 · ln 4) = 1154 N/s.
    const trace = traceOf(made((s) => (s < 1 || s > 6 ? 0 : 400 * (1 - Math.exp(-(s - 1) / 0.15))), { hz: 250 }));
    expect(Math.abs(trace.rateNPerS! / 1154 - 1)).toBeLessThan(0.06);
  });

  test('an overshoot is the peak and not the plateau', () => {
    const trace = traceOf(made((s) => squeeze(s) + (s > 1.35 && s < 1.7 ? 60 * Math.sin(((s - 1.35) / 0.35) * Math.PI) : 0)));
    expect(trace.peakN!).toBeGreaterThan(445);
    expect(Math.abs(trace.plateauN! - 400)).toBeLessThan(3);
  });

  test('trembling shows in steadiness: a sine of 5 % is 5 ÷ √2 %', () => {
    const trace = traceOf(made((s) => squeeze(s) * (1 + 0.05 * Math.sin(2 * Math.PI * 6 * s)), { hz: 250, noiseN: 0.5 }));
    expect(Math.abs(trace.steadinessPercent! - 5 / Math.SQRT2)).toBeLessThan(0.25);
  });

  test('of two efforts the harder one is told', () => {
    const trace = traceOf(made((s) => squeeze(s - 3) + (s > 0.5 && s < 1.5 ? 120 : 0), { seconds: 11 }));
    expect(Math.abs(trace.onsetS! - 4)).toBeLessThan(0.02);
  });
});

describe('what is wrong is said, and the trial is kept as far as it is good', () => {
  const good = made(squeeze);
  const from = (s: number) => good.findIndex(({ tS }) => tS >= s);

  test('a lost connection', () => {
    const trace = traceOf(good.filter(({ tS }) => tS < 3 || tS > 3.8));
    expect(trace.faults).toMatchObject([{ kind: 'lost connection' }]);
    expect(trace.keptToS).toBeLessThan(3);
    expect(Math.abs(trace.plateauN! - 400)).toBeLessThan(3);
  });

  test('a clock that jumps back or ahead', () => {
    for (const by of [-2.5, -100, 100]) {
      const trace = traceOf(good.map(({ tS, valueN }) => ({ tS: tS > 3 ? tS + by : tS, valueN })));
      expect(trace.faults).toMatchObject([{ kind: 'clock jump' }]);
      expect(Math.abs(trace.onsetS! - 1)).toBeLessThan(0.02);
      expect(Math.abs(trace.plateauN! - 400)).toBeLessThan(3);
    }
  });

  test('a value that is stuck, for good or for a while', () => {
    const at = from(3);
    const stuck = (to: number) =>
      good.map((sample, index) => (index >= at && index < to ? { ...sample, valueN: good[at]!.valueN } : sample));
    for (const to of [good.length, from(4.2)]) {
      const trace = traceOf(stuck(to));
      expect(trace.faults).toMatchObject([{ kind: 'stuck value' }]);
      expect(Math.abs(trace.keptToS - 3)).toBeLessThan(0.05);
      expect(Math.abs(trace.plateauN! - 400)).toBeLessThan(3);
    }
  });

  test('the end of the device’s range', () => {
    const clipped = good.map(({ tS, valueN }) => ({ tS, valueN: Math.min(350, valueN) }));
    expect(kinds(clipped)).toEqual(['over range']);
    expect(kinds(clipped, 350)).toEqual(['over range']);
    expect(kinds(clipped, 2000)).toEqual(['stuck value', 'too short']);
  });

  test('coarse steps of a gauge are no fault', () => {
    expect(kinds(good.map(({ tS, valueN }) => ({ tS, valueN: 5 * Math.round(valueN / 5) })))).toEqual([]);
  });

  test('not zeroed, the wrong way, nothing at all, too short, begun before', () => {
    expect(traceOf(made((s) => 20 + squeeze(s))).faults).toMatchObject([{ kind: 'not zeroed' }]);
    expect(Math.abs(traceOf(made((s) => 20 + squeeze(s))).plateauN! - 400)).toBeLessThan(3);
    expect(kinds(made((s) => -squeeze(s)))).toEqual(['wrong way']);
    expect(kinds(made(() => 0))).toEqual(['no effort']);
    expect(kinds([])).toEqual(['no effort']);
    expect(kinds(made((s) => (s > 1 && s < 1.2 ? 300 : 0)))).toEqual(['too short']);
    const begun = traceOf(made((s) => squeeze(s + 2)));
    expect(begun.faults.map(({ kind }) => kind)).toEqual(['began loaded']);
    expect(begun).toMatchObject({ onsetS: null, rateNPerS: null });
  });

  test('one value that stands out is no peak', () => {
    const spiked = good.map((sample, index) => (index === from(3) ? { ...sample, valueN: 900 } : sample));
    expect(traceOf(spiked).peakN!).toBeLessThan(406);
  });
});
