import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { ClassMemberPlan, JoinedRoom, RoomMessage, RunningClass, SessionPage, SessionRecord, StoredClass } from '@clay-pot/contracts';
import { type ClassEvent, type ClassMember, type ClassSession, timelineOf } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { WebSocket } from 'ws';
import { ClassRecords } from '../src/class-sessions/class-records.js';
import { ATHLETE, type Browser, House, sequenceOf } from './house.js';

const START_MS = Date.parse('2026-05-04T18:00:00.000Z');
const SEQUENCE = sequenceOf(
  'Evening six',
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['load', 'bearing.palm-support', 'plank'],
  ['strength', 'strength.palm-lift', 'knees-back'],
);
const LENGTH_MS = timelineOf(SEQUENCE, shippedMovement).durationMs;

let house: House;
let coach: Browser;
let sequenceId: string;
let nowMs = START_MS;
beforeAll(async () => {
  house = await House.open('class_sessions', { now: () => new Date(nowMs) });
  coach = await house.coach('evening');
  sequenceId = uuid();
  await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
});
afterEach(() => {
  nowMs = START_MS;
});

async function person(name: string, cautions: object[] = []): Promise<string> {
  const id = uuid();
  await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name, cautions });
  return id;
}
const planFor = async (athleteId: string) =>
  (await coach.ask<ClassMemberPlan>('POST', '/class-plan', { athleteId, sequence: SEQUENCE })).body;

async function memberFor(athleteId: string, name: string): Promise<ClassMember> {
  const { blocks, sore } = await planFor(athleteId);
  return { id: uuid(), athleteId, name, sore, blocks: blocks.map(({ reasons: _reasons, ...block }) => block) };
}

/** A class that begins now. */
async function begun(...names: string[]): Promise<{ id: string; session: ClassSession; room: StoredClass }> {
  const members: ClassMember[] = [];
  for (const name of names) members.push(await memberFor(await person(name), name));
  const session = { sequenceId, sequence: SEQUENCE, members, startedAt: new Date(nowMs).toISOString() } as unknown as ClassSession;
  const id = uuid();
  const { status, body } = await coach.ask<StoredClass>('PUT', `/class-sessions/${id}`, { ...session, offsetMs: 0 });
  expect(status).toBe(200);
  return { id, session, room: body };
}
type Press = ClassEvent extends infer E ? (E extends ClassEvent ? Omit<E, 'at'> : never) : never;
const press = (id: string, event: Press, atMs = nowMs, eventId = uuid()) =>
  coach.ask('PUT', `/class-sessions/${id}/events/${eventId}`, { event: { ...event, at: atMs } });
async function settled(afterMs: number): Promise<void> {
  nowMs += afterMs;
  await house.app.get(ClassRecords).look();
}
const recordOf = (member: ClassMember) => coach.ask<SessionRecord>('GET', `/sessions/${member.id}`);

describe('planning a class', () => {
  test('gives each what restrictions allow, with the reason', async () => {
    const free = await planFor(await person('Free'));
    expect(free.blocks.map(({ forms, at }) => forms[at])).toEqual([null, null, null]);
    expect(free.elsewhere).toBeNull();
    const held = await planFor(await person('Held', [{ caution: 'numbness', hand: 'both' }]));
    const plank = held.blocks.find(({ blockId }) => blockId === 'b1')!;
    expect(plank.forms[plank.at]).not.toBeNull();
    expect(plank.reasons.length).toBeGreaterThan(0);
  });
  test('says who is in another class', async () => {
    const { session, id } = await begun('Busy Bee');
    const again = await planFor(session.members[0].athleteId);
    expect(again.elsewhere).toBe('Evening six');
    await press(id, { kind: 'end' });
    expect((await planFor(session.members[0].athleteId)).elsewhere).toBeNull();
  });
});

