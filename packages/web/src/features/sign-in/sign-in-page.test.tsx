import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { queryClient } from '../../api/queries.js';
import { answering, show } from '../../screen.fixture.js';
import SignInPage from './sign-in-page.js';

const me = {
  name: 'Isla',
  email: 'isla@lanternfield.example',
  studio: { id: 's', name: 'Lanternfield', timeZone: 'UTC', isDemo: false },
};
beforeEach(() => queryClient.clear());

async function signIn(answers: Parameters<typeof answering>[0]) {
  const requests = answering(answers);
  const shown = show(<SignInPage />);
  await shown.user.type(screen.getByLabelText('E-mail'), me.email);
  await shown.user.type(screen.getByLabelText('Password'), 'lantern-hall');
  await shown.user.click(screen.getByRole('button', { name: 'Sign in' }));
  return { asked: requests, ...shown };
}

describe('signing in', () => {
  test('sends what was typed, once, and the house knows who came', async () => {
    const { asked: requests } = await signIn({ 'POST /api/sign-in': me, 'GET /api/sign-in': me });
    expect(requests.filter(({ what }) => what.startsWith('POST'))).toEqual([
      { what: 'POST /api/sign-in', body: { email: me.email, password: 'lantern-hall' } },
    ]);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('a refusal is told in the server’s words, the typed e-mail stays, and one may try again', async () => {
    const detail = 'E-mail and password do not go together.';
    await signIn({
      'POST /api/sign-in': { type: 'urn:clay-pot:problem:sign-in-refused', title: '', status: 401, detail },
    });
    expect((await screen.findByRole('alert')).textContent).toBe(detail);
    expect(screen.getByLabelText('E-mail')).toHaveProperty('value', me.email);
    expect(screen.getByRole('button', { name: 'Sign in' })).toHaveProperty('disabled', false);
  });

  test('a server that is away is told apart from a wrong password', async () => {
    await signIn({});
    expect((await screen.findByRole('alert')).textContent).toBe('The server isn’t responding.');
  });

  test('it says what the house is not for', () => {
    answering({});
    show(<SignInPage />);
    expect(screen.getByText(/It doesn’t diagnose: doctors, therapists and local rules come first/)).toBeTruthy();
  });
});
