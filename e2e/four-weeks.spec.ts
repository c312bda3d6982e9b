import type { CopyItem, SequenceListItem, StoredProgramme, StoredSequence } from '@clay-pot/contracts';
import { addDays, mondayOf, WEEKDAY_NAMES } from '@clay-pot/core';
import type { Page } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { expect, type House, idIn, openToday, someoneNew, tabTo, test, tickAsked, todayAtTheHall } from './house.js';
import { leadToTheEnd, logged, recorded } from './leading.js';

const LEADER = 'Wenna Trease';
const SORE = 'Denzel Curnow';
const AWAY = 'Loveday Bray';
const READY = 'Talan Veale';
const OWN_DAYS = 'Gerens Pryor';
const OTHERS = [SORE, AWAY, 'Eseld Hocking', OWN_DAYS, 'Keren Rodda', 'Massen Uren', READY];
/** The first Monday of the four weeks, which end before today. */
const START = addDays(mondayOf(todayAtTheHall()), -28);

/** What the weeks go through. */
const group = { sourceId: '', leaderId: '' };
const of = async (page: Page, house: House, id: string) => (await house.read<StoredProgramme>(page, `/programmes/${id}`)).document;
const copies = (page: Page, house: House) => house.read<CopyItem[]>(page, `/programmes/${group.sourceId}/copies`);
const copyOf = async (page: Page, house: House, name: string) =>
  (await copies(page, house)).find(({ athleteName }) => athleteName === name)!;

/** It is noon of another day, for the server and for the page. */
async function itIs(page: Page, house: House, day: string): Promise<void> {
  const noonMs = Date.parse(`${day}T11:00:00Z`);
  await house.moveBy(noonMs - Date.now());
  await page.clock.setSystemTime(noonMs);
}

/** Turns the days of somebody on and off until they are these; a last one stays on, so that the new ones come first. */
async function onDays(page: Page, name: string, wanted: readonly string[]): Promise<void> {
  const days = page.getByRole('group', { name: `Days of ${name}` });
  for (const turnsOn of [true, false]) {
    for (const weekday of WEEKDAY_NAMES) {
      const day = days.getByRole('button', { name: weekday });
      const isOn = (await day.getAttribute('aria-pressed')) === 'true';
      if (isOn !== turnsOn && wanted.includes(weekday) === turnsOn) await day.click();
    }
  }
}

/** Everyone’s sessions of a week up to a day, done on their days; whoever is left out misses them. */
async function week(page: Page, house: House, monday: string, before: string, without: readonly string[] = []): Promise<void> {
  const everyone = [{ id: group.sourceId, athleteId: group.leaderId, athleteName: LEADER }, ...(await copies(page, house))];
  await Promise.all(
    everyone
      .filter(({ athleteName }) => !without.includes(athleteName))
      .map(async ({ id, athleteId, athleteName }) => {
        const { sessions, plans } = await of(page, house, id);
        for (const { day, planId } of sessions.filter(({ day }) => day >= monday && day < before)) {
          const { sequenceId } = plans.find((plan) => plan.id === planId)!;
          await logged(page, house, { athleteId, sequenceId, day, discomfort: athleteName === SORE && monday > START ? 6 : 0 });
        }
      }),
  );
}

