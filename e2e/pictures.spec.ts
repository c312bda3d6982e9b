import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { openSequence, startSession, test } from './house.js';

/** Takes the pictures of docs/screenshots anew from the demo studio: ./clay-pot test pictures. */

const shot = (page: Page, name: string) =>
  page.screenshot({ path: fileURLToPath(new URL(`../docs/screenshots/${name}.png`, import.meta.url)) });

test.use({ timezoneId: 'Europe/Amsterdam' });

test('pictures of the main views', async ({ coach: page }) => {
  test.setTimeout(120_000);
  const settled = async () => {
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
  };
  await settled();
  await shot(page, 'today');
  await page.goto('/people');
  await settled();
  await shot(page, 'people');
  await page.getByRole('link', { name: 'Mirela Danko' }).click();
  await page.getByText('readings, the newest first').waitFor();
  await page.locator('a[href^="/records/"]').first().waitFor();
  await settled();
  await shot(page, 'person');
  await page.locator('a[href^="/records/"]').first().click();
  await page.getByRole('heading', { name: 'Planned against done' }).waitFor();
  await settled();
  await shot(page, 'record');
  await page.goto('/movements/strength.palm-lift');
  await page.getByLabel('Demand for').selectOption({ label: 'for Callum Reyes-Whitlock' });
  await page.getByRole('button', { name: 'Hold still' }).click();
  await settled();
  await shot(page, 'movement');
  await page.goto('/movements?view=pictures&family=planted-strength');
  await settled();
  await shot(page, 'movements');
  await page.goto('/bench?movement=bearing.palm-support&level=knees-back');
  await page.getByLabel('For whom').selectOption({ label: 'For Tobi Marchetti' });
  await page.getByLabel('by changing').selectOption({ label: 'Shoulders in front of the hands' });
  await page.getByRole('button', { name: 'Find', exact: true }).click();
  await settled();
  await shot(page, 'bench');
  await page.getByRole('button', { name: 'Pin this one' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'Pike' });
  await page.getByRole('button', { name: 'Pin this one' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'Plank' });
  await page.getByRole('heading', { name: 'Side by side' }).evaluate((heading) => heading.scrollIntoView());
  await settled();
  await shot(page, 'bench-compare');
  await page.goto('/sequences');
  await settled();
  await shot(page, 'sequences');
  await openSequence(page, 'Loading the palms');
  await page.getByLabel('Seen for').selectOption({ label: 'For Callum Reyes-Whitlock' });
  await page.getByRole('listitem', { name: /^Block 8/ }).focus();
  await settled();
  await shot(page, 'editor');
  await page.getByRole('link', { name: 'Sheet' }).click();
  await settled();
  await page.setViewportSize({ width: 860, height: 1180 });
  await shot(page, 'sheet');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name: 'Back to the sequence' }).click();
  await page.getByRole('link', { name: 'Lead', exact: true }).click();
  await settled();
  await shot(page, 'lead');
  await startSession(page);
  // Into the right hand’s stretch: circles 56 s, opening 35 s, then 15 s to the chair, the left hand and the change.
  await page.clock.runFor(150_000);
  await shot(page, 'player');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.clock.runFor(300);
  await shot(page, 'player-phone');
});
