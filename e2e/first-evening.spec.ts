import type { Page } from '@playwright/test';
import { expect, SET_UP_CODE, test } from './house.js';

/** So many presses are enough for a new coach to lead somebody with a sore wrist. */
const MOST_PRESSES = 25;

/** Counts what a person does: every button, link, choice and field is one. */
class Presses {
  count = 0;
  constructor(private readonly page: Page) {}

  async press(role: 'button' | 'link' | 'checkbox' | 'radio', name: string | RegExp): Promise<void> {
    await this.page
      .getByRole(role, { name, ...(typeof name === 'string' && { exact: true }) })
      .first()
      .click();
    this.count++;
  }

  async type(label: string, text: string): Promise<void> {
    await this.page.getByLabel(label, { exact: true }).fill(text);
    this.count++;
  }
}

test('a new coach sets up a studio, visits the demo and leaves it, and leads a session for somebody with a sore wrist', async ({
  page,
}) => {
  await page.goto('/?set-up');
  await page.getByLabel('Setup code').fill(SET_UP_CODE);
  await page.getByLabel('Studio', { exact: true }).fill('Tideline Barn');
  await page.getByLabel('Your name').fill('Isla Penrose');
  await page.getByLabel('E-mail').fill('isla@tideline.example');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Create studio' }).click();
  await expect(page.getByText('must have at least 10 characters')).toBeVisible();
  await page.getByLabel('Password').fill('eleven letters');
  await page.getByRole('button', { name: 'Create studio' }).click();
  await expect(page.getByRole('heading', { name: 'Welcome to Tideline Barn' })).toBeVisible();

  // A look at a busy studio, and back.
  await page.getByRole('button', { name: 'Visit the demo' }).click();
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave the demo' }).first().click();
  await expect(page.getByRole('heading', { name: 'Your first session in three steps' })).toBeVisible();

  const hand = new Presses(page);
  await hand.press('link', 'Add athlete');
  await hand.type('Name', 'Nell Tarrow');
  await hand.press('button', 'Add athlete');
  await hand.press('link', 'Start check-in');
  await hand.press('button', 'None of these');
  await hand.press('button', /Wrist, back/);
  await hand.press('button', 'Next');
  await hand.press('button', 'Next');
  await hand.press('button', 'None of these');
  for (let step = 0; step < 3; step++) await hand.press('button', 'Next');
  await hand.press('button', 'Save');
  await expect(page.getByText('Train with limits')).toBeVisible();
  await hand.press('link', 'Generate sequence');
  await hand.press('button', 'Generate');
  await hand.press('button', /^Use this sequence/);
  await hand.press('link', 'Start session');
  await hand.press('checkbox', /I asked today/);
  await hand.press('button', 'Start');
  await expect(page.getByTestId('big-number')).toBeVisible();
  expect(hand.count).toBeLessThanOrEqual(MOST_PRESSES);
});
