import { readFile } from 'node:fs/promises';
import type { StoredProgramme } from '@clay-pot/contracts';
import { addDays, mondayOf } from '@clay-pot/core';
import type { Page } from '@playwright/test';
import { expect, type House, idIn, saved, someoneNew, tabTo, test, todayAtTheHall, choose } from './house.js';

const calendar = (page: Page) => page.getByRole('group', { name: 'Calendar' });
const stored = async (page: Page, house: House) => (await house.read<StoredProgramme>(page, `/programmes/${idIn(page)}`)).document;
/** The next Monday: where a new programme begins. */
const nextMonday = () => {
  const today = todayAtTheHall();
  return mondayOf(today) === today ? today : addDays(mondayOf(today), 7);
};

async function made(page: Page, house: House, name: string): Promise<void> {
  const id = await someoneNew(page, house, name);
  await page.goto(`/programmes/new?athlete=${id}`);
  await page.getByLabel('Sessions for the goal, a week').fill('2');
  await page.getByLabel('Sequence for these days').selectOption({ label: 'Loading the palms' });
  await page.getByLabel('Sequence for easy days').selectOption({ label: 'Free movement between assignments' });
  await page.getByRole('button', { name: 'Create programme' }).click();
  await expect(calendar(page)).toBeVisible();
}

