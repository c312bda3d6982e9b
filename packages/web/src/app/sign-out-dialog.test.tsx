import { beforeEach, describe, expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { type Unfinished, useSignOut } from '../domain/account/sign-out.js';
import { answering, settle, show } from '../screen.fixture.js';
import SignOutDialog from './sign-out-dialog.js';

const NOTHING: Unfinished = { messages: 0, stops: 0, session: null, checkIns: 0, tests: 0, drafts: 0 };
const asking = (some: Partial<Unfinished>) => useSignOut.setState({ asking: { ...NOTHING, ...some }, trouble: null });
const buttons = () => screen.getAllByRole('button').map(({ textContent }) => textContent);

beforeEach(() => useSignOut.setState({ asking: null, trouble: null }));

describe('signing out with something unfinished', () => {
  test('is not asked about while nobody wants to', () => {
    show(<SignOutDialog />);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('offers to send, keep or delete what is not sent, and says that a stop would be lost', () => {
    asking({ messages: 2, stops: 1 });
    show(<SignOutDialog />);
    const dialog = screen.getByRole('dialog');
    expect(dialog.textContent).toContain('2 entries on this device haven’t been sent yet');
    expect(dialog.textContent).toContain('no record says that the hand must not be loaded');
    expect(buttons()).toEqual(
      expect.arrayContaining(['Send and sign out', 'Keep for me and sign out', 'Delete and sign out', 'Stay signed in']),
    );
  });

  test('names all that is deleted with it; with nothing unsent there is one way out', () => {
    asking({ session: 'Wren Halloran', checkIns: 1, drafts: 2 });
    show(<SignOutDialog />);
    expect(screen.getByRole('dialog').textContent).toContain(
      'Signing out deletes from this device: the open session of Wren Halloran, 1 unfinished check-in, 2 unsaved changes.',
    );
    expect(buttons()).toEqual(expect.arrayContaining(['Sign out', 'Stay signed in']));
    expect(buttons()).not.toContain('Delete and sign out');
  });

  test('stays signed in where the server doesn’t answer, and says so; staying takes the question away', async () => {
    answering({});
    asking({ checkIns: 1 });
    const { user } = show(<SignOutDialog />);
    await user.click(screen.getByRole('button', { name: 'Sign out' }));
    await settle();
    expect(screen.getByRole('alert').textContent).toContain('You’re still signed in.');
    await user.click(screen.getByRole('button', { name: 'Stay signed in' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    act(() => asking({ tests: 1 }));
    expect(screen.getByRole('dialog').textContent).toContain('1 unfinished test');
  });
});
