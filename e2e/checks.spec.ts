import { readFile } from 'node:fs/promises';
import type { EffortSessionAnswer, StoredSequence } from '@clay-pot/contracts';
import type { Page } from '@playwright/test';
import { expect, idIn, openSequence, saved, test, more } from './house.js';

const checks = (page: Page) => page.getByRole('region', { name: 'Checks' });
const count = (page: Page) => page.getByTestId('findings');
const pot = (page: Page) => page.getByRole('region', { name: 'Pot' }).getByRole('slider');

test('from ten findings to none by the fix buttons alone; every step can be undone', async ({ coach: page, house }) => {
  await openSequence(page, 'Find the mistakes');
  await expect(count(page)).toHaveText('10 found');
  await expect(pot(page)).toHaveAccessibleName(/Cracks at .* longer than there is time/);
  const before = (await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`)).document;
  // Each answer takes at least its own finding away; the one that shortens the press settles what hung on its length as well.
  const found = async () => Number.parseInt((await count(page).textContent()) ?? '', 10) || 0;
  let presses = 0;
  for (let left = 10; left > 0; left = await found()) {
    presses++;
    await page.locator('[data-first-fix]').click();
    await expect.poll(found).toBeLessThan(left);
  }
  expect(presses).toBeLessThanOrEqual(8);
  await expect(count(page)).toHaveText('no findings');
  await expect(checks(page)).toContainText(/All \d+ checks passed/);
  await expect(pot(page)).not.toHaveAccessibleName(/Cracks|longer than there is time/);
  await saved(page);
  // The server’s own answer says the same of what was stored.
  const { document } = await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`);
  const { findings } = await house.told<EffortSessionAnswer>(page, 'POST', '/effort/session', { sequence: document });
  expect(findings).toEqual([]);
  for (let step = 0; step < presses; step++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(count(page)).toHaveText('10 found');
  await saved(page);
  expect((await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`)).document).toEqual(before);
});

test('the pot’s width can be weight, effort or dose, stays through a reload, and goes out as a file', async ({ coach: page }) => {
  await openSequence(page, 'Loading the palms');
  const last = page.getByRole('listitem', { name: /^Block 14:/ });
  await pot(page)
    .locator(`[data-coil="${(await last.getAttribute('id'))!.replace('block-', '')}"]`)
    .click();
  await expect(last).toBeInViewport();
  await page.getByLabel('Width').selectOption('load');
  await expect(pot(page)).toHaveAccessibleName(/^Weight on the hand of 14 blocks .* % of body weight/);
  await page.reload();
  await expect(page.getByLabel('Width')).toHaveValue('load');
  for (const [kind, start] of [
    ['SVG', '<svg'],
    ['PNG', '\u0089PNG'],
  ] as const) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: kind, exact: true }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe(`Loading the palms pot.${kind.toLowerCase()}`);
    const text = await readFile((await file.path())!, 'latin1');
    expect(text.startsWith(start)).toBe(true);
    // A file stands alone: no colour of the page’s own is left open.
    if (kind === 'SVG') expect(text).not.toContain('var(--');
  }
});

test('a method is copied, changed and obeyed: by the checks, by new blocks, by the sheet', async ({ coach: page }) => {
  await page.goto('/methods');
  await page.getByRole('button', { name: 'Duplicate Floor loading and edit it' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Breathing floor');
  await page.getByLabel('Dosing').selectOption('breaths');
  await page.getByLabel('Maximum effort of any block, %').fill('200');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('within 10–100 %')).toBeVisible();
  await page.getByLabel('Maximum effort of any block, %').fill('20');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('columnheader', { name: /Breathing floor/ })).toBeVisible();
  await openSequence(page, 'Lantern class, twenty minutes');
  await expect(count(page)).toHaveText('no findings');
  await page.getByLabel('Method', { exact: true }).selectOption({ label: 'Breathing floor' });
  await expect(checks(page)).toContainText('Breathing floor allows up to 20 %');
  await page.getByRole('button', { name: /^Add Palm rocks, fore and aft/ }).click();
  await expect(page.getByLabel('Dose of Palm rocks, fore and aft').last()).toHaveValue(/br/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByLabel('Method', { exact: true }).selectOption({ label: 'Daily range' });
  await expect(count(page)).toHaveText('no findings');
  await saved(page);
  // A short sequence has room for cues on its sheet: pressure in the hand is worded by the method.
  await openSequence(page, 'Careful return');
  await page.getByLabel('Method', { exact: true }).selectOption({ label: 'Breathing floor' });
  await saved(page);
  await more(page, 'Sheet');
  await expect(page.getByText('Mild discomfort is fine if it stops')).toBeVisible();
  await expect(page.getByText('Press the finger pads, keep the heel of the hand light.').first()).toBeVisible();
});

test('plan and done side by side, and two sequences: pots on one scale, what differs by name', async ({ coach: page }) => {
  await page.goto('/records');
  await page.locator('td a[href^="/records/"]').first().click();
  await page.getByRole('link', { name: 'Compare as pots' }).click();
  await expect(page.getByRole('heading', { name: /^Done on / })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Effort of/ })).toHaveCount(2);
  await openSequence(page, 'Careful return');
  await more(page, 'Compare');
  await page.getByLabel('Compare with').selectOption({ label: 'Warm thumbs' });
  await expect(page.getByText(/^Title: “Warm thumbs” → “Careful return”$/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Warm thumbs' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Warm thumbs' })).toBeVisible();
});

test('a week stands as pots side by side with its doses; a person without sessions is told so', async ({ coach: page }) => {
  await page.goto('/people');
  await page.getByRole('link', { name: 'Callum Reyes-Whitlock', exact: true }).click();
  await more(page, 'Week');
  await page.getByRole('button', { name: 'Previous week' }).click();
  await expect(page.getByRole('img', { name: /^Effort of 14 blocks/ }).first()).toBeVisible();
  for (const head of ['Tiring work, day by day', 'Last seven days, by muscle group']) {
    const table = page.locator('section', { has: page.getByRole('heading', { name: head }) });
    await expect(table.getByRole('row', { name: /^wrist flexors/ })).toContainText(/\d\.\d\d/);
  }
  await expect(page.getByText('it is a prompt, not a verdict')).toBeVisible();
  await page.goto('/people/new');
  await page.getByLabel('Name').fill('Nobody Yet');
  await page.getByRole('button', { name: 'Add athlete' }).click();
  await more(page, 'Week');
  await expect(page.getByText('has no finished session in this week, nor in the four weeks before today')).toBeVisible();
});
