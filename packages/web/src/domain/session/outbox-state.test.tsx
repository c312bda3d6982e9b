import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { OutboxState } from './outbox-state.js';

const letter = { path: '/sessions/a', body: {} };
beforeEach(() => {
  answering({});
  useOutbox.setState({ messages: [], refused: [] });
});

describe('what is on its way', () => {
  test('nothing is said while everything has arrived', () => {
    show(<OutboxState />);
    expect(screen.queryByRole('status')).toBeNull();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('what waits is counted', () => {
    useOutbox.setState({ messages: [letter, letter] });
    show(<OutboxState />);
    expect(screen.getByRole('status').textContent).toBe('2 waiting to sync');
  });

  test('what was refused stays on the screen with its reason until somebody has read it', async () => {
    useOutbox.setState({ refused: [{ ...letter, reason: 'There is no such sequence.' }] });
    const { user } = show(<OutboxState />);
    expect(screen.getByRole('alert').textContent).toContain('1 rejectedThere is no such sequence.');
    await user.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(useOutbox.getState().refused).toEqual([]);
  });
});
