import { readFile } from 'node:fs/promises';
import type { StoredSequence } from '@clay-pot/contracts';
import { expect, idIn, manyBlocks, openSequence, saved, test, choose, more } from './house.js';

test('two people edit: the second is told what differs and may keep either', async ({ coach: page, browser, house }) => {
  await openSequence(page, 'Careful return');
  const other = await browser.newPage({ storageState: await page.context().storageState(), baseURL: house.address });
  await other.goto(page.url());
  await other.getByLabel('Title').fill('Careful return, renamed');
  await other.getByLabel('Title').press('Enter');
  await saved(other);
  await page.getByLabel('Dose of Isometric wrist flexion').fill('1x9 @20% 3s tempo1-1 L,R');
  await page.getByLabel('Dose of Isometric wrist flexion').press('Enter');
  const notice = page.getByRole('alert').filter({ hasText: 'Someone else changed this' });
  await expect(notice).toContainText('Title: “Careful return, renamed” → “Careful return”');
  await expect(notice).toContainText('5 times → 9 times, effort');
  await notice.getByRole('button', { name: 'Use theirs' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Careful return, renamed');
  await saved(page);
  // My version is one undo away, and is saved over theirs knowingly.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Dose of Isometric wrist flexion')).toHaveValue('1x9 @20% 3s tempo1-1 L,R');
  await saved(page);
  const { document } = await house.read<StoredSequence>(page, `/sequences/${idIn(page)}`);
  expect(document.title).toBe('Careful return');
  await other.close();
});

test('who goes on to another sequence while the last change is still being sent mixes nothing up', async ({ coach: page, house }) => {
  await openSequence(page, 'Careful return');
  const first = idIn(page);
  await page.route('**/api/sequences/*', async (route) => {
    if (route.request().method() === 'PUT') await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  for (const minutes of ['31', '32']) {
    await page.getByLabel('Time available, min').fill(minutes);
    await page.getByLabel('Time available, min').blur();
    await expect(page.getByTestId('save-state')).toContainText('Saving');
  }
  await page.getByRole('link', { name: 'Sequences' }).click();
  await page.getByRole('link', { name: 'Warm thumbs' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Warm thumbs');
  const second = idIn(page);
  const read = (id: string) => house.read<StoredSequence>(page, `/sequences/${id}`);
  await expect.poll(async () => (await read(first)).document.budgetMin).toBe(32);
  expect((await read(first)).document.title).toContain('Careful return');
  expect((await read(second)).document.title).toBe('Warm thumbs');
});

test('by keys alone the focus never falls to the page: typing, removing, adding, fixing, undoing, going elsewhere', async ({
  coach: page,
}) => {
  await page.goto('/sequences');
  await page.getByRole('button', { name: 'New sequence', exact: true }).press('Enter');
  const shelf = page.getByLabel('Search the shelf');
  for (const name of ['wrist circles', 'hand open and close', 'palm lift']) {
    await shelf.fill(name);
    await shelf.press('Enter');
  }
  const where = () =>
    page.evaluate(() => {
      const at = document.activeElement;
      return at === document.body || !at ? 'the page' : (at.getAttribute('aria-label') ?? at.id ?? at.tagName);
    });
  const first = page.getByRole('listitem', { name: /^Block 1:/ });
  await first.focus();
  await page.keyboard.press('e');
  await page.keyboard.type('2x4 tempo3-3');
  await page.keyboard.press('Enter');
  await expect(first).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('listitem', { name: /^Block 2:/ })).toBeFocused();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('listitem', { name: /^Block 2:/ })).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('listitem', { name: /^Block 2: Hand open and close/ })).toBeFocused();
  await page.getByRole('button', { name: 'Remove Hand open and close' }).press('Enter');
  await expect(page.getByRole('listitem', { name: /^Block 2:/ })).toBeFocused();
  await page.keyboard.press('/');
  await page.keyboard.type('towel scrunch');
  await page.keyboard.press('Enter');
  expect(await where()).toBe('Search the shelf');
  await page.keyboard.press('Escape');
  await page.getByTestId('findings').waitFor();
  const fix = page.locator('[data-first-fix]');
  await fix.press('Enter');
  await expect.poll(where).not.toBe('the page');
  for (const keys of ['g p', 'g r', 'g t']) {
    await page.getByRole('link', { name: 'Today', exact: true }).focus();
    for (const key of keys.split(' ')) await page.keyboard.press(key);
    await expect.poll(where).toBe('content');
  }
});

test('removing is undone, not asked about', async ({ coach: page }) => {
  await page.goto('/sequences');
  await more(page, 'Remove', 'More for Grip and release');
  await expect(page.getByRole('link', { name: 'Grip and release' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Grip and release' })).toBeVisible();
});

test('a sequence goes out as a file and comes in again; a broken file says where', async ({ coach: page }) => {
  await openSequence(page, 'Free movement between assignments');
  const download = page.waitForEvent('download');
  await more(page, 'Export');
  const text = await readFile((await (await download).path())!, 'utf8');
  await page.goto('/sequences');
  await expect(page.getByRole('row').nth(1)).toBeVisible();
  const count = await page.getByRole('row').count();
  const chooser = page.getByLabel('Sequence file');
  const line = text.split('\n').findIndex((row) => row.includes('"levelId": "slow"')) + 1;
  await chooser.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('"levelId": "slow"', '"levelId": "sloow"')),
  });
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Not imported');
  await expect(alert).toContainText(`Line ${line}. /blocks/0/levelId: “Hand open and close” has no level “sloow”`);
  await expect(page.getByRole('row')).toHaveCount(count);
  const renamed = text.replace('Free movement between assignments', 'Come in from outside');
  await chooser.setInputFiles({ name: 'good.json', mimeType: 'application/json', buffer: Buffer.from(renamed) });
  await expect(page.getByLabel('Title')).toHaveValue('Come in from outside');
});

for (const [paper, widthPt] of [
  ['A4', 595],
  ['Letter', 612],
] as const) {
  test(`the sheet is one page of ${paper}, with the cautions on it`, async ({ coach: page }) => {
    await openSequence(page, 'Warm thumbs');
    await choose(page, 'Athlete', 'Wilf Tarrant');
    await more(page, 'Sheet');
    const choice = page.getByRole('radio', { name: paper });
    await choice.click();
    await expect(choice).toBeChecked();
    await expect(page.getByText('Stop if it hurts')).toBeVisible();
    // The client reads what to do; findings and restrictions by name are the coach's.
    await expect(page.getByText('No added weight, mid-range only')).toBeVisible();
    await expect(page.getByText('Arthritis: no added weight')).toHaveCount(0);
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
    const [, width] = /\/MediaBox\s*\[\s*0 0 ([\d.]+)/.exec(pdf)!;
    expect(Math.abs(Number(width) - widthPt)).toBeLessThan(2);
  });
}

test('a sheet of 42 blocks takes more pages: pictures, a readable size, the words of an athlete, stop rules on each', async ({
  coach: page,
  house,
}) => {
  const id = await manyBlocks(page, house, 42);
  await page.goto(`/sequences/${id}/sheet`);
  const sheet = page.getByRole('article');
  await expect(sheet.getByText('Stop if it hurts')).toBeVisible();
  const pictures = sheet.locator('tbody tr:has(td) img');
  await expect(pictures).toHaveCount(42);
  // A sheet never prints a blank.
  await expect.poll(() => pictures.evaluateAll((all) => all.filter((img) => (img as HTMLImageElement).naturalWidth > 0).length)).toBe(42);
  const sizePt = await sheet.evaluate((element) => (Number.parseFloat(getComputedStyle(element).fontSize) * 72) / 96);
  expect(sizePt).toBeGreaterThanOrEqual(8);
  expect(await sheet.textContent()).not.toMatch(/tempo\d|<>|\d+x\d+|rest\d/);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)!.length).toBeGreaterThan(1);
  // Heading and foot of a table stand on each page that it is printed on.
  await expect(sheet.locator('thead')).toContainText('All hands, a long evening');
  await expect(sheet.locator('tfoot')).toContainText('Stop if it hurts');
});
