import { describe, expect, jest, test } from '@jest/globals';
import type { Band, BandScore, DeviceSample } from '@clay-pot/core';
import { act, renderHook } from '@testing-library/react';
import type { Device, DeviceEvents } from '../devices/device.js';
import { useSound } from '../session/tone.js';
import { useBand } from './use-band.js';

const BAND: Band = { lowN: 140, highN: 180, forS: 2 };
/** Ten values a second from a moment on. */
const force = (fromS: number, seconds: number, value: number, unit: DeviceSample['unit'] = 'N') =>
  Array.from({ length: seconds * 10 }, (_, index): DeviceSample => ({ tS: fromS + index / 10, channel: 'force', value, unit }));

function held() {
  useSound.setState({ on: false });
  let events: DeviceEvents | undefined;
  const device: Device = {
    name: 'A gauge',
    connect: (listeners) => {
      events = listeners;
      return () => (events = undefined);
    },
  };
  const onOver = jest.fn<(score: BandScore) => void>();
  const onEnded = jest.fn();
  const onLost = jest.fn<(to: 'below' | 'above') => void>();
  const hook = renderHook(
    ({ isOn, counts }: { isOn: boolean; counts: boolean }) => useBand({ device, band: BAND, isOn, counts, onLost, onEnded, onOver }),
    { initialProps: { isOn: true, counts: true } },
  );
  const send = (list: readonly DeviceSample[]) => act(() => events!.samples(list));
  const end = (why: string | null) => act(() => events!.ended(why));
  return { ...hook, send, end, onEnded, onOver, onLost, isConnected: () => events !== undefined };
}

describe('a force that is kept in a band', () => {
  test('is scored once it is over; a loss is told at once, with its side', () => {
    const { send, rerender, onLost, onOver, isConnected } = held();
    send(force(0, 3, 160));
    expect(onLost).not.toHaveBeenCalled();
    send(force(3, 1, 120));
    expect(onLost).toHaveBeenCalledWith('below');
    send(force(4, 2, 170));
    rerender({ isOn: false, counts: true });
    expect(isConnected()).toBe(false);
    const [score] = onOver.mock.calls[0]!;
    // Three seconds in, one out, two in: five of six but for the steps between.
    expect(score.scorePercent).toBeGreaterThan(80);
    expect(score.scorePercent).toBeLessThan(86);
    expect(score.isDone).toBe(true);
    expect(score.lost).toHaveLength(1);
  });

  test('does not count while the hand may open', () => {
    const { send, rerender, onLost, onOver } = held();
    send(force(0, 2, 160));
    rerender({ isOn: true, counts: false });
    send(force(2, 4, 5));
    rerender({ isOn: true, counts: true });
    send(force(6, 2, 160));
    rerender({ isOn: false, counts: true });
    expect(onLost).not.toHaveBeenCalled();
    expect(onOver.mock.calls[0]![0].scorePercent).toBe(100);
  });

  test('a device that ends by itself is told, with why', () => {
    const { send, end, onEnded, result } = held();
    send(force(0, 1, 160));
    expect(onEnded).not.toHaveBeenCalled();
    end('The connection was lost.');
    expect(onEnded).toHaveBeenCalledTimes(1);
    expect(result.current.trouble).toBe('The connection was lost.');
  });

  test('says a unit that changes; what was never reached has no score', () => {
    const { send, rerender, onOver, result } = held();
    send(force(0, 1, 20));
    send(force(1, 1, 2, 'kg'));
    expect(result.current.trouble).toContain('changed its unit');
    rerender({ isOn: false, counts: true });
    expect(onOver).not.toHaveBeenCalled();
  });
});