describe('a class that is led', () => {
  test('is listed while it runs; the same begun again is the same, another under its id is refused', async () => {
    const { id, session, room } = await begun('Ann', 'Ben');
    expect(room.code).toMatch(/^[A-HJ-NP-Z2-9]{6}$/);
    const { body } = await coach.ask<RunningClass[]>('GET', '/class-sessions');
    expect(body).toContainEqual({ id, title: 'Evening six', startedAt: session.startedAt, members: 2 });
    expect((await coach.ask('PUT', `/class-sessions/${id}`, { ...session, offsetMs: 5 })).status).toBe(200);
    const other = { ...session, startedAt: new Date(nowMs + 1000).toISOString(), offsetMs: 0 };
    expect((await coach.ask('PUT', `/class-sessions/${id}`, other)).status).toBe(409);
    await press(id, { kind: 'end' });
  });

  test('is refused where a form that may be given on the spot can’t be done', async () => {
    const member = await memberFor(await person('Nia'), 'Nia');
    const [first, ...others] = member.blocks;
    const broken = { ...first, forms: [...first!.forms, { movementId: 'no.such', levelId: 'x', dose: SEQUENCE.blocks[0]!.dose }] };
    const members = [{ ...member, blocks: [broken, ...others] }];
    const body = { sequenceId, sequence: SEQUENCE, members, startedAt: new Date(nowMs).toISOString(), offsetMs: 0 };
    const answer = await coach.ask('PUT', `/class-sessions/${uuid()}`, body);
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ pointer: `/members/0/blocks/0/forms/${first!.forms.length}` }] } });
  });

  test('keeps each press once, and only what the class has', async () => {
    const { id, session } = await begun('Cora');
    const eventId = uuid();
    expect((await press(id, { kind: 'pause' }, nowMs, eventId)).status).toBe(204);
    expect((await press(id, { kind: 'pause' }, nowMs, eventId)).status).toBe(204);
    expect((await press(id, { kind: 'play' }, nowMs, eventId)).status).toBe(409);
    const stranger = await press(id, { kind: 'leave', memberId: uuid() });
    expect(stranger).toMatchObject({ status: 422, body: { errors: [{ pointer: '/event/memberId' }] } });
    const form = await press(id, { kind: 'form', memberId: session.members[0].id, blockId: 'b0', form: 5 });
    expect(form).toMatchObject({ status: 422, body: { errors: [{ pointer: '/event/form' }] } });
    expect((await coach.ask<StoredClass>('GET', `/class-sessions/${id}`)).body.events).toEqual([
      { id: eventId, event: { kind: 'pause', at: nowMs } },
    ]);
    await press(id, { kind: 'end' });
  });

  test('gives each person a session when it ends, written once', async () => {
    const { id, session } = await begun('Dora', 'Eli');
    const [dora, eli] = session.members;
    nowMs += LENGTH_MS / 2;
    await press(id, { kind: 'leave', memberId: eli!.id });
    nowMs += LENGTH_MS;
    await press(id, { kind: 'end' });
    await press(id, { kind: 'rate', memberId: dora.id, discomfort: 1, exertion: 6 });
    expect((await recordOf(dora)).status).toBe(404);
    await settled(11_000);
    const whole = (await recordOf(dora)).body;
    expect(whole).toMatchObject({ athleteName: 'Dora', ending: 'completed', completion: 1, exertion: 6, maxDiscomfort: 1 });
    const half = (await recordOf(eli!)).body;
    expect(half.ending).toBe('ended early');
    expect(half.completion).toBeLessThan(0.8);
    expect(half.completion).toBeGreaterThan(0.2);
    await house.source.query('UPDATE class_sessions SET settle_at = ? WHERE id = ?', [new Date(nowMs), id]);
    await settled(0);
    expect((await recordOf(dora)).body.sets).toEqual(whole.sets);
  });

  test('a stop stands in the person’s record soon, while the class goes on; taken back in time it never was', async () => {
    const { id, session } = await begun('Fern', 'Gus');
    const [fern, gus] = session.members;
    nowMs += 20_000;
    await press(id, { kind: 'stop', memberId: fern.id, sign: 'numbness', hand: 'left' });
    const mistake = uuid();
    await press(id, { kind: 'stop', memberId: gus!.id, sign: 'sharp', hand: 'left' }, nowMs, mistake);
    nowMs += 4000;
    await press(id, { kind: 'undo', id: mistake });
    await settled(12_000);
    expect((await recordOf(fern)).body).toMatchObject({ ending: 'stopped', stopSign: 'numbness', stopHand: 'left' });
    expect((await recordOf(gus!)).status).toBe(404);
    const { body } = await coach.ask<{ cautions: object[] }>('GET', `/athletes/${fern.athleteId}`);
    expect(body.cautions).toContainEqual(expect.objectContaining({ hand: 'left', stopped: { sessionId: fern.id, sign: 'numbness' } }));
    await press(id, { kind: 'end' });
  });

  test('that runs to its end by its clock is written without anybody pressing anything', async () => {
    const { id, session } = await begun('Pia');
    nowMs += LENGTH_MS / 2;
    await settled(0);
    expect((await recordOf(session.members[0])).status).toBe(404);
    await settled(LENGTH_MS);
    expect((await recordOf(session.members[0])).body).toMatchObject({ ending: 'completed', completion: 1, exertion: null });
    await press(id, { kind: 'rate', memberId: session.members[0].id, discomfort: 0, exertion: 4 });
    await settled(12_000);
    expect((await recordOf(session.members[0])).body.exertion).toBe(4);
    expect((await coach.ask<RunningClass[]>('GET', '/class-sessions')).body.map((each) => each.id)).not.toContain(id);
  });

  test('that nobody ended is over after six hours', async () => {
    const { id, session } = await begun('Hal');
    const pausedMs = nowMs + LENGTH_MS / 2;
    nowMs = pausedMs;
    await press(id, { kind: 'pause' });
    await settled(6 * 3_600_000);
    expect((await coach.ask<StoredClass>('GET', `/class-sessions/${id}`)).body.endedAt).toBe(new Date(pausedMs).toISOString());
    expect((await recordOf(session.members[0])).body.ending).toBe('ended early');
    expect((await coach.ask<SessionPage>('GET', `/sessions?athlete=${session.members[0].athleteId}`)).body.items).toHaveLength(1);
  });
});

