import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { inPhaseOrder, parseDose, type Phase, USUAL_PACING, usualWay } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { IN_SPACE, SET_UP_CODE, expect, manyBlocks, openSequence, startSession, test, openToday, choose, more } from './house.js';

test.use(IN_SPACE);

/** How long the hands of a full screen take to be drawn. */
const DRAWN_MS = 3000;

/** Takes the pictures of docs/screenshots anew from the demo studio: ./clay-pot test pictures. */

const shot = (page: Page, name: string) =>
  page.screenshot({ path: fileURLToPath(new URL(`../docs/screenshots/${name}.png`, import.meta.url)) });

test('pictures of the main views', async ({ coach: page }) => {
  await openToday(page);
  test.setTimeout(300_000);
  const settled = async () => {
    // Nothing is pointed at.
    await page.mouse.move(1200, 2);
    await expect(page.getByRole('status').filter({ hasText: /^Fetching/ })).toHaveCount(0);
    await page.evaluate(() => document.fonts.ready);
    // Hands are drawn when the page is idle, by the processor here.
    await page.waitForTimeout(DRAWN_MS);
  };
  await expect(page.getByText(/^Checking/)).toBeHidden({ timeout: 60_000 });
  await settled();
  await shot(page, 'today');
  await page.goto('/people/class');
  await settled();
  await shot(page, 'class');
  await page.goto('/programmes');
  await page.getByRole('link', { name: 'Toward the lantern show' }).last().click();
  await page.locator('[data-week="4"]').click();
  await page.getByRole('figure', { name: /^Load of/ }).waitFor();
  await settled();
  await shot(page, 'programme');
  await page.goto('/people');
  await page.getByRole('link', { name: 'Mirela Danko', exact: true }).click();
  await page.getByRole('heading', { name: 'Wrists' }).waitFor();
  await settled();
  await shot(page, 'person');
  await page.getByRole('link', { name: 'History' }).click();
  await page.locator('a[href^="/records/"]:visible').first().click();
  await page.getByRole('heading', { name: 'Planned vs. done' }).waitFor();
  await settled();
  await shot(page, 'record');
  await page.goto('/people');
  await page.getByRole('link', { name: 'Callum Reyes-Whitlock', exact: true }).click();
  await page.getByRole('link', { name: 'Trends' }).click();
  await settled();
  await shot(page, 'trends');
  await page.goBack();
  await more(page, 'Generate sequence');
  await page.getByRole('button', { name: 'Generate', exact: true }).click();
  await page.getByText(/^found in/).waitFor({ timeout: 60_000 });
  await page.evaluate(() => window.scrollTo(0, 0));
  await settled();
  await shot(page, 'compose');
  await page.goBack();
  await more(page, 'Test');
  await page.getByRole('checkbox', { name: 'Grip, all out' }).check();
  await page.getByRole('button', { name: /^Start 1/ }).click();
  await page.getByLabel('Source').selectOption('simulated');
  await page.getByLabel('Speed').selectOption('50');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await page.getByText(/of the best squeeze/).waitFor();
  await settled();
  await shot(page, 'measure');
  await page.goto('/people');
  await page.getByRole('link', { name: 'Mirela Danko', exact: true }).click();
  await more(page, 'Start check-in');
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: 'Places' }).click();
  await settled();
  await shot(page, 'ask');
  await page.goto('/movements/strength.palm-lift');
  await choose(page, 'Demand for', 'Callum Reyes-Whitlock');
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.evaluate(() => window.scrollTo(0, 0));
  await settled();
  await shot(page, 'movement');
  await page.goto('/movements?view=pictures&family=planted-strength');
  await settled();
  // A wall of hands.
  await page.waitForTimeout(2 * DRAWN_MS);
  await shot(page, 'movements');
  await page.goto('/bench?movement=bearing.palm-support&level=knees-back');
  await choose(page, 'Athlete', 'Tobi Marchetti');
  await page.getByLabel('by changing').selectOption({ label: 'Shoulders in front of the hands' });
  await page.getByRole('button', { name: 'Solve', exact: true }).click();
  await settled();
  await shot(page, 'bench');
  await openSequence(page, 'Find the mistakes');
  await page.getByRole('region', { name: 'Checks' }).evaluate((part) => part.scrollIntoView());
  await settled();
  await shot(page, 'checks');
  await openSequence(page, 'Loading the palms');
  await choose(page, 'Athlete', 'Callum Reyes-Whitlock');
  await page.getByRole('listitem', { name: /^Block 8/ }).focus();
  await settled();
  await shot(page, 'editor');
  await page.getByRole('link', { name: 'Start session', exact: true }).click();
  await startSession(page);
  // Into the right hand’s stretch: circles 56 s, opening 35 s, then 15 s to the chair, the left hand and the change.
  // At one leap: no frame of a hand in between is drawn.
  await page.clock.fastForward(150_000);
  await page.clock.runFor(300);
  await shot(page, 'player');
});

