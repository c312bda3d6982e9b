import { beforeAll, describe, expect, test } from '@jest/globals';
import type { OpenAPIObject } from '@nestjs/swagger';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, furnish, House, OWN_METHOD, OWN_MOVEMENT, PICTURE, SEQUENCE } from './house.js';

/** Every route that names a thing by id, asked by a coach of another studio, must not find it. */

let house: House;
let owner: Browser;
let other: Browser;
let routes: { method: string; path: string }[];
let ids: Record<string, string>;
/** What lies within the owner’s athlete and session, by its part of the address. */
let limitsById: Record<string, string>;

beforeAll(async () => {
  house = await House.open('walls');
  owner = await house.coach('owner');
  other = await house.coach('other');
  const { athleteId, sequenceId } = await furnish(owner);
  ids = {
    athletes: athleteId,
    sequences: sequenceId,
    assignments: uuid(),
    sessions: uuid(),
    movements: uuid(),
    methods: uuid(),
    programmes: uuid(),
    'class-sessions': uuid(),
  };
  await owner.ask('PUT', `/movements/${ids['movements']}`, OWN_MOVEMENT);
  await owner.ask('PUT', `/methods/${ids['methods']}`, OWN_METHOD);
  const assignment = { athleteId, sequenceId, weekdays: [1], fromDay: '2026-01-01' };
  await owner.ask('PUT', `/assignments/${ids['assignments']}`, assignment);
  await owner.ask('PUT', `/programmes/${ids['programmes']}`, { athleteId, document: programmeOf(sequenceId) });
  await owner.ask('PUT', `/class-sessions/${ids['class-sessions']}`, classOf());
  await owner.ask('PUT', `/class-sessions/${ids['class-sessions']}/events/${uuid()}`, PAUSE);
  const startedAt = '2026-05-04T08:00:00.000Z';
  await owner.ask('PUT', `/sessions/${ids['sessions']}`, { athleteId, sequenceId, plan: SEQUENCE, startedAt });
  limitsById = Object.fromEntries(NESTED.map((inner) => [inner, uuid()]));
  for (const inner of NESTED) {
    const parent = ['intakes', 'pictures', 'readings'].includes(inner) ? 'athletes' : 'sessions';
    const answer = await owner.ask(
      'PUT',
      `/${parent}/${ids[parent]}/${inner}/${limitsById[inner]}`,
      bodyFor('PUT', `/${parent}/{id}/${inner}/{innerId}`),
    );
    expect([inner, answer.status < 300]).toEqual([inner, true]);
  }
  const { body } = await owner.ask<OpenAPIObject>('GET', '/openapi.json');
  routes = Object.entries(body.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => ({ method: method.toUpperCase(), path: path.replace(/^\/api/, '') })),
  );
});

const CLASS_MS = Date.parse('2026-05-04T08:00:00.000Z');
const PAUSE = { event: { kind: 'pause', at: CLASS_MS } };
/** A class of the owner’s athlete, as the class does it. */
const classOf = () => {
  const blocks = SEQUENCE.blocks.map(({ id }) => ({ blockId: id, forms: [null], at: 0, like: [id] }));
  const member = { id: uuid(), athleteId: ids['athletes'], name: 'Test Person', blocks, sore: [] };
  const startedAt = new Date(CLASS_MS).toISOString();
  return { sequenceId: ids['sequences'], sequence: SEQUENCE, members: [member], startedAt, offsetMs: 0 };
};
const programmeOf = (sequenceId: string) => ({
  title: 'Weeks',
  fromDay: '2026-05-04',
  weeks: [{ kind: 'build', amountPercent: 100 }],
  plans: [{ id: 'a', sequenceId }],
  sessions: [],
});

const profile = { handHours: null, trainingYears: null, minutes: null, daysPerWeek: null };
const INTAKE = { onDay: '2026-01-01', goals: [], discipline: '', ...profile, person: {} };

const RENAMED: Record<string, object> = { '/movements/{id}': OWN_MOVEMENT, '/methods/{id}': OWN_METHOD };

