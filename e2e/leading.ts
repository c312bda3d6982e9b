import type { SessionRecord, StoredSequence } from '@clay-pot/contracts';
import { compileTimeline } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import type { Page } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { choose, expect, idIn, openSequence, pass, startSession, tabTo, toLead, type House } from './house.js';

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

/** How a block was, by mouse: a little felt, and some effort. */
async function answered(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Tell more/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Discomfort 2', exact: true }).click();
  await page.getByRole('button', { name: 'Effort (RPE) 5', exact: true }).click();
}

/** The same by keys alone, a little less of both. */
export async function answeredByKeys(page: Page): Promise<void> {
  for (const name of [/^Tell more/, 'Discomfort 1', 'Effort (RPE) 4']) {
    await tabTo(page, 'button', name);
    await page.keyboard.press('Enter');
  }
}

/** Lets the clock run to the end of the session, answering whenever a block asks how it was. */
export async function leadToTheEnd(page: Page, answer = answered): Promise<void> {
  const ended = page.getByRole('heading', { name: 'Done', exact: true });
  const question = page.getByRole('button', { name: /^Tell more/ });
  for (let step = 0; step < 60 && !(await ended.isVisible()); step++) {
    await pass(page, 10_000);
    if (await question.isVisible()) await answer(page);
  }
  await expect(ended).toBeVisible();
  while ((await question.count()) > 0) await answer(page);
}

/** Everything of a session recorded as done, not too hard, as a phone would send it. @param done with the discomfort of each block, where there was any */
export async function logged(
  page: Page,
  house: House,
  { athleteId, sequenceId, day, discomfort = 0 }: { athleteId: string; sequenceId: string; day: string; discomfort?: number },
): Promise<void> {
  const id = uuid();
  const { document: plan } = await house.read<StoredSequence>(page, `/sequences/${sequenceId}`);
  const put = (path: string, data: object) => house.put(page, `/sessions/${id}${path}`, data);
  const at = `${day}T12:30:00.000Z`;
  await put('', { athleteId, sequenceId, plan, startedAt: `${day}T12:00:00.000Z` });
  const stints = compileTimeline(plan, shippedMovement).stints;
  for (const { blockId, levelId, round, set, side, direction, unit, plannedAmount } of stints) {
    const { movementId } = plan.blocks.find((block) => block.id === blockId)!;
    const piece = { blockId, movementId, levelId, round, set, side, direction, unit, plannedAmount };
    await put(`/sets/${uuid()}`, { ...piece, doneAmount: plannedAmount, endedAt: at, corrects: null });
  }
  for (const { id: blockId } of plan.blocks) await put(`/reports/${uuid()}`, { blockId, discomfort, exertion: 5, note: '', at });
  await put('/end', { ending: 'completed', note: '', endedAt: at });
}
