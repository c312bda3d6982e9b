import type { StoredSequence } from '@clay-pot/contracts';
import { expect, idIn, openSequence, saved, test, openToday } from './house.js';

test('without a connection work is kept on the device, through a reload, and saved when it is back', async ({ coach: page, house }) => {
  await openSequence(page, 'Loading the palms');
  await page.route('**/api/sequences/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await page.getByLabel('Time available, min').fill('33');
  await page.getByLabel('Time available, min').blur();
  await expect(page.getByTestId('save-state')).toHaveText('Saved on this device');
  await page.reload();
  await expect(page.getByLabel('Time available, min')).toHaveValue('33');
  await page.unroute('**/api/sequences/*');
  await saved(page);
  expect((await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`)).document.budgetMin).toBe(33);
});

test('undo survives a reload and a way to another page; kept work is there at once without a network, and says so', async ({
  coach: page,
  house,
}) => {
  await openSequence(page, 'Free movement between assignments');
  const minutes = page.getByLabel('Time available, min');
  const before = await minutes.inputValue();
  for (const next of ['41', '42']) {
    await minutes.fill(next);
    await minutes.blur();
    await saved(page);
  }
  await page.reload();
  await expect(minutes).toHaveValue('42');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(minutes).toHaveValue('41');
  await saved(page);
  const id = idIn(page);
  const width = (await page.getByTestId('save-state').boundingBox())!.width;

  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
  await page.getByRole('link', { name: 'Sequences', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Sequences' })).toBeVisible();
  await page.getByRole('link', { name: 'Free movement between assignments', exact: true }).click();
  await expect(minutes).toHaveValue('41');
  await house.stop();
  await minutes.fill('43');
  await minutes.blur();
  await expect(page.getByTestId('save-state')).toHaveText('Saved on this device');
  // The state of saving takes as much room as before: nothing moves.
  expect((await page.getByTestId('save-state').boundingBox())!.width).toBe(width);
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'No connection' })).toBeVisible();
  await page.getByRole('link', { name: 'Sequences', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Sequences' })).toBeVisible();
  await page.getByRole('link', { name: 'Free movement between assignments', exact: true }).click();
  await expect(minutes).toHaveValue('43');
  await expect(page.getByTestId('save-state')).toHaveText('Saved on this device');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(minutes).toHaveValue('41');
  await page.getByRole('button', { name: 'Redo' }).click();

  // Everything goes on by itself.
  await house.start();
  await saved(page);
  await expect(page.getByRole('status').filter({ hasText: 'No connection' })).toHaveCount(0);
  expect((await house.read<StoredSequence>(page, `/sequences/${id}`)).document.budgetMin).toBe(43);
  await minutes.fill(before);
  await minutes.blur();
  await saved(page);
});

test.describe('with the stored shell', () => {
  test.use({ serviceWorkers: 'allow' });

  test('without a server Today, the lists and a sequence open from what was last seen', async ({ coach: page, house }) => {
    await openToday(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.goto('/sequences');
    await page.getByRole('link', { name: 'Warm thumbs' }).click();
    await expect(page.getByLabel('Title')).toHaveValue('Warm thumbs');
    await page.getByRole('link', { name: 'People', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Wilf Tarrant', exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Today', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
    // A moment later it is kept.
    await page.waitForTimeout(2_000);
    await house.stop();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
    await page.getByRole('link', { name: 'People', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Wilf Tarrant', exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Sequences', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Sequences' })).toBeVisible();
    await page.getByRole('link', { name: 'Warm thumbs', exact: true }).click();
    await expect(page.getByLabel('Title')).toHaveValue('Warm thumbs');
    await house.start();
    await expect(page.getByRole('status').filter({ hasText: 'No connection' })).toHaveCount(0);
  });
});