/** Bodies that the owner could send to the same route. */
function bodyFor(method: string, path: string): unknown {
  if (method === 'GET' || method === 'DELETE') return undefined;
  const reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 300, onDay: '2026-01-01' };
  if (path.endsWith('/readings')) return { readings: [{ id: uuid(), reading }] };
  if (path.includes('/readings/')) return reading;
  if (path.includes('/intakes/')) return { ...INTAKE, discipline: 'Taken over' };
  if (path.includes('/pictures/')) return PICTURE;
  if (path in RENAMED) return { ...RENAMED[path], name: 'Taken over' };
  if (path.startsWith('/athletes')) return bodyOfAthlete(path);
  if (path.endsWith('/filing')) return { tags: ['taken'], isFavourite: true, isArchived: true };
  if (path === '/sequences/{id}') return { ...SEQUENCE, title: 'Taken over' };
  if (path.startsWith('/programmes')) return bodyOfProgramme(path);
  if (path.startsWith('/assignments')) {
    return { athleteId: ids['athletes'], sequenceId: ids['sequences'], weekdays: [2], fromDay: '2026-01-01' };
  }
  if (path.startsWith('/class-')) return bodyOfClass(path);
  return path.startsWith('/sessions') ? bodyOfSession(path) : undefined;
}

function bodyOfClass(path: string): unknown {
  if (path === '/class-plan') return { athleteId: ids['athletes'], sequence: SEQUENCE };
  if (path.endsWith('/clock')) return { offsetMs: 1 };
  return path.includes('/events/') ? PAUSE : classOf();
}

function bodyOfProgramme(path: string): unknown {
  if (path.startsWith('/programmes/{id}/copies')) return { copyId: uuid(), athleteId: ids['athletes'] };
  if (path !== '/programmes/{id}') return undefined;
  return { athleteId: ids['athletes'], document: { ...programmeOf(ids['sequences']!), title: 'Taken over' } };
}

function bodyOfAthlete(path: string): unknown {
  if (path.endsWith('/taken-back')) return { at: '2026-05-04T08:05:00.000Z' };
  if (path.includes('/suggestions/')) return { key: 'after', evidenceKey: 'x', answer: 'accepted', at: '2026-05-04T08:05:00.000Z' };
  return { ...ATHLETE, name: 'Taken over' };
}

function bodyOfSession(path: string): unknown {
  const at = '2026-05-04T08:05:00.000Z';
  if (path.endsWith('/morning')) return { left: 0, right: 0, at };
  if (path.endsWith('/end')) return { ending: 'completed', note: '', endedAt: at };
  if (path.includes('/reports/')) return { blockId: 'b1', discomfort: 0, exertion: 0, note: '', at };
  if (path.includes('/complaints/')) return { blockId: 'b1', hand: 'left', place: 'palm', discomfort: 3, at };
  if (path.includes('/form/')) return { blockId: 'b1', hand: 'left', fault: 'Held breath', seen: true, at };
  if (path.includes('/looks/')) return { blockId: 'b1', stop: 'after', hand: 'left', answer: 'looser', at };
  if (path.includes('/sets/')) {
    const dose = { set: 1, side: 'left', direction: null, unit: 'repetitions', plannedAmount: 8, doneAmount: 8 };
    return { blockId: 'b1', movementId: 'grip.ball-squeeze', levelId: 'soft', ...dose, endedAt: at, corrects: null };
  }
  return { athleteId: ids['athletes'], sequenceId: ids['sequences'], plan: SEQUENCE, startedAt: at };
}

/** Routes of something that lies within something else. */
const WITHIN = /^\/(athletes|sessions)\/\{id\}\/[\w-]+\/\{\w+\}$/;
const NESTED = ['complaints', 'form', 'intakes', 'looks', 'pictures', 'readings', 'reports', 'sets'];
const TABLES = ['athletes', 'sequences', 'assignments', 'sessions', 'movements', 'methods', 'programmes', 'class_sessions', 'class_events'];
const INNER_TABLES = ['readings', 'intakes', 'pictures', 'done_sets', 'block_reports', 'hand_looks', 'form_ticks', 'complaints'];

/** All that the owner has, table by table. @throws where a table is empty: nothing would be proven of it */
async function everything(): Promise<Record<string, unknown>> {
  const [studio] = await house.source.query('SELECT studio_id FROM athletes WHERE id = ?', [ids['athletes']]);
  const all: Record<string, unknown> = {};
  for (const table of [...TABLES, ...INNER_TABLES]) {
    const rows = await house.source.query(`SELECT * FROM ${table} WHERE studio_id = ? ORDER BY id`, [studio.studio_id]);
    expect([table, rows.length > 0]).toEqual([table, true]);
    all[table] = rows;
  }
  return all;
}