test.describe.serial('a group of eight through four weeks', () => {
  test.beforeEach(async ({ page }) => {
    test.setTimeout(80_000);
    await page.clock.install();
  });
  test.afterEach(async ({ house }) => house.moveBy(0));

  test('one programme, looked at for each and then given to seven more, one of them on days of her own', async ({ coach: page, house }) => {
    await itIs(page, house, START);
    group.leaderId = await someoneNew(page, house, LEADER);
    for (const name of OTHERS) await someoneNew(page, house, name);
    const listed = (await house.read<SequenceListItem[]>(page, '/sequences')).find(({ title }) => title === 'Loading the palms');
    const { document } = await house.read<StoredSequence>(page, `/sequences/${listed!.id}`);
    await house.put(page, `/sequences/${uuid()}`, { ...document, title: 'Eight load', blocks: document.blocks.slice(1, 9) });
    await page.goto(`/programmes/new?athlete=${group.leaderId}`);
    await page.getByLabel('Title').fill('Eight together');
    await page.getByLabel('Method', { exact: true }).selectOption({ label: 'Floor loading' });
    await page.getByLabel('Weeks', { exact: true }).fill('5');
    await page.getByLabel('Sessions for the goal, a week').fill('2');
    await page.getByLabel('Sequence for these days').selectOption({ label: 'Eight load' });
    await page.getByLabel('Easy days between').uncheck();
    await page.getByRole('button', { name: 'Create programme' }).click();
    await expect(page.getByRole('group', { name: 'Calendar' })).toBeVisible();
    group.sourceId = idIn(page);
    await page.getByRole('link', { name: 'Copy to other people' }).click();
    for (const name of OTHERS) await page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).check();
    await onDays(page, OWN_DAYS, ['Tue', 'Sat']);
    await page.getByRole('button', { name: 'Show what is different for each' }).click();
    await expect(page.getByRole('group', { name: `What is different for ${OWN_DAYS}` })).toContainText('Trains on', { timeout: 30_000 });
    await expect(page.getByRole('group', { name: /^What is different for/ })).toHaveCount(7, { timeout: 30_000 });
    expect(await copies(page, house)).toEqual([]);
    await page.getByRole('button', { name: 'Create 7 copies' }).click();
    await expect(page.getByText('7 people', { exact: true })).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText('up to date')).toHaveCount(7);
    expect((await copyOf(page, house, OWN_DAYS)).weekdays).toEqual([2, 6]);
  });

  test('weeks one and two, by mouse', async ({ coach: page, house }) => {
    await itIs(page, house, START);
    // The first week goes as planned; the leader’s first session is led here, from Today.
    await openToday(page);
    await page.getByRole('link', { name: `Lead Eight load for ${LEADER}` }).click();
    await tickAsked(page);
    await page.getByRole('button', { name: 'Start' }).click();
    await leadToTheEnd(page);
    await page.getByRole('button', { name: 'Save record' }).click();
    await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
    await recorded(page, house);
    await itIs(page, house, addDays(START, 7));
    await week(page, house, START, addDays(START, 7));
    // In the second one comes not at all, and another’s hands hurt.
    await itIs(page, house, addDays(START, 14));
    await week(page, house, addDays(START, 7), addDays(START, 14), [AWAY]);
    await page.goto(`/programmes/${group.sourceId}/group`);
    await expect(page.getByRole('row').filter({ hasText: AWAY })).toContainText('0/2, 2 missed');
    // A press each: something else for hands that hurt, more for one who is ready.
    for (const [name, kind] of [
      [SORE, 'Swap'],
      [READY, 'Progress'],
    ] as const) {
      const { athleteId, id } = await copyOf(page, house, name);
      await page.goto(`/people/${athleteId}`);
      await page
        .getByRole('button', { name: `Accept, ${kind}: ${name}` })
        .first()
        .click();
      await expect.poll(async () => (await of(page, house, id)).changes?.length ?? 0).toBeGreaterThan(0);
    }
  });

  test('weeks three and four, by keys: a change of the programme is offered to each, and what came of it stands on one page', async ({
    coach: page,
    house,
  }) => {
    await itIs(page, house, addDays(START, 14));
    await page.goto(`/programmes/${group.sourceId}`);
    await expect(page.getByRole('group', { name: 'Calendar' })).toBeVisible();
    const { sessions } = await of(page, house, group.sourceId);
    const { changes: accepted } = await of(page, house, (await copyOf(page, house, READY)).id);
    expect(accepted).not.toEqual([]);
    const moved = sessions.findLast(({ day, planId }) => planId === 'loading' && day < addDays(START, 28))!;
    await page.locator(`[data-session="${moved.id}"]`).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Alt+ArrowRight');
    const moves = async () => (await of(page, house, group.sourceId)).sessions.find(({ id }) => id === moved.id)?.day;
    await expect.poll(moves).toBe(addDays(moved.day, 1));
    await tabTo(page, 'link', 'Open the group');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Show what the change does to/ })).toHaveCount(7);
    for (const name of OTHERS) {
      await tabTo(page, 'button', `Show what the change does to ${name}`);
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: `Apply the change to ${name}` })).toBeVisible({ timeout: 20_000 });
      await tabTo(page, 'button', name === AWAY ? `Leave ${name}’s programme as it is` : `Apply the change to ${name}`);
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: `Apply the change to ${name}` })).toHaveCount(0, { timeout: 20_000 });
    }
    await expect(page.getByText('up to date')).toHaveCount(7);
    // What was accepted for one stays hers through the change of all.
    const ready = await of(page, house, (await copyOf(page, house, READY)).id);
    expect(ready.changes).toEqual(accepted);
    expect(ready.sessions.map(({ day }) => day)).toContain(addDays(moved.day, 1));

    await itIs(page, house, addDays(START, 21));
    await week(page, house, addDays(START, 14), addDays(START, 21));
    await itIs(page, house, addDays(START, 28));
    await week(page, house, addDays(START, 21), addDays(START, 28));
    await page.goto(`/programmes/${group.sourceId}/group`);
    // What was done before the change stays done, whatever it made of the sequence.
    const weeksOf = (name: string) =>
      page
        .getByRole('row')
        .filter({ hasText: name })
        .getByText(/^\d\/2/);
    await expect(weeksOf(SORE)).toHaveText(['2/2', '2/2', '2/2', '2/2', '0/2']);
    await expect(weeksOf(AWAY)).toHaveText(['2/2', /^0\/2/, '2/2', '2/2', '0/2']);
    await tabTo(page, 'link', 'Last six weeks');
    await page.keyboard.press('Enter');
    const people = page.getByRole('table').getByRole('row');
    await expect(people).toHaveCount(1 + 8);
    await expect(people.filter({ hasText: READY })).toContainText('8 sessions');
    await expect(people.filter({ hasText: AWAY })).toContainText('6 sessions');
    await tabTo(page, 'button', SORE);
    await page.keyboard.press('Enter');
    await expect(page.getByText(/at 5 or more/)).toBeVisible();
  });
});
