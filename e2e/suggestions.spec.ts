import type { SequenceListItem, StoredProgramme } from '@clay-pot/contracts';
import { addDays, mondayOf, type Programme, weekIndexOf } from '@clay-pot/core';
import type { Page } from '@playwright/test';
import { expect, type House, idIn, someoneNew, test, todayAtTheHall } from './house.js';
import { logged } from './leading.js';

/** From a goal to weeks that began two weeks ago. */
async function programmeSince(page: Page, house: House, name: string): Promise<{ athleteId: string; programmeId: string }> {
  const athleteId = await someoneNew(page, house, name);
  await page.goto(`/programmes/new?athlete=${athleteId}`);
  await page.getByLabel('Goal', { exact: true }).selectOption({ label: 'Weight bearing in wrist extension, for handstands' });
  await page.getByLabel('First day').fill(addDays(mondayOf(todayAtTheHall()), -14));
  await page.getByLabel('Sessions for the goal, a week').fill('2');
  await page.getByLabel('Sequence for these days').selectOption({ label: 'Loading the palms' });
  await page.getByLabel('Sequence for easy days').selectOption({ label: 'Free movement between assignments' });
  await page.getByRole('button', { name: 'Create programme' }).click();
  await expect(page.getByRole('group', { name: 'Calendar' })).toBeVisible();
  const programmeId = idIn(page);
  // Weeks rise toward the plan; here each holds all of it, so that what a suggestion changes is seen in every one.
  const { document, etag } = await house.read<StoredProgramme>(page, `/programmes/${programmeId}`);
  const weeks = document.weeks.map(() => ({ kind: 'build', amountPercent: 100 }));
  const changed = { athleteId, document: { ...document, weeks } };
  await house.put(page, `/programmes/${programmeId}`, changed, { 'if-match': etag });
  return { athleteId, programmeId };
}
const documentOf = async (page: Page, house: House, id: string) => (await house.read<StoredProgramme>(page, `/programmes/${id}`)).document;

const reasonsOf = ({ changes = [] }: Programme) => changes.map(({ reason }) => reason).join();
/** Two weeks of it, recorded; what loads comes last, so that suggestions are about it. */
async function twoWeeks(page: Page, house: House, { athleteId, programmeId }: { athleteId: string; programmeId: string }): Promise<void> {
  const { sessions, plans } = await documentOf(page, house, programmeId);
  const listed = await house.read<SequenceListItem[]>(page, '/sequences');
  const loading = listed.find(({ title }) => title === 'Loading the palms')!.id;
  const past = sessions.filter(
    ({ day, planId }) => day < todayAtTheHall() && plans.find(({ id }) => id === planId)!.sequenceId === loading,
  );
  expect(past.length).toBeGreaterThanOrEqual(3);
  for (const { day } of past.slice(-3)) await logged(page, house, { athleteId, sequenceId: loading, day });
}

test('from a goal to a programme, two weeks of it logged, suggestions accepted, and the next week is another', async ({
  coach: page,
  house,
}) => {
  const made = await programmeSince(page, house, 'Demelza Trewin');
  await twoWeeks(page, house, made);
  await page.goto('/');
  await page.getByRole('button', { name: /more suggestions$/ }).click();
  const suggestion = page
    .getByRole('list', { name: 'Next steps' })
    .getByRole('listitem')
    .filter({ hasText: 'Demelza Trewin' })
    .filter({ hasText: 'Progress' });
  await suggestion.getByRole('button', { name: /^Why\?/ }).click();
  await expect(suggestion.getByRole('link', { name: /\d+ \w{3} \d{4}/ }).first()).toHaveAttribute('href', /records/);
  await expect(suggestion).toContainText('Palm support: 2 sets of 20 s → 2 sets of 25 s');
  await expect(suggestion).toContainText(/Chance of completing it/);
  await suggestion.getByRole('button', { name: 'Accept, Progress: Demelza Trewin' }).click();
  await expect(suggestion).toHaveCount(0);
  await expect.poll(async () => reasonsOf(await documentOf(page, house, made.programmeId))).toContain('Palm support');

  await page.goto(`/programmes/${made.programmeId}`);
  const changes = page.getByRole('list', { name: 'Changes from suggestions' });
  await expect(changes).toContainText('Progress: Palm support');
  const document = await documentOf(page, house, made.programmeId);
  const [change] = document.changes!;
  // An easier week holds less of everything: it shows in the first one that is whole.
  const isWhole = (day: string) => document.weeks[weekIndexOf(document, day)]?.amountPercent === 100;
  const next = document.sessions.find(({ day, planId }) => planId === change!.planId && day > todayAtTheHall() && isWhole(day))!;
  await page.locator(`[data-session="${next.id}"]`).click();
  await expect(page.getByLabel('Blocks of this session')).toContainText('2 sets of 25 s');
  await page.getByRole('button', { name: /^Undo: Progress: Palm support/ }).click();
  await expect(page.getByLabel('Blocks of this session')).toContainText('2 sets of 20 s');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Blocks of this session')).toContainText('2 sets of 25 s');
});

test('by keys alone: to the person’s suggestions, opened, accepted with a dose that is typed, and the next week is another', async ({
  coach: page,
  house,
}) => {
  const made = await programmeSince(page, house, 'Piran Hosken');
  await twoWeeks(page, house, made);
  await page.goto(`/people/${made.athleteId}`);
  const suggestion = page.getByRole('list', { name: 'Next steps' }).getByRole('listitem').filter({ hasText: 'Progress' });
  await expect(suggestion).toBeVisible();
  // The gravest stands first: by J to the row that is about progress.
  for (let presses = 0; presses < 6; presses++) {
    await page.keyboard.press('j');
    if (await suggestion.evaluate((row) => row === document.activeElement)) break;
  }
  await expect(suggestion).toBeFocused();
  await page.keyboard.press('w');
  await expect(suggestion.getByRole('link', { name: /\d+ \w{3} \d{4}/ }).first()).toBeVisible();
  await page.keyboard.press('c');
  const dose = suggestion.getByRole('combobox', { name: 'Dose of Palm support' });
  while (!(await dose.evaluate((field) => field === document.activeElement))) await page.keyboard.press('Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2x22m');
  await page.keyboard.press('Enter');
  await expect(dose).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2x22s');
  await page.keyboard.press('Tab');
  while (!(await page.evaluate(() => document.activeElement?.textContent === 'Save'))) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(suggestion).toHaveCount(0);
  await expect.poll(async () => reasonsOf(await documentOf(page, house, made.programmeId))).toContain('Palm support');
  const { changes = [] } = await documentOf(page, house, made.programmeId);
  expect(changes.flatMap(({ edits }) => edits.map((edit) => edit.kind === 'change' && edit.dose?.work))).toContainEqual({
    kind: 'time',
    seconds: 22,
  });
  await page.goto(`/programmes/${made.programmeId}`);
  await page.getByRole('button', { name: /^Undo: Progress: Palm support/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Changes from suggestions' })).not.toContainText('Palm support');
});
