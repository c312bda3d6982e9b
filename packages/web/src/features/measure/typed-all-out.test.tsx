import { describe, expect, jest, test } from '@jest/globals';
import { kgFromN } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import type { DeviceResult } from './device-trial.js';
import { TypedAllOut } from './typed-all-out.js';

function typed() {
  answering({});
  const take = jest.fn<(result: DeviceResult) => void>();
  const shown = show(<TypedAllOut hand="right" take={take} />);
  const field = screen.getByRole('textbox');
  return { ...shown, take, type: (text: string) => shown.user.type(field, text) };
}

describe('an all-out test that was read off a gauge', () => {
  test('is taken from its squeezes in a row: what can be kept up, and what is above it', async () => {
    const { user, take, type } = typed();
    // By hand: 50 kg falling by 2 kg for ten, then fourteen at 30 kg. Above it 7 s · (20 + 18 + … + 2) kg = 770 kg·s.
    const squeezes = [...Array.from({ length: 10 }, (_, index) => 50 - 2 * index), ...Array<number>(14).fill(30)];
    await type(squeezes.join(' '));
    expect(screen.getByText(/Sustainable/).textContent).toContain('30.0 kg');
    await user.click(screen.getByRole('button', { name: 'Use' }));
    const { values, aboveNs } = take.mock.calls[0]![0];
    expect(kgFromN(values.right!)).toBeCloseTo(30, 2);
    expect(kgFromN(aboveNs!)).toBeCloseTo(770, 0);
  });

  test('too few are not enough, and nonsense is named', async () => {
    const { user, type } = typed();
    await type('50 48 46');
    expect(screen.getByText('Found 3 contractions; at least 12 are needed.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Use' })).toBeNull();
    await user.type(screen.getByRole('textbox'), ' much');
    expect(screen.getByRole('alert').textContent).toContain('Enter “much” as a number from');
  });

  test('a test that was still falling says so, and can be taken all the same', async () => {
    const { type } = typed();
    await type(Array.from({ length: 24 }, (_, index) => (60 * 0.96 ** index).toFixed(1)).join(' '));
    expect(screen.getByText(/still dropping at the end/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Use' })).toBeTruthy();
  });
});
