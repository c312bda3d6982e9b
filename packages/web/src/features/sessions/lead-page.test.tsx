import { beforeEach, describe, expect, test } from '@jest/globals';
import { printSets, type Programme, stopCaution } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { SHORT, SHORT_ID, sequenceOf, someone, storedShort } from '../../made-up.fixture.js';
import { answering, choose, settle, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { keepStop, useOwnStops } from '../../store/own-stops.js';
import { beginRun, useRun } from '../../store/run.js';
import LeadPage from './lead-page.js';

beforeEach(() => {
  useRun.setState({ run: null });
  useOwnStops.setState({ stops: [] });
  useOutbox.setState({ messages: [], refused: [] });
});

async function threshold({ athlete = someone(), document = SHORT, chosen = true, of = '', programmes = {} } = {}) {
  answering({
    ...programmes,
    [`GET /api/sequences/${SHORT_ID}`]: storedShort(document),
    'GET /api/athletes': [athlete],
    [`GET /api/athletes/${athlete.id}`]: athlete,
    [`GET /api/athletes/${athlete.id}/readings`]: [],
    [`GET /api/athletes/${athlete.id}/evidence`]: [],
    [`GET /api/athletes/${athlete.id}/past`]: [],
    [`GET /api/athletes/${athlete.id}/intakes`]: [],
  });
  const query = chosen ? `?athlete=${athlete.id}${of}` : '';
  const shown = show(<LeadPage />, `/sequences/${SHORT_ID}/lead${query}`, '/sequences/:id/lead');
  await settle();
  return shown;
}
const startButton = () => screen.getByRole('button', { name: 'Start' });
const ask = () => screen.getByRole('checkbox', { name: /^I asked today/ });

describe('before a session', () => {
  test('it begins for somebody, after asking, and not before', async () => {
    const { user } = await threshold();
    expect(screen.getByText('Firm ball')).toBeTruthy();
    expect(screen.getByText('No check-in yet.')).toBeTruthy();
    expect(startButton()).toHaveProperty('disabled', true);
    await user.click(ask());
    await user.click(startButton());
    expect(useRun.getState().run).toMatchObject({
      athleteName: 'Wren Halloran',
      sequenceId: SHORT_ID,
      sequence: SHORT,
    });
    expect(screen.getByTestId('where').textContent).toBe('/session');
  });

  test('what is measured around the session is told while the gauge can still be fetched', async () => {
    await threshold({ document: { ...SHORT, tests: ['force.grip', 'passive.wrist-extension'] } });
    expect(screen.getByText('Tested before and after: Grip, maximum strength; Wrist extension, passive range.')).toBeTruthy();
  });

  test('without anybody chosen it does not begin; choosing puts them into the address', async () => {
    const { user } = await threshold({ chosen: false });
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', true);
    await choose(user, 'Athlete', /^Wren Halloran/);
    await settle();
    expect(screen.getByTestId('where').textContent).toContain(`athlete=${someone().id}`);
    expect(startButton()).toHaveProperty('disabled', false);
  });

  test('what may not begin says why and where it is answered, and cannot be started', async () => {
    const { user } = await threshold({ athlete: someone({ cautions: [{ caution: 'recent-injury' }] }) });
    const alert = screen.getByRole('alert').textContent;
    expect(alert).toContain('Session blocked');
    expect(alert).toContain('Record who cleared Wren Halloran');
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', true);
  });

  test('what was stopped on this device holds at once, before the server has heard of it', async () => {
    keepStop(someone().id, stopCaution('01890000-0000-7000-8000-0000000000bb', { sign: 'numbness', hand: 'left', onDay: '2026-05-01' }));
    const { user } = await threshold();
    expect(screen.getByRole('alert').textContent).toContain('Left hand: numbness or tingling, stopped on 1 May 2026');
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', true);
  });

  test('what only asks for care is told and does not stop it', async () => {
    const { user } = await threshold({ athlete: someone({ cautions: [{ caution: 'hypermobility' }] }) });
    expect(screen.getByRole('heading', { name: 'Precautions' })).toBeTruthy();
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', false);
  });

  test('a session that is still open is ended first', async () => {
    const other = {
      athleteId: 'x',
      athleteName: 'Ruan Pellew',
      cautions: [],
      equipment: [],
      sequenceId: 's',
      sequence: SHORT,
    };
    beginRun(other);
    const { user } = await threshold();
    expect(screen.getByText(/^A session for Ruan Pellew is still in progress/)).toBeTruthy();
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', true);
  });

  test('a sequence without blocks sends to the editor', async () => {
    await threshold({ document: sequenceOf([]) });
    expect(screen.getByRole('link', { name: 'Add blocks.' }).getAttribute('href')).toBe(`/sequences/${SHORT_ID}`);
  });

  test('a server that does not answer is said, with a way to ask again', async () => {
    answering({});
    show(<LeadPage />, `/sequences/${SHORT_ID}/lead`, '/sequences/:id/lead');
    expect(await screen.findByRole('alert', {}, { timeout: 9000 })).toHaveProperty(
      'textContent',
      expect.stringContaining('The server isn’t responding.'),
    );
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  }, 15_000);
});

describe('a session of a programme', () => {
  const PROGRAMME_ID = '01890000-0000-7000-8000-0000000000bb';
  const document: Programme = {
    title: 'Last 8 weeks',
    fromDay: '2026-06-08',
    weeks: [
      { kind: 'build', amountPercent: 100 },
      { kind: 'easier', amountPercent: 50 },
    ],
    plans: [{ id: 'a', sequenceId: SHORT_ID }],
    sessions: [
      { id: 's1', day: '2026-06-09', planId: 'a' },
      { id: 's2', day: '2026-06-16', planId: 'a' },
    ],
  };
  const programmes = { [`GET /api/programmes/${PROGRAMME_ID}`]: { id: PROGRAMME_ID, document } };
  const led = async (session: string, given: object = programmes) => {
    const { user } = await threshold({ of: `&programme=${PROGRAMME_ID}&session=${session}`, programmes: given });
    await user.click(ask());
    await user.click(startButton());
    return useRun.getState().run!.sequence.blocks.map(({ dose }) => printSets(dose));
  };

  test('is led with the doses of its day: an easier week has half of what loads, and all of what moves', async () => {
    expect(await led('s2')).toEqual(['1x20s', '1x4', '1x3']);
  });
  test('of a usual week is the sequence itself, and says of which programme it is', async () => {
    expect(await led('s1')).toEqual(SHORT.blocks.map(({ dose }) => printSets(dose)));
  });
  test('whose programme cannot be read is led as the sequence stands, and says so', async () => {
    const { user } = await threshold({ of: `&programme=${PROGRAMME_ID}&session=gone`, programmes });
    expect(screen.getByText(/Couldn’t load the programme/)).toBeTruthy();
    await user.click(ask());
    expect(startButton()).toHaveProperty('disabled', false);
  });
});
