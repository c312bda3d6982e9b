import type { Page } from '@playwright/test';
import { expect, openToday, pass, signIn, test } from './house.js';
import { keepRecord, lead, skip } from './leading.js';

/** How many entries the browser keeps, to be sent. */
const keptIn = (tab: Page) =>
  tab.evaluate(async () => {
    const done = <T>(request: IDBRequest<T>) => new Promise<T>((resolve) => (request.onsuccess = () => resolve(request.result)));
    const database = await done(indexedDB.open('clay-pot'));
    const count = await done(database.transaction('outbox').objectStore('outbox').count());
    database.close();
    return count;
  });

test('two tabs lead one session for two minutes under a dropped network, one is closed: every set arrives once', async ({
  coach: page,
  house,
  context,
}) => {
  await lead(page, 'Warm thumbs', 'Wilf Tarrant');
  await pass(page, 30_000);
  const other = await context.newPage();
  await other.goto('/session');
  await expect(
    other.getByRole('heading', { name: 'Running in another tab' }).or(other.getByRole('button', { name: 'Continue', exact: true })),
  ).toBeVisible();
  // The clock of the first goes on: the other tab sees it run, and may take over.
  await page.clock.runFor(2_000);
  await expect(other.getByRole('heading', { name: 'Running in another tab' })).toBeVisible();
  await context.setOffline(true);
  await pass(page, 30_000);
  // The first set is over, and nobody takes it.
  await expect(page.getByText(/waiting to sync/)).toBeVisible();
  await other.clock.install();
  await other.getByRole('button', { name: 'Continue here' }).click();
  await other.getByRole('button', { name: 'Continue', exact: true }).click();
  // The first stands back, and its clock moves nothing.
  await expect(page.getByRole('heading', { name: 'Running in another tab' })).toBeVisible();
  await pass(page, 30_000);
  await pass(other, 30_000);
  await skip(other);
  await expect(other.getByText(/waiting to sync/)).toBeVisible();
  const waiting = async (tab: typeof page) => /\d+/.exec((await tab.getByText(/waiting to sync/).textContent())!)![0];
  // A tab that is closed takes along what the browser hasn’t kept yet.
  await expect.poll(async () => (await keptIn(other)) - Number(await waiting(other))).toBe(0);
  const recorded = await waiting(other);
  await other.close();

  await page.getByRole('button', { name: 'Continue here' }).click();
  await expect(page.getByText(`${recorded} waiting to sync`)).toBeVisible();
  await page.getByRole('button', { name: 'Continue', exact: true }).click();
  await pass(page, 30_000);
  await context.setOffline(false);
  await pass(page, 10_000);
  await expect(page.getByText(/waiting to sync/)).toBeHidden();
  const record = await keepRecord(page, house);
  expect(record.sets.length).toBeGreaterThanOrEqual(4);
});

test('signing out with entries unsent asks; kept ones wait for their account, and everything else leaves the device', async ({
  page,
  context,
}) => {
  // Signed in by itself: the other journeys of this worker stay so.
  await signIn(page);
  await lead(page, 'Careful return', 'Mirela Danko');
  await context.setOffline(true);
  await pass(page, 20_000);
  await skip(page);
  await expect(page.getByText(/waiting to sync/)).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();
  // It answers the sign-out, and does not take the entries yet.
  await page.route('**/api/sessions/**', (route) => route.fulfill({ status: 503, body: '' }));
  await context.setOffline(false);
  await page.goto('/account');
  await page.getByRole('main').getByRole('button', { name: 'Sign out' }).click();
  const question = page.getByRole('dialog', { name: 'Sign out of this device?' });
  await expect(question).toContainText(/\d entr(y|ies) on this device ha(s|ve)n’t been sent yet/);
  await expect(question).toContainText('the open session of Mirela Danko');
  await question.getByRole('button', { name: 'Send and sign out' }).click();
  await expect(question.getByRole('alert')).toContainText('You’re still signed in.');
  await question.getByRole('button', { name: 'Keep for me and sign out' }).click();
  await expect(page.getByLabel('E-mail')).toBeVisible();
  const kept = await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('clay-pot:')));
  expect(kept.filter((key) => !key.endsWith(':shelf'))).toEqual([]);

  await page.unroute('**/api/sessions/**');
  const sent = page.waitForResponse((response) => response.url().includes('/sets/') && response.status() === 204);
  await page.getByLabel('E-mail').fill('coach@lanternfield.example');
  await page.getByLabel('Password').fill('lantern-hall');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await sent;
  await openToday(page);
  await expect(page.getByText(/waiting to sync/)).toBeHidden();
  await expect(page.getByText(/Session open/)).toBeHidden();
});
