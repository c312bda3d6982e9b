import type { StoredReading } from '@clay-pot/contracts';
import type { Page } from '@playwright/test';
import { expect, type House, someoneNew, test, todayAtTheHall } from './house.js';

/** Somebody new at the measuring bench. @returns the id of the person */
async function bench(page: Page, house: House, name: string, cautions: object[] = []): Promise<string> {
  const id = await someoneNew(page, house, name, cautions);
  await page.goto(`/people/${id}/measure`);
  await expect(page.getByRole('heading', { name: 'Test', exact: true })).toBeVisible();
  return id;
}
/** Types trials one after the other, each taken with Enter. */
async function type(page: Page, ...values: number[]): Promise<void> {
  for (const value of values) {
    const field = page.locator('[data-trial]');
    await expect(field).toHaveValue('');
    await field.fill(String(value));
    await field.press('Enter');
  }
}
const next = (page: Page) => page.getByRole('button', { name: 'Next', exact: true }).click();
const soFar = (page: Page) => page.getByRole('list', { name: 'Results' });

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a battery is led by keys, through a reload, and told with its error; a slip of the unit is asked about', async ({
    coach: page,
    house,
  }) => {
    const id = await bench(page, house, 'Wenna Brook');
    await page.getByRole('button', { name: /^4-week retest/ }).click();
    await expect(page.getByRole('heading', { name: 'Wrist extension' })).toBeVisible();
    // Sides alternate, the dominant one first; nonsense stays with the reason.
    await type(page, 200);
    await expect(page.getByRole('alert')).toHaveText('within 0–130°');
    await page.locator('[data-trial]').fill('');
    await type(page, 70, 58, 60, 72);
    await expect(soFar(page)).toContainText('71° mean of 70, 72');
    await expect(page.getByText(/Uneven: left 17 % less/)).toBeVisible();
    await next(page);
    await type(page, 84, 74);
    await page.reload();
    await expect(page.getByRole('list', { name: 'Order of trials' })).toContainText('84°');
    await type(page, 75, 86);
    await next(page);
    await expect(page.getByRole('heading', { name: 'Grip' })).toBeVisible();
    await type(page, 441);
    await expect(page.getByRole('alert')).toContainText('was it 441 N');
    await page.getByRole('button', { name: 'Use 45.0 kg' }).click();
    await type(page, 41, 42, 46, 45, 42);
    await expect(soFar(page)).toContainText('men of 30–39 years in South Australia');
    await page.getByRole('button', { name: 'Save 6' }).click();
    await expect(page.getByRole('heading', { name: 'Wenna Brook' })).toBeVisible();
    const readings = () => house.read<StoredReading[]>(page, `/athletes/${id}/readings`);
    await expect.poll(async () => (await readings()).length).toBe(6);
    const grip = (await readings()).find(({ of, hand }) => of === 'grip' && hand === 'left')!;
    expect(grip.trials).toEqual([402.07, 411.88, 411.88]);
    expect(grip).toMatchObject({ kind: 'maximum', value: 408.61, gauge: 'dynamometer', onDay: todayAtTheHall() });
    // Measured again: what is within the error is no change.
    await page.goto(`/people/${id}/measure`);
    await page.getByRole('checkbox', { name: /^Wrist extension, passive/ }).check();
    await page.getByRole('button', { name: /^Start 1/ }).click();
    await type(page, 89, 88);
    await expect(soFar(page)).toContainText('+4°: within the error, no real change');
    await expect(soFar(page)).toContainText('+14°: a real change');
  });
});

test('a simulated device gives trials, and says what was wrong; a recorded file is played', async ({ coach: page, house }) => {
  await page.goto('/account');
  await page.getByRole('switch', { name: 'Offer faults of simulated devices' }).click();
  await bench(page, house, 'Kerra Dune');
  await page.getByRole('checkbox', { name: 'Grip', exact: true }).check();
  await page.getByRole('button', { name: /^Start 1/ }).click();
  await page.getByLabel('Source').selectOption('simulated');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByRole('timer', { name: 'Force now, right' })).toHaveText(/^[3-7]\d\.\d kg$/);
  const take = page.getByRole('button', { name: /^Use [3-7]\d\.\d kg$/ });
  await take.click();
  await expect(page.getByRole('list', { name: 'Order of trials' }).getByRole('listitem').first()).toContainText(/[3-7]\d\.\d kg/);
  await page.getByLabel('Speed').selectOption('10');
  await page.getByLabel('Simulated fault').selectOption('stuck value');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByText(/^From 2\.\d\d s, the device kept repeating/)).toBeVisible();
  await expect(take).toBeVisible();
  await page.getByLabel('Simulated fault').selectOption('wrong unit');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByRole('alert')).toContainText('changed its unit');
  await expect(take).toHaveCount(0);
  await page.getByLabel('Source').selectOption('typed');
  const file = (text: string) => ({ name: 'squeeze.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByLabel(/a recording/).setInputFiles(file('t_s,value\n0,0\n0.1,much\n'));
  await expect(page.getByRole('alert')).toHaveText('Line 3: must be a number, not “much”.');
  const squeeze = Array.from({ length: 150 }, (_, index) => {
    const tS = index / 30;
    const held = Math.max(0, Math.min(1, (tS - 0.6) / 0.3, (3.6 - tS) / 0.2));
    return `${tS.toFixed(3)},${(42 * held + 0.2 * Math.sin(9 * index)).toFixed(2)},kg`;
  });
  await page.getByLabel(/a recording/).setInputFiles(file(['t_s,value,unit', ...squeeze].join('\n')));
  await page.getByRole('button', { name: 'Start trial' }).click();
  await page.getByRole('button', { name: /^Use 42\.\d kg$/ }).click();
  await expect(soFar(page)).toContainText('42.');
});

