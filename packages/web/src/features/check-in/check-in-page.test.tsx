import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { newIntake } from '@clay-pot/core';
import { act, screen, within } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { dropIntake, useIntakeDrafts } from '../../store/intake-drafts.js';
import { useOutbox } from '../../store/outbox.js';
import { useOwnStops } from '../../store/own-stops.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import CheckInPage from './check-in-page.js';

const wren = someone();
const at = `/api/athletes/${wren.id}`;

beforeEach(() => {
  dropIntake(wren.id);
  useOutbox.setState({ messages: [], refused: [] });
  useOwnStops.setState({ stops: [] });
});

async function asking(athlete: Athlete = wren, before: StoredIntake[] = []) {
  const requests = answering({
    [`GET ${at}`]: athlete,
    [`GET ${at}/intakes`]: before,
    [`GET ${at}/readings`]: [],
    [`GET ${at}/evidence`]: [],
    [`PUT ${at}/intakes/*`]: {},
  });
  const shown = show(<CheckInPage />, `/people/${wren.id}/ask`, '/people/:id/ask');
  await settle();
  const press = async (name: string | RegExp) => shown.user.click(screen.getByRole('button', { name }));
  const step = async (name: string) =>
    shown.user.click(within(screen.getByRole('navigation', { name: 'Steps' })).getByRole('button', { name }));
  const puts = () => requests.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
  return { ...shown, press, step, puts };
}
const heading = () => screen.getByRole('heading', { level: 1 }).textContent;
const tick = (name: RegExp) => screen.getByRole('checkbox', { name });
const draft = () => useIntakeDrafts.getState().drafts[wren.id]!.answers;

