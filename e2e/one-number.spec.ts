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
  await house.put(page, `/sequences/${id}`, document);
  return { id, document };
}

test('one person, one day, one level: the same effort and the same verdict on every screen and in the API', async ({
  coach: page,
  house,
}) => {
  const athleteId = await someoneNew(page, house, 'Elowen Tregarth', [{ caution: 'tendon-pain' }]);
  const { id, document } = await onePalmLift(page, house);

  // What the API says.
  const asked = { athleteId, sequence: document };
  const { account, findings } = await house.told<EffortSessionAnswer>(page, 'POST', '/effort/session', asked);
  const [block] = account.blocks;
  const percent = Math.round(Math.max(block!.left.effortPercent, block!.right.effortPercent));
  const stop = findings.find(({ check }) => check === 'caution-limit')!;
  const verdict = sentenceText(stop.text);
  expect(verdict).toContain(`${percent} % effort, limit 40 %`);
  const start = { athleteId, sequenceId: id, plan: document, startedAt: new Date().toISOString() };
  const started = await house.ask(page, 'PUT', `/sessions/${uuid()}`, start);
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
