import { beforeEach, describe, expect, test } from '@jest/globals';
import type { AthleteSuggestion } from '@clay-pot/contracts';
import { AS_IT_IS, suggestionGroups, groupWords, must, parseDose, retypeDose, usualWay } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { act, screen, within } from '@testing-library/react';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { useWaiting } from './answer-suggestions.js';
import { SuggestionsList } from './suggestions-list.js';

const suggestion = (more: Partial<AthleteSuggestion> = {}): AthleteSuggestion => ({
  key: 'level bearing.palm-support',
  kind: 'progress',
  cause: 'clean',
  hands: ['left', 'right'],
  movementId: 'bearing.palm-support',
  why: 'Palm support: 2x15s, clean in the last 2 sessions.',
  evidence: [{ of: 'session', sessionId: 's2', onDay: '2026-06-08', text: '2x15s, discomfort 1, exertion 5' }],
  evidenceKey: 's2 clean',
  sessionId: 's2',
  options: [
    { id: 'next', words: 'Palm support: 2×15s → 2×20s', effect: { kind: 'as it is' }, chance: 0.72 },
    { id: 'set', words: 'Palm support: 2×15s → 3×15s', effect: { kind: 'as it is' } },
  ],
  athleteId: 'a1',
  athleteName: 'Wren Halloran',
  sequenceId: null,
  isAssigned: false,
  ...more,
});
const refer = suggestion({
  key: 'refer numbness left',
  kind: 'refer',
  cause: 'on record',
  why: 'Numbness, left hand.',
  athleteName: 'Hana',
  athleteId: 'a2',
  evidenceKey: 'x',
  options: [{ id: 'told', words: 'They know whom to see', effect: { kind: 'as it is' } }],
});

beforeEach(() => {
  useOutbox.setState({ messages: [], refused: [] });
  answering({});
});
/** Suggestions as the pages show them: those that still wait. */
function Waiting({ suggestions }: { suggestions: readonly AthleteSuggestion[] }) {
  return <SuggestionsList suggestions={useWaiting(suggestions)} named label="Next steps" />;
}
const bodies = () => useOutbox.getState().messages.map(({ body }) => body);

