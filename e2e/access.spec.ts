import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import type { ProgrammeListItem, SequenceListItem, SessionPage, StoredMethod } from '@clay-pot/contracts';
import { expectAccessible } from './accessible.js';
import { expect, type House, manyBlocks, openSequence, startSession, test, openToday, pass, toLead, choose } from './house.js';

/** Each view by axe, and at both sizes nothing runs over its edge. */
async function walk(page: Page, views: readonly [path: string, sign: RegExp][]): Promise<void> {
  for (const [path, sign] of views) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: sign }).first()).toBeVisible();
    await arrived(page);
    for (const [width, height] of [
      [320, 640],
      [390, 844],
      [1280, 800],
    ] as const) {
      await page.setViewportSize({ width, height });
      const over = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      // On a busy machine the new size takes a moment to arrive; what stays too wide is too wide.
      await expect.poll(over, { message: `${path} at ${width}` }).toBe(0);
    }
    await expectAccessible(page);
  }
}

/** What the page asked the server for is there. */
const arrived = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Fetching/ })).toHaveCount(0);

test('sign-in is accessible', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('E-mail').waitFor();
  await expectAccessible(page);
  // Nor does joining a class need an account.
  await walk(page, [['/join', /^Join a class/]]);
});

/** What the addresses of views are made of. */
async function ofTheHouse(page: Page, house: House) {
  const [sequence] = await house.read<SequenceListItem[]>(page, '/sequences');
  const [session] = (await house.read<SessionPage>(page, '/sessions')).items;
  const [method] = await house.read<StoredMethod[]>(page, '/methods');
  const [programme] = await house.read<ProgrammeListItem[]>(page, '/programmes');
  const athleteId = sequence!.athletes[0]!.athleteId;
  return { sequence: sequence!, athleteId, session: session!, method: method!, programme: programme! };
}

