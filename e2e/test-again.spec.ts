import type { SessionPage, StoredReading } from '@clay-pot/contracts';
import { expect, manyBlocks, saved, someoneNew, test, tickAsked } from './house.js';

test.use({ viewport: { width: 390, height: 844 } });

test('test, train, test again: chosen in the sequence, led around the session, told with its error on the record', async ({
  coach: page,
  house,
}) => {
  const id = await someoneNew(page, house, 'Elowen Marsh', [
    { caution: 'numbness', hand: 'left', clearedOn: '2026-01-02', clearedBy: 'a hand therapist' },
  ]);
  const sequenceId = await manyBlocks(page, house, 1);
  await page.goto(`/sequences/${sequenceId}`);
  await page.getByText('Tested before and after:').click();
  const tested = page.getByRole('checkbox', { name: 'Wrist extension, passive range' });
  await tested.click();
  await expect(tested).toBeChecked();
  await saved(page);
  await page.goto(`/sequences/${sequenceId}/lead?athlete=${id}`);
  await tickAsked(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { name: 'Test first' })).toBeVisible();
  const take = async (hand: string, value: number) => {
    await page.getByLabel(`Wrist extension, ${hand}, °`).fill(String(value));
    await page.keyboard.press('Enter');
  };
  await take('left', 200);
  await expect(page.getByRole('alert')).toHaveText('within 0–130°');
  await take('left', 74);
  await page.reload();
  await expect(page.getByText('74°')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start session' })).toBeDisabled();
  await take('right', 82);
  await page.getByRole('button', { name: 'Start session' }).click();
  await expect(page.getByTestId('big-number')).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByRole('heading', { name: 'Test again' })).toBeVisible();
  await expect(page.getByText('before 74°')).toBeVisible();
  await take('left', 87);
  await take('right', 85);
  await page.getByRole('button', { name: 'Continue' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  const table = page.getByRole('table').filter({ hasText: 'Before' });
  await expect(table).toContainText('+13°: a real change');
  await expect(table).toContainText('+3°: within the error');
  const [session] = (await house.read<SessionPage>(page, `/sessions?athlete=${id}`)).items;
  const readings = await house.read<StoredReading[]>(page, `/athletes/${id}/readings`);
  expect(readings.map(({ sessionId, moment }) => `${moment} ${sessionId === session!.id}`).sort()).toEqual([
    'after true',
    'after true',
    'before true',
    'before true',
  ]);
  // What was measured warm does not stand for the hand as it comes.
  await page.goto(`/people/${id}/range`);
  await expect(page.getByRole('row', { name: /^wrist extension/ }).first()).toContainText('74');
});
