import { describe, expect, test } from '@jest/globals';
import { addDays } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import { RangeAndStrength } from './range-and-strength.js';

const wren = someone();
const path = `/api/athletes/${wren.id}/readings`;

async function panel(readings: unknown[] = []) {
  const requests = answering({
    [`GET /api/athletes/${wren.id}`]: wren,
    [`GET ${path}`]: readings,
    [`GET /api/athletes/${wren.id}/evidence`]: [],
    [`PUT ${path}/*`]: {},
  });
  const shown = show(<RangeAndStrength athleteId={wren.id} />);
  await settle();
  await shown.user.click(screen.getByRole('button', { name: 'Add reading' }));
  const puts = () => requests.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
  return { ...shown, puts };
}
const value = (unit: string) => screen.getByLabelText(`Value, ${unit}`);

describe('a reading', () => {
  test('of a range is kept in degrees, of today, for the hand it was taken of', async () => {
    const { user, puts } = await panel();
    await user.selectOptions(screen.getByLabelText('Hand'), 'right');
    await user.type(value('°'), '82,5{Enter}');
    await settle();
    expect(puts()).toEqual([{ kind: 'passive range', of: 'wrist extension', hand: 'right', value: 82.5, onDay: isoToday() }]);
    expect(value('°')).toHaveProperty('value', '');
  });

  test('of grip is typed in kilograms, as gauges show it, and kept in newtons', async () => {
    const { user, puts } = await panel();
    await user.selectOptions(screen.getByLabelText('Test'), 'maximum');
    await user.selectOptions(screen.getByLabelText('of'), 'grip');
    await user.type(value('kg'), '30{Enter}');
    await settle();
    expect(puts()).toMatchObject([{ kind: 'maximum', of: 'grip', value: 294.2 }]);
  });

  test.each(['', 'a lot', '400', '-5'])('that says “%s” is refused in the unit it was typed in, and stays', async (typed) => {
    const { user, puts } = await panel();
    if (typed) await user.type(value('°'), typed);
    await user.click(screen.getByRole('button', { name: 'Add' }));
    expect(screen.getByRole('alert').textContent).toMatch(/^Enter a number from \d+–\d+°\.$/);
    expect(value('°')).toHaveProperty('value', typed);
    expect(puts()).toEqual([]);
  });

  test('that cannot be sent says so and is still there to be sent again', async () => {
    answering({
      [`GET /api/athletes/${wren.id}`]: wren,
      [`GET ${path}`]: [],
      [`GET /api/athletes/${wren.id}/evidence`]: [],
    });
    const { user } = show(<RangeAndStrength athleteId={wren.id} />);
    await settle();
    await user.click(screen.getByRole('button', { name: 'Add reading' }));
    await user.type(value('°'), '80{Enter}');
    expect((await screen.findByRole('alert')).textContent).toBe('The server isn’t responding.');
    expect(value('°')).toHaveProperty('value', '80');
  });
});

describe('what stands there', () => {
  const ago = (days: number) => addDays(isoToday(), -days);
  const grip = (id: string, value: number, days: number, hand = 'left') => ({
    id: `01890000-0000-7000-8000-0000000000${id}`,
    ...{ kind: 'maximum', of: 'grip', hand, value, onDay: ago(days) },
  });

  test('a measured maximum stands in a narrow band, an estimated one in a wide one', async () => {
    await panel([grip('a1', 343.23, 5)]);
    const band = (row: RegExp, index: number) => {
      const cell = screen.getAllByRole('row', { name: row }).at(-1)!.querySelectorAll('td')[index];
      const [low, high] = cell!.querySelector('.block')!.textContent!.split('–');
      return Number(high) / Number(low);
    };
    expect(screen.getByRole('row', { name: /^grip/ }).textContent).toMatch(/34\.\d/);
    expect(band(/^grip/, 0)).toBeLessThan(1.25);
    expect(band(/^wrist flexion/, 0)).toBeGreaterThan(1.8);
  });

  test('tests that contradict each other are both kept, and it is said', async () => {
    const { user } = await panel([grip('a1', 500, 40), grip('a2', 250, 5)]);
    await user.click(screen.getByText(/What this rests on: 2/));
    expect(screen.getAllByText('doesn’t fit the other tests; both are kept')).toHaveLength(2);
  });

  test('readings of one day stand in one order, however they arrive', async () => {
    const four = [grip('b1', 300, 3, 'right'), grip('b2', 310, 3), { ...grip('b3', 2, 3), of: 'finger extension' }];
    const order = async (readings: unknown[]) => {
      const { unmount, user } = await panel(readings);
      await user.click(screen.getByRole('button', { name: /readings, the newest first/ }));
      const rows = screen.getAllByRole('listitem').map((row) => row.textContent);
      unmount();
      return rows;
    };
    expect(await order(four)).toEqual(await order(four.toReversed()));
  });
});
