import { describe, expect, test } from '@jest/globals';
import type { Athlete } from '@clay-pot/contracts';
import { screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import BandPage from './band-page.js';

async function page(change: Partial<Athlete> = {}) {
  const athlete = someone(change);
  const at = `/api/athletes/${athlete.id}`;
  const grip = { id: 'g', kind: 'maximum', of: 'grip', hand: 'right', value: 392.266, onDay: isoToday() };
  answering({ [`GET ${at}`]: athlete, [`GET ${at}/readings`]: [grip], [`GET ${at}/evidence`]: [] });
  const shown = show(<BandPage />, `/people/${athlete.id}/band`, '/people/:id/band');
  await settle();
  return shown;
}

describe('pressing to a band', () => {
  test('the band is a share of the measured most, five points to both sides', async () => {
    await page();
    const [, low, high] = /([\d.]+)–([\d.]+) kg/.exec(document.body.textContent!)!.map(Number);
    // 40 kg was measured; what is believed lies a little below, towards the norm of her age and size.
    expect(low! / high!).toBeCloseTo(35 / 45, 2);
    expect(high).toBeGreaterThan(15.5);
    expect(high).toBeLessThan(18.5);
  });

  test('what cannot be is said beside its field, and nothing can be started', async () => {
    const { user } = await page();
    const effort = screen.getByLabelText('Effort, % of maximum');
    await user.clear(effort);
    await user.type(effort, '140');
    expect(screen.getByText('within 1–100 %')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Start' })).toBeNull();
  });

  test('an effort that is capped for this hand is not offered, with the reason', async () => {
    const { user } = await page({ cautions: [{ caution: 'tendon-pain', hand: 'right' }] });
    const effort = screen.getByLabelText('Effort, % of maximum');
    await user.clear(effort);
    await user.type(effort, '90');
    expect(screen.getByRole('note').textContent).toContain('Right hand: don’t load it.');
    expect(screen.queryByRole('button', { name: 'Start' })).toBeNull();
    await user.selectOptions(screen.getByLabelText('Hand'), 'left');
    expect(screen.getByRole('button', { name: 'Start' })).toBeTruthy();
  });

  test('who is not cleared presses nothing', async () => {
    await page({ cautions: [{ caution: 'numbness' }] });
    expect(screen.getByRole('note').textContent).toContain('no loading until');
  });
});
