import type { SessionRecord } from '@clay-pot/contracts';
import type { Locator, Page } from '@playwright/test';
import { expect, type House, saved, someoneNew, startSession, test, pass, choose, more } from './house.js';
import { recorded } from './leading.js';

let people = 0;
const PACING = 'pacing: ready 3 s, announce 2 s, change 3 s, breathe 4-6 s';

/** A new sequence from a text, as it is pasted out of a message. */
async function pasted(page: Page, text: string): Promise<void> {
  await page.goto('/sequences');
  await page.getByRole('button', { name: 'New sequence', exact: true }).click();
  await expect(page.getByText(/^No blocks yet\. Search/)).toBeVisible();
  await more(page, 'Text');
  await page.getByRole('textbox', { name: /text/i }).fill(text);
  await page.getByRole('button', { name: 'Use this text' }).click();
  await expect(page.getByLabel('Title')).toHaveValue(text.split('\n')[0]!);
  await saved(page);
}

/** For somebody new, so that the demo’s people stay as they are for the other journeys. */
async function begin(page: Page, house: House): Promise<void> {
  await someoneNew(page, house, `Perran Olds ${++people}`);
  await page.reload();
  await choose(page, 'Athlete', `Perran Olds ${people}`);
  const toLead = page.getByRole('link', { name: 'Start session', exact: true });
  await expect(toLead).toHaveAttribute('href', /athlete=/);
  await toLead.click();
  await startSession(page);
}

/** Lets the clock run until something is there. */
async function runUntil(page: Page, there: Locator, mostS = 240): Promise<void> {
  for (let seconds = 0; seconds < mostS && !(await there.isVisible()); seconds += 4) await page.clock.fastForward(4000);
  await expect(there).toBeVisible();
}

/** From the end of the clock to the record. */
async function keep(page: Page, house: House): Promise<SessionRecord> {
  await runUntil(page, page.getByRole('heading', { name: 'Done', exact: true }));
  await page.getByRole('button', { name: 'All in all 4' }).click();
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('heading', { name: 'Planned vs. done' })).toBeVisible();
  const record = await recorded(page, house);
  expect(record).toMatchObject({ ending: 'completed', exertion: 4 });
  return record;
}
const now = (page: Page) => page.getByRole('region', { name: 'Now' });
const doing = (page: Page, movement: string) => now(page).getByRole('heading', { name: movement });

test('supersets with an open last carry: written, checked, led and recorded', async ({ coach: page, house }) => {
  await pasted(
    page,
    `Iron in pairs
15 min
method: Grip and iron
${PACING}

prepare
Wrist circles, forearm on the thigh, loose fist: 1x2 tempo2-2 L,R <>

strength
2 rounds, rest 5 s:
  Wrist curl, supported, light: 1x3 2kg tempo1-1 L
  Reverse wrist curl, supported, light: 1x3 1kg tempo1-1 L
end of rounds
Handle carry, light: 1x20m,1xmax40m`,
  );
  // The bracket says how often; the pair answers each other, so that nothing asks for an answer to either.
  await expect(page.getByRole('listitem', { name: /^2 rounds of/ })).toBeVisible();
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks).toBeVisible();
  await expect(checks).not.toContainText('is not answered');
  await begin(page, house);
  await runUntil(page, doing(page, 'Wrist curl, supported'));
  await runUntil(page, now(page).filter({ hasText: 'Round 1 of 2' }));
  await runUntil(page, now(page).getByText(/^Round 2 of 2/i));
  await runUntil(page, doing(page, 'Handle carry'));
  // Twenty metres end by a tap on the large area; the last ones by a key, when the form goes.
  const walked = now(page).getByRole('button', { name: /^Done: 20 m, some \d+ steps/ });
  await runUntil(page, walked);
  await pass(page, 6000);
  await walked.click();
  await runUntil(page, now(page).getByRole('button', { name: 'Form failed: stop' }));
  await pass(page, 15_000);
  await page.keyboard.press('d');
  const record = await keep(page, house);
  const carries = record.sets.filter(({ movementId }) => movementId === 'grip.bar-carry');
  expect(carries.map(({ set, plannedAmount, unit }) => [set, plannedAmount, unit])).toEqual([
    [1, 20, 'metres'],
    [2, 40, 'metres'],
  ]);
  expect(carries[0]!.doneAmount).toBe(20);
  expect(carries[1]!.doneAmount).toBeGreaterThan(5);
  expect(carries[1]!.doneAmount).toBeLessThan(40);
  const curls = record.sets.filter(({ movementId }) => movementId === 'weight.curl');
  expect(curls.map(({ round, doneAmount }) => [round, doneAmount])).toEqual([
    [1, 3],
    [2, 3],
  ]);
});

