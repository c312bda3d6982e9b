import { afterEach, describe, expect, test } from '@jest/globals';
import type { WhoAmI } from '@clay-pot/contracts';
import type { Grade } from '@clay-pot/core';
import { fireEvent, screen } from '@testing-library/react';
import { queryClient } from '../../api/queries.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { setGrades } from '../../store/grades.js';
import { showIn, useUnits } from '../../store/units.js';
import AccountPage from './account-page.js';

afterEach(() => {
  showIn(undefined);
  setGrades([]);
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

  test('springs and bands are added and removed as one list; what is wrong is said beside its field', async () => {
    const grey: Grade = { kind: 'spring', name: 'Grey', kg: 18 };
    const red: Grade = { kind: 'band', name: 'Red', kg: 1.2 };
    setGrades([grey]);
    const requests = answering({ 'PUT /api/grades': [grey, red] });
    queryClient.setQueryData(['me'], ME);
    const { user } = show(<AccountPage />);
    await settle();
    const [name, force] = [screen.getByLabelText('Name'), screen.getByLabelText('Force, kg')];
    await user.type(name, 'grey');
    await user.type(force, '20');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    expect(name.getAttribute('aria-invalid')).toBe('true');
    expect(requests.filter(({ what }) => what === 'PUT /api/grades')).toEqual([]);
    await user.click(screen.getByRole('radio', { name: 'Finger band' }));
    await user.clear(name);
    await user.type(name, 'Red');
    await user.clear(force);
    await user.type(force, '1,2');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await settle();
    expect(requests.at(-1)).toEqual({ what: 'PUT /api/grades', body: { grades: [grey, red] } });
    expect(screen.getByRole('row', { name: /Red/ }).textContent).toContain('1.2 kg');
    await user.click(screen.getByRole('button', { name: 'Remove Grey spring' }));
    await settle();
    expect(requests.at(-1)?.body).toEqual({ grades: [red] });
  });
});
