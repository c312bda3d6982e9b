import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { addDays } from '@clay-pot/core';
import { fireEvent, screen } from '@testing-library/react';
import { SHORT, SHORT_ID, someone, storedShort } from '../../made-up.fixture.js';
import { workersServe } from '../../near-worker.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import NewProgrammePage from './new-programme-page.js';

const wren = someone();
const LISTED = {
  id: SHORT_ID,
  etag: '"3"',
  title: SHORT.title,
  purpose: '',
  budgetMin: 10,
  durationMs: 100_000,
  blockCount: 3,
  athletes: [],
  updatedAt: '2026-05-01T08:00:00.000Z',
};
let away: () => void;
beforeEach(() => {
  away = workersServe({ warm: () => undefined, prepare: () => undefined });
});
afterEach(() => away());

async function planning(query = `?athlete=${wren.id}`) {
  const sent = answering({
    'GET /api/athletes': [],
    'GET /api/athletes/*': wren,
    'GET /api/athletes/*/*': [],
    'GET /api/sequences': [LISTED],
    [`GET /api/sequences/${SHORT_ID}`]: storedShort(),
    'PUT /api/programmes/*': {},
  });
  const shown = show(<NewProgrammePage />, `/programmes/new${query}`, '/programmes/new');
  await settle();
  return { ...shown, sent };
}
const make = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Create programme' });
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label, { exact: true }), { target: { value } });

describe('a new programme', () => {
  test('belongs to somebody: without one it asks for whom', async () => {
    await planning('');
    expect(screen.getByText('A programme belongs to one athlete.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Create programme' })).toBeNull();
  });

  test('what cannot be is said beside its field, and cannot be made', async () => {
    await planning();
    expect(make().disabled).toBe(false);
    type('Weeks', '0');
    await settle();
    expect(screen.getByLabelText('Weeks', { exact: true }).getAttribute('aria-invalid')).toBe('true');
    expect(make().disabled).toBe(true);
    type('Weeks', '6');
    await settle();
    expect(screen.getByLabelText('Weeks', { exact: true }).getAttribute('aria-invalid')).toBeNull();
    expect(make().disabled).toBe(false);
  });

  test('toward an event the weeks follow from its day, and it may have a name', async () => {
    await planning();
    type('Toward an event on', addDays(isoToday(), 49));
    await settle();
    const weeks = screen.getByLabelText<HTMLInputElement>('Weeks', { exact: true });
    expect(weeks.disabled).toBe(true);
    expect(Number(weeks.value)).toBeGreaterThanOrEqual(7);
    type('Event', 'Harbour meet');
    expect(screen.getByLabelText<HTMLInputElement>('Event').value).toBe('Harbour meet');
  });

  test('of sequences that there are it is made as it is asked for, and opened', async () => {
    const { user, sent } = await planning();
    type('Title', 'Six quiet weeks');
    type('Weeks', '6');
    await user.selectOptions(screen.getByLabelText('Sequence for these days'), SHORT_ID);
    const easy = screen.getByRole('switch', { name: 'Easy days between' });
    if (easy.getAttribute('aria-checked') === 'true') await user.click(easy);
    await user.click(make());
    await settle();
    const put = sent.find(({ what }) => what.startsWith('PUT /api/programmes/'))!;
    expect(put.body).toMatchObject({ athleteId: wren.id, document: { title: 'Six quiet weeks', plans: [{ sequenceId: SHORT_ID }] } });
    expect(screen.getByTestId('where').textContent).toMatch(/^\/programmes\/[0-9a-f-]{36}$/);
  });
});
