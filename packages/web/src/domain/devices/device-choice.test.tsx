import { useDeveloper } from '../../store/developer.js';
import { describe, expect, jest, test } from '@jest/globals';
import { must, protocolOf, type TrialSort } from '@clay-pot/core';
import { screen, waitFor } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import { DeviceChoice } from './device-choice.js';
import { deviceFor, deviceForHold, gaugeOf, type Source } from './sources.js';
import { replayDevice } from './replay.js';

const TYPED: Source = { kind: 'typed' };
const SIMULATED: Source = { kind: 'simulated', fault: 'none', speed: 10 };
function choice(sort: TrialSort, source: Source = TYPED, isTypable = true) {
  answering({});
  const choose = jest.fn<(source: Source) => void>();
  const shown = show(<DeviceChoice sort={sort} source={source} choose={choose} isTypable={isTypable} />);
  return { ...shown, choose };
}
const from = () => screen.getByLabelText('Source');
const options = () => Array.from(from().querySelectorAll('option')).map(({ value }) => value);
const file = (text: string, name = 'squeeze.csv') => {
  const made = new File([text], name, { type: 'text/csv' });
  return Object.assign(made, { text: () => Promise.resolve(text) });
};

describe('where numbers come from', () => {
  test('angles also from a picture and a phone, forces from neither', () => {
    const { unmount } = choice('angle');
    expect(options()).toEqual(expect.arrayContaining(['typed', 'simulated', 'photo', 'recorded phone']));
    unmount();
    choice('force');
    expect(options()).toEqual(['typed', 'simulated']);
  });

  test('where nothing can be typed, typing is not offered', () => {
    choice('force', SIMULATED, false);
    expect(options()).toEqual(['simulated']);
  });

  test('a simulated device has its speed, and its faults for those who build the product', async () => {
    useDeveloper.setState({ hasDeviceFaults: true });
    const { user, choose } = choice('force', SIMULATED);
    await user.selectOptions(screen.getByLabelText('Simulated fault'), 'stuck value');
    expect(choose).toHaveBeenCalledWith({ kind: 'simulated', fault: 'stuck value', speed: 10 });
    await user.selectOptions(screen.getByLabelText('Speed'), '50');
    expect(choose).toHaveBeenLastCalledWith({ kind: 'simulated', fault: 'none', speed: 50 });
  });

  test('a recorded file becomes a device; a broken or huge one is refused in words', async () => {
    const { user, choose } = choice('force');
    const upload = (made: File) => user.upload(screen.getByLabelText(/a recording/), made);
    await upload(file('t_s,value\n0,much\n'));
    expect((await screen.findByRole('alert')).textContent).toBe('Line 2: must be a number, not “much”.');
    const huge = file('');
    Object.defineProperty(huge, 'size', { value: 200_000_000 });
    await upload(huge);
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('is 200 MB'));
    expect(choose).not.toHaveBeenCalled();
    await upload(file('t_s,value,unit\n0,1,kg\n0.1,2,kg\n'));
    await waitFor(() => expect(choose).toHaveBeenCalledTimes(1));
    expect(choose.mock.calls[0]![0]).toMatchObject({ kind: 'file', device: { name: 'squeeze.csv' } });
  });

  test('a recording that cannot be fetched is said', async () => {
    const { user, choose } = choice('angle');
    await user.selectOptions(from(), 'recorded phone');
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(choose).not.toHaveBeenCalled();
  });
});

describe('the device of a source', () => {
  const turn = (id: string) => ({ protocol: must(protocolOf(id), id), hand: 'left', athleteId: 'a', leverCm: 8 }) as const;
  const device = replayDevice('a file', []);

  test('is none for what is typed, a picture, or what a phone cannot feel', () => {
    for (const kind of ['typed', 'photo'] as const) expect(deviceFor({ kind }, turn('active.pronation'))).toBeNull();
    expect(deviceFor({ kind: 'phone' }, turn('force.grip'))).toBeNull();
    expect(deviceFor({ kind: 'phone' }, turn('active.pronation'))!.name).toContain('phone');
    expect(deviceFor(SIMULATED, turn('span.thumb-span'))).toBeNull();
  });

  test('is the kind that measures it', () => {
    expect(deviceFor(SIMULATED, turn('load.all-fours'))!.name).toBe('Pair of hand plates, simulated');
    expect(deviceFor(SIMULATED, turn('force.edge-pull'))!.name).toBe('Edge with a load cell, simulated');
    expect(deviceFor({ kind: 'file', device }, turn('force.grip'))).toBe(device);
    const hold = { athleteId: 'a', hand: 'left', of: 'grip', effortPercent: 40, holdS: 5 } as const;
    expect(deviceForHold(SIMULATED, hold)!.name).toBe('Grip dynamometer, simulated');
    expect(deviceForHold({ kind: 'file', device }, hold)).toBe(device);
    expect(deviceForHold(TYPED, hold)).toBeNull();
  });

  test('is told with the reading where it is not what the protocol names', () => {
    expect(gaugeOf({ kind: 'photo' }, 'angle')).toBe('photo');
    expect(gaugeOf({ kind: 'phone' }, 'angle')).toBe('phone');
    expect(gaugeOf({ kind: 'file', device }, 'angle')).toBe('phone');
    expect(gaugeOf(SIMULATED, 'plates')).toBe('hand plates');
    expect(gaugeOf(TYPED, 'plates')).toBeNull();
    expect(gaugeOf(SIMULATED, 'force')).toBeNull();
  });
});
