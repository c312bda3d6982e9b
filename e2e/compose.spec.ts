import type { AssignmentItem, StoredSequence } from '@clay-pot/contracts';
import { expect, idIn, openSequence, saved, tabTo, test, openToday, someoneNew, more } from './house.js';

test('a sequence is composed for somebody, one block kept, one changed for another, and taken to the editor without a finding', async ({
  coach: page,
  house,
}) => {
  // Somebody without a past: what a week holds already is nothing that a composition could answer for.
  await someoneNew(page, house, 'Callan Reeve');
  await openToday(page);
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('link', { name: 'Callan Reeve', exact: true }).click();
  await more(page, 'Generate sequence');
  await expect(page.getByLabel('Athlete', { exact: true })).toHaveValue(/.+/);
  await expect(page.getByLabel('Goal')).toHaveValue('handstand-load');
  await page.getByLabel('Minutes', { exact: true }).fill('12');
  await page.getByRole('button', { name: 'Generate', exact: true }).click();
  await expect(page.getByText(/^found in/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText(/^Within \d/)).toBeVisible();
  const rows = page.getByRole('region', { name: /^(Warm-up|Range|Load|Strength|Skill|Cool-down)$/ }).getByRole('listitem');
  await expect(rows.first()).toContainText(/For free movement|Only this one does it/);
  await expect(rows.first()).not.toContainText(/of \d+ s for/);
  await page.getByRole('button', { name: 'Show figures' }).click();
  await expect(rows.first()).toContainText(/of \d+ s for/);
  await expect(page.getByText('movements left out, and why')).toBeVisible();

  // Keep one, and have the rest anew in another room.
  const kept = await rows.last().getByRole('button', { name: /^Keep/ }).getAttribute('aria-label');
  const name = kept!.replace('Keep ', '');
  await page.getByRole('button', { name: kept! }).click();
  await page.getByRole('button', { name: /^Equipment and space/ }).click();
  await page.getByRole('button', { name: 'no floor' }).click();
  await page.getByRole('button', { name: 'Generate again, keeping 1' }).click();
  await expect(page.getByText(/^found in/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeVisible();

  // Another movement for the first that has one: what changes is said before it is taken.
  const others = page.getByRole('list', { name: 'Alternatives' }).getByRole('button');
  for (const row of await rows.all()) {
    await row.getByRole('button', { name: /^Others for/ }).click();
    await expect(others.first().or(page.getByText('No other movement does the same.')).first()).toBeVisible();
    if (await others.first().isVisible()) break;
    await row.getByRole('button', { name: /^Others for/ }).click();
  }
  await expect(others.first()).toContainText(/(longer|shorter|as long)$/);
  const otherName = (await others.first().locator('b').textContent())!;
  await others.first().click();
  await expect(rows.filter({ hasText: otherName })).toHaveCount(1);

  await page.getByRole('button', { name: 'Use this sequence for Callan' }).click();
  await expect(page.getByLabel('Title')).toHaveValue(/handstands/);
  const { document } = await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`);
  expect(document.budgetMin).toBe(12);
  const given = await house.read<AssignmentItem[]>(page, '/assignments');
  expect(given.find(({ sequenceId }) => sequenceId === idIn(page))?.athleteName).toBe('Callan Reeve');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('no findings');
});

test('by keyboard only: a sequence is fitted to fewer minutes with its own movements, and what was there comes back', async ({
  coach: page,
}) => {
  await openSequence(page, 'Lantern class, twenty minutes');
  await saved(page);
  const blocks = page.getByRole('listitem', { name: /^Block/ });
  const before = await blocks.count();
  await tabTo(page, 'button', 'Fit');
  await page.keyboard.press('Enter');
  await tabTo(page, 'textbox', 'Minutes');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('9');
  await tabTo(page, 'switch', 'Allow other movements');
  await page.keyboard.press('Space');
  await tabTo(page, 'button', 'Fit to time');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^found in/)).toBeVisible({ timeout: 40_000 });
  await tabTo(page, 'button', 'Use this sequence');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Time available, min')).toHaveValue('9');
  expect(await blocks.count()).toBeLessThan(before);
  expect(await page.getByTestId('total').textContent()).toMatch(/^[5-8]:|^9:00/);
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Time available, min')).toHaveValue('20');
  await expect(blocks).toHaveCount(before);
});
