import { choose, expect, more, saved, someoneNew, startSession, test } from './house.js';

test.use({ viewport: { width: 390, height: 844 } });

/** As it would come in a message: bullets, remarks, ranges, fingers, no colon. */
const MESSAGE = `Hands for Friday
Warm up
- wrist circles 5 each way
- hand open and close, 20 s fast
Main part
1) fist rolls all fours 8-12
2) wrist curl light 2 x 10, rest 45
at once
3) ball squeeze 3 x 8 at 30-40 %, sore: 20 %
4) single finger extension with band 8 per finger
skip if anything tingles
Cool-down
shakes 30 s
bonus: resting hands 4 slow breaths`;

test('a whole routine from a message is pasted on a phone and led within a minute', async ({ coach: page, house }) => {
  await someoneNew(page, house, 'Isolde Marrow');
  await page.goto('/sequences');
  const startedAt = Date.now();
  await page.getByRole('button', { name: 'New sequence', exact: true }).click();
  await expect(page.getByText(/^No blocks yet\. Search/)).toBeVisible();
  await more(page, 'Text');
  await page.getByRole('textbox', { name: 'The sequence as text' }).fill(MESSAGE);
  await expect(page.getByRole('status').filter({ hasText: '8 blocks read' })).toBeVisible();
  await page.getByRole('button', { name: /^Use (?:this text|8 blocks)$/ }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Hands for Friday');
  await saved(page);
  await choose(page, 'Athlete', 'Isolde Marrow');
  const toLead = page.getByRole('link', { name: 'Start session', exact: true });
  await expect(toLead).toHaveAttribute('href', /athlete=/);
  await toLead.click();
  await page.getByRole('checkbox', { name: /Hands are sore today/ }).check();
  await startSession(page);
  expect(Date.now() - startedAt).toBeLessThan(60_000);
  await expect(page.getByTestId('big-number')).toBeVisible();
});
