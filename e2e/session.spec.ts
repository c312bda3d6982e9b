import type { AthleteListItem, SuggestionsOfAthlete } from '@clay-pot/contracts';
import { expect, openSequence, test, openToday, pass, toLead, choose, tickAsked } from './house.js';
import { keepRecord, lead, recorded, skip } from './leading.js';

test.use({ viewport: { width: 390, height: 844 } });

test('the server restarts in the middle: the player goes on, and each set arrives once', async ({ coach: page, house }) => {
  await lead(page, 'Warm thumbs', 'Wilf Tarrant');
  // What is written in his record stands beside the movement that it concerns.
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Slow only; in warm water');
  await pass(page, 60_000);
  await house.stop();
  // Twelve slow openings (48 s) are done by now; go on through the next block without a server.
  await pass(page, 60_000);
  await expect(page.getByText(/waiting to sync/)).toBeVisible();
  await house.start();
  await pass(page, 10_000);
  await expect(page.getByText(/waiting to sync/)).toBeHidden();
  const record = await keepRecord(page, house);
  expect(record.sets.length).toBeGreaterThanOrEqual(2);
  expect(record.ending).toBe('ended early');
});

test.describe('with the stored shell', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a reload without any server opens the session where it stood, and all of it arrives later', async ({ coach: page, house }) => {
    await openToday(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await openSequence(page, 'Warm thumbs');
    await choose(page, 'Athlete', 'Saskia Brandvold');
    await toLead(page);
    await tickAsked(page);
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByTestId('big-number')).toBeVisible();
    await house.stop();
    await skip(page);
    await skip(page);
    const left = await page.getByTestId('remaining').textContent();
    await page.waitForTimeout(700);
    await page.reload();
    await expect(page.getByRole('button', { name: 'Continue' })).toBeVisible();
    const [before, after] = [left!, (await page.getByTestId('remaining').textContent())!].map((text) => {
      const [minutes, seconds] = text.split(':').map(Number);
      return minutes! * 60 + seconds!;
    });
    expect(Math.abs(before! - after!)).toBeLessThanOrEqual(3);
    await page.getByRole('button', { name: 'End early' }).click();
    await page.getByRole('button', { name: 'Save record' }).click();
    await expect(page.getByRole('heading', { name: 'Waiting to sync' })).toBeVisible();
    await house.start();
    await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible({ timeout: 20_000 });
  });
});

test('a reload finds the clock standing where it was', async ({ coach: page }) => {
  await lead(page, 'Loading the palms', 'Ines Okafor-Lund');
  await pass(page, 45_000);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.clock.runFor(1_000);
  const left = await page.getByTestId('remaining').textContent();
  await page.reload();
  await expect(page.getByTestId('remaining')).toHaveText(left!);
  await pass(page, 20_000);
  await expect(page.getByTestId('remaining')).toHaveText(left!);
});

test('side, direction and count are told; both sides get their turn', async ({ coach: page }) => {
  await lead(page, 'Careful return', 'Mirela Danko');
  await pass(page, 15_500);
  // Announced for 5 s and placed for 10, now in the first circle of the left hand, toward the thumb.
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now).toContainText('Left hand');
  await expect(now).toContainText('Toward the thumb');
  await expect(page.getByTestId('big-number').locator('.sr-only')).toHaveText('1');
  await expect(page.getByTestId('next')).toContainText('toward the little finger');
  await pass(page, 6_000);
  await expect(page.getByTestId('big-number').locator('.sr-only')).toHaveText('2');
  await skip(page);
  await expect(page.getByTestId('what-now')).toHaveText('toward the little finger');
  await skip(page);
  await skip(page);
  await expect(page.getByTestId('what-now')).toHaveText('change to the right hand');
});

test('pause and “something hurts” are on screen at all times, whatever the size', async ({ coach: page }) => {
  await lead(page, 'Loading the palms', 'Anneke Vos');
  for (let step = 0; step < 4; step++) await skip(page);
  await page.getByRole('button', { name: /^Tell more/ }).click();
  // A page of 1280 × 800 at twice its size has 640 × 400 to lay out in.
  const sizes = [
    [390, 844],
    [320, 640],
    [1280, 800],
    [640, 400],
  ] as const;
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    for (const name of ['Pause', 'Something hurts']) {
      await expect(page.getByRole('button', { name })).toBeInViewport({ ratio: 1 });
    }
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(over).toBeLessThanOrEqual(0);
    await expect(page.getByRole('heading', { name: 'Common faults' }).filter({ visible: true })).toHaveCount(1);
  }
});

