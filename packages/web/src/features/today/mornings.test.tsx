import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { Mornings } from './mornings.js';

const ID = '0197a1b2-0000-7000-8000-000000000002';
beforeEach(() => {
  useOutbox.setState({ messages: [], refused: [] });
  answering({});
});
const sent = () => useOutbox.getState().messages;

describe('whose morning is to be asked about', () => {
  const check = {
    sessionId: ID,
    athleteId: 'a',
    athleteName: 'Wren Halloran',
    title: 'Two hands',
    endedAt: new Date().toISOString(),
    before: null,
  };
  test('on Today it is calm with one tap, and not asked twice', async () => {
    const { user } = show(<Mornings mornings={[check]} />);
    await user.click(screen.getByRole('button', { name: 'Calm, both hands: Wren Halloran' }));
    expect(sent()).toMatchObject([{ body: { left: 0, right: 0 } }]);
    expect(screen.queryByRole('button', { name: /Tell of the morning/ })).toBeNull();
    expect(screen.getAllByText(/carry on\.$/)).toHaveLength(2);
  });

  test('nobody to ask: nothing is shown', () => {
    show(<Mornings mornings={[]} />);
    expect(screen.queryByText('Next-day check')).toBeNull();
  });
});
