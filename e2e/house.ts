import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import type { SequenceListItem, StoredSequence } from '@clay-pot/contracts';
import { inPhaseOrder, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { type APIResponse, type BrowserContext, expect, type Locator, type Page, test as base } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { copyDatabase, newDatabase } from '../scripts/copy-database.mjs';
import config, { HALL_TIME_ZONE } from './playwright.config.js';

const MAIN = fileURLToPath(new URL('../packages/server/dist/main.js', import.meta.url));
const OTHER_DAY = new URL('other-day.mjs', import.meta.url).href;

/** What sets up the first studio of a server under test. */
export const SET_UP_CODE = 'FIRST-EVENT';

/** A server that says it is busy is asked again so often. */
const MOST_TRIES = 5;

/** The built server with the demo studio, over a database of this worker's own. It can be stopped and started again. */
export class House {
  private child: ChildProcess | undefined;
  constructor(
    private readonly databaseUrl: string,
    private readonly port: number,
  ) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const env = { ...process.env, DATABASE_URL: this.databaseUrl, PORT: String(this.port), LOG_LEVEL: 'error', SET_UP_CODE };
    const child = spawn(process.execPath, ['--import', OTHER_DAY, MAIN], { env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      child.once('message', () => resolve());
      child.once('exit', (code) => reject(new Error(`The server ended with ${code}.`)));
    });
  }

  /** Moves the server’s clock: it is so much later for it, or earlier. */
  async moveBy(movedMs: number): Promise<void> {
    const moved = new Promise((resolve) => this.child?.once('message', resolve));
    this.child?.send({ movedMs });
    await moved;
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (!child) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await gone;
    this.child = undefined;
  }

  /** Asks the API as the signed-in coach of this page; where it is busy, once more after the time it names, as the page does. */
  async ask(
    page: Page,
    method: 'GET' | 'PUT' | 'POST',
    path: string,
    data?: object,
    more: Record<string, string> = {},
  ): Promise<APIResponse> {
    const headers = { origin: this.address, ...more };
    for (let tries = 0; ; tries++) {
      const answer = await page.request.fetch(`${this.address}/api${path}`, { method, headers, ...(data && { data }) });
      const waitS = Number(answer.headers()['retry-after']);
      if (answer.status() !== 503 || !waitS || tries === MOST_TRIES) return answer;
      await new Promise((resolve) => setTimeout(resolve, waitS * 1000));
    }
  }

  /** What the API says, as it must. */
  async told<T>(...asked: Parameters<House['ask']>): Promise<T> {
    const answer = await this.ask(...asked);
    expect(answer.ok(), `${asked[1]} ${asked[2]}: ${answer.status()} ${answer.ok() ? '' : await answer.text()}`).toBe(true);
    return (answer.status() === 204 ? undefined : await answer.json()) as T;
  }
  read<T>(page: Page, path: string): Promise<T> {
    return this.told<T>(page, 'GET', path);
  }
  put(page: Page, path: string, data: object, more: Record<string, string> = {}): Promise<unknown> {
    return this.told(page, 'PUT', path, data, more);
  }
}

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
}

const { launchOptions } = config.use ?? {};
/** For `test.use`: hands are drawn in space, by the processor, as a graphics card would. */
export const IN_SPACE = {
  contextOptions: { reducedMotion: 'no-preference' as const },
  launchOptions: {
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []).filter((arg) => arg !== '--disable-3d-apis'),
      '--use-gl=angle',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
    ],
  },
};

type SignedIn = Awaited<ReturnType<BrowserContext['storageState']>>;

export const test = base.extend<{ coach: Page }, { house: House; signedIn: SignedIn }>({
  house: [
    async ({}, use, { workerIndex }) => {
      const server = process.env['TEST_DATABASE_URL'];
      if (!server) throw new Error('TEST_DATABASE_URL must be set: run ./clay-pot test e2e');
      const name = `clay_pot_test_e2e_${workerIndex}`;
      const template = process.env['TEST_TEMPLATE_DEMO'];
      await (template ? copyDatabase(server, template, name) : newDatabase(server, name));
      const house = new House(server + name, await freePort());
      await house.start();
      await use(house);
      await house.stop();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  baseURL: async ({ house }, use) => use(house.address),
  /** Signed in once for each worker: what a browser keeps of it. */
  signedIn: [
    async ({ house, browser }, use) => {
      const context = await browser.newContext({ baseURL: house.address, serviceWorkers: 'block' });
      await signIn(await context.newPage());
      const state = await context.storageState();
      await context.close();
      await use(state);
    },
    { scope: 'worker' },
  ],
  /** A page of the signed-in demo coach, with nothing opened yet. */
  coach: async ({ page, context, signedIn }, use) => {
    await context.addCookies(signedIn.cookies);
    const refused: string[] = [];
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) refused.push(message.text());
    });
    await use(page);
    // What the policy refuses is missing on the page, or somebody put it there.
    expect(refused).toEqual([]);
  },
});

