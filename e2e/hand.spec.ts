import type { StoredMovement } from '@clay-pot/contracts';
import type { Page } from '@playwright/test';
import { expect, IN_SPACE, openSequence, startSession, test, toLead, choose, pass } from './house.js';

// The processor draws here: a small page has a tenth of the points.
test.use({ ...IN_SPACE, viewport: { width: 720, height: 560 } });

/** How much of a canvas is drawn on, and a fingerprint of what. */
const drawn = (page: Page, at = 0) =>
  page.evaluate((index) => {
    const canvas = document.querySelectorAll('canvas')[index]!;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
    let [covered, print] = [0, 0];
    for (let i = 3; i < data.length; i += 4 * 97) {
      if (data[i]! > 0) covered++;
      print = (print * 31 + data[i]! + data[i - 1]!) % 1_000_003;
    }
    return { share: covered / (data.length / (4 * 97)), print };
  }, at);

test('a movement is seen in space: it is drawn, turns by keys and by dragging, and back', async ({ coach: page }) => {
  await page.goto('/movements/strength.palm-lift');
  const hand = page.getByRole('group', { name: /^Palm lift, Hands on a table\. Arrow keys turn it/ });
  await expect(hand).toBeVisible();
  await expect.poll(async () => (await drawn(page)).share).toBeGreaterThan(0.15);
  await page.getByRole('button', { name: 'Pause' }).click();
  const before = await drawn(page);
  await hand.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await drawn(page)).print).not.toBe(before.print);
  await page.keyboard.press('Home');
  await expect.poll(async () => (await drawn(page)).print).toBe(before.print);
  const box = (await hand.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 80, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await drawn(page)).print).not.toBe(before.print);
  await expect(page.getByRole('img', { name: /seen from below, with the pressure/ })).toBeVisible();
});

test('who wants less motion sees start and end side by side, there with the page', async ({ coach: page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/movements/glide.hook');
  const [start, end] = await Promise.all(
    ['start', 'end'].map(async (moment) => {
      const picture = page.getByRole('img', { name: `Hook tendon glide, Without tension: ${moment}` });
      await expect(picture).toBeVisible();
      return picture.getAttribute('src');
    }),
  );
  expect(start).not.toBe(end);
});

test('the gallery has its pictures with the page; a movement of the studio’s own is drawn, and again where the graphics card let go', async ({
  coach: page,
}) => {
  await page.addInitScript(() => {
    const get = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, ...parameters: Parameters<typeof get>) {
      const context = get.apply(this, parameters);
      if (parameters[0] === 'webgl2') (window as unknown as { lastGl: unknown }).lastGl = context;
      return context;
    } as typeof get;
  });
  const pictures = page.getByRole('listitem').locator('img');
  const drawn = () => pictures.evaluateAll((all) => all.filter((img) => (img as HTMLImageElement).naturalWidth > 0).length);
  await page.goto('/movements?view=pictures&family=tendon-glides');
  await expect(pictures).toHaveCount(10);
  await expect.poll(drawn).toBe(10);
  await page
    .getByRole('combobox', { name: /Family|families/ })
    .first()
    .selectOption({ label: 'Hangs' });
  // Six are baked; the studio’s own has to be drawn.
  await expect.poll(drawn).toBe(7);
  const lose = (restore: boolean) =>
    page.evaluate((again) => {
      const { lastGl } = window as unknown as { lastGl: WebGL2RenderingContext };
      const hold = window as unknown as { extension?: WEBGL_lose_context | null };
      hold.extension ??= lastGl.getExtension('WEBGL_lose_context');
      if (again) hold.extension?.restoreContext();
      else hold.extension?.loseContext();
    }, restore);
  await lose(false);
  await page.setViewportSize({ width: 900, height: 560 });
  await lose(true);
  await expect.poll(drawn).toBe(7);
});

