import { describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import { RangeAndStrength } from './range-and-strength.js';

const wren = someone();
const path = `/api/athletes/${wren.id}/readings`;

async function panel(readings: unknown[] = []) {
  const asked = answering({
    [`GET /api/athletes/${wren.id}`]: wren,
    [`GET ${path}`]: readings,
    [`PUT ${path}/*`]: {},
  });
  const shown = show(<RangeAndStrength athleteId={wren.id} />);
  await settle();
  await shown.user.click(screen.getByRole('button', { name: 'Add a reading' }));
  const puts = () => asked.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
  return { ...shown, puts };
}
const value = (unit: string) => screen.getByLabelText(`Value, ${unit}`);

describe('a reading', () => {
  test('of a range is kept in degrees, of today, for the hand it was taken of', async () => {
    const { user, puts } = await panel();
    await user.selectOptions(screen.getByLabelText('Hand'), 'right');
    await user.type(value('°'), '82,5{Enter}');
    await settle();
    expect(puts()).toEqual([
      { kind: 'passive range', of: 'wrist extension', hand: 'right', value: 82.5, onDay: isoToday() },
    ]);
    expect(value('°')).toHaveProperty('value', '');
  });

  test('of grip is typed in kilograms, as gauges show it, and kept in newtons', async () => {
    const { user, puts } = await panel();
    await user.selectOptions(screen.getByLabelText('Measured'), 'maximum');
    await user.selectOptions(screen.getByLabelText('of'), 'grip');
    await user.type(value('kg'), '30{Enter}');
    await settle();
    expect(puts()).toMatchObject([{ kind: 'maximum', of: 'grip', value: 294.2 }]);
  });

  test.each(['', 'a lot', '400', '-5'])(
    'that says “%s” is refused in the unit it was typed in, and stays',
    async (typed) => {
      const { user, puts } = await panel();
      if (typed) await user.type(value('°'), typed);
      await user.click(screen.getByRole('button', { name: 'Add' }));
      expect(screen.getByRole('alert').textContent).toMatch(/^Type a number within \d+–\d+ °\.$/);
      expect(value('°')).toHaveProperty('value', typed);
      expect(puts()).toEqual([]);
    },
  );

  test('that cannot be sent says so and is still there to be sent again', async () => {
    answering({ [`GET /api/athletes/${wren.id}`]: wren, [`GET ${path}`]: [] });
    const { user } = show(<RangeAndStrength athleteId={wren.id} />);
    await settle();
    await user.click(screen.getByRole('button', { name: 'Add a reading' }));
    await user.type(value('°'), '80{Enter}');
    expect((await screen.findByRole('alert')).textContent).toBe('The server does not answer.');
    expect(value('°')).toHaveProperty('value', '80');
  });
});
