import type { Page } from '@playwright/test';
import { openSequence, startSession, toLead, choose } from './house.js';

/** Leads a demo sequence for somebody, from its first block on. */
export async function lead(page: Page, title: string, athlete: string): Promise<void> {
  await openSequence(page, title);
  await choose(page, 'Seen for', `${athlete}`);
  await toLead(page);
  await startSession(page);
  // The times below begin with the first block, not with getting ready.
  await skip(page);
}
/** On to the next thing. */
export const skip = (page: Page) => page.getByRole('button', { name: 'Skip' }).click();
