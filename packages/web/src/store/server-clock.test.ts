import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { takePong, useServerClock } from './server-clock.js';

beforeEach(() => useServerClock.setState({ behindMs: null, answers: [] }));
const behindMs = () => useServerClock.getState().behindMs;

/** A ping that takes so long there and back, of a device whose clock is wrong by so much. */
function ping(atMs: number, thereMs: number, backMs: number, wrongMs: number): void {
  const sentMs = atMs + wrongMs;
  takePong(sentMs, sentMs + thereMs + backMs, atMs + thereMs);
}

describe('the server’s clock', () => {
  test('is known to half of the quickest round trip, however wrong the device’s own is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3_600_000, max: 3_600_000 }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 400 })), { minLength: 1, maxLength: 20 }),
        (wrongMs, trips) => {
          useServerClock.setState({ behindMs: null, answers: [] });
          trips.forEach(([there, back], index) => ping(1_000_000 + index * 5000, there, back, wrongMs));
          const quickest = Math.min(...trips.map(([there, back]) => there + back));
          expect(Math.abs(behindMs()! + wrongMs)).toBeLessThanOrEqual(quickest / 2 + 0.001);
        },
      ),
    );
  });

  test('follows a clock that is set in between', () => {
    ping(1_000_000, 5, 5, 0);
    ping(1_005_000, 20, 20, 3_600_000);
    expect(Math.abs(behindMs()! + 3_600_000)).toBeLessThanOrEqual(20);
  });

  test('takes no answer that came after a sleep', () => {
    ping(1_000_000, 5, 5, 0);
    takePong(1_005_000, 1_305_000, 1_005_003);
    expect(Math.abs(behindMs()!)).toBeLessThanOrEqual(5);
  });
});
