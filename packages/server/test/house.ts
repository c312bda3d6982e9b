import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll } from '@jest/globals';
import type {
  DoneSetInput,
  AthleteSuggestion,
  StudioSuggestions,
  AthleteInput,
  MethodInput,
  MovementInput,
  Problem,
} from '@clay-pot/contracts';
import { type Block, findLevel, type Movement, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { shippedMovement, METHODS } from '@clay-pot/core/library';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { copyDatabase, newDatabase } from '../../../scripts/copy-database.mjs';
import { AccountRow, StudioRow } from '../src/accounts/entities.js';
import { hashPassword } from '../src/accounts/sign-in.service.js';
import { USUAL_DEMO } from '../src/database/demo/demo-size.js';
import { createApp } from '../src/create-app.js';
import { Clock } from '../src/http/clock.js';

export const PASSWORD = 'correct horse battery';

export interface Answer<T> {
  status: number;
  body: T;
  headers: Record<string, unknown>;
}

const opened: NestFastifyApplication[] = [];
afterAll(() => Promise.all(opened.map((app) => app.close())));

/** A coach's browser: asks with their cookie. */
export interface Browser {
  /** As it is sent. */
  readonly cookie: string;
  ask<T = Problem>(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer<T>>;
}

/** How a server under test is started. */
interface Furnishing {
  seedDemo?: boolean;
  setUpCode?: string | null;
  now?: () => Date;
  webRoot?: string;
  trustedProxies?: readonly string[];
  secureCookie?: boolean;
  /** Takes the lines of the log. */
  logged?: string[];
}

/** The real server over a real database of its own, without listening. */
export class House {
  private constructor(
    readonly app: NestFastifyApplication,
    readonly url: string,
  ) {}

  /** Takes migrations back, the latest first, up to and with the one whose name begins like this. */
  async undoTo(name: string): Promise<void> {
    for (const migration of this.source.migrations.toReversed()) {
      await this.source.undoLastMigration();
      if (migration.constructor.name.startsWith(name)) return;
    }
  }

  static async open(
    name: string,
    { seedDemo = false, setUpCode = null, now, webRoot = '/nowhere', trustedProxies = [], secureCookie = false, logged }: Furnishing = {},
  ): Promise<House> {
    const base = process.env['TEST_DATABASE_URL'];
    if (!base) throw new Error('TEST_DATABASE_URL must be set: run ./clay-pot test unit');
    const database = `clay_pot_test_${name}`;
    const template = process.env['TEST_TEMPLATE'];
    await (template ? copyDatabase(base, template, database) : newDatabase(base, database));
    const databaseUrl = base + database;
    const config = {
      databaseUrl,
      host: '127.0.0.1',
      port: 0,
      webRoot,
      demo: seedDemo ? USUAL_DEMO : null,
      setUpCode,
      logLevel: logged ? 'info' : 'silent',
      secureCookie,
      ...(logged && { logTo: { write: (line: string) => void logged.push(line) } }),
      allowedHosts: ['here.example'],
      trustedProxies,
    };
    const app = await createApp(config, now);
    if (now) app.get(Clock).now = now;
    await app.init();
    await app.getHttpAdapter().getInstance().ready();
    const house = new House(app, databaseUrl);
    opened.push(app);
    return house;
  }

  get source(): DataSource {
    return this.app.get(DataSource);
  }

  /** A new studio with one coach. */
  async studio(name: string): Promise<{ email: string; studioId: string }> {
    const studioId = uuid();
    const email = `coach@${name}.example`;
    await this.source.getRepository(StudioRow).insert({ id: studioId, name, timeZone: 'Europe/Amsterdam' });
    const passwordHash = await hashPassword(PASSWORD);
    await this.source.getRepository(AccountRow).insert({ id: uuid(), studioId, email, name: 'Coach', passwordHash });
    return { email, studioId };
  }

  stranger(cookie?: string): Browser {
    return {
      cookie: cookie ?? '',
      ask: async (method, path, body, headers = {}) => {
        const response = await this.app.inject({
          method: method as 'GET',
          url: `/api${path}`,
          headers: { ...(cookie && { cookie }), ...headers },
          ...(body !== undefined && { payload: body as object }),
        });
        const isJson = String(response.headers['content-type'] ?? '').includes('json');
        const text = response.body;
        return {
          status: response.statusCode,
          body: (isJson && text ? JSON.parse(text) : text) as never,
          headers: response.headers,
        };
      },
    };
  }

  async signedIn(email: string, password = PASSWORD): Promise<Browser> {
    const answer = await this.stranger().ask('POST', '/sign-in', { email, password });
    const cookie = String(answer.headers['set-cookie']).split(';')[0]!;
    return this.stranger(cookie);
  }

  /** A studio and its coach's browser in one. */
  async coach(name: string): Promise<Browser> {
    return this.signedIn((await this.studio(name)).email);
  }
}

export const ATHLETE: AthleteInput = {
  name: 'Test Person',
  practice: 'Testing',
  birthDate: '1990-04-01',
  sex: 'female',
  dominantHand: 'left',
  statureCm: 170.5,
  massKg: 65.2,
  equipment: ['mat'],
  cautions: [],
  notes: '',
};

export function sequenceOf(title: string, ...lines: [phase: Block['phase'], movementId: string, levelId: string][]): Sequence {
  const blocks = lines.map(([phase, movementId, levelId], index): Block => {
    const { dose } = findLevel(shippedMovement(movementId)!, levelId)!;
    return { id: `b${index}`, phase, movementId, levelId, dose };
  });
  return { title, purpose: '', budgetMin: 10, pacing: { ...USUAL_PACING, readyS: 0 }, blocks };
}

export const SEQUENCE = sequenceOf('Two blocks', ['prepare', 'free.open-close', 'fast'], ['load', 'grip.ball-squeeze', 'soft']);

/** A shipped movement as a coach would send a copy of it. */
export function copyOf(movement: Movement, name: string): MovementInput {
  const { id: _id, ...rest } = structuredClone(movement);
  return { ...rest, name } as unknown as MovementInput;
}

const { id: _method, ...dailyRange } = METHODS['daily-range'];
/** A whole set of the second block of `SEQUENCE`. */
export const SET: DoneSetInput = {
  blockId: 'b1',
  movementId: 'grip.ball-squeeze',
  levelId: 'soft',
  set: 1,
  side: 'left',
  direction: null,
  unit: 'repetitions',
  plannedAmount: 8,
  doneAmount: 8,
  endedAt: '2026-05-04T08:02:00.000Z',
  corrects: null,
};

export const OWN_METHOD: MethodInput = { ...dailyRange, name: 'Own method' };

/** A picture of a hand that somebody agreed to have kept. */
/** The beginning of a JPEG of this size, as an encoder writes it: a comment, then the frame. */
export function jpegOf(widthPx: number, heightPx: number): Buffer {
  const words = (...values: number[]) => values.flatMap((value) => [value >> 8, value & 0xff]);
  const comment = [...words(0xfffe, 102), ...Array<number>(100).fill(7)];
  const frame = [...words(0xffc0, 11), 8, ...words(heightPx, widthPx), 1, 1, 0x11, 0];
  return Buffer.from([...words(0xffd8), ...comment, ...frame, ...words(0xffda, 2, 0xffd9)]);
}

export const PICTURE = {
  ...{ of: 'wrist extension', hand: 'left', onDay: '2026-01-01', deg: 71.2 },
  points: [
    { x: 200, y: 400 },
    { x: 500, y: 400 },
    { x: 650, y: 200 },
  ],
  jpegBase64: jpegOf(1600, 1200).toString('base64'),
  ...{ consentBy: 'Test Person', consentOn: '2026-01-01' },
};
export const OWN_MOVEMENT = copyOf(shippedMovement('bearing.palm-support')!, 'Own hold');

/** A stored athlete and sequence of this coach. */
export async function furnish(coach: Browser): Promise<{ athleteId: string; sequenceId: string }> {
  const [athleteId, sequenceId] = [uuid(), uuid()];
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
  return { athleteId, sequenceId };
}

/** Often enough to be quick, and seldom enough to leave the machine to what is computed. */
const ASK_AGAIN_MS = 100;

/** What waits for an answer over all athletes; asks until everybody has been looked at. */
export async function allSuggestions(coach: Browser): Promise<AthleteSuggestion[]> {
  const { body } = await coach.ask<StudioSuggestions>('GET', '/suggestions');
  if (body.toLookAt === 0) return body.suggestions;
  await sleep(ASK_AGAIN_MS);
  return allSuggestions(coach);
}

export const pointers = (problem: Problem) => problem.errors?.map((error) => error.pointer) ?? [];