test('simulated devices drive a whole first visit, plates and the all-out test among it', async ({ coach: page, house }) => {
  const id = await bench(page, house, 'Jory Reed');
  await page.getByRole('button', { name: /^First assessment/ }).click();
  await expect(page.getByRole('heading', { name: 'Wrist flexion' })).toBeVisible();
  await page.getByLabel('Source').selectOption('simulated');
  await page.getByLabel('Speed').selectOption('50');
  await lead(page);
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByRole('heading', { name: 'Jory Reed' })).toBeVisible();
  const readings = () => house.read<StoredReading[]>(page, `/athletes/${id}/readings`);
  await expect.poll(async () => (await readings()).length).toBe(12);
  const of = async (kind: string, what: string) => (await readings()).filter((each) => each.kind === kind && each.of === what);
  // By their own muscles less far than with help; a moment by the gauge’s distance from the wrist.
  const [active, passive] = [await of('active range', 'wrist extension'), await of('passive range', 'wrist extension')];
  for (const { value, hand } of active) expect(value).toBeLessThan(passive.find((each) => each.hand === hand)!.value);
  for (const { value } of await of('maximum', 'wrist flexion')) expect(value).toBeLessThan(25);

  await page.goto(`/people/${id}/measure`);
  await page.getByRole('checkbox', { name: 'All fours, weight on each hand' }).check();
  await page.getByRole('checkbox', { name: 'Grip, all out' }).check();
  await page.getByRole('button', { name: /^Start 2/ }).click();
  await page.getByLabel('Source').selectOption('simulated');
  await page.getByLabel('Speed').selectOption('50');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByText('mean over')).toBeVisible();
  // Both hands at once.
  await page.getByRole('button', { name: /^Use L/ }).click();
  await page.getByRole('button', { name: 'Start trial' }).click();
  await page.getByRole('button', { name: /^Use L/ }).click();
  await expect(soFar(page)).toContainText('mean of');
  await next(page);
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByText(/of 24/)).toBeVisible();
  await expect(page.getByText(/of the best squeeze/)).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: /^Use/ }).click();
  await page.getByRole('button', { name: 'Save 4' }).click();
  await expect.poll(async () => (await of('capacity above', 'grip')).length).toBe(1);
  expect(await of('hand load', 'all fours')).toHaveLength(2);
});

/** Starts and takes trials, goes on where a thing has all of its own, until the last thing has. */
async function lead(page: Page): Promise<void> {
  const start = page.getByRole('button', { name: 'Start trial' });
  for (let trial = 0; trial < 40; trial++) {
    const take = page.getByRole('button', { name: /^Use \d/ });
    if ((await start.count()) === 0) {
      const onward = page.getByRole('button', { name: 'Next', exact: true });
      if ((await onward.count()) === 0) return;
      await onward.click();
      await expect(start).toBeVisible();
    }
    await start.click();
    await take.click();
    await expect(take).toHaveCount(0);
  }
}

