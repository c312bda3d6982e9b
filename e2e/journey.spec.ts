import type { AssignmentItem } from '@clay-pot/contracts';
import { expect, idIn, more, saved, startSession, tabTo, test, openToday, pass } from './house.js';
import { answeredByKeys, leadToTheEnd, recorded } from './leading.js';

test('by mouse: a sequence is designed for an athlete, led by its timer, and found in the record', async ({ coach: page, house }) => {
  await openToday(page);
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByRole('link', { name: 'Callum Reyes-Whitlock', exact: true }).click();
  await more(page, 'New sequence');
  await expect(page.getByText(/^No blocks yet\. Search/)).toBeVisible();
  const sequenceId = idIn(page);
  // What is designed from a person's page is theirs.
  const given = await house.read<AssignmentItem[]>(page, '/assignments');
  expect(given.find((item) => item.sequenceId === sequenceId)).toMatchObject({ athleteName: 'Callum Reyes-Whitlock' });
  await page.getByLabel('Title').fill('Left wrist first');
  await page.getByLabel('Title').press('Enter');

  // Compose.
  await page.getByRole('button', { name: 'Add Hand open and close' }).click();
  await page.getByRole('button', { name: 'Add Wrist flexor stretch Assisted stretches', exact: true }).click();
  await page.getByRole('button', { name: /^Add Palm lift “/ }).click();
  const lift = page.getByRole('listitem', { name: /: Palm lift$/ });
  // It comes at the level that he did last, or at the easiest before that is known: from there it is stepped.
  const says = async (words: string) => ((await lift.textContent()) ?? '').includes(words);
  await expect(async () => {
    const step = (await says('Hands on a table')) ? 'Harder level' : 'Easier level';
    if (!(await says('All fours'))) await lift.getByRole('button', { name: step }).click({ timeout: 1000 });
    expect(await says('All fours')).toBe(true);
  }).toPass();
  await lift.getByLabel('Dose of Palm lift').fill('2x4 rest10');
  await lift.getByLabel('Dose of Palm lift').press('Enter');
  await page.getByLabel('Dose of Wrist flexor stretch').fill('1x15s L,R');
  await page.getByLabel('Dose of Wrist flexor stretch').press('Enter');
  await page.getByLabel('Dose of Hand open and close').fill('1x20s');
  await page.getByLabel('Dose of Hand open and close').press('Enter');
  // 10 to get ready; 5 + 20; 5 + 10 (to the chair) + 15 + 3 + 15; 5 + 10 (to the floor) + 4 × 3 + 10 + 4 × 3 = 132 s; the mat needs no fetching
  await expect(page.getByTestId('total')).toHaveText('2:12');

  // Drag the stretch above the warm-up: it joins that phase.
  const handle = page.getByRole('button', { name: 'Move block 2' });
  const goal = page.getByRole('listitem', { name: /^Block 1/ });
  const [from, to] = [(await handle.boundingBox())!, (await goal.boundingBox())!];
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y - 20, { steps: 5 });
  await page.mouse.move(from.x + 8, to.y + 8, { steps: 10 });
  await page.mouse.up();
  await expect(page.getByRole('listitem', { name: /^Block 1/ })).toHaveAccessibleName(/Wrist flexor stretch/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('listitem', { name: /^Block 1/ })).toHaveAccessibleName(/Hand open and close/);
  await saved(page);

  // Lead.
  await page.getByRole('link', { name: 'Start session', exact: true }).click();
  await expect(page.getByLabel('Athlete', { exact: true })).toHaveValue(/.+/);
  await startSession(page);
  await expect(page.getByRole('heading', { name: 'Hand open and close' })).toBeVisible();
  // Ten seconds to get ready and five to be told what comes.
  await pass(page, 15_500);
  // What repeats is led with its beat, also when it is timed; the quick level, which he may have done last, is too quick to call.
  await expect(page.getByTestId('what-now')).toHaveText(/^(?:open|close|keep moving)$/);
  await page.getByRole('button', { name: '+10 s' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  const standing = await page.getByTestId('remaining').textContent();
  await pass(page, 30_000);
  await expect(page.getByTestId('remaining')).toHaveText(standing!);
  await page.getByRole('button', { name: 'Continue' }).click();
  await leadToTheEnd(page);
  await page.getByLabel('Note on the session').fill('Left heel of the hand light at the end.');
  await page.getByRole('button', { name: 'Save record' }).click();

  // Find it.
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  await expect(page.getByText('Left heel of the hand light at the end.')).toBeVisible();
  const record = await recorded(page, house);
  expect(record).toMatchObject({ sequenceId, ending: 'completed', maxDiscomfort: 2, exertion: 5, completion: 1 });
  expect(record.rows.map((row) => [row.side, row.plannedAmount, row.doneAmount])).toEqual([
    ['both', 20, 30],
    ['left', 15, 15],
    ['right', 15, 15],
    ['both', 4, 4],
    ['both', 4, 4],
  ]);
  await page.getByRole('link', { name: 'Callum Reyes-Whitlock', exact: true }).click();
  await page.getByRole('navigation', { name: 'Sections' }).getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('row', { name: /Left wrist first/ })).toBeVisible();
});

