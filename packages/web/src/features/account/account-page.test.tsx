import { afterEach, describe, expect, test } from '@jest/globals';
import type { WhoAmI } from '@clay-pot/contracts';
import { fireEvent, screen } from '@testing-library/react';
import { queryClient } from '../../api/queries.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { showIn, useUnits } from '../../store/units.js';
import AccountPage from './account-page.js';

afterEach(() => {
  showIn(undefined);
  queryClient.clear();
});
const ME: WhoAmI = {
  name: 'Wren',
  email: 'wren@hall.example',
  studio: { name: 'A hall', timeZone: 'Europe/Berlin', isDemo: false },
  units: { mass: 'kg', length: 'cm' },
};

describe('the account', () => {
  test('what numbers are shown in is kept with the account, and holds at once', async () => {
    const requests = answering({
      'PUT /api/sign-in/units': { ...ME, units: { mass: 'lb', length: 'cm' } },
    });
    queryClient.setQueryData(['me'], ME);
    const { user } = show(<AccountPage />);
    await settle();
    expect(screen.getByRole('radio', { name: 'kilograms' }).getAttribute('aria-checked')).toBe('true');
    await user.click(screen.getByRole('radio', { name: 'pounds' }));
    await settle();
    expect(requests.at(-1)).toEqual({ what: 'PUT /api/sign-in/units', body: { mass: 'lb', length: 'cm' } });
    expect(useUnits.getState()).toEqual({ mass: 'lb', length: 'cm' });
    expect(screen.getByRole('radio', { name: 'pounds' }).getAttribute('aria-checked')).toBe('true');
  });

  test('two choices one right after the other both hold', async () => {
    const requests = answering({
      'PUT /api/sign-in/units': { ...ME, units: { mass: 'lb', length: 'cm' } },
    });
    queryClient.setQueryData(['me'], ME);
    show(<AccountPage />);
    await settle();
    fireEvent.click(screen.getByRole('radio', { name: 'pounds' }));
    fireEvent.click(screen.getByRole('radio', { name: 'inches' }));
    await settle();
    expect(requests.map(({ body }) => body)).toEqual([
      { mass: 'lb', length: 'cm' },
      { mass: 'lb', length: 'in' },
    ]);
  });

  test('without an answer it stays as it was, and says so', async () => {
    answering({});
    queryClient.setQueryData(['me'], ME);
    const { user } = show(<AccountPage />);
    await settle();
    await user.click(screen.getByRole('radio', { name: 'inches' }));
    await settle();
    expect(screen.getByRole('alert').textContent).toMatch(/./);
    expect(useUnits.getState().length).toBe('cm');
  });
});
