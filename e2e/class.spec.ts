import type { SessionRecord } from '@clay-pot/contracts';
import { findLevel, inPhaseOrder, parseDose, type Sequence, usualWay, USUAL_PACING } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import type { Browser, Page } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { expectAccessible } from './accessible.js';
import { expect, House, more, openSequence, someoneNew, test } from './house.js';

/** Twelve people, one of them with a name that is written from right to left. */
const NAMES = ['Ada', 'Bo', 'Cy', 'Dee', 'Eve', 'Fay', 'Gil', 'Hob', 'Ivo', 'Jo', 'Kai']
  .map((name) => `${name} Classmate`)
  .concat('ليلى حداد');
const TITLE = 'Twelve in step';

/** Long enough to count through, short enough to be led here. */
async function shortSequence(page: Page, house: House): Promise<void> {
  const lines = [
    ['prepare', 'free.wrist-circles', 'free-fist', '1x6 L,R tempo0.5-0.5'],
    ['load', 'bearing.palm-support', 'plank', '1x8s'],
    ['strength', 'strength.palm-lift', 'knees-back', '1x4 tempo1-1'],
    ['settle', 'settle.shakes', 'hanging', '1x8s'],
  ] as const;
  const blocks = lines.map(([phase, movementId, levelId, dose], index) => {
    const movement = shippedMovement(movementId)!;
    expect(findLevel(movement, levelId)).toBeDefined();
    return { id: `b${index}`, phase, movementId, levelId, dose: parseDose(dose, usualWay(movement)) };
  });
  const pacing = { ...USUAL_PACING, readyS: 3 };
  const document: Sequence = { title: TITLE, purpose: '', budgetMin: 5, pacing, blocks: inPhaseOrder(blocks) };
  await house.put(page, `/sequences/${uuid()}`, document);
}

/** Writes down when each number came on screen, by the machine’s own clock. */
const WATCH = () => {
  const seen: [text: string, atMs: number][] = [];
  (window as unknown as { seen: typeof seen }).seen = seen;
  let last = '';
  const look = () => {
    const text = document.querySelector('[data-testid=big-count]')?.textContent ?? '';
    if (text !== last) seen.push([text, performance.timeOrigin + performance.now()]);
    last = text;
  };
  new MutationObserver(look).observe(document, { subtree: true, childList: true, characterData: true });
};
const seenOn = (page: Page) => page.evaluate(() => (window as unknown as { seen: [string, number][] }).seen);