test('a timed class with a faster second round keeps to its clock', async ({ coach: page, house }) => {
  await pasted(
    page,
    `By the clock
10 min
method: Daily range
${PACING}

prepare
2 rounds, rest 5 s, 50 % faster:
  Hand open and close, fast for time: 1x10s
  Finger waves, slow: 1x4 tempo2-2 >

settle
Hand shake-out: 1x10s`,
  );
  await expect(page.getByRole('listitem', { name: /^2 rounds of/ })).toContainText('50 % faster');
  await begin(page, house);
  const took = async (round: string) => {
    await runUntil(page, doing(page, 'Finger waves'));
    // Said once it begins: while somebody gets ready the clock would go on by itself, second by second.
    await runUntil(page, now(page).filter({ hasText: round }));
    let seconds = 0;
    for (; await doing(page, 'Finger waves').isVisible(); seconds++) await page.clock.fastForward(1000);
    return seconds;
  };
  const [first, second] = [await took('Round 1 of 2'), await took('Round 2 of 2')];
  expect(second).toBeLessThan(first);
  const record = await keep(page, house);
  const rounds = record.sets
    .filter(({ movementId }) => movementId === 'free.finger-waves')
    .map(({ round, doneAmount }) => [round, doneAmount]);
  expect(rounds).toEqual([
    [1, 4],
    [2, 4],
  ]);
});

test('a careful session: looked again between the hands, an angle eased by a wedge, a stretch that eases', async ({
  coach: page,
  house,
}) => {
  await pasted(
    page,
    `Careful hands
10 min
method: Careful return
${PACING}

prepare
Wrist circles, forearm on the thigh, loose fist: 1x2 tempo2-2 L,R <>
  look again: between hands, after

load
Palm support, all fours: 1x10s wedge20

settle
Long easy stretch, palm side: 1xease30s L`,
  );
  // Twenty degrees under the heel are twenty degrees off the wrist, and a folded towel is to be fetched.
  const row = page.getByRole('listitem', { name: /: Palm support$/ });
  await row.click();
  await expect(row).toContainText('58°');
  await begin(page, house);
  const look = page.getByRole('region', { name: 'Recheck' });
  await runUntil(page, look);
  await page.keyboard.press('1');
  await expect(look).toBeHidden();
  await runUntil(page, look);
  await look.getByRole('group', { name: 'left hand' }).getByRole('button', { name: 'same' }).click();
  await look.getByRole('group', { name: 'right hand' }).getByRole('button', { name: 'looser' }).click();
  await runUntil(page, doing(page, 'Long easy stretch'));
  await runUntil(page, now(page).getByRole('button', { name: 'It has eased' }));
  await pass(page, 12_000);
  await page.keyboard.press('d');
  const record = await keep(page, house);
  expect(record.looks.map(({ stop, hand, answer }) => [stop, hand, answer])).toEqual([
    ['between hands', 'left', 'looser'],
    ['after', 'left', 'same'],
    ['after', 'right', 'looser'],
  ]);
  const [eased] = record.sets.filter(({ movementId }) => movementId === 'settle.long-flexors');
  expect(eased!.plannedAmount).toBe(30);
  expect(eased!.doneAmount).toBeLessThan(30);
  await expect(page.getByRole('main')).toContainText('looser');
});