test('from a goal and an event to weeks: composed, moved by dragging, and kept', async ({ coach: page, house }) => {
  const athleteId = await someoneNew(page, house, 'Merryn Oke');
  await page.goto('/programmes');
  await page.getByRole('link', { name: 'New programme' }).click();
  await choose(page, 'Athlete', 'Merryn Oke');
  await page.getByLabel('Method', { exact: true }).selectOption({ label: 'Grip and iron' });
  await page.getByLabel('Goal', { exact: true }).selectOption({ label: 'Grip that lasts' });
  await page.getByLabel('Minutes per session').fill('12');
  const event = addDays(nextMonday(), 7 * 5 + 5);
  await page.getByLabel('Toward an event on').fill('2020-01-01');
  await expect(page.getByText(/Event is in the past/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Create programme' })).toBeDisabled();
  await page.getByLabel('Toward an event on').fill(event);
  await page.getByLabel('Event', { exact: true }).fill('Boat race');
  await page.getByRole('button', { name: 'Create programme' }).click();
  await expect(calendar(page)).toBeVisible({ timeout: 60_000 });
  await expect(calendar(page).getByText('Boat race')).toBeVisible();
  const before = await stored(page, house);
  expect(before.weeks.map(({ kind }) => kind)).toEqual(['build', 'build', 'easier', 'build', 'build', 'taper']);
  expect((await house.read<StoredProgramme>(page, `/programmes/${idIn(page)}`)).athleteId).toBe(athleteId);

  // A session is dragged onto the day before the second one.
  const [first, second] = before.sessions;
  const to = addDays(second!.day, -1);
  const chip = page.locator(`[data-session="${first!.id}"]`);
  const target = page.locator(`[data-day="${to}"]`);
  await chip.scrollIntoViewIfNeeded();
  const [from, there] = [await chip.boundingBox(), await target.boundingBox()];
  await page.mouse.move(from!.x + 30, from!.y + 8);
  await page.mouse.down();
  await page.mouse.move(there!.x + 20, there!.y + 20, { steps: 8 });
  await page.mouse.up();
  await saved(page);
  expect((await stored(page, house)).sessions.find(({ id }) => id === first!.id)!.day).toBe(to);
  await page.reload();
  await expect(page.locator(`[data-session="${first!.id}"]`)).toHaveAccessibleName(/Load day, Merryn Oke/);
});

test('what if a week is missed, or a day more every week: tried, told, done, and taken back', async ({ coach: page, house }) => {
  await made(page, house, 'Tegen Roe');
  const before = await stored(page, house);
  await page.getByRole('button', { name: /^Week 2/ }).click();
  await page.getByRole('button', { name: 'What if they miss it?' }).click();
  await expect(page.getByText('What if week 2 is missed?')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  expect((await stored(page, house)).sessions).toEqual(before.sessions);
  const sunday = addDays(mondayOf(before.fromDay), 6);
  await page.locator(`[data-day="${sunday}"]`).click();
  await page.getByRole('button', { name: 'Loading the palms' }).last().click();
  await page.getByRole('button', { name: 'Apply' }).click();
  await saved(page);
  expect((await stored(page, house)).sessions.length).toBe(before.sessions.length + before.weeks.length);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
  expect((await stored(page, house)).sessions).toEqual(before.sessions);
});

test('by keys alone: over the calendar, a session moved, left out and brought back; a rest is kept free', async ({
  coach: page,
  house,
}) => {
  await made(page, house, 'Lowena Pask');
  const before = await stored(page, house);
  const [first] = before.sessions;
  const chip = page.locator(`[data-session="${first!.id}"]`);
  await tabTo(page, 'button', /^Loading the palms \d+ min, /);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Alt+ArrowRight');
  await saved(page);
  await expect.poll(async () => (await stored(page, house)).sessions.find(({ id }) => id === first!.id)!.day).toBe(addDays(first!.day, 1));
  await expect(chip).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(chip).not.toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Delete');
  await expect(page.locator(`[data-session="${first!.id}"]`)).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(chip).toBeVisible();
  await page.locator(`[data-day="${addDays(first!.day, 1)}"]`).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Ill or injured' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/falls on a day marked “ill or injured”/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await page.keyboard.press('Enter');
  await saved(page);
  expect((await stored(page, house)).sessions.find(({ id }) => id === first!.id)?.day).not.toBe(addDays(first!.day, 1));
});

test('two coaches edit one programme: the second is told what differs and may keep either', async ({ coach: page, house, context }) => {
  await made(page, house, 'Jago Venn');
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(calendar(other)).toBeVisible();
  await other.getByRole('textbox', { name: 'Title' }).fill('Theirs');
  await saved(other);
  await page.getByRole('textbox', { name: 'Title' }).fill('Mine');
  await expect(page.getByRole('alert')).toContainText('Title: “Theirs” becomes “Mine”');
  await page.getByRole('button', { name: 'Use theirs' }).click();
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Theirs');
});

test('goes out as a calendar at a private address, and as a file that comes in for somebody else', async ({ coach: page, house }) => {
  await made(page, house, 'Kensa Moyle');
  await page.getByLabel('Loading the palms starts at').fill('18:30');
  // Kept a moment later: until then the state says that all is saved.
  await expect.poll(async () => (await stored(page, house)).plans.map(({ beginsAt }) => beginsAt)).toContain('18:30');
  await page.getByRole('button', { name: 'Create a private address' }).click();
  const address = await page.getByLabel('Private address').inputValue();
  const followed = await page.request.get(address);
  expect(followed.headers()['content-type']).toContain('text/calendar');
  expect(await followed.text()).toMatch(/DTSTART;TZID=Europe\/Amsterdam:\d{8}T183000/);
  await page.getByRole('button', { name: 'Delete the address' }).click();
  await expect(page.getByLabel('Private address')).toHaveCount(0);
  expect((await page.request.get(address)).status()).toBe(404);

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: /as a file to import elsewhere/ }).click();
  const path = await (await download).path();
  const before = await stored(page, house);
  const id = await someoneNew(page, house, 'Hedra Moyle');
  await page.goto(`/programmes/new?athlete=${id}`);
  await page
    .getByLabel('Programme file')
    .setInputFiles({ name: 'weeks.json', mimeType: 'application/json', buffer: Buffer.from('{"format": "clay-pot/programme"') });
  await expect(page.getByRole('alert')).toContainText('Not valid JSON');
  // Under names of their own, none within another: the other journeys open the studio's sequences by their titles.
  let count = 0;
  const file = (await readFile(path, 'utf8')).replace(/"title": "[^"]*"/g, () => `"title": "From elsewhere ${(count += 1)}"`);
  await page.getByLabel('Programme file').setInputFiles({ name: 'weeks.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(calendar(page)).toBeVisible();
  expect((await stored(page, house)).sessions).toEqual(before.sessions);
});