test('a sheet of 42 blocks', async ({ coach: page, house }) => {
  const id = await manyBlocks(page, house, 42);
  await page.setViewportSize({ width: 860, height: 1180 });
  await page.goto(`/sequences/${id}/sheet`);
  await page.getByText('Stop if it hurts').waitFor();
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(DRAWN_MS);
  await shot(page, 'sheet');
});

type Line = [phase: Phase, movementId: string, levelId: string, dose: string];
const WARM: Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist', '1x4 tempo4-4 L,R <>'],
  ['prepare', 'free.bending-waves', 'arms-forward', '1x12 tempo2-2'],
  ['range', 'stretch.flexors', 'open', '1x30s L,R'],
  ['range', 'rock.palm-fore-aft', 'behind', '1x10 tempo2-2'],
];
const WORK: Line[] = [
  ['load', 'rock.back-of-hand', 'both-inward', '1x10'],
  ['strength', 'isometric.extension', 'medium', '1x6 @50% 5s tempo1-1 L,R'],
  ['strength', 'isometric.flexion', 'medium', '1x6 @50% 5s tempo1-1 L,R'],
  ['strength', 'grip.ball-squeeze', 'soft', '1x8 @40% 4s tempo1-1 L,R'],
];
const CALM: Line[] = [
  ['settle', 'settle.long-extensors', 'easy', '1x40s L,R'],
  ['settle', 'settle.resting-breaths', 'seated', '1x6br'],
];
const oneHand = (lines: Line[]) =>
  lines.map(([phase, movement, level, dose]): Line => [phase, movement, level, dose.replace(' L,R', ' R')]);