test('by keyboard only: the same journey', async ({ page, house }) => {
  await page.goto('/');
  await page.getByLabel('E-mail').waitFor();
  await page.keyboard.type('coach@lanternfield.example');
  await page.keyboard.press('Tab');
  await page.keyboard.type('lantern-hall');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Go to People');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  // The search finds people, also by half of a name.
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: /^Search people/ })).toBeFocused();
  await page.keyboard.type('tobi mar');
  await expect(page.getByRole('option', { name: /^Tobi Marchetti/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Tobi Marchetti' })).toBeVisible();
  await tabTo(page, 'button', 'More');
  await page.keyboard.press('Enter');
  await page.keyboard.type('new s');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^No blocks yet\. Search/)).toBeVisible();

  // The shelf: slash, a word, Enter. Escape leaves the field.
  for (const word of ['wrist circles', 'ball squeeze', 'palm support']) {
    await page.keyboard.press('/');
    await page.keyboard.press('Control+a');
    await page.keyboard.type(word);
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
  }
  await expect(page.getByRole('listitem', { name: /^Block/ })).toHaveCount(3);
  // Select, duplicate, remove, level, move, dose; all on the selected row.
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  const last = page.getByRole('listitem', { name: /^Block 3: Palm support/ });
  await expect(last).toBeFocused();
  await page.keyboard.press('d');
  await expect(page.getByRole('listitem', { name: /^Block/ })).toHaveCount(4);
  await page.keyboard.press('Delete');
  await expect(page.getByRole('listitem', { name: /^Block/ })).toHaveCount(3);
  // It comes at the level that he did last: from there it is eased.
  const isOnAllFours = async () => ((await last.textContent()) ?? '').includes('All fours');
  await expect(async () => {
    if (!(await isOnAllFours())) await page.keyboard.press('[');
    expect(await isOnAllFours()).toBe(true);
  }).toPass();
  await page.keyboard.press(']');
  await expect(last).toContainText('Knees back');
  await page.keyboard.press('[');
  await expect(last).toContainText('All fours');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByRole('region', { name: 'Strength' }).getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Skill' }).getByRole('listitem')).toHaveCount(1);
  await page.keyboard.press('e');
  await page.keyboard.type('1x10s');
  await page.keyboard.press('Enter');
  // What is not typed stays: the rest of the usual dose, too.
  await expect(last.getByLabel('Dose of Palm support')).toHaveValue('1x10s rest20');
  await saved(page);

  await tabTo(page, 'link', 'Start session');
  await page.keyboard.press('Enter');
  await tabTo(page, 'checkbox', /I asked today/);
  await page.keyboard.press('Space');
  await tabTo(page, 'button', 'Start');
  await page.clock.install();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('big-number')).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Continue' })).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('t');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('heading', { name: 'Ball squeeze' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowLeft');
  await leadToTheEnd(page, answeredByKeys);
  await tabTo(page, 'button', 'Save record');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  const record = await recorded(page, house);
  expect(record.ending).toBe('completed');
  // The first block was skipped, but “back” returned to its last piece; the one before that was never done, all else was.
  expect(record.rows.map((row) => row.doneAmount === row.plannedAmount)).toEqual([false, true, true, true]);
});
