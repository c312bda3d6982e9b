import type { EffortSessionAnswer } from '@clay-pot/contracts';
import { inPhaseOrder, sentenceText, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import type { Page } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { expect, type House, someoneNew, test, tickAsked } from './house.js';

const MOVEMENT = 'strength.palm-lift';
const LEVEL = 'all-fours';

/** A sequence of one lift of the palms, stored. */
async function onePalmLift(page: Page, house: House): Promise<{ id: string; document: Sequence }> {
  const level = shippedMovement(MOVEMENT)!.ladder.find(({ id }) => id === LEVEL)!;
  const block = { id: 'b1', phase: 'strength' as const, movementId: MOVEMENT, levelId: LEVEL, dose: level.dose };
  const document: Sequence = { title: 'One palm lift', purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks: inPhaseOrder([block]) };
  const id = uuid();
  const answer = await page.request.put(`/api/sequences/${id}`, { data: document, headers: { origin: house.address } });
  expect(answer.status()).toBe(200);
  return { id, document };
}

test('one person, one day, one level: the same effort and the same verdict on every screen and in the API', async ({
  coach: page,
  house,
}) => {
  const athleteId = await someoneNew(page, house, 'Elowen Tregarth', [{ caution: 'tendon-pain' }]);
  const { id, document } = await onePalmLift(page, house);
  const headers = { origin: house.address };

  // What the API says.
  const answer = await page.request.post('/api/effort/session', { headers, data: { athleteId, sequence: document } });
  expect(answer.ok()).toBe(true);
  const { account, findings } = (await answer.json()) as EffortSessionAnswer;
  const [block] = account.blocks;
  const percent = Math.round(Math.max(block!.left.effortPercent, block!.right.effortPercent));
  const stop = findings.find(({ check }) => check === 'caution-limit')!;
  const verdict = sentenceText(stop.text);
  expect(verdict).toContain(`${percent} % effort, limit 40 %`);
  const started = await page.request.put(`/api/sessions/${uuid()}`, {
    headers,
    data: { athleteId, sequenceId: id, plan: document, startedAt: new Date().toISOString() },
  });
  expect(await started.text()).toContain(verdict);

  // The editor: its row and its checks.
  await page.goto(`/sequences/${id}?athlete=${athleteId}`);
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText(verdict);
  await page.getByLabel('Block 1: Palm lift').focus();
  await expect(page.getByText(new RegExp(`${percent} % .*effort`)).first()).toBeVisible();
  // The sheet, and the page before a session.
  for (const copy of ['client', 'coach']) {
    await page.goto(`/sequences/${id}/sheet?athlete=${athleteId}&copy=${copy}`);
    await expect(page.getByText(verdict)).toBeVisible();
  }
  await page.goto(`/sequences/${id}/lead?athlete=${athleteId}`);
  await expect(page.getByRole('alert')).toContainText(verdict);
  await tickAsked(page);
  await expect(page.getByRole('button', { name: 'Start' })).toBeDisabled();
  // The movement’s page and the load bench.
  const over = verdict.replace(/^Palm lift: /, '');
  const note = page.getByRole('note', { name: 'Cautions for Elowen Tregarth' });
  await page.goto(`/movements/${MOVEMENT}?athlete=${athleteId}`);
  await page.getByRole('button', { name: 'Show All fours', exact: true }).click();
  await expect(note).toContainText(over);
  await page.goto(`/bench?movement=${MOVEMENT}&level=${LEVEL}&athlete=${athleteId}`);
  await expect(note).toContainText(over);
  await expect(page.getByRole('main')).toContainText(`${percent} %`);
});
