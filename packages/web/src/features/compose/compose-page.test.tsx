import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { loadSolver, type Sequence } from '@clay-pot/core';
import { type ComposeAnswer, composeWith, type ComposeWork, judgedWith, swapsIn } from '@clay-pot/core/answers';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { workersServe } from '../../near-worker.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import ComposePage from './compose-page.js';

const solver = loadSolver();
const now = () => performance.now();
const questions: ComposeWork[] = [];
const composer = {
  warm: () => undefined,
  prepare: () => undefined,
  // The first answer is enough to see what a page makes of it.
  compose: async (work: ComposeWork) => {
    questions.push(work);
    return composeWith(work, await solver, { now, better: () => false });
  },
  swaps: (work: ComposeWork, blockId: string) => swapsIn(work, blockId),
  judge: (work: ComposeWork, sequence: Sequence, before: ComposeAnswer) => judgedWith(work, sequence, before),
};
let away: () => void;
beforeEach(() => {
  questions.length = 0;
  away = workersServe(composer);
});
afterEach(() => away());

const wren = someone();
async function composing(query = '') {
  const sent = answering({
    'GET /api/athletes': [],
    [`GET /api/athletes/${wren.id}`]: wren,
    'GET /api/athletes/*/*': [],
    'PUT /api/sequences/*': {},
    'PUT /api/assignments/*': {},
  });
  const shown = show(<ComposePage />, `/compose${query}`, '/compose');
  await settle();
  return { ...shown, sent };
}
const compose = () => screen.getByRole('button', { name: /^Generate/ });
const minutes = (typed: string) => fireEvent.change(screen.getByLabelText('Minutes', { exact: true }), { target: { value: typed } });
const keeps = () => screen.findAllByRole('button', { name: /^Keep/ }, { timeout: 15_000 });

describe('composing', () => {
  test('asks with the goal, the minutes and the things of the person, and keeps what is locked', async () => {
    const { user } = await composing(`?athlete=${wren.id}`);
    minutes('8');
    await user.click(compose());
    const [first] = await keeps();
    expect(questions[0]).toMatchObject({ minutes: 8, athlete: { equipment: wren.equipment } });
    await user.click(first!);
    await user.click(screen.getByRole('button', { name: 'Generate again, keeping 1' }));
    await waitFor(() => expect(questions).toHaveLength(2));
    expect(questions[1]!.locked).toHaveLength(1);
  });

  test('what cannot be had together says what would have to change; what is typed badly stays with the reason', async () => {
    const { user } = await composing();
    minutes('8');
    await user.click(compose());
    for (const button of await keeps()) await user.click(button);
    minutes('nonsense');
    expect(screen.getByText('Enter a whole number from 1–240.')).toBeTruthy();
    minutes('2');
    await user.click(screen.getByRole('button', { name: /^Generate again, keeping/ }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/more minutes are needed/), { timeout: 15_000 });
  });
});
