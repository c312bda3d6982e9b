import type { CopyItem, SequenceListItem, StoredProgramme, StoredSequence } from '@clay-pot/contracts';
import { addDays, WEEKDAY_NAMES } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { expect, idIn, saved, someoneNew, tabTo, test } from './house.js';

const HER_DAYS: readonly string[] = ['Tue', 'Thu', 'Sat'];

test('one programme for a group of eight: looked at for each, given, changed, and the change offered to each by keys', async ({
  coach: page,
  house,
}) => {
  const leader = await someoneNew(page, house, 'Group Leader');
  // Copies have sequences of their own: their names are no other journey’s.
  for (const [title, like] of [
    ['Group load', 'Loading the palms'],
    ['Group easy', 'Free movement between assignments'],
  ]) {
    const [listed] = (await house.read<SequenceListItem[]>(page, '/sequences')).filter((each) => each.title === like);
    const { document } = await house.read<StoredSequence>(page, `/sequences/${listed!.id}`);
    const made = await page.request.put(`${house.address}/api/sequences/${uuid()}`, {
      data: { ...document, title },
      headers: { origin: house.address },
    });
    expect(made.status()).toBe(200);
  }
  await page.goto(`/programmes/new?athlete=${leader}`);
  await page.getByLabel('Title').fill('Four weeks together');
  await page.getByLabel('Weeks', { exact: true }).fill('4');
  await page.getByLabel('Sessions for the goal, a week').fill('2');
  await page.getByLabel('Sequence for these days').selectOption({ label: 'Group load' });
  await page.getByLabel('Sequence for easy days').selectOption({ label: 'Group easy' });
  await page.getByRole('button', { name: 'Create programme' }).click();
  await expect(page.getByRole('group', { name: 'Calendar' })).toBeVisible();
  const sourceId = idIn(page);
  const copies = () => house.read<CopyItem[]>(page, `/programmes/${sourceId}/copies`);

  // Seven more, one of them on days of her own, each looked at before anything is kept.
  await page.getByRole('link', { name: 'Copy to other people' }).click();
  await expect(page.getByRole('heading', { name: 'Group: Four weeks together' })).toBeVisible();
  const names = ['Anneke Vos', 'Béatrice Lemoine', 'Ines Okafor-Lund', 'Mirela Danko', 'Ruan Pellew', 'Saskia Brandvold', 'Tobi Marchetti'];
  for (const name of names) await page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).check();
  const days = page.getByRole('group', { name: 'Days of Saskia Brandvold' });
  for (const name of WEEKDAY_NAMES) {
    const day = days.getByRole('button', { name });
    const isOn = (await day.getAttribute('aria-pressed')) === 'true';
    if (!isOn && HER_DAYS.includes(name)) await day.click();
  }
  for (const name of WEEKDAY_NAMES) {
    const day = days.getByRole('button', { name });
    const isOn = (await day.getAttribute('aria-pressed')) === 'true';
    if (isOn && !HER_DAYS.includes(name)) await day.click();
  }
  await page.getByRole('button', { name: 'Show what is different for each' }).click();
  await expect(page.getByRole('group', { name: 'What is different for Mirela Danko' })).toBeVisible({ timeout: 30_000 });
  expect(await copies()).toEqual([]);
  await page.getByRole('button', { name: 'Create 7 copies' }).click({ timeout: 60_000 });
  await expect(page.getByText('7 people', { exact: true })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('up to date')).toHaveCount(7);
  const saskia = (await copies()).find(({ athleteName }) => athleteName === 'Saskia Brandvold')!;
  expect(saskia.weekdays).toEqual([2, 4, 6]);

  // The group’s programme changes: its last session moves a day.
  await page.getByRole('link', { name: 'Open the programme' }).click();
  const { document } = await house.read<StoredProgramme>(page, `/programmes/${sourceId}`);
  const last = document.sessions.at(-1)!;
  await page.locator(`[data-session="${last.id}"]`).click();
  await page.keyboard.press('Alt+ArrowLeft');
  await saved(page);
  await page.getByRole('link', { name: 'Open the group' }).click();
  await expect(page.getByRole('button', { name: /^Show what the change does to/ })).toHaveCount(7);

  // By keys alone: what it does to one, taken up; another is left as she is.
  await tabTo(page, 'button', 'Show what the change does to Anneke Vos');
  await page.keyboard.press('Enter');
  const apply = page.getByRole('button', { name: 'Apply the change to Anneke Vos' });
  await expect(apply).toBeVisible({ timeout: 20_000 });
  await tabTo(page, 'button', 'Apply the change to Anneke Vos');
  await page.keyboard.press('Enter');
  await expect(page.getByText('up to date')).toHaveCount(1, { timeout: 20_000 });
  const anneke = (await copies()).find(({ athleteName }) => athleteName === 'Anneke Vos')!;
  const hers = await house.read<StoredProgramme>(page, `/programmes/${anneke.id}`);
  expect(hers.document.sessions.map(({ day }) => day)).toContain(addDays(last.day, -1));
  await tabTo(page, 'button', 'Show what the change does to Tobi Marchetti');
  await page.keyboard.press('Enter');
  const leave = page.getByRole('button', { name: 'Leave Tobi Marchetti’s programme as it is' });
  await expect(leave).toBeVisible({ timeout: 20_000 });
  await tabTo(page, 'button', 'Leave Tobi Marchetti’s programme as it is');
  await page.keyboard.press('Enter');
  await expect(page.getByText('up to date')).toHaveCount(2, { timeout: 20_000 });
});