/** Beside other drawings ids must be its own, and no coil is the chosen one. */
const standingAlone = (svg: string, name: string) =>
  svg.replace(/(id="|url\(#)/g, `$1${name}`).replaceAll('fill-opacity="0.12"', 'fill-opacity="0"');

/** Five sequences whose pots should be told apart at a glance. */
const FIVE: [name: string, budgetMin: number, lines: Line[]][] = [
  ['Balanced', 16, [...WARM, ...WORK, ...CALM]],
  ['Lopsided', 16, [...WARM, ...oneHand(WORK), ...oneHand(WORK.slice(1)), ...CALM]],
  ['Top-heavy', 14, [...WARM, ...WARM.slice(0, 3), ['skill', 'isometric.flexion', 'strong', '1x6 @60% 3s tempo1-1 L,R']]],
  ['Overlong', 8, [...WARM, ...WORK, ...CALM]],
  ['Failing', 16, [...WARM, ['strength', 'isometric.flexion', 'strong', '1x20 @80% 8s tempo1-1 L,R'], ...CALM]],
];

test('the big screen of a class', async ({ coach: page, house }) => {
  test.setTimeout(120_000);
  const listed = await house.read<{ id: string; title: string }[]>(page, '/sequences');
  await page.goto(`/sequences/${listed.find(({ title }) => title === 'Loading the palms')!.id}/class`);
  for (const name of ['Anneke Vos', 'Callum Reyes-Whitlock', 'Hana Kobler', 'Mirela Danko', 'Olu Fairweather', 'Wilf Tarrant']) {
    await page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).check();
  }
  await page.getByLabel(/I asked everyone today/).check();
  await page.getByRole('button', { name: 'Start class' }).click();
  const skip = page.getByRole('button', { name: 'Skip' });
  while (!(await page.getByRole('heading', { name: /^Palm rocks, fore/ }).isVisible())) await skip.click();
  await page.getByText('of 12', { exact: true }).waitFor({ timeout: 60_000 });
  await page.setViewportSize({ width: 1280, height: 720 });
  await page.goto(`${page.url()}/${(await house.read<{ id: string }[]>(page, '/class-sessions'))[0]!.id}/screen`);
  await page.getByTestId('big-screen').waitFor();
  // The hand is drawn by the processor here, and the buttons are gone by then.
  await page.waitForTimeout(3 * DRAWN_MS);
  await shot(page, 'big-screen');
});

test.describe('beside each other', () => {
  // The page that they are put on is made here, with its styles in it.
  test.use({ bypassCSP: true });

  test('five pots in one picture', async ({ coach: page }) => {
    await openToday(page);
    const drawings: { name: string; svg: string; words: string }[] = [];
    for (const [name, budgetMin, lines] of FIVE) {
      const blocks = lines.map(([phase, movementId, levelId, dose], index) => ({
        id: `b${index}`,
        phase,
        movementId,
        levelId,
        dose: parseDose(dose, usualWay(shippedMovement(movementId)!)),
      }));
      const document = { title: name, purpose: '', budgetMin, pacing: USUAL_PACING, blocks: inPhaseOrder(blocks) };
      const path = `/sequences/${uuid()}`;
      expect((await page.request.put(`/api${path}`, { data: document, headers: { origin: new URL(page.url()).origin } })).status()).toBe(
        200,
      );
      await page.goto(path);
      const panel = page.getByRole('region', { name: 'Pot' });
      await panel.getByRole('slider').waitFor();
      const svg = await panel.getByRole('slider').evaluate((drawing) => drawing.outerHTML);
      drawings.push({ name, svg: standingAlone(svg, name), words: await panel.getByRole('list').innerText() });
    }
    expect(drawings.map(({ words }) => words)).toEqual([
      expect.stringMatching(/^Even/),
      expect.stringMatching(/^Leans right/),
      expect.stringMatching(/^Top-heavy/),
      expect.stringMatching(/longer than there is time/),
      expect.stringMatching(/^Cracks at/),
    ]);
    await page.setViewportSize({ width: 1280, height: 350 });
    await page.goto('/sequences');
    await page.evaluate((all) => {
      const cells = all.map(
        ({ name, svg, words }) =>
          `<figure style="flex:1;min-width:0"><figcaption class="display text-lead font-bold">${name}</figcaption>${svg}<p class="text-small">${words.replaceAll('\n', ' ')}</p></figure>`,
      );
      document.body.innerHTML = `<div style="display:flex;gap:20px;padding:24px;background:white">${cells.join('')}</div>`;
    }, drawings);
    await shot(page, 'pots');
  });
});

test('the first evening of a new studio', async ({ page }) => {
  const data = {
    code: SET_UP_CODE,
    studio: 'Tideline Barn',
    name: 'Isla Penrose',
    email: 'isla@tideline.example',
    password: 'eleven letters',
  };
  await page.goto('/');
  const headers = { origin: new URL(page.url()).origin };
  const answer = await page.request.post('/api/front-door/studio', { headers, data: { ...data, timeZone: 'Europe/Amsterdam' } });
  expect(answer.status()).toBe(200);
  await page.goto('/');
  await page.getByRole('heading', { name: 'Welcome to Tideline Barn' }).waitFor();
  await page.getByRole('region', { name: 'First steps' }).waitFor();
  await page.evaluate(() => document.fonts.ready);
  await shot(page, 'first-steps');
});