export async function signIn(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail').fill('coach@lanternfield.example');
  await page.getByLabel('Password').fill('lantern-hall');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
}

/** Opens the day's page. */
export async function openToday(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Due today' })).toBeVisible();
}

/** Opens one of the studio's sequences in the editor, by its address. */
export async function openSequence(page: Page, title: string): Promise<void> {
  const listed = (await (await page.request.get('/api/sequences')).json()) as SequenceListItem[];
  await page.goto(`/sequences/${listed.find((sequence) => sequence.title === title)!.id}`);
  await expect(page.getByLabel('Title')).toHaveValue(title);
}

/** Chooses one of a list that is typed for. */
export async function choose(container: Page | Locator, label: string, name: string): Promise<void> {
  const box = container.getByRole('combobox', { name: label, exact: true });
  await box.click();
  await box.fill(name);
  const page = 'page' in container ? container.page() : container;
  await page.getByRole('option', { name: new RegExp(`^${name}`) }).click();
  await expect(box).toHaveValue(name);
}

/** Does or opens what is behind “More”. */
export async function more(page: Page, item: string, of = 'More'): Promise<void> {
  await page.getByRole('button', { name: of, exact: true }).click();
  await page.getByRole('menuitem', { name: item, exact: true }).click();
}

/** From a sequence on to leading it, once whom it was chosen for is in its address. */
export async function toLead(page: Page): Promise<void> {
  const link = page.getByRole('link', { name: 'Start session', exact: true });
  await expect(link).toHaveAttribute('href', /athlete=/);
  await link.click();
}

/** Ticks that the athlete was asked. What is known of them arrives above it and moves it: a press that went beside it is repeated. */
export const tickAsked = (page: Page) => expect(() => page.getByLabel(/I asked today/).check({ timeout: 2000 })).toPass();

/** From a sequence's lead page into the running session, with the clock in the test's hands. */
export async function startSession(page: Page): Promise<void> {
  await tickAsked(page);
  await page.clock.install();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByTestId('big-number')).toBeVisible();
}

/** How much of a wait is really run through: long enough for every interval of the page to have fired. */
const LAST_MS = 300;

/**
 * Lets the page's own clock go on. Nothing is drawn in between: the page finds itself later, as after a sleep, and its last moments are run.
 * Around sounds and counts that are looked at one by one, `page.clock.runFor` runs all of it.
 */
export async function pass(page: Page, ms: number): Promise<void> {
  await page.clock.fastForward(ms - LAST_MS);
  await page.clock.runFor(LAST_MS);
}

/** Somebody new of the studio, so that the demo’s people stay as they are for the other journeys. @returns the id of the person */
export async function someoneNew(page: Page, house: House, name: string, cautions: object[] = []): Promise<string> {
  const id = uuid();
  const data = {
    name,
    practice: 'Rope walking',
    birthDate: '1993-08-14',
    sex: 'male',
    dominantHand: 'right',
    statureCm: 188,
    massKg: 84,
    equipment: ['mat', 'chair', 'table', 'wall'],
    cautions,
    notes: '',
  };
  await house.put(page, `/athletes/${id}`, data);
  return id;
}

/** Today where the studio is, ISO 8601: Swedish writes days so. */
export const todayAtTheHall = () => new Intl.DateTimeFormat('sv-SE', { timeZone: HALL_TIME_ZONE }).format(new Date());

/** The id in an address such as /sequences/ID. */
export const idIn = (page: Page) => /[0-9a-f-]{36}/.exec(page.url())![0];

/** A sequence of as many blocks as are wanted, made of all that the demo studio has, stored under an id of its own. @returns the id */
export async function manyBlocks(page: Page, house: House, count: number): Promise<string> {
  const listed = await house.read<SequenceListItem[]>(page, '/sequences');
  const documents: Sequence[] = [];
  for (const { id } of listed) documents.push((await house.read<StoredSequence>(page, `/sequences/${id}`)).document);
  const all = documents.flatMap(({ blocks }, index) => blocks.map((block) => ({ ...block, id: `${index}${block.id}` })));
  const blocks = inPhaseOrder(Array.from({ length: count }, (_, index) => ({ ...all[index % all.length]!, id: `b${index}` })));
  const id = uuid();
  const data = {
    title: 'All hands, a long evening',
    purpose: 'Everything once.',
    budgetMin: 90,
    pacing: USUAL_PACING,
    blocks,
  };
  await house.put(page, `/sequences/${id}`, data);
  return id;
}

export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');

export { expect };

/** Presses Tab until the thing with this name has the focus: what cannot be reached so, a keyboard cannot reach. */
export async function tabTo(page: Page, role: string, name: string | RegExp): Promise<void> {
  const target = page.getByRole(role as 'button', { name, exact: true }).first();
  await expect(target).toBeVisible();
  for (let presses = 0; presses < 150; presses++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not reach the ${role} “${name}”.`);
}
