import { expect, test } from '@jest/globals';
import type { LevelItem } from '@clay-pot/contracts';
import type { GateForecast } from '@clay-pot/core';
import { fireEvent, screen, within } from '@testing-library/react';
import { answering, settle, show } from '../../screen.fixture.js';
import { LevelsWall } from './levels-wall.js';

const UNKNOWN: GateForecast = {
  levelId: 'knees-back',
  onDay: null,
  fromDay: null,
  toDay: null,
  why: 'Not known yet: 2 sessions.',
  sooner: [],
};

const level = (change: Partial<LevelItem> = {}): LevelItem => ({
  movementId: 'bearing.palm-support',
  hand: 'left',
  levelId: 'knees-back',
  gate: { unit: 'seconds', amount: 30, sets: 2, sessions: 2 },
  gateWords: '2x30s in 2 sessions',
  streak: 2,
  step: { kind: 'level up', levelId: 'pike' },
  why: '2x30s in 2 sessions: done.',
  forecast: UNKNOWN,
  goal: null,
  history: [
    {
      sessionId: 's1',
      endedAt: '2026-05-18T09:10:00.000Z',
      onDay: '2026-05-18',
      levelId: 'knees-back',
      unit: 'seconds',
      sets: 2,
      amount: 30,
      effortPercent: null,
      isWhole: true,
      discomfort: 1,
      exertion: null,
      formFaults: ['Index knuckle lifts'],
    },
  ],
  ...change,
});

async function walls(levels: LevelItem[]) {
  answering({ 'GET /api/athletes/a1/levels': levels });
  show(<LevelsWall athleteId="a1" />);
  await settle();
  return screen.queryAllByRole('list', { name: /^Ladder of/ });
}

test('each hand stands on its own level, and what comes next is said of each', async () => {
  const [wall] = await walls([level(), level({ hand: 'right', levelId: 'all-fours', step: { kind: 'hold' }, why: 'Not quite was done.' })]);
  const bricks = within(wall!).getAllByRole('listitem');
  const standing = bricks.flatMap((brick) =>
    [...brick.querySelectorAll('[title=left], [title=right]')].map(
      (mark) => `${mark.getAttribute('title')} on ${brick.getAttribute('title')}`,
    ),
  );
  expect(standing.sort()).toEqual(['left on Knees back', 'right on All fours']);
  expect(screen.getByText('Left hand:').parentElement?.textContent).toBe('Left hand: 2x30s in 2 sessions: done.');
  expect(screen.getByText('Right hand:')).toBeTruthy();
});

test('what is the same for both hands is said once, and what it rests on links to the record', async () => {
  await walls([level(), level({ hand: 'right' })]);
  fireEvent.click(screen.getByRole('button', { name: 'Based on' }));
  expect(screen.getAllByText('Both hands:')).toHaveLength(1);
  expect(screen.getAllByRole('link', { name: /18 May/ })[0]?.getAttribute('href')).toBe('/records/s1');
  expect(screen.getAllByText(/form: index knuckle lifts/)).toHaveLength(2);
});

test('what may go on or must go back stands before what stays', async () => {
  const ladders = await walls([level({ movementId: 'strength.palm-lift', levelId: 'all-fours', step: { kind: 'hold' } }), level()]);
  expect(ladders.map((each) => each.getAttribute('aria-label'))).toEqual(['Ladder of Palm support', 'Ladder of Palm lift']);
});

test('without sessions it says where levels come from', async () => {
  expect(await walls([])).toEqual([]);
  expect(screen.getByText(/come from sessions/)).toBeTruthy();
});

test('when gates are likely passed is told of the hand that comes there last, or why nobody knows', async () => {
  const forecastFor = (fromDay: string): GateForecast => ({
    ...UNKNOWN,
    fromDay,
    onDay: fromDay,
    toDay: '2026-08-01',
    sooner: [{ words: 'without a flare-up', days: 9 }],
  });
  const goal = { words: 'weight bearing in wrist extension', levelName: 'Wall', forecast: UNKNOWN };
  await walls([level({ forecast: forecastFor('2026-06-20'), goal }), level({ hand: 'right', forecast: forecastFor('2026-07-04'), goal })]);
  expect(screen.getByText('likely 4 Jul 2026 to 1 Aug 2026').parentElement?.textContent).toContain('Sooner by without a flare-up (9 days)');
  expect(screen.getByText(/^Goal, weight bearing in wrist extension: “Wall”: not known yet: 2 sessions\./)).toBeTruthy();
});
