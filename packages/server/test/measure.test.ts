import { beforeAll, describe, expect, test } from '@jest/globals';
import { sentenceText } from '@clay-pot/core';
import { type CriticalForceAnswer, MOST_SAMPLES, type Problem, type TraceAnswer, type TrendAnswer } from '@clay-pot/contracts';
import { type Browser, House, pointers } from './house.js';

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('measure');
  coach = await house.coach('edda');
});
const ask = <T>(path: string, body: unknown) => coach.ask<T & Problem>('POST', `/measure/${path}`, body);

/** A second of rest, up by 1000 N/s, four seconds held. */
const squeeze = (hz: number, factor = 1) =>
  Array.from({ length: 7 * hz }, (_, index) => {
    const tS = index / hz;
    const held = Math.max(0, Math.min(1, (tS - 1) / 0.4, (5.6 - tS) / 0.2));
    return { tS, valueN: factor * (400 * held + 2 * Math.sin(12.9 * index)) };
  });

describe('a trace', () => {
  test('is read in newtons, whatever unit it came in', async () => {
    const { body } = await ask<TraceAnswer>('trace', { samples: squeeze(80), of: 'grip' });
    expect(body.onsetS).toBeCloseTo(1, 1);
    expect(body.plateauN!).toBeCloseTo(400, -1);
    expect(body.rateNPerS! / 1000).toBeCloseTo(1, 1);
    expect(body.faults).toEqual([]);
    const kilograms = await ask<TraceAnswer>('trace', { samples: squeeze(80, 1 / 9.80665), unit: 'kg', of: 'grip' });
    expect(kilograms.body.plateauN!).toBeCloseTo(400, -1);
    expect(kilograms.body.faults).toEqual([]);
  });

  test('asks where kilograms were sent as newtons, or newtons as kilograms', async () => {
    const small = await ask<TraceAnswer>('trace', { samples: squeeze(80, 1 / 9.80665), of: 'grip' });
    expect(small.body.faults).toMatchObject([{ kind: 'wrong unit' }]);
    expect(sentenceText(small.body.faults[0]!.text)).toMatch(/was it 4\d\.\d kg/);
    const large = await ask<TraceAnswer>('trace', { samples: squeeze(80), unit: 'kg', of: 'grip' });
    expect(large.body.faults).toMatchObject([{ kind: 'wrong unit' }]);
  });

  test('of a device that floods is averaged; more than a minute of it is refused', async () => {
    const { status, body } = await ask<TraceAnswer>('trace', { samples: squeeze(5000) });
    expect(status).toBe(200);
    expect(body.faults).toMatchObject([{ kind: 'flooded' }]);
    expect(body.plateauN!).toBeCloseTo(400, -1);
    const flood = Array.from({ length: MOST_SAMPLES + 1 }, (_, index) => ({ tS: index / 5000, valueN: 1 }));
    const refused = await ask('trace', { samples: flood });
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toContain(`at most ${MOST_SAMPLES}`);
  });

  test('that is none is refused with its field', async () => {
    const { status, body } = await ask('trace', { samples: [{ tS: 0, valueN: 'much' }, { tS: 1 }], rangeN: -5 });
    expect(status).toBe(422);
    expect(pointers(body)).toEqual(['/samples/0/valueN', '/samples/1/valueN', '/rangeN']);
    expect((await ask<TraceAnswer>('trace', { samples: [] })).body.faults).toMatchObject([{ kind: 'no effort' }]);
  });
});

test('a trend has its slope, interval and forecast, or says why not', async () => {
  const readings = [60, 62, 63, 66, 70].map((value, week) => ({
    onDay: `2026-0${week < 4 ? 1 : 2}-${['05', '12', '19', '26', '02'][week]}`,
    value,
  }));
  const { body } = await ask<TrendAnswer>('trend', { readings, goal: 80 });
  expect(body.slopePerWeek).toBeCloseTo(2.25, 6);
  expect(body.forecast?.onDay).toBe('2026-03-09');
  const few = await ask<TrendAnswer>('trend', { readings: readings.slice(0, 3), goal: 80 });
  expect(few.body).toMatchObject({ forecast: null, direction: 'none' });
  expect(few.body.why).toContain('Not enough data');
  expect(pointers((await ask('trend', { readings: [{ onDay: '2026-02-31', value: 3 }] })).body)).toEqual(['/readings/0/onDay']);
});

test('an all-out test has its critical force', async () => {
  const contractionsN = Array.from({ length: 24 }, (_, index) => Math.max(200, 400 - 25 * index));
  const { body } = await ask<CriticalForceAnswer>('critical-force', { contractionsN });
  expect(body).toMatchObject({ criticalForceN: 200, capacityAboveNs: 6300, percentOfBest: 50, faults: [] });
  expect(body.repeats[0]).toEqual({ percentOfBest: 60, forceN: 240, contractions: 22 });
  // Longer contractions spend more of what is above, and there is as much more of it.
  const longer = await ask<CriticalForceAnswer>('critical-force', { contractionsN, workS: 10 });
  expect(longer.body.capacityAboveNs).toBe(9000);
  expect(longer.body.repeats).toEqual(body.repeats);
  const few = await ask('critical-force', { contractionsN: [300, -20] });
  expect(few.status).toBe(422);
  expect(few.body.detail).toContain('the test has 24');
});

test('more questions than can wait are told to come again, and none is lost in between', async () => {
  const readings = Array.from({ length: 8 }, (_, week) => ({
    onDay: `2026-03-${String(1 + 3 * week).padStart(2, '0')}`,
    value: 60 + week,
  }));
  const answers = await Promise.all(Array.from({ length: 160 }, () => ask('trend', { readings, goal: 80 })));
  const count = (status: number) => answers.filter((answer) => answer.status === status).length;
  expect(count(200) + count(503)).toBe(160);
  // As many are taken as can begin within some seconds, by what each takes on this machine.
  expect(count(200)).toBeGreaterThanOrEqual(6);
  for (const { status, body, headers } of answers) {
    if (status !== 503) continue;
    expect(body.detail).toMatch(/Try again in \d+ second/);
    expect(Number(headers['retry-after'])).toBeGreaterThan(0);
  }
  expect((await ask('trend', { readings, goal: 80 })).status).toBe(200);
});