describe('asking', () => {
  test('nothing told goes through with one button a step, and is recorded as a go', async () => {
    const { press, puts } = await asking();
    expect(heading()).toBe('Do any of these apply?');
    await press('None of these');
    await press('No complaints');
    for (const name of ['Next', 'None of these', 'Next', 'Next', 'Next']) await press(name);
    expect(heading()).toBe('Result');
    expect(screen.getByText('Clear to train.')).toBeTruthy();
    await press('Save');
    await settle();
    expect(puts()).toMatchObject([{ onDay: isoToday(), goals: [], person: {} }]);
    expect(screen.getByTestId('where').textContent).toBe(`/people/${wren.id}`);
    expect(useIntakeDrafts.getState().drafts).toEqual({});
  });

  test('a sign has its hand, and can be taken back', async () => {
    const { user, press, step } = await asking();
    await user.click(tick(/^Objects slip/));
    await user.click(within(screen.getByRole('radiogroup', { name: /Objects slip/ })).getByRole('radio', { name: 'Left' }));
    expect(draft().signs).toEqual([{ sign: 'dropping-things', hand: 'left' }]);
    await step('Result');
    expect(screen.getByText(/No loading until a doctor or hand therapist has cleared it/)).toBeTruthy();
    // What was jumped over was not asked: the other hand is not clear yet.
    expect(screen.getByText('Not asked yet')).toBeTruthy();
    expect(screen.getByText(/Still to ask: places that hurt, injuries and conditions/)).toBeTruthy();
    await step('Warning signs');
    await user.click(tick(/^Objects slip/));
    expect(draft().signs).toEqual([]);
    await press('None of these');
  });

  test('places are chosen from a list where no hand can be drawn, each with what it feels like and how much', async () => {
    const { user, step } = await asking();
    await step('Places');
    await user.click(screen.getByRole('radio', { name: 'Right hand' }));
    await user.click(within(screen.getByRole('group', { name: 'Places' })).getByRole('button', { name: 'Palm' }));
    await user.click(screen.getByRole('button', { name: 'sharp' }));
    await user.click(screen.getByRole('button', { name: 'How much: Palm 3' }));
    expect(draft().symptoms).toEqual([{ place: 'palm', hand: 'right', kind: 'sharp', score: 3 }]);
    await user.click(screen.getByRole('radio', { name: 'Left hand' }));
    await user.click(within(screen.getByRole('group', { name: 'Places' })).getByRole('button', { name: 'Palm' }));
    const answers = screen.getByRole('list', { name: 'Your answers so far' });
    expect(within(answers).getAllByRole('listitem')).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Remove Palm, left' }));
    expect(draft().symptoms).toHaveLength(1);
  });

  test('discomfort of both hands and of one by itself take each other’s place', async () => {
    const { user, step } = await asking();
    await step('When');
    const score = (name: string) => user.click(screen.getByRole('button', { name }));
    await score('During training 4');
    expect(draft().discomfort).toEqual([{ hand: 'both', during: 4 }]);
    await user.click(within(screen.getByRole('radiogroup', { name: 'Which hand' })).getByRole('radio', { name: 'Left' }));
    await score('At night 6');
    expect(draft().discomfort).toEqual([{ hand: 'left', atNight: 6 }]);
  });

  test('why it hurts is answered step by step, changed, and ends in what to try first', async () => {
    const { user, press, step } = await asking();
    await step('When');
    await press('All day, with or without training');
    expect(screen.getByText('Try first: take weight off the hands')).toBeTruthy();
    await press('Change');
    await press('Late in the session');
    await press('Yes');
    expect(draft().path).toEqual(['late', 'yes']);
    await step('Result');
    expect(screen.getByText('Try first: go back to the previous load')).toBeTruthy();
    expect(user).toBeTruthy();
  });

  test('who cleared a condition is asked with its day, and half of it does not go through', async () => {
    const { user, press, step } = await asking();
    await step('History');
    await user.click(tick(/^Surgery/));
    await user.type(screen.getByLabelText('Cleared by (doctor or therapist)'), 'Dr Amari Voss');
    await press('Next');
    expect(screen.getByText('needs both the date of the clearance and who gave it')).toBeTruthy();
    expect(heading()).toBe('Injuries and conditions');
    await user.type(screen.getByLabelText('Cleared on'), '2026-02-01');
    await press('Next');
    expect(heading()).toBe('What are the goals?');
    expect(draft().history).toEqual([{ condition: 'surgery', hand: 'both', clearedBy: 'Dr Amari Voss', clearedOn: '2026-02-01' }]);
  });

  test('a number that cannot be stays, and the result leads back to it', async () => {
    const { user, press, step } = await asking();
    await step('Profile');
    const mass = screen.getByLabelText('Weight, kg');
    expect(mass).toHaveProperty('value', '62');
    await user.clear(mass);
    await user.type(mass, 'much');
    await step('Result');
    await press('Check “Profile”');
    await press('Next');
    expect(screen.getByText(/from 25 to 200 kg/)).toBeTruthy();
  });

  test('is begun with what was said before, and what is discarded is gone', async () => {
    const answers = {
      ...newIntake(wren, null, '2026-01-01'),
      goals: ['grip' as const],
      minutes: 20,
      history: [{ condition: 'tendon' as const, hand: 'left' as const }],
    };
    const { press, step } = await asking(wren, [{ id: 'old', answers, verdict: 'adapt' }]);
    await step('History');
    expect(tick(/^Tendon/).getAttribute('aria-checked')).toBe('true');
    await step('Goals');
    expect(tick(/^Grip/).getAttribute('aria-checked')).toBe('true');
    await step('Warning signs');
    await press('Discard');
    expect(useIntakeDrafts.getState().drafts).toEqual({});
    expect(screen.getByTestId('where').textContent).toBe(`/people/${wren.id}`);
    act(() => useToast.getState().toast!.action!.run());
    expect(useIntakeDrafts.getState().drafts[wren.id]!.answers.goals).toEqual(['grip']);
    expect(screen.getByTestId('where').textContent).toBe(`/people/${wren.id}/ask`);
  });

  test('a child’s age is read from the record, though nobody says it', async () => {
    const { step } = await asking(someone({ birthDate: `${new Date().getFullYear() - 12}-01-01` }));
    await step('Result');
    expect(screen.getByText('Train within the limits below.')).toBeTruthy();
    expect(screen.getByText('12 years old')).toBeTruthy();
  });
});