/** A device that joins by the code; its clock may be wrong. */
async function joined(browser: Browser, house: House, code: string, role: string, clockWrongByMs = 0): Promise<Page> {
  const context = await browser.newContext({
    baseURL: house.address,
    viewport: { width: 1280, height: 720 },
    serviceWorkers: 'block',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.addInitScript((wrongMs) => {
    const now = Date.now;
    Date.now = () => now() + wrongMs;
  }, clockWrongByMs);
  await page.addInitScript(WATCH);
  await page.goto(`/join?code=${code}`);
  await page.getByRole('radio', { name: role }).click();
  await page.getByRole('button', { name: 'Join class' }).click();
  await expect(page.getByTestId('big-count')).toBeVisible();
  return page;
}

/** How far devices are apart in showing the same numbers, milliseconds: of each number that two have seen, the later less the earlier. */
function apart(first: [string, number][], second: [string, number][], fromMs: number): number[] {
  return second
    .filter(([text, atMs]) => text !== '' && atMs > fromMs)
    .flatMap(([text, atMs]) => {
      const near = first.filter(([other]) => other === text).map(([, other]) => Math.abs(other - atMs));
      const best = Math.min(...near);
      return best < 500 ? [best] : [];
    });
}
const median = (values: number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** How high letters and digits are, as a share of the screen: capitals of this face are seven tenths of its size. */
const shareOfScreen = (page: Page, testId: string, ofSize = 1) =>
  page
    .getByTestId(testId)
    .first()
    .evaluate((element, share) => (share * parseFloat(getComputedStyle(element).fontSize)) / window.innerHeight, ofSize);
const CAPITALS = 0.7;

test('a class of twelve on five devices, through loss and return of the network; everybody gets their own record', async ({
  coach: page,
  house,
  browser,
}) => {
  test.setTimeout(240_000);
  await page.addInitScript(WATCH);
  await page.addInitScript(() =>
    localStorage.setItem('clay-pot-developer', JSON.stringify({ state: { showsVoiceLog: true }, version: 0 })),
  );
  await shortSequence(page, house);
  const ids = new Map<string, string>();
  for (const name of NAMES) {
    const cautions = name.startsWith('Bo') ? [{ caution: 'numbness', hand: 'both' }] : [];
    ids.set(name, await someoneNew(page, house, name, cautions));
  }

  await openSequence(page, TITLE);
  await more(page, 'Lead a class');
  await page.getByRole('searchbox', { name: 'Find people' }).fill('Classmate');
  for (const name of NAMES.slice(0, 11)) await page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).check();
  await page.getByRole('searchbox', { name: 'Find people' }).fill('ليلى');
  await page.getByRole('checkbox', { name: /^ليلى/ }).check();
  await expect(page.getByRole('status').filter({ hasText: 'Ask everyone first' })).toBeVisible({ timeout: 40_000 });
  // What somebody who is not cleared does in the plank, and why; it can be changed for anybody.
  await page.getByRole('button', { name: /^2 Palm support/ }).click();
  const inPlank = page.getByRole('list', { name: 'Who does what in block 2' });
  await expect(inPlank.getByRole('combobox', { name: 'What Bo Classmate does' })).toHaveValue('-1');
  await expect(inPlank.getByText(/no loading until a doctor or hand therapist/)).toBeVisible();
  await inPlank.getByRole('combobox', { name: 'What Cy Classmate does' }).selectOption({ index: 0 });
  const cyDoes = await inPlank.getByRole('combobox', { name: 'What Cy Classmate does' }).locator('option:checked').textContent();
  await page.getByLabel(/I asked everyone today/).check();
  await page.getByRole('button', { name: 'Start class' }).click();

  const code = (await page.getByTestId('code').textContent())!;
  await page.getByRole('button', { name: 'Pause' }).click();
  const [running] = await house.read<{ id: string }[]>(page, '/class-sessions');
  // On this device without the server, on a phone of the coach, and on two devices that joined: the clock of one is an hour wrong.
  const beside = await page.context().newPage();
  await beside.addInitScript(WATCH);
  await beside.goto(`/class/${running!.id}/screen`);
  const phone = await page.context().newPage();
  await phone.setViewportSize({ width: 390, height: 844 });
  await phone.addInitScript(WATCH);
  await phone.goto(`/class/${running!.id}`);
  const screen = await joined(browser, house, code, 'Big screen', 3_600_000);
  const counter = await joined(browser, house, code, 'Counter', -1500);
  const others = [beside, phone, screen, counter];
  for (const each of others) await expect(each.getByTestId('big-count')).toBeVisible();
  for (const each of [page, phone, screen]) await expectAccessible(each);
  // Legible at eight metres.
  expect(await shareOfScreen(screen, 'big-count', CAPITALS)).toBeGreaterThanOrEqual(1 / 4);
  expect(await shareOfScreen(screen, 'name')).toBeGreaterThanOrEqual(1 / 14);
  expect(await shareOfScreen(screen, 'cue')).toBeGreaterThanOrEqual(1 / 20);
  // Here no voice is installed: the words that ship with the application are said.
  await page.getByRole('button', { name: 'Voice' }).click();

  // From the phone the clock of all goes on, and they count in step.
  await phone.getByRole('button', { name: 'Continue' }).click();
  const startedMs = performance.timeOrigin + performance.now();
  await expect(page.getByText('of 6', { exact: true })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByTestId('big-count')).toHaveText(/^[3-6]$/, { timeout: 20_000 });
  // The server goes away: each goes on by its own clock, and the coach’s device still controls its own windows.
  await house.stop();
  const stoppedMs = performance.timeOrigin + performance.now();
  await page.getByRole('button', { name: 'Easier: Eve Classmate' }).click();
  await page.getByRole('button', { name: 'Hurts: Fay Classmate' }).click();
  await page.getByRole('button', { name: 'Numbness or tingling' }).click();
  await page.getByRole('button', { name: 'Leaves: Gil Classmate' }).click();
  await expect(page.getByRole('listitem', { name: 'Fay Classmate' })).toContainText('Stopped: numbness or tingling');
  await expect(page.getByRole('heading', { level: 2 })).toHaveText('Palm support', { timeout: 60_000 });
  // The others count on by themselves, and hear of the pause when the server is back.
  await page.getByRole('button', { name: 'Pause' }).click();
  for (const each of others) await expect.poll(async () => (await seenOn(each)).at(-1)![1]).toBeGreaterThan(stoppedMs);
  await house.start();
  // What was pressed meanwhile is on every device, wherever its clock had come to.
  await expect(screen.getByRole('list', { name: 'Different for' })).toContainText('Bo Classmate', { timeout: 20_000 });
  await expect(phone.getByRole('listitem', { name: 'Fay Classmate' })).toContainText('Stopped');
  for (const each of others) await expect(each.getByText('Paused').first()).toBeVisible();
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText('Palm lift', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Skip' }).click();

  const mine = await seenOn(page);
  const figures: string[] = [];
  for (const [name, each] of [
    ['second window', beside],
    ['phone', phone],
    ['big screen', screen],
    ['counter', counter],
  ] as const) {
    const between = apart(mine, await seenOn(each), startedMs + 500);
    expect(between.length).toBeGreaterThan(15);
    figures.push(`${name}: median ${median(between).toFixed(0)} ms, worst ${Math.max(...between).toFixed(0)} ms of ${between.length}`);
    expect([name, median(between) < 100]).toEqual([name, true]);
  }
  const counts = await page.getByRole('list', { name: 'Voice log' }).locator('[data-kind=count], [data-kind=countdown]').all();
  const off = await Promise.all(counts.map(async (each) => Math.abs(Number(await each.getAttribute('data-off')))));
  expect(off.length).toBeGreaterThan(10);
  expect(median(off)).toBeLessThan(80);
  figures.push(`voice: median ${median(off)} ms, worst ${Math.max(...off)} ms of ${off.length}`);
  test.info().annotations.push({ type: 'in step', description: figures.join('; ') });

  // The end, and how it was.
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'End now' }).click();
  await expect(screen.getByRole('heading', { name: 'Class over' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Effort (RPE) 6', exact: true }).click();
  await page.getByRole('button', { name: 'Discomfort 1', exact: true }).click();
  await page.getByRole('button', { name: 'Save and next' }).click();
  await page.getByRole('button', { name: 'Finish without the rest' }).click();
  await expect(page.getByRole('heading', { name: 'Records' })).toBeVisible();
  await house.moveBy(60_000);

  const recordOf = async (name: string) => {
    const { items } = await house.read<{ items: { id: string }[] }>(page, `/sessions?athlete=${ids.get(name)}`);
    return items[0] ? house.read<SessionRecord>(page, `/sessions/${items[0].id}`) : null;
  };
  // They are written one after the other.
  for (const name of ['Ada Classmate', 'ليلى حداد']) {
    await expect.poll(async () => (await recordOf(name))?.ending, { timeout: 20_000 }).toBe('ended early');
  }
  const ada = (await recordOf('Ada Classmate'))!;
  expect(ada).toMatchObject({ exertion: 6, maxDiscomfort: 1 });
  expect(ada.sets.filter(({ blockId }) => blockId === 'b1')).toMatchObject([{ movementId: 'bearing.palm-support', doneAmount: 8 }]);
  expect((await recordOf('Bo Classmate'))!.sets.map(({ blockId }) => blockId)).not.toContain('b1');
  expect((await recordOf('Cy Classmate'))!.sets.filter(({ blockId }) => blockId === 'b1')).toHaveLength(1);
  expect(cyDoes).not.toBe('As the class');
  expect(await recordOf('Fay Classmate')).toMatchObject({ ending: 'stopped', stopSign: 'numbness' });
  expect((await recordOf('Gil Classmate'))!.sets.map(({ blockId }) => blockId)).not.toContain('b1');
  await house.moveBy(0);
  for (const each of [screen, counter]) await each.context().close();
});
