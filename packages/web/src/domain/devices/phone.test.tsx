import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { DeviceSample } from '@clay-pot/core';
import { hasOrientation, phoneDevice } from './phone.js';

class Orientation extends Event {
  constructor(
    readonly beta: number | null,
    readonly gamma: number | null,
  ) {
    super('deviceorientation');
  }
}
const turn = (beta: number | null, gamma: number | null) => window.dispatchEvent(new Orientation(beta, gamma));
const nextTurn = () => Promise.resolve().then(() => Promise.resolve());

beforeEach(() => {
  jest.useFakeTimers();
  Object.assign(window, { DeviceOrientationEvent: Orientation });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(window, 'DeviceOrientationEvent');
});

function connected() {
  const samples: DeviceSample[] = [];
  const ended = jest.fn<(trouble: string | null) => void>();
  const disconnect = phoneDevice().connect({ samples: (list) => samples.push(...list), ended });
  return { samples, ended, disconnect };
}

describe('the phone’s own sensor', () => {
  test('tells how it lies, front to back and side to side, at one instant', async () => {
    const { samples, ended } = connected();
    await nextTurn();
    turn(12.5, -3);
    expect(samples.map(({ channel, value, unit }) => [channel, value, unit])).toEqual([
      ['beta', 12.5, '°'],
      ['gamma', -3, '°'],
    ]);
    expect(samples[0]!.tS).toBe(samples[1]!.tS);
    jest.advanceTimersByTime(5000);
    expect(ended).not.toHaveBeenCalled();
  });

  test('a device that feels nothing says so after a while, and what would be right', async () => {
    const { samples, ended } = connected();
    await nextTurn();
    turn(null, null);
    jest.advanceTimersByTime(3000);
    expect(samples).toEqual([]);
    expect(ended).toHaveBeenCalledWith('This device has no motion sensor. Use a phone, or the recorded one.');
  });

  test('where it has to be asked for and is refused, that is said', async () => {
    Object.assign(Orientation, { requestPermission: () => Promise.resolve('denied') });
    const { ended } = connected();
    await nextTurn();
    await nextTurn();
    Reflect.deleteProperty(Orientation, 'requestPermission');
    expect(ended.mock.calls[0]![0]).toContain('blocks the motion sensor for this page');
  });

  test('whoever ends it hears no more', async () => {
    const { samples, ended, disconnect } = connected();
    await nextTurn();
    disconnect();
    turn(1, 1);
    jest.advanceTimersByTime(5000);
    expect(samples).toEqual([]);
    expect(ended).not.toHaveBeenCalled();
  });

  test('is offered where the browser knows of such a thing', () => {
    expect(hasOrientation()).toBe(true);
    Reflect.deleteProperty(window, 'DeviceOrientationEvent');
    expect(hasOrientation()).toBe(false);
  });
});