describe('walls between studios', () => {
  test('the walk covers every noun that holds a studio’s data', () => {
    const nouns = new Set(routes.filter(({ path }) => path.includes('{id}')).map(({ path }) => path.split('/')[1]));
    expect([...nouns].sort()).toEqual([...TABLES.filter((name) => !name.includes('_')), 'class-sessions'].sort());
    expect(routes.filter(({ path }) => path.includes('{id}')).length).toBeGreaterThanOrEqual(20);
  });

  test('another studio’s ids are not found, by any route, with or without a version', async () => {
    const before = await everything();
    for (const { method, path } of routes.filter(({ path: candidate }) => candidate.includes('{id}'))) {
      const [, noun = '', , inner = ''] = path.split('/');
      const real = path.replace('{id}', ids[noun]!).replace(/\{\w+\}/, limitsById[inner] ?? uuid());
      for (const headers of [{}, { 'if-match': '"1"' }] as Record<string, string>[]) {
        const answer = await other.ask(method, real, bodyFor(method, path), headers);
        expect([method, path, answer.status]).toEqual([method, path, 404]);
        expect(JSON.stringify(answer.body)).not.toMatch(/Test Person|Two blocks|Own hold|Own method/);
      }
    }
    expect(await everything()).toEqual(before);
  });

  test('what lies within another studio’s things is not found within one’s own', async () => {
    const own = await furnish(other);
    const ownSession = uuid();
    await other.ask('PUT', `/sessions/${ownSession}`, { ...own, plan: SEQUENCE, startedAt: '2026-05-04T08:00:00.000Z' });
    const mine: Record<string, string> = { athletes: own.athleteId, sessions: ownSession };
    const before = await everything();
    const nested = routes.filter(({ path }) => WITHIN.test(path) && !path.includes('/suggestions/'));
    expect([...new Set(nested.map(({ path }) => path.split('/')[3]))].sort()).toEqual(NESTED);
    for (const { method, path } of nested) {
      const [, noun = '', , inner = ''] = path.split('/');
      const theirs = path.replace('{id}', mine[noun]!).replace(/\{\w+\}/, limitsById[inner]!);
      const answer = await other.ask(method, theirs, bodyFor(method, path));
      expect([method, path, answer.status]).toEqual([method, path, 404]);
    }
    expect(await everything()).toEqual(before);
  });

  test('another studio’s ids inside a body are not found either', async () => {
    const own = await furnish(other);
    const foreign = [
      { ...own, athleteId: ids['athletes'] },
      { ...own, sequenceId: ids['sequences'] },
    ];
    for (const pair of foreign) {
      const assignment = { ...pair, weekdays: [1], fromDay: '2026-01-01' };
      expect((await other.ask('PUT', `/assignments/${uuid()}`, assignment)).status).toBe(404);
      const session = { ...pair, plan: SEQUENCE, startedAt: '2026-05-04T08:00:00.000Z' };
      expect((await other.ask('PUT', `/sessions/${uuid()}`, session)).status).toBe(404);
    }
  });

  test('lists hold nothing of another studio', async () => {
    const third = await house.coach('third');
    for (const path of ['/athletes', '/sequences', '/assignments', '/movements', '/methods']) {
      expect((await third.ask('GET', path)).body).toEqual([]);
    }
    expect((await third.ask('GET', `/sessions?athlete=${ids['athletes']}`)).body).toMatchObject({ items: [] });
    expect((await third.ask('GET', '/today')).body).toMatchObject({ due: [], atRisk: [], changes: [], mornings: [] });
    expect((await third.ask('GET', '/suggestions')).body).toEqual({ suggestions: [], toLookAt: 0 });
  });

  test('every route but the public ones asks for a sign-in', async () => {
    const open = [
      '/sign-in',
      '/front-door',
      '/front-door/studio',
      '/front-door/demo',
      '/health/live',
      '/health/ready',
      '/schemas/sequence-3.json',
      '/schemas/programme-1.json',
      '/calendars/{file}',
      // By the cookie of a device that joined.
      '/room',
      '/room/events/{eventId}',
    ];
    for (const { method, path } of routes.filter((route) => !open.includes(route.path))) {
      const answer = await house.stranger().ask(method, path.replace(/\{\w+\}/g, uuid()), bodyFor(method, path));
      expect([method, path, answer.status]).toEqual([method, path, 401]);
    }
  });
});
