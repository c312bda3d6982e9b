/** Signs the demo's coach in. */
export async function signIn(page) {
  await page.goto('/');
  await page.getByLabel('E-mail').fill('coach@lanternfield.example');
  await page.getByLabel('Password').fill('lantern-hall');
  await page.keyboard.press('Enter');
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
}