describe('suggestions that wait', () => {
  test('the gravest first; of one athlete and cause together', () => {
    const groups = suggestionGroups([suggestion(), refer, suggestion({ key: 'level strength.palm-lift' })]);
    expect(groups.map(({ suggestions }) => [suggestions[0].kind, suggestions.length])).toEqual([
      ['refer', 1],
      ['progress', 2],
    ]);
    expect(groupWords(groups[1]!)).toBe('2 movements done cleanly: ready for more.');
  });

  test('say exactly what changes, how likely it is carried to its end, and what they rest on', async () => {
    const { user } = show(<Waiting suggestions={[suggestion()]} />);
    expect(screen.getByText('Chance of completing it: about 7 in 10 people like this.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Why\?/ }));
    expect(screen.getByRole('link', { name: '8 Jun 2026' }).getAttribute('href')).toBe('/records/s2');
  });

  test('accepted, they are gone at once and can be taken back', async () => {
    const { user } = show(<Waiting suggestions={[suggestion({ evidenceKey: 'accepted' })]} />);
    await user.click(screen.getByRole('button', { name: 'Accept, Progress: Wren Halloran' }));
    expect(bodies()).toMatchObject([{ answer: 'accepted', optionId: 'next', evidenceKey: 'accepted' }]);
    expect(screen.queryByText('Wren Halloran')).toBeNull();
  });

  test('what the server would not take waits again', async () => {
    const refusedSuggestion = suggestion({ evidenceKey: 'refused' });
    const { user } = show(<Waiting suggestions={[refusedSuggestion]} />);
    await user.click(screen.getByRole('button', { name: /^Accept/ }));
    expect(screen.queryByText('Wren Halloran')).toBeNull();
    const [letter] = useOutbox.getState().messages;
    act(() => useOutbox.setState({ messages: [], refused: [{ ...letter!, reason: 'Changed since.' }] }));
    expect(screen.getByText('Wren Halloran')).toBeTruthy();
  });

  test('changed, each suggestion has its option; what stays as recorded needs a reason', async () => {
    const lift = suggestion({ key: 'level strength.palm-lift', why: 'Palm lift: clean.' });
    const { user } = show(<Waiting suggestions={[suggestion({ evidenceKey: 'changed' }), lift]} />);
    await user.click(screen.getByRole('button', { name: /^Edit…/ }));
    const [first, second] = screen.getAllByRole('group');
    await user.click(within(first!).getByRole('radio', { name: /3×15s/ }));
    await user.click(within(second!).getByRole('radio', { name: 'None of these' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
    await user.type(screen.getByLabelText('Reason'), 'A show on Saturday');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(bodies()).toMatchObject([
      { answer: 'changed', optionId: 'set' },
      { answer: 'declined', reason: 'A show on Saturday' },
    ]);
  });

  describe('a dose that is typed', () => {
    const dose = parseDose('2x20s rest40', usualWay(must(shippedMovement('bearing.palm-support'), 'palm support')));
    const typed = {
      movementId: 'bearing.palm-support',
      levelId: 'all-fours',
      dose,
      planned: [{ levelId: 'all-fours', dose: retypeDose('2x15s', dose) }],
    };
    const opened = async (evidenceKey: string, noMore: boolean) => {
      const option = {
        id: 'next',
        words: 'Palm support: 2×15s → 2×20s',
        effect: AS_IT_IS,
        typed: { ...typed, noMore },
      };
      const { user } = show(<Waiting suggestions={[suggestion({ evidenceKey, options: [option] })]} />);
      await user.click(screen.getByRole('button', { name: /^Edit…/ }));
      const field = screen.getByRole('combobox', { name: 'Dose of Palm support' });
      const type = async (text: string) => {
        await user.clear(field);
        await user.type(field, text);
        await user.tab();
      };
      return { user, type, doThis: () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }) };
    };

    test('goes with the answer', async () => {
      const { user, type, doThis } = await opened('typed', false);
      await type('2x25s');
      await user.click(doThis());
      expect(bodies()).toMatchObject([{ answer: 'changed', optionId: 'next', dose: { sets: 2, work: { seconds: 25 } } }]);
    });

    test('and cannot be read, is not answered without', async () => {
      const { user, type, doThis } = await opened('unread', false);
      await type('2x banana');
      await user.click(doThis());
      expect(bodies()).toEqual([]);
    });

    test('and asks for more than the suggestion may, is told so and rejected', async () => {
      const { type, doThis } = await opened('too much', true);
      await type('3x20s');
      expect(screen.getByRole('alert').textContent).toContain('more work in total than planned');
      expect(doThis().disabled).toBe(true);
      await type('1x10s');
      expect(doThis().disabled).toBe(false);
    });
  });

  test('a referral is not declined', () => {
    show(<Waiting suggestions={[refer]} />);
    expect(screen.queryByRole('button', { name: /^Dismiss/ })).toBeNull();
    expect(screen.getByRole('link', { name: 'Record who cleared Hana' })).toBeTruthy();
  });

  test('by keys alone: to the next, accepted, declined with a reason', async () => {
    const other = suggestion({ athleteId: 'a3', athleteName: 'Olu', evidenceKey: 'keys 2' });
    const { user } = show(<Waiting suggestions={[suggestion({ evidenceKey: 'keys' }), other]} />);
    await user.keyboard('j');
    await user.keyboard('j');
    await user.keyboard('a');
    expect(bodies()).toMatchObject([{ answer: 'accepted' }]);
    await user.keyboard('k');
    await user.keyboard('d');
    await user.keyboard('Not this week{Enter}');
    expect(bodies()).toMatchObject([{ answer: 'accepted' }, { answer: 'declined', reason: 'Not this week' }]);
    expect(screen.queryAllByRole('listitem')).toHaveLength(0);
  });
});
