import type { Athlete, ClassRow, SequenceListItem, SessionRecord, StoredSequence } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { expect, someoneNew, test, more } from './house.js';

const HOUR_MS = 3_600_000;

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('the morning after is asked on Today, without a network too; numbness bars the hand everywhere', async ({ coach: page, house }) => {
    const id = await someoneNew(page, house, 'Kitto Vane');
    const [first] = await house.read<SequenceListItem[]>(page, '/sequences');
    const { document } = await house.read<StoredSequence>(page, `/sequences/${first!.id}`);
    const sessionId = uuid();
    const at = (hoursAgo: number) => new Date(Date.now() - hoursAgo * HOUR_MS).toISOString();
    // A day ago, wherever in the day it is now.
    await house.put(page, `/sessions/${sessionId}`, { athleteId: id, sequenceId: first!.id, plan: document, startedAt: at(25) });
    await house.put(page, `/sessions/${sessionId}/end`, { ending: 'completed', note: '', endedAt: at(24.5) });
    await page.goto('/');
    await page.getByRole('button', { name: 'Tell of the morning: Kitto Vane' }).click();
    const question = page.getByRole('listitem').filter({ hasText: 'Kitto Vane' });
    await question.getByRole('button', { name: 'Left hand, next-day check 4' }).click();
    await question.getByRole('button', { name: 'Right hand, next-day check 0' }).click();
    await expect(question.getByText('Left hand 4 of 10 the next day: stay at this level.')).toBeVisible();
    await question.getByRole('button', { name: 'left', exact: true }).click();
    await expect(question.getByText(/Left hand numb or tingling/)).toBeVisible();
    await page.context().setOffline(true);
    await question.getByRole('button', { name: 'Save' }).click();
    await expect(question.getByText(/have it checked/)).toBeVisible();
    await page.context().setOffline(false);
    const record = () => house.read<SessionRecord>(page, `/sessions/${sessionId}`);
    await expect.poll(async () => (await record()).morning?.left).toBe(4);
    const { cautions } = await house.read<Athlete>(page, `/athletes/${id}`);
    expect(cautions).toMatchObject([{ caution: 'stop-sign', hand: 'left', stopped: { sessionId, sign: 'numbness' } }]);
    await page.goto(`/people/${id}`);
    await expect(page.getByText('Get it checked first')).toBeVisible();
    await page.goto(`/records/${sessionId}`);
    await expect(page.getByText(/Left hand numb or tingling the next day/).first()).toBeVisible();
    const [top] = await house.read<ClassRow[]>(page, '/class');
    expect(top!.reasons[0]).toContain('unloaded only');
    await page.goto('/people/class');
    await expect(page.getByRole('row').filter({ hasText: 'Kitto Vane' })).toContainText('left hand');
  });
});

test('a coach of pounds and inches reads and types them everywhere; nothing that is kept changes', async ({ coach: page, house }) => {
  const id = await someoneNew(page, house, 'Demelza Strand');
  await page.goto('/account');
  await page.getByRole('radio', { name: 'pounds' }).click();
  await page.getByRole('radio', { name: 'inches' }).click();
  try {
    await expect(page.getByRole('radio', { name: 'inches' })).toBeChecked();
    await page.goto(`/people/${id}/screening`);
    await expect(page.getByText('185.2 lb')).toBeVisible();
    await expect(page.getByText('74 in')).toBeVisible();
    await more(page, 'Edit profile');
    await expect(page.getByLabel('Weight, lb')).toHaveValue('185.2');
    await page.getByLabel('Weight, lb').fill('900');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/from 55.1 to 440.9 lb/)).toBeVisible();
    await page.getByLabel('Weight, lb').fill('190');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('190.0 lb')).toBeVisible();
    expect((await house.read<Athlete>(page, `/athletes/${id}`)).massKg).toBe(86.2);
    // By the keyboard alone, in a new page: the choice is the account's.
    await page.goto(`/people/${id}/measure`);
    await page.getByRole('checkbox', { name: 'Grip', exact: true }).check();
    await page.getByRole('button', { name: /^Start 1/ }).click();
    await page.getByLabel('Trial 1, right, lb').fill('100');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Results' })).toContainText('100.0 lb');
  } finally {
    await house.put(page, '/sign-in/units', { mass: 'kg', length: 'cm' });
  }
});
