import type { SequenceListItem, SessionRecord } from '@clay-pot/contracts';
import { expect, someoneNew, test, tickAsked } from './house.js';

test('“40 percent” with a gauge: pressed to a band at the bench, kept through a block of a session and recorded', async ({
  coach: page,
  house,
}) => {
  const id = await someoneNew(page, house, 'Lowen Park');
  await page.goto(`/people/${id}/band`);
  await page.getByLabel('Effort, % of maximum').fill('140');
  await expect(page.getByText('within 1–100 %')).toBeVisible();
  await page.getByLabel('Effort, % of maximum').fill('40');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('on target')).toBeVisible();
  await expect(page.getByText('Held for 5 s.')).toBeVisible({ timeout: 12_000 });
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('list', { name: 'Attempts' })).toContainText(/9\d|100 % on target/);

  const sequences = await house.read<SequenceListItem[]>(page, '/sequences');
  const careful = sequences.find(({ title }) => title === 'Careful return')!;
  await page.goto(`/sequences/${careful.id}/lead?athlete=${id}`);
  await tickAsked(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByTestId('big-number')).toBeVisible();
  const title = page.getByRole('heading', { level: 2 }).first();
  for (let block = 0; block < 3; block++) await page.keyboard.press('Shift+ArrowRight');
  await expect(title).toHaveText('Isometric wrist extension');
  await page.keyboard.press('g');
  // Past getting ready, into the first press.
  while (/next|place/i.test((await page.getByTestId('what-now').textContent()) ?? '')) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/kept \d+ of \d+ s/)).toBeVisible({ timeout: 12_000 });
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText(/Target effort held \d+ % of the time/)).toBeVisible();
  await page.getByRole('button', { name: 'Fine: Isometric wrist extension' }).click();
  await page.keyboard.press('x');
  const sessions = () => house.read<{ items: { id: string }[] }>(page, `/sessions?athlete=${id}`);
  await expect.poll(async () => (await sessions()).items.length).toBe(1);
  const [session] = (await sessions()).items;
  const record = () => house.read<SessionRecord>(page, `/sessions/${session!.id}`);
  await expect.poll(async () => (await record()).reports.length).toBe(1);
  expect((await record()).reports[0]!.bandPercent).toBeGreaterThan(50);
});