test('an angle is read off a picture of fifty megapixels by three points; the camera may be refused; kept only with consent', async ({
  coach: page,
  house,
}) => {
  const id = await bench(page, house, 'Tamsyn Weir');
  await page.getByRole('checkbox', { name: 'Wrist extension, passive' }).check();
  await page.getByRole('button', { name: /^Start 1/ }).click();
  await page.getByLabel('Source').selectOption('photo');
  await page.getByRole('button', { name: 'Take a photo' }).click();
  await expect(page.getByRole('alert')).toContainText(/Camera access was refused|This device has no camera/);
  const file = (mimeType: string, buffer: Buffer) => ({ name: 'hand.jpg', mimeType, buffer });
  const load = page.getByLabel('Load a photo');
  await load.setInputFiles(file('image/jpeg', Buffer.from('no picture at all')));
  await expect(page.getByRole('alert')).toContainText('Couldn’t open hand.jpg');
  const large = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(8200, 6150);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#dfe';
    context.fillRect(0, 0, 8200, 6150);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.5 });
    return Array.from(new Uint8Array(await blob.arrayBuffer()));
  });
  await load.setInputFiles(file('image/jpeg', Buffer.from(large)));
  const angle = page.getByRole('status', { name: 'Angle' });
  await expect(angle).toHaveText(/^\d+° ± \d+°$/);
  // The hand’s point by keys until the angle is 71°; the wrist’s by the mouse and back.
  const [wrist, hand] = [page.getByRole('button', { name: /^Point 2/ }), page.getByRole('button', { name: /^Point 3/ })];
  const before = await angle.textContent();
  await wrist.hover();
  await page.mouse.down();
  await page.mouse.move(400, 300, { steps: 4 });
  await page.mouse.up();
  await expect(angle).not.toHaveText(before!);
  await hand.focus();
  for (let press = 0; press < 120 && !/^7[0-9]°/.test((await angle.textContent())!); press++) {
    await page.keyboard.press(press % 3 === 2 ? 'Shift+ArrowLeft' : 'Shift+ArrowUp');
  }
  await expect(angle).toHaveText(/^7\d° ± \d+°$/);
  await page.getByText('Save the photo').click();
  await expect(page.getByRole('button', { name: 'Save photo' })).toBeDisabled();
  await page.getByRole('checkbox', { name: /They agreed today/ }).check();
  await page.getByRole('button', { name: 'Save photo' }).click();
  await expect(page.getByText(/^Saved in the studio/)).toBeVisible();
  await page.getByRole('button', { name: /^Use 7\d°$/ }).click();
  await page.getByRole('button', { name: 'Save 1' }).click();
  const readings = () => house.read<StoredReading[]>(page, `/athletes/${id}/readings`);
  await expect.poll(async () => (await readings())[0]?.gauge).toBe('photo');
  await page.goto(`/people/${id}/trends`);
  await expect(page.getByRole('img', { name: 'Right hand, wrist extension' })).toBeVisible();
  await page.getByRole('button', { name: /Withdraw consent/ }).click();
  await page.getByRole('button', { name: 'Delete permanently' }).click();
  await expect(page.getByRole('heading', { name: 'Photos' })).toHaveCount(0);
});

test('a phone on the hand tells the angle by gravity', async ({ coach: page, house }) => {
  await bench(page, house, 'Denzel Rook');
  await page.getByRole('group', { name: 'Active range' }).getByLabel('Wrist extension').check();
  await page.getByRole('button', { name: /^Start 1/ }).click();
  await page.getByLabel('Source').selectOption('recorded phone');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByRole('timer', { name: 'Angle now, right' })).toHaveText(/^[5-7]\d°$/);
  await page.getByRole('button', { name: /^Use 71°$/ }).click();
  await page.getByLabel('Source').selectOption('phone');
  await page.getByRole('button', { name: 'Start trial' }).click();
  await expect(page.getByRole('alert')).toContainText('has no motion sensor');
});

test('readings come from a file by its columns, whole or not at all, and go into one', async ({ coach: page, house }) => {
  const id = await someoneNew(page, house, 'Piran Holt');
  await page.goto(`/people/${id}/import`);
  const open = (text: string | Buffer) =>
    page.getByLabel(/CSV with column names/).setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await open('date,side\n"2026-01-01,left');
  await expect(page.getByRole('alert')).toContainText('an unclosed quote. Nothing was imported.');
  await open(Buffer.alloc(3_000_000, 'a'));
  await expect(page.getByRole('alert')).toContainText('is 3 MB');
  const log = (last: string) => `Date;Side;Test;Result\n12.03.2026;left;grip;41,5\n12.03.2026;right;grip;44\n${last}\n`;
  await open(log('14.03.2026;left;grip;much'));
  await page.getByLabel('Unit').selectOption('=kg');
  await expect(page.getByRole('alert')).toContainText('Line 4, value: must be a number, not “much”');
  await expect(page.getByRole('button', { name: /^Import/ })).toBeDisabled();
  await open(log('14.03.2026;left;grip;42'));
  // Without a unit they would be newtons: asked, not taken.
  await expect(page.getByText(/Line 2: .*was it 41.5 kg/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Import 3' })).toBeDisabled();
  await page.getByLabel('Unit').selectOption('=kg');
  await page.getByRole('button', { name: 'Import 3' }).click();
  await expect(page.getByText('3 readings recorded.')).toBeVisible();
  const readings = () => house.read<StoredReading[]>(page, `/athletes/${id}/readings`);
  // Of one day in no order: their ids come from what the rows say.
  expect((await readings()).map(({ value }) => value).sort((a, b) => a - b)).toEqual([406.98, 411.88, 431.49]);
  await page.goto(`/people/${id}/import`);
  await open(log('14.03.2026;left;grip;42'));
  await page.getByLabel('Unit').selectOption('=kg');
  await page.getByRole('button', { name: 'Import 3' }).click();
  await expect(page.getByText('0 readings recorded. 3 were already imported.')).toBeVisible();
  expect(await readings()).toHaveLength(3);
  await page.goto(`/people/${id}/import`);
  const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export readings' }).click()]);
  expect(saved.suggestedFilename()).toMatch(/^piran-holt-readings-.*\.csv$/);
});