test('in the player the hand fills the free space, does what the count says, and is pointed at where it hurts', async ({ coach: page }) => {
  await openSequence(page, 'Loading the palms');
  await choose(page, 'Athlete', 'Anneke Vos');
  await toLead(page);
  await startSession(page);
  await page.getByRole('button', { name: 'Skip' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.setViewportSize({ width: 1280, height: 800 });
  const share = () =>
    page.evaluate(() => {
      const picture = document.querySelector('section[aria-label=Now] canvas')!.getBoundingClientRect();
      return (picture.width * picture.height) / (innerWidth * innerHeight);
    });
  const inView = async (name: string) => {
    const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
    const { height } = page.viewportSize()!;
    expect(box.y + box.height).toBeLessThanOrEqual(height);
  };
  await expect.poll(async () => (await drawn(page)).share).toBeGreaterThan(0.1);
  expect(await share()).toBeGreaterThan(0.4);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(share).toBeGreaterThan(1 / 3);
  for (const name of ['Continue', 'Something hurts']) await inView(name);
  await expect(page.getByTestId('big-number')).toBeInViewport();
  // It moves with the clock and stands with it.
  await page.getByRole('button', { name: 'Continue' }).click();
  const standing = await drawn(page);
  await pass(page, 6_000);
  await expect.poll(async () => (await drawn(page)).print).not.toBe(standing.print);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.clock.runFor(500);
  const drawnBefore = await drawn(page);
  await page.clock.runFor(1_000);
  expect((await drawn(page)).print).toBe(drawnBefore.print);

  // Where it hurts is pointed at on the hand: not on a place, but nearer to it than to any other.
  await page.getByRole('button', { name: 'Something hurts' }).click();
  await page.getByRole('button', { name: 'None of these: something else hurts' }).click();
  await page.getByRole('radio', { name: 'Right hand' }).click();
  const places = page.getByRole('group', { name: /^Where it hurts/ });
  const tip = (await places.getByRole('button', { name: 'Ring finger, middle joint' }).boundingBox())!;
  await page.mouse.click(tip.x + tip.width / 2 + 9, tip.y + tip.height / 2 + 5);
  await expect(places.getByRole('button', { name: 'Ring finger, middle joint' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('radio', { name: 'Back of the hand', exact: true }).click();
  await places.getByRole('button', { name: 'Ring finger, middle joint' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(places.locator(':focus')).toHaveAccessibleName('Ring finger, knuckle');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Discomfort 3' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Right hand, ring finger, knuckle: 3 of 10, saved.')).toBeVisible();
});

test('a hand is posed by dragging a joint, by keys and by numbers; the level keeps it', async ({ coach: page, house }) => {
  await page.goto('/movements/new/edit?from=settle.resting-breaths');
  await page.getByRole('textbox', { name: 'Name' }).first().fill('Slow claw');
  await page.getByRole('button', { name: 'Pose the hand' }).first().click();
  const hand = page.getByRole('region', { name: 'The hand' });
  const joints = hand.getByRole('group', { name: /^Joints of the hand/ });
  await hand.getByLabel('Start from').selectOption('together');
  // By mouse: the palm is up, and the index’s end joint is taken up: its middle joint bends.
  const handle = joints.getByRole('button', { name: 'Index finger, end joint' });
  await joints.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y - 30, { steps: 4 });
  await page.mouse.up();
  const middle = hand.getByRole('textbox', { name: 'Index finger, middle joint' });
  await expect.poll(async () => Number(await middle.inputValue())).toBeGreaterThan(8);
  // By keys: the next joint is taken along with an arrow; by numbers: beyond the limit is refused.
  await joints.getByRole('button', { name: 'Index finger, tip' }).focus();
  await page.keyboard.press('PageUp');
  await expect(joints.locator(':focus')).toHaveAccessibleName('Index finger, end joint');
  await middle.fill('300');
  await middle.press('Enter');
  await expect(hand.getByRole('alert')).toContainText('Enter a number from');
  await middle.fill('95');
  await middle.press('Enter');
  await expect(hand.getByRole('alert')).toHaveCount(0);
  await hand.getByRole('button', { name: 'Add a moment' }).click();
  await hand.getByLabel('Start from').selectOption('open');
  await expect(hand.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Slow claw' })).toBeVisible();
  const stored = await house.read<StoredMovement[]>(page, '/movements');
  const { course } = stored.find(({ movement }) => movement.name === 'Slow claw')!.movement.ladder[0].hand!;
  expect(course).toHaveLength(2);
  expect(course![0]!.joints).toMatchObject({ indexPipDeg: 95 });
});
