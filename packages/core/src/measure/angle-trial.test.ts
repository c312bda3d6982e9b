import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { angleTrialOf, tiltBetween } from './angle-trial.js';
import type { DeviceSample } from './device.js';
import { lineReader, reportOf, trialSortOf } from './device-trials.js';
import { LED_PROTOCOLS } from './protocols.js';

/** A turn to an angle and back, thirty times a second, with a tremble. */
const turn = (deg: number, { overshoot = 0, holdS = 1 } = {}) =>
  Array.from({ length: Math.round((4 + holdS) * 30) }, (_, index) => {
    const tS = index / 30;
    const shape = Math.max(0, Math.min(1, tS - 1, 3 + holdS - tS));
    const over = Math.abs(tS - 2) < 0.1 ? overshoot : 0;
    return { tS, deg: deg * shape + over + 0.2 * Math.sin(index * 2.3) };
  });

describe('a trial of an angle', () => {
  test('is the furthest that was kept for half a second; an overshoot is not', () => {
    expect(angleTrialOf(turn(64)).deg).toBeCloseTo(64, 0);
    const { deg } = angleTrialOf(turn(64, { overshoot: 20 }));
    expect(deg!).toBeLessThan(72);
  });

  test('that did not move is none, and says how it is done', () => {
    const { deg, faults } = angleTrialOf(turn(1));
    expect(deg).toBeNull();
    expect(sentenceText(faults.at(-1)!.text)).toContain('Start straight');
  });

  test('with a lost connection is kept as far as it is good', () => {
    const lost = turn(64).filter(({ tS }) => tS < 2.8 || tS > 3.4);
    const { deg, faults } = angleTrialOf(lost);
    expect(deg).toBeCloseTo(64, 0);
    expect(faults.map(({ kind }) => kind)).toEqual(['lost connection']);
  });

  // From the rotation matrix of W3C Device Orientation, by hand: about one axis alone the turn is the difference; 45° forward and then 90° to the side
  // leaves up along (−cos 45°, sin 45°, 0), at a right angle to where it was.
  test('on a phone is the turn of gravity, about any level axis and whichever way it is held', () => {
    expect(tiltBetween({ beta: 10, gamma: 0 }, { beta: 81, gamma: 0 })).toBeCloseTo(71, 6);
    expect(tiltBetween({ beta: 0, gamma: -40 }, { beta: 0, gamma: 30 })).toBeCloseTo(70, 6);
    expect(tiltBetween({ beta: 0, gamma: 0 }, { beta: 45, gamma: 90 })).toBeCloseTo(90, 6);
    // Past the pole gamma flips and beta goes on: the same turn, told otherwise.
    expect(tiltBetween({ beta: 90, gamma: 5 }, { beta: 90, gamma: 60 })).toBeCloseTo(0, 6);
    const phone: DeviceSample[] = turn(58).flatMap(({ tS, deg }) => [
      { tS, channel: 'beta', value: 12 + deg, unit: '°' },
      { tS, channel: 'gamma', value: -3, unit: '°' },
    ]);
    const report = reportOf('angle', phone);
    expect(report.sort === 'angle' && report.angle.deg).toBeCloseTo(58, 0);
  });
});

describe('what is drawn and watched while a device sends', () => {
  const at = (tS: number, channel: string, value: number, unit: DeviceSample['unit'] = 'N') => ({ tS, channel, value, unit });

  test('is of plates both together, whatever lies between two messages', () => {
    const read = lineReader('plates');
    expect(read([at(0, 'left', 100)])).toEqual([]);
    expect(read([at(0, 'right', 90), at(0.1, 'left', 101)])).toEqual([{ tS: 0, valueN: 190 }]);
    expect(read([at(0.1, 'right', 92, 'kg')])).toBeNull();
  });

  test('is in newtons, whatever the device speaks in', () => {
    expect(lineReader('force')([at(0, 'force', 10, 'lb')])![0]!.valueN).toBeCloseTo(44.48, 2);
  });

  test('everything that is led is timed, counted, held against a ruler, or read off a device', () => {
    for (const protocol of LED_PROTOCOLS) {
      const byHand = ['stopwatch', 'counted', 'ruler'].includes(protocol.gauge);
      expect({ id: protocol.id, onDevice: trialSortOf(protocol) !== null }).toEqual({ id: protocol.id, onDevice: !byHand });
    }
  });
});
