import type { SessionRecord } from '@clay-pot/contracts';
import type { Page } from '@playwright/test';
import { choose, expect, idIn, openSequence, startSession, toLead, type House } from './house.js';

/** Leads a demo sequence for somebody, from its first block on. */
export async function lead(page: Page, title: string, athlete: string): Promise<void> {
  await openSequence(page, title);
  await choose(page, 'Athlete', `${athlete}`);
  await toLead(page);
  await startSession(page);
  // The times below begin with the first block, not with getting ready.
  await skip(page);
}
/** Ends a session early and opens its record. Each piece of work is in it once. */
export async function keepRecord(page: Page, house: House): Promise<SessionRecord> {
  await page.getByRole('button', { name: 'End early' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  const record = await recorded(page, house);
  const done = record.sets.map((set) => `${set.blockId} ${set.set} ${set.side} ${set.direction}`);
  expect(new Set(done).size).toBe(done.length);
  return record;
}

/** The record that the page shows, once the server has all of it: its end is sent last, while the page is open already. */
export async function recorded(page: Page, house: House): Promise<SessionRecord> {
  const read = () => house.read<SessionRecord>(page, `/sessions/${idIn(page)}`);
  await expect.poll(async () => (await read()).ending).not.toBeNull();
  return read();
}

/** On to the next thing. */
export const skip = (page: Page) => page.getByRole('button', { name: 'Skip' }).click();