test.describe('accessible, and nothing runs over its edge at either size:', () => {
  // Nothing is changed here, so the walks may go side by side.
  test.describe.configure({ mode: 'parallel' });
  test.beforeEach(async ({ page }) => {
    test.setTimeout(120_000);
    await page.emulateMedia({ reducedMotion: 'reduce' });
  });

  // A few views a walk: no one of them takes long, and what fails is found by its name.
  test('people', async ({ coach: page, house }) => {
    const { athleteId, session } = await ofTheHouse(page, house);
    await walk(page, [
      ['/', /Due today/],
      ['/people', /^People/],
      ['/people/new', /New athlete/],
      [`/people/${athleteId}`, /Wrists/],
      [`/people/${session.athleteId}/week`, /^Week of/],
    ]);
  });

  test('what is known of a person', async ({ coach: page, house }) => {
    const { athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      [`/people/${athleteId}/screening`, /Restrictions/],
      [`/people/${athleteId}/range`, /Range and strength/],
      [`/people/${athleteId}/levels`, /Levels/],
      [`/people/${athleteId}/plan`, /Assigned sequences/],
    ]);
  });

  test('records', async ({ coach: page, house }) => {
    const { athleteId, session } = await ofTheHouse(page, house);
    await walk(page, [
      [`/people/${athleteId}/history`, /History/],
      ['/records', /^Records/],
      [`/records/${session.id}`, /Planned vs\. done/],
    ]);
  });

  test('measuring and the class', async ({ coach: page, house }) => {
    const { athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      ['/people/class', /^Class overview/],
      [`/people/${athleteId}/measure`, /^Test/],
      [`/people/${athleteId}/trends`, /Trends/],
      [`/people/${athleteId}/band`, /^Target practice/],
    ]);
  });

  test('programmes and predictions', async ({ coach: page, house }) => {
    const { athleteId, programme } = await ofTheHouse(page, house);
    await walk(page, [
      ['/programmes', /^Programmes/],
      ['/simulation', /^Simulate progression rules/],
      [`/predictions?athlete=${athleteId}`, /^Predicted vs\. actual/],
      [`/programmes/new?athlete=${athleteId}`, /^New programme/],
      [`/programmes/${programme.id}`, /Checks/],
    ]);
  });

  test('the account, import and help', async ({ coach: page, house }) => {
    const { athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      [`/people/${athleteId}/import`, /^Import \/ export/],
      ['/account', /^Your account/],
      ['/help', /^Help/],
      ['/help/load-bench', /^Movements and the load bench/],
    ]);
  });

  test('movements and the load bench', async ({ coach: page, house }) => {
    const { athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      ['/movements/strength.palm-lift', /Palm lift/],
      ['/movements?view=pictures&family=free-motion', /^Movements/],
      ['/movements/new/edit?from=grip.pinch-hold', /New movement/],
      [`/bench?athlete=${athleteId}&movement=bearing.palm-support`, /Load bench/],
      ['/bench?movement=weight.lever-turn-up', /Load bench/],
    ]);
  });

  test('a sequence', async ({ coach: page, house }) => {
    const { sequence, athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      [`/sequences/${sequence.id}?athlete=${athleteId}`, /^Warm-up/],
      [`/sequences/${sequence.id}/sheet?athlete=${athleteId}`, new RegExp(sequence.title)],
      [`/sequences/${sequence.id}/lead?athlete=${athleteId}`, new RegExp(sequence.title)],
      [`/sequences/${sequence.id}/class`, /^Class: /],
    ]);
  });

  test('sequences and methods', async ({ coach: page, house }) => {
    const { athleteId, session, method } = await ofTheHouse(page, house);
    await walk(page, [
      ['/sequences', /^Sequences/],
      [`/compose?athlete=${athleteId}`, /^Generate/],
      [`/sequences/${session.sequenceId}/compare?athlete=${session.athleteId}&with=done:${session.id}`, /^Done on/],
      ['/methods/daily-range', /^Training methods/],
      [`/methods/${method.id}/edit`, /^Change Lantern weeks/],
    ]);
  });

  test('every step of the questions, and the letter', async ({ coach: page, house }) => {
    const { athleteId } = await ofTheHouse(page, house);
    await walk(page, [
      [`/people/${athleteId}/letter`, /^About the hands/],
      // As it was called before: what was kept of it leads on.
      [`/people/${athleteId}/ask`, /Do any of these apply/],
    ]);
    await page.setViewportSize({ width: 320, height: 640 });
    await page.getByRole('checkbox').first().click();
    for (const step of ['Warning signs', 'Places', 'When', 'History', 'Goals', 'Profile', 'Time', 'Result']) {
      await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: step }).click();
      if (step === 'Places') await page.getByRole('button', { name: 'Thumb, knuckle' }).click();
      if (step === 'History') await page.getByRole('checkbox').first().click();
      // What lies under the bar of buttons at this moment is scrolled out of it.
      await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
      await expectAccessible(page);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
    }
  });

  test('every tab beside a sequence', async ({ coach: page, house }) => {
    // Four blocks show all that there is to a row, a tab and a finding; each more is looked at again by every rule.
    await page.goto(`/sequences/${await manyBlocks(page, house, 4)}`);
    await expect(page.getByRole('listitem', { name: /^Block 4/ })).toBeVisible();
    for (const tab of ['Wheel', 'Totals', 'Capacity', 'Pot']) {
      await page.getByRole('tab', { name: tab }).click();
      await expectAccessible(page, '[role="tablist"]', '[role="tabpanel"]');
    }
    await page.getByRole('button', { name: 'Mute' }).first().click();
    await expectAccessible(page, '[aria-label="Checks"]');
  });
});

test('a record, the player, its rating, its stop and its end are accessible', async ({ coach: page }) => {
  await openToday(page);
  await page.getByRole('table').last().getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  await expectAccessible(page);
  await openSequence(page, 'Grip and release');
  await choose(page, 'Athlete', 'Ruan Pellew');
  await toLead(page);
  await startSession(page);
  await expectAccessible(page);
  await pass(page, 95_000);
  await expect(page.getByRole('region', { name: /^How was/ })).toBeVisible();
  await page.getByRole('button', { name: /^Tell more/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Discomfort 6', exact: true }).click();
  await expect(page.getByRole('button', { name: 'End here' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^None of these/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Skip; stay paused/ }).click();
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await page.getByRole('button', { name: 'Sharp pain' }).click();
  await expect(page.getByRole('heading', { name: 'Stopped' })).toBeVisible();
  await expectAccessible(page);
});

test('the first page needs no more than 130 kB of script, gzipped', async ({ page }) => {
  const sizes: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) sizes.push(response.body().then((body) => gzipSync(body).length));
  });
  await page.goto('/');
  await page.getByLabel('E-mail').waitFor();
  await page.waitForLoadState('load');
  const total = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
  expect(sizes.length).toBeGreaterThan(0);
  expect(total / 1000).toBeLessThanOrEqual(130);
});
