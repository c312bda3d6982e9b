import { beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredReading } from '@clay-pot/contracts';
import { act, screen, within } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { dropMeasuring, useMeasuring } from '../../store/measuring.js';
import { useOutbox } from '../../store/outbox.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import MeasurePage from './measure-page.js';

const wren = someone();
const at = `/api/athletes/${wren.id}`;
beforeEach(() => {
  dropMeasuring(wren.id);
  useOutbox.setState({ messages: [], refused: [] });
});

async function bench(readings: StoredReading[] = [], cautions: Parameters<typeof someone>[0] = {}) {
  const requests = answering({
    [`GET ${at}`]: someone(cautions),
    [`GET ${at}/readings`]: readings,
    [`GET ${at}/evidence`]: [],
    [`PUT ${at}/readings/*`]: {},
  });
  const shown = show(<MeasurePage />, `/people/${wren.id}/measure`, '/people/:id/measure');
  await settle();
  const choose = async (...names: (string | RegExp)[]) => {
    for (const name of names) await shown.user.click(screen.getByRole('checkbox', { name }));
    await shown.user.click(screen.getByRole('button', { name: /^Start \d/ }));
  };
  const type = async (...values: (string | number)[]) => {
    for (const value of values) {
      const field = document.querySelector<HTMLInputElement>('[data-trial]')!;
      await shown.user.clear(field);
      await shown.user.type(field, `${value}{Enter}`);
    }
  };
  const puts = () => requests.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
  return { ...shown, choose, type, puts };
}
const press = (name: string | RegExp) => screen.getByRole('button', { name });
const soFar = () => screen.getByRole('list', { name: 'Results' }).textContent;
const turns = () => within(screen.getByRole('list', { name: 'Order of trials' })).getAllByRole('listitem');

describe('the measuring bench', () => {
  test('a moment is typed as a force at its distance', async () => {
    const { user, type, puts } = await bench();
    const strength = screen.getByRole('group', { name: 'Strength' });
    await user.click(within(strength).getByRole('checkbox', { name: 'Wrist flexion' }));
    await user.click(press(/^Start 1/));
    const lever = screen.getByLabelText('Gauge from the wrist, cm');
    await user.clear(lever);
    await user.type(lever, '90');
    expect(screen.getByText('from 2 to 40 cm')).toBeTruthy();
    await user.clear(lever);
    await user.type(lever, '10');
    // 9 kg at 10 cm: 8.83 N·m.
    await type(9, 9, 9, 9, 9, 9);
    expect(soFar()).toContain('8.8 N·m');
    await user.click(press('Save 2'));
    await settle();
    expect(puts()).toMatchObject([
      {
        kind: 'maximum',
        of: 'wrist flexion',
        hand: 'left',
        value: 8.83,
        trials: [8.83, 8.83, 8.83],
        onDay: isoToday(),
      },
      { hand: 'right' },
    ]);
  });

  test('what both hands do together is one turn, stopped by the watch or typed, and counts for each', async () => {
    const { user, choose, type, puts } = await bench();
    await choose('Hang');
    expect(turns()).toHaveLength(1);
    expect(press('Start stopwatch')).toBeTruthy();
    await type(41);
    expect(soFar()).toContain('41 s');
    await user.click(press('Save 2'));
    await settle();
    expect(puts()).toMatchObject([
      { kind: 'hold', of: 'hang', hand: 'left', value: 41 },
      { hand: 'right', value: 41 },
    ]);
  });

  test('a trial is taken out and taken again; a retest begins anew', async () => {
    const { user, choose, type } = await bench();
    await choose('Wrist extension, passive');
    await type(80, 70);
    await user.click(press('Remove trial 1, right'));
    await type(84);
    expect(soFar()).toContain('84°');
    await user.click(press('Retest'));
    expect(screen.queryByRole('list', { name: 'Results' })).toBeNull();
  });

  test('the edge and grip belong to the reading: another edge is not compared with', async () => {
    const old: StoredReading = {
      id: 'o',
      kind: 'maximum',
      of: 'edge pull',
      hand: 'right',
      value: 500,
      onDay: '2026-01-01',
      detail: '20 mm, open hand',
    };
    const { user, choose, type } = await bench([old]);
    await choose(/^Edge pull(?!, all out)/);
    await type(30);
    expect(soFar()).not.toContain('since');
    await user.type(screen.getByLabelText('Edge and grip'), '20 mm, open hand');
    expect(soFar()).toContain('since 1 Jan 2026');
  });

  test('begun and left, nothing of it is recorded; begun and reloaded, it goes on', async () => {
    const { user, choose, type, puts, unmount } = await bench();
    await choose('Wrist extension, passive');
    await type(80);
    unmount();
    expect(useMeasuring.getState().open[wren.id]!.trials).toEqual({ 'passive.wrist-extension': { left: [], right: [80] } });
    show(<MeasurePage />, `/people/${wren.id}/measure`, '/people/:id/measure');
    await settle();
    expect(turns()[0]!.textContent).toContain('80°');
    await user.click(press('Leave'));
    expect(screen.getByRole('heading', { name: 'Test' })).toBeTruthy();
    expect(puts()).toEqual([]);
    // One press by mistake loses nothing.
    act(() => useToast.getState().toast!.action!.run());
    expect(turns()[0]!.textContent).toContain('80°');
  });

  test('a recorded file that is too large or broken is refused in words, and nothing changes', async () => {
    const { user, choose } = await bench();
    await choose('Grip');
    const field = screen.getByLabelText(/a recording/);
    const large = new File(['x'], 'night.csv');
    Object.defineProperty(large, 'size', { value: 200_000_000 });
    await user.upload(field, large);
    expect(screen.getByRole('alert').textContent).toContain('night.csv is 200 MB');
    expect(screen.getByLabelText('Source')).toHaveProperty('value', 'typed');
  });

  test('who may not be measured is told why for each hand', async () => {
    await (await bench([], { cautions: [{ caution: 'blood-pressure' }] })).choose('Grip');
    expect(screen.getAllByRole('note').map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('Left hand: don’t test it. No maximal effort.'),
      expect.stringContaining('Right hand: don’t test it.'),
    ]);
    expect(screen.queryByRole('list', { name: 'Order of trials' })).toBeNull();
  });

  test('one hand that may not be measured has no turns of force; the other goes on', async () => {
    const { choose, type } = await bench([], { cautions: [{ caution: 'numbness', hand: 'left' }] });
    await choose('Grip');
    expect(screen.getByRole('note').textContent).toContain('Left hand: don’t test it.');
    expect(screen.getByRole('note').textContent).toContain('no loading until a doctor or hand therapist');
    expect(turns()).toHaveLength(3);
    await type(40);
    expect(soFar()).toContain('40.0 kg');
  });
});
