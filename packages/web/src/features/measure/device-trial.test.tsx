import { describe, expect, jest, test } from '@jest/globals';
import { type DeviceFault, type DeviceSample, programSeconds, SimulatedDevice, type SimulatedSetup, type TrialSort } from '@clay-pot/core';
import { act, screen } from '@testing-library/react';
import type { Device, DeviceEvents } from '../../domain/devices/device.js';
import { show } from '../../screen.fixture.js';
import { DeviceTrial, type DeviceResult } from './device-trial.js';

/** A device whose samples the test sends. */
function wired() {
  let events: DeviceEvents | undefined;
  const ended = jest.fn();
  const device: Device = {
    name: 'A gauge',
    connect: (listeners) => {
      events = listeners;
      return ended;
    },
  };
  const send = (samples: readonly DeviceSample[]) => act(() => events!.samples(samples));
  const end = (trouble: string | null) => act(() => events!.ended(trouble));
  return { device, send, end, ended };
}
const trial = (fault: DeviceFault = 'none') =>
  new SimulatedDevice({ kind: 'grip', most: 400, program: 'trial', fault }).samplesTo(programSeconds('trial') + 1);

const inParts = <T,>(list: readonly T[], size: number) =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, index) => list.slice(index * size, (index + 1) * size));

async function onDevice(sort: TrialSort = 'force') {
  const wire = wired();
  const take = jest.fn<(result: DeviceResult) => void>();
  const shown = show(<DeviceTrial device={wire.device} sort={sort} hand="left" take={take} />);
  await shown.user.click(screen.getByRole('button', { name: 'Start trial' }));
  return { ...shown, ...wire, take };
}

describe('a trial on a device', () => {
  test('ends by itself when the hand has let go, says what it was, and gives its most', async () => {
    const { user, send, ended, take } = await onDevice();
    for (let from = 0, all = trial(); from < all.length; from += 16) send(all.slice(from, from + 16));
    expect(ended).toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: /^Use 4\d\.\d kg$/ }));
    expect(Math.abs(take.mock.calls[0]![0].values.left! - 400)).toBeLessThan(12);
    expect(screen.getByText('held').nextSibling!.textContent).toMatch(/^\d\d\.\d kg$/);
    expect(screen.getByRole('button', { name: 'Again' })).toBeTruthy();
  });

  test('says a fault of the signal, and keeps what is good of it', async () => {
    const { send, end } = await onDevice();
    send(trial('stuck value'));
    end(null);
    expect(screen.getByText(/the device kept repeating/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Use/ })).toBeTruthy();
  });

  test('a lost connection is said, and what came before it can be taken', async () => {
    const { send, end } = await onDevice();
    send(trial().filter(({ tS }) => tS < 3));
    end('The connection to the device was lost.');
    expect(screen.getByRole('alert').textContent).toBe('The connection to the device was lost.');
    expect(screen.getByRole('button', { name: /^Use/ })).toBeTruthy();
  });

  test('a unit that changes on the way ends it: nothing of it can be taken', async () => {
    const { send, ended } = await onDevice();
    send(trial('wrong unit'));
    expect(ended).toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toContain('changed its unit');
    expect(screen.queryByRole('button', { name: /^Use/ })).toBeNull();
  });

  test('stopped before anything came, it says that there was no effort', async () => {
    const { user, ended } = await onDevice();
    await user.click(screen.getByRole('button', { name: 'Stop' }));
    expect(ended).toHaveBeenCalled();
    expect(screen.queryByRole('button', { name: /^Use/ })).toBeNull();
  });

  test('whoever leaves in the middle lets the device go', async () => {
    const { unmount, ended } = await onDevice();
    unmount();
    expect(ended).toHaveBeenCalled();
  });

  const played = (setup: Pick<SimulatedSetup, 'kind' | 'most' | 'program'>) =>
    new SimulatedDevice(setup).samplesTo(programSeconds(setup.program) + 9);

  test('plates give both hands at once, with their parts', async () => {
    const { user, send, take } = await onDevice('plates');
    send(played({ kind: 'plates', most: 320, program: 'hold' }));
    expect(screen.getByText('mean over').nextSibling!.textContent).toBe('5 s');
    await user.click(screen.getByRole('button', { name: /^Use L \d\d\.\d kg, R \d\d\.\d kg$/ }));
    const { left, right } = take.mock.calls[0]![0].values;
    expect(left! / (left! + right!)).toBeCloseTo(0.52, 2);
  });

  test('an angle sensor gives the furthest that was kept, from where the trial began', async () => {
    const { user, send, take } = await onDevice('angle');
    send(played({ kind: 'angle', most: 72, program: 'trial' }).map((sample) => ({ ...sample, value: sample.value + 11 })));
    await user.click(screen.getByRole('button', { name: /^Use 7\d°$/ }));
    expect(Math.abs(take.mock.calls[0]![0].values.left! - 72)).toBeLessThan(1.5);
  });

  test('an all-out test goes on through its rests, and gives what can be kept up and what is above it', async () => {
    const { user, send, take } = await onDevice('all-out');
    for (const list of inParts(played({ kind: 'grip', most: 500, program: 'all-out' }), 400)) send(list);
    expect(screen.getByText(/of the best squeeze/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Use/ }));
    const { values, aboveNs } = take.mock.calls[0]![0];
    // The simulated hand comes to 38 % of its most.
    expect(values.left! / 500).toBeGreaterThan(0.35);
    expect(values.left! / 500).toBeLessThan(0.42);
    expect(aboveNs).toBeGreaterThan(1000);
  });
});
