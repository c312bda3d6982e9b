import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { MorningQuestion, useOwnMornings } from './morning.js';

const ID = '0197a1b2-0000-7000-8000-000000000002';
beforeEach(() => {
  useOutbox.setState({ messages: [], refused: [] });
  answering({});
});
const score = (hand: string, value: number) => screen.getByRole('button', { name: `${hand} hand, next-day check ${value}` });
const sent = () => useOutbox.getState().messages;

describe('the morning after', () => {
  test('is told of each hand, with what it asks for before it is recorded', async () => {
    const onTold = jest.fn();
    const { user } = show(<MorningQuestion sessionId={ID} before={{ left: 1, right: 0 }} onReported={onTold} />);
    expect(screen.getByRole('button', { name: 'Save' })).toHaveProperty('disabled', true);
    await user.click(score('Left', 3));
    await user.click(score('Right', 1));
    expect(screen.getByText('Left hand 3 of 10 the next day, 2 worse than before: go back a level.')).toBeTruthy();
    expect(screen.getByText('Right hand 1 of 10 the next day: carry on.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent()).toMatchObject([{ path: `/sessions/${ID}/morning`, body: { left: 3, right: 1 } }]);
    expect(onTold).toHaveBeenCalledWith({ left: 3, right: 1 });
  });

  test('numbness refers, whatever the score', async () => {
    const { user } = show(<MorningQuestion sessionId={ID} before={null} />);
    await user.click(score('Left', 0));
    await user.click(score('Right', 0));
    await user.click(screen.getByRole('button', { name: 'right' }));
    expect(screen.getByText(/Right hand numb or tingling the next day: stop, and have it checked/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent()).toMatchObject([{ body: { left: 0, right: 0, numb: 'right' } }]);
  });

  test('what is on its way is known by its session', () => {
    useOutbox.setState({
      messages: [{ path: `/sessions/${ID}/morning`, body: { left: 2, right: 0, at: 'x' } }] as never,
    });
    let own: ReadonlyMap<string, unknown> = new Map();
    const Look = () => {
      own = useOwnMornings();
      return null;
    };
    show(<Look />);
    expect(own.get(ID)).toMatchObject({ left: 2 });
  });
});
