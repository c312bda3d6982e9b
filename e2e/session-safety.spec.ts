import { expect, openSequence, someoneNew, test, todayAtTheHall, pass, toLead, choose, more, tickAsked } from './house.js';
import { lead, recorded, skip } from './leading.js';

test.use({ viewport: { width: 390, height: 844 } });

test('something else that hurts is recorded with hand and place, and all of its kind is eased by its own words', async ({
  coach: page,
  house,
}) => {
  const athleteId = await someoneNew(page, house, 'Morwenna Sark');
  await lead(page, 'Loading the palms', 'Morwenna Sark');
  for (let step = 0; step < 7; step++) await skip(page);
  const now = page.getByRole('region', { name: 'Now' });
  while (!(await now.textContent())!.includes('Palm rocks, fore and aft')) await skip(page);
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await page.getByRole('button', { name: /^None of these/ }).click();
  await page.getByRole('radio', { name: 'Right hand' }).click();
  await page.getByRole('button', { name: 'Wrist, back' }).click();
  await page.getByRole('button', { name: 'Discomfort 6', exact: true }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Take an easier level or stop here.');
  // Everything to come that loads the place is shown with what becomes of it, and can be changed.
  await expect(dialog).toContainText('These blocks load the same place');
  const rocks = dialog.getByRole('combobox', { name: /^Palm rocks, fore and aft/ });
  await expect(dialog.getByRole('combobox', { name: 'Palm lift', exact: true })).toBeVisible();
  await expect(rocks.getByRole('option', { name: 'Keep it as it is' })).toHaveCount(0);
  await rocks.selectOption({ label: 'Remove it' });
  await dialog.getByRole('button', { name: /^Change \d blocks$/ }).click();
  await expect(now).not.toContainText('Palm rocks');
  await page.getByRole('button', { name: 'End early' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText('Hurt during the session: right hand, wrist, back: 6 of 10')).toBeVisible();
  const record = await recorded(page, house);
  expect(record).toMatchObject({ maxDiscomfort: 6, complaints: [{ hand: 'right', place: 'wrist-back' }] });
  // It stands in the person's record, and limits what is led next.
  await page.goto(`/people/${athleteId}`);
  await expect(page.getByText('Wrist, back, 6 of 10, right hand').first()).toBeVisible();
  await openSequence(page, 'Loading the palms');
  await choose(page, 'Athlete', 'Morwenna Sark');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('of extension, limit 40°');
});

test('discomfort of five and more stands the clock and offers to ease; the easier level is recorded', async ({ coach: page, house }) => {
  await lead(page, 'Loading the palms', 'Tobi Marchetti');
  for (let step = 0; step < 4; step++) await skip(page);
  await page.getByRole('button', { name: /^Tell more/ }).click();
  await page.getByRole('button', { name: 'Discomfort 6', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Take an easier level or stop here');
  await expect(page.getByRole('button', { name: 'Continue' })).toBeVisible();
  await page.getByRole('button', { name: 'Effort (RPE) 7', exact: true }).click();
  const level = page.getByRole('region', { name: 'Now' });
  await expect(level).toContainText('Fast for time');
  await page.getByRole('button', { name: 'Easier' }).click();
  await page.getByRole('button', { name: /fast for time → slow/ }).click();
  await expect(level).toContainText('Slow');
  await page.getByRole('button', { name: 'Continue' }).click();
  await pass(page, 40_000);
  await page.getByRole('button', { name: 'End early' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText('eased to: Slow')).toBeVisible();
  const record = await recorded(page, house);
  expect(record.sets.find((set) => set.blockId === 'b2')).toMatchObject({ levelId: 'slow', doneAmount: 8 });
  expect(record.rows.find((row) => row.blockId === 'b2')).toMatchObject({ unit: 'repetitions', doneAmount: 8 });
  expect(record.maxDiscomfort).toBe(6);
});

test('a stop stands: in the record, on Today, on the athlete’s page, and against the next start, until it is cleared', async ({
  coach: page,
}) => {
  await lead(page, 'Loading the palms', 'Callum Reyes-Whitlock');
  await pass(page, 12_000);
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await page.getByRole('radio', { name: 'Left hand' }).click();
  await page.getByRole('button', { name: 'Numbness or tingling' }).click();
  await expect(page.getByRole('alert')).toContainText('until a doctor or hand therapist has seen it');
  await expect(page.getByRole('button', { name: 'Continue after all' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('alert')).toContainText('Stopped: numbness or tingling, left hand');
  await page.goto('/');
  const mine = page.getByRole('list', { name: 'Next steps' }).getByRole('listitem').filter({ hasText: 'Callum Reyes-Whitlock' });
  // What is assigned may be changed to what the hand may do meanwhile.
  await expect(mine.filter({ hasText: 'can’t start' })).toContainText('Ease off');
  const suggestion = mine.filter({ hasText: 'Refer' });
  await expect(suggestion).toContainText('Left hand: numbness or tingling, stopped on');
  const said = (await suggestion.textContent())!.match(/Left hand:.*checked it\./)![0];
  // The same words from editor, page before a session and person's page.
  await openSequence(page, 'Loading the palms');
  await choose(page, 'Athlete', 'Callum Reyes-Whitlock');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText(said);
  await toLead(page);
  await tickAsked(page);
  await expect(page.getByRole('alert')).toContainText(said);
  await expect(page.getByRole('button', { name: 'Start' })).toBeDisabled();
  await page.getByRole('link', { name: 'on the athlete’s page' }).click();
  await expect(page.getByText(/no loading until a doctor or hand therapist has checked it/i)).toBeVisible();
  await page.getByRole('button', { name: 'Record clearance' }).click();
  await expect(page.getByRole('button', { name: 'Remove this restriction' })).toHaveCount(0);
  await page.getByLabel('Cleared on').fill(todayAtTheHall());
  await page.getByLabel('Cleared by (doctor or therapist)').fill('Dr Amari Voss');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('cleared by Dr Amari Voss')).toBeVisible();
  await page.goBack();
  await tickAsked(page);
  await expect(page.getByRole('button', { name: 'Start' })).toBeEnabled();
});

test('who is not cleared cannot be led through loading, but through free motion; clearance opens the way', async ({ coach: page }) => {
  await openSequence(page, 'Loading the palms');
  await choose(page, 'Athlete', 'Hana Kobler');
  await expect(page.getByText('Not before clearance: the hands.').first()).toBeVisible();
  await toLead(page);
  await tickAsked(page);
  await expect(page.getByRole('alert')).toContainText('Not cleared for loading');
  await expect(page.getByRole('button', { name: 'Start' })).toBeDisabled();
  await page.goto('/sequences');
  await page.getByRole('link', { name: 'Free movement between assignments' }).click();
  await choose(page, 'Athlete', 'Hana Kobler');
  await toLead(page);
  await tickAsked(page);
  await expect(page.getByRole('button', { name: 'Start' })).toBeEnabled();

  await page.goto('/people');
  await page.getByRole('link', { name: 'Hana Kobler', exact: true }).click();
  await more(page, 'Edit profile');
  await page.getByLabel('Cleared on').fill('2026-01-15');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('needs both the date of the clearance and who gave it')).toBeVisible();
  await page.getByLabel('Cleared by (doctor or therapist)').fill('A. Example, hand therapist');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Save' })).toBeHidden();
  await page.getByRole('navigation', { name: 'Sections' }).getByRole('link', { name: 'Check-in' }).click();
  await expect(page.getByText('Cleared by A. Example, hand therapist')).toBeVisible();
});