/** A device that listens to a class. */
function listen(
  path: string,
  cookie: string,
): { socket: WebSocket; messages: RoomMessage[]; next: (is: (message: RoomMessage) => boolean) => Promise<RoomMessage> } {
  const { port } = house.app.getHttpServer().address() as { port: number };
  const socket = new WebSocket(`ws://127.0.0.1:${port}/api/room-stream${path}`, { headers: { cookie } });
  const messages: RoomMessage[] = [];
  const waiting: (() => void)[] = [];
  socket.on('message', (data) => {
    messages.push(JSON.parse(String(data)) as RoomMessage);
    for (const look of waiting) look();
  });
  socket.on('error', () => undefined);
  const next = (is: (message: RoomMessage) => boolean) =>
    new Promise<RoomMessage>((resolve) => {
      const look = () => {
        const found = messages.find(is);
        if (found) resolve(found);
      };
      waiting.push(look);
      look();
    });
  return { socket, messages, next };
}

describe('devices of a class', () => {
  beforeAll(async () => {
    await house.app.listen(0, '127.0.0.1');
  });
  const cookieOf = (headers: Record<string, unknown>) => String(headers['set-cookie']).split(';')[0]!;

  test('a device joins by the code, sees this class alone, presses as console, and leaves without a trace', async () => {
    const { id, room, session } = await begun('Ida');
    const joined = await house.stranger().ask<JoinedRoom>('POST', '/room', { code: ` ${room.code!.toLowerCase()} `, role: 'console' });
    expect(joined).toMatchObject({ status: 200, body: { role: 'console', room: { id, code: null } } });
    const guest = house.stranger(cookieOf(joined.headers));
    expect((await guest.ask('GET', '/athletes')).status).toBe(401);
    const memberId = session.members[0].id;
    expect((await guest.ask('PUT', `/room/events/${uuid()}`, { event: { kind: 'leave', memberId, at: nowMs } })).status).toBe(204);
    expect((await guest.ask('DELETE', '/room')).status).toBe(204);
    expect((await guest.ask('GET', '/room')).status).toBe(401);
    expect(await house.source.query('SELECT * FROM class_guests')).toEqual([]);
    await press(id, { kind: 'end' });
  });

  test('a screen only looks; a wrong code is told, and guessing gets slow', async () => {
    const { id, room } = await begun('Jon');
    const { headers } = await house.stranger().ask('POST', '/room', { code: room.code, role: 'screen' });
    const screen = house.stranger(cookieOf(headers));
    expect((await screen.ask('GET', '/room')).status).toBe(200);
    expect((await screen.ask('PUT', `/room/events/${uuid()}`, { event: { kind: 'pause', at: nowMs } })).status).toBe(404);
    const wrong = await house.stranger().ask('POST', '/room', { code: 'AAAAAA', role: 'screen' });
    expect(wrong).toMatchObject({ status: 422, body: { errors: [{ pointer: '/code' }] } });
    const statuses: number[] = [];
    for (let guess = 0; guess < 6; guess++)
      statuses.push((await house.stranger().ask('POST', '/room', { code: 'AAAAAA', role: 'screen' })).status);
    expect(statuses.at(-1)).toBe(429);
    await press(id, { kind: 'end' });
  });

  test('hears of every press, the earlier ones first, and of the server’s time', async () => {
    const { id } = await begun('Kit');
    const early = uuid();
    await press(id, { kind: 'pause' }, nowMs, early);
    const { socket, next } = listen(`?class=${id}`, coach.cookie);
    await next((message) => 'pressed' in message && message.pressed.some((known) => known.id === early));
    socket.send(JSON.stringify({ ping: 17 }));
    expect(await next((message) => 'pong' in message)).toEqual({ pong: 17, nowMs });
    const later = uuid();
    const from = performance.now();
    await press(id, { kind: 'play' }, nowMs + 1, later);
    await next((message) => 'pressed' in message && message.pressed.some((known) => known.id === later));
    expect(performance.now() - from).toBeLessThan(1000);
    socket.close();
    await press(id, { kind: 'end' });
  });

  test('thirty phones at once hear a press within half a second', async () => {
    const { id } = await begun('Mo');
    const phones = Array.from({ length: 30 }, () => listen(`?class=${id}`, coach.cookie));
    await Promise.all(phones.map(({ socket }) => new Promise((resolve) => socket.once('open', resolve))));
    const eventId = uuid();
    const isIt = (message: RoomMessage) => 'pressed' in message && message.pressed.some((known) => known.id === eventId);
    const from = performance.now();
    await press(id, { kind: 'pause' }, nowMs, eventId);
    await Promise.all(phones.map(({ next }) => next(isIt)));
    expect(performance.now() - from).toBeLessThan(500);
    for (const { socket } of phones) socket.close();
    await press(id, { kind: 'end' });
  });

  test('nobody listens without a sign-in, nor to another studio’s class', async () => {
    const { id } = await begun('Lea');
    const stranger = await house.coach('stranger');
    for (const [path, cookie, status] of [
      [`?class=${id}`, '', 401],
      ['', '', 401],
      [`?class=${id}`, stranger.cookie, 404],
    ] as const) {
      const { socket } = listen(path, cookie);
      const refused = await new Promise<number>((resolve) =>
        socket.on('unexpected-response', (_request, response) => resolve(response.statusCode ?? 0)),
      );
      expect([path, refused]).toEqual([path, status]);
    }
    await press(id, { kind: 'end' });
  });
});