test('the question about a block goes by itself; at the end all are told of with one tap and the exceptions', async ({
  coach: page,
  house,
}) => {
  await lead(page, 'Loading the palms', 'Anneke Vos');
  await pass(page, 60_000);
  const fine = page.getByRole('button', { name: 'Fine: Wrist circles' });
  await expect(fine).toBeVisible();
  await pass(page, 40_000);
  await expect(fine).toBeHidden();
  await pass(page, 200_000);
  await page.getByRole('button', { name: 'End early' }).click();
  await page.getByRole('button', { name: 'Tell more: Hand open and close' }).click();
  await page.getByRole('button', { name: 'Discomfort 2', exact: true }).click();
  await page.getByRole('button', { name: 'Effort (RPE) 3', exact: true }).click();
  await page.getByRole('button', { name: /were fine: nothing hurt$/ }).click();
  await page.getByRole('button', { name: 'All in all 4' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  const record = await recorded(page, house);
  expect(record).toMatchObject({ maxDiscomfort: 2, exertion: 4 });
  expect(record.reports.length).toBeGreaterThan(2);
});

test('what a session asks for next is decided under its record or on Today, and taken back', async ({ coach: page, house }) => {
  const people = await house.read<AthleteListItem[]>(page, '/athletes');
  const mirela = people.find(({ name }) => name === 'Mirela Danko')!;
  const { open } = await house.read<SuggestionsOfAthlete>(page, `/athletes/${mirela.id}/suggestions`);
  const ease = open.find(({ kind, cause }) => kind === 'ease' && cause !== 'limits')!;
  await page.goto(`/records/${ease.sessionId}#what-now`);
  await expect(page.getByRole('list', { name: 'Next steps' })).toBeInViewport();
  // Other sessions of hers may ask for something too.
  const isAsked = { hasText: 'Palm rocks, fore and aft: discomfort 5 of 10 on the lowest level' };
  const question = page.getByRole('list', { name: 'Next steps' }).getByRole('listitem').filter(isAsked);
  await expect(page.getByText(/^.*Next is .* on \w{3} \d+ \w{3}/)).toBeVisible();
  await question.getByRole('button', { name: 'Edit…, Ease off: Mirela Danko' }).click();
  await question.getByRole('radio', { name: /^Remove / }).check();
  await question.getByRole('button', { name: 'Save' }).click();
  const answered = page.getByRole('list', { name: 'Decided' });
  await expect(answered).toContainText('Ease off, accepted with changes: Remove palm rocks, fore and aft');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(question.getByRole('button', { name: 'Accept, Ease off: Mirela Danko' })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  const suggestion = page
    .getByRole('list', { name: 'Next steps' })
    .getByRole('listitem')
    .filter({ hasText: 'Mirela Danko' })
    .filter(isAsked);
  await suggestion.getByRole('button', { name: 'Dismiss…, Ease off: Mirela Danko' }).click();
  await page.getByLabel('Reason').fill('Use the cold hall.');
  await page.keyboard.press('Enter');
  await expect(suggestion).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Next steps' })).toBeVisible();
  await expect(suggestion).toHaveCount(0);
});

test('a wrong count is put right beside the rating, and a fault of form that was ticked while watching is in the record', async ({
  coach: page,
  house,
}) => {
  await lead(page, 'Loading the palms', 'Anneke Vos');
  await pass(page, 65_000);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: 'Thumb tucked inside the fist: left' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Thumb tucked inside the fist: left' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^Tell more/ }).click();
  await page.getByRole('button', { name: 'Note, form, reps' }).click();
  await page.getByRole('button', { name: 'Fewer, set 1, both, toward the thumb' }).click();
  await page.getByLabel('Note', { exact: true }).fill('Lost one.');
  await page.getByRole('button', { name: 'Discomfort 0', exact: true }).click();
  await page.getByRole('button', { name: 'Effort (RPE) 2', exact: true }).click();
  await page.getByRole('button', { name: 'End early' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByText('Lost one.')).toBeVisible();
  await expect(page.getByText('Form, left hand: thumb tucked inside the fist')).toBeVisible();
  const record = await recorded(page, house);
  expect(record.rows.slice(0, 2).map((row) => row.doneAmount)).toEqual([2, 3]);
});

test('everything under the thumb is at least 44 px', async ({ coach: page }) => {
  await lead(page, 'Grip and release', 'Béatrice Lemoine');
  await pass(page, 95_000);
  await page.getByRole('button', { name: 'Skip' }).click();
  while ((await page.getByRole('button', { name: /^Tell more/ }).count()) === 0) await skip(page);
  await page.getByRole('button', { name: /^Tell more/ }).click();
  await page.getByRole('button', { name: 'Note, form, reps' }).click();
  const small = await page.getByRole('button').evaluateAll((buttons) =>
    buttons
      .map((button) => ({
        name: button.getAttribute('aria-label') ?? button.textContent,
        ...button.getBoundingClientRect().toJSON(),
      }))
      .filter(({ width, height }) => width < 44 || height < 44),
  );
  expect(small).toEqual([]);
  const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(over).toBe(0);
});

test('an athlete with no data at all is met with words, not with emptiness', async ({ coach: page }) => {
  await page.goto('/people/new');
  await page.getByRole('button', { name: 'Add athlete' }).click();
  await expect(page.getByText('must not be empty')).toBeVisible();
  await page.getByLabel('Name').fill('Fresh Person');
  await page.getByLabel('Height, cm').fill('90');
  await page.getByRole('button', { name: 'Add athlete' }).click();
  await expect(page.getByText(/from 120 to 230 cm/)).toBeVisible();
  await page.getByLabel('Height, cm').fill('');
  await page.getByRole('button', { name: 'Add athlete' }).click();
  await expect(page.getByRole('heading', { name: 'Fresh Person' })).toBeVisible();
  await expect(page.getByText('No session planned.')).toBeVisible();
  const sections = [
    ['Check-in', 'No restrictions'],
    ['Check-in', 'not measured'],
    ['Range and strength', 'about'],
    ['Levels', 'No levels yet'],
    ['Plan', 'No sequence assigned yet'],
    ['History', 'No session yet'],
  ] as const;
  for (const [section, words] of sections) {
    await page.getByRole('navigation', { name: 'Sections' }).getByRole('link', { name: section }).click();
    await expect(page.getByText(words).first()).toBeVisible();
  }
});
