import { beforeAll, describe, expect, test } from '@jest/globals';
import type { DoneSetInput, SessionRecord } from '@clay-pot/contracts';
import { completion } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { type Browser, furnish, House, SEQUENCE, SET } from './house.js';

let house: House;
let coach: Browser;
let ids: { athleteId: string; sequenceId: string };
beforeAll(async () => {
  house = await House.open('set_batches');
  coach = await house.coach('many');
  ids = await furnish(coach);
});

async function begun(): Promise<string> {
  const id = uuid();
  await coach.ask('PUT', `/sessions/${id}`, { ...ids, plan: SEQUENCE, startedAt: '2026-05-04T08:00:00.000Z' });
  return id;
}
const add = async (sessionId: string, id: string, change: Partial<DoneSetInput> = {}, who = coach) =>
  (await who.ask('PUT', `/sessions/${sessionId}/sets/${id}`, { ...SET, ...change })).status;
const read = async (id: string) => (await coach.ask<SessionRecord>('GET', `/sessions/${id}`)).body;

describe('thirty phones at once', () => {
  test('each set is stored once, and the sums of each session are those of its sets', async () => {
    const sessions = await Promise.all(Array.from({ length: 5 }, begun));
    const sets = Array.from({ length: 60 }, (_, index) => ({ id: uuid(), session: sessions[index % 5]!, doneAmount: 1 + (index % 8) }));
    // Each is sent twice, as on bad Wi-Fi.
    const sent = [...sets, ...sets].map(({ id, session, doneAmount }) => add(session, id, { doneAmount, set: 1 }));
    expect(new Set(await Promise.all(sent))).toEqual(new Set([204]));
    for (const session of sessions) {
      const record = await read(session);
      const mine = sets.filter((set) => set.session === session);
      expect(record.sets.map(({ id }) => id).sort()).toEqual(mine.map(({ id }) => id).sort());
      expect(record.completion).toBeCloseTo(completion(record.rows), 12);
    }
  });

  test('one that is refused takes no other with it', async () => {
    const [session, taken] = [await begun(), uuid()];
    const elsewhere = await house.coach('elsewhere-sets');
    const theirs = await furnish(elsewhere);
    const their = uuid();
    await elsewhere.ask('PUT', `/sessions/${their}`, { ...theirs, plan: SEQUENCE, startedAt: '2026-05-04T08:00:00.000Z' });
    expect(await add(their, taken, {}, elsewhere)).toBe(204);
    const [known, other] = [uuid(), await begun()];
    expect(await add(other, known)).toBe(204);
    const outcomes = await Promise.all([
      add(session, uuid()),
      add(session, uuid(), { blockId: 'nowhere' }),
      add(uuid(), uuid()),
      add(session, taken),
      add(session, uuid(), { levelId: 'nothing' }),
      add(session, uuid(), { corrects: uuid() }),
      // Of this studio, of another session.
      add(session, known),
      add(other, known, { doneAmount: 7 }),
      add(session, uuid(), { side: 'right' }),
    ]);
    expect(outcomes).toEqual([204, 422, 404, 404, 422, 422, 409, 409, 204]);
    expect((await read(session)).sets.map(({ side }) => side).sort()).toEqual(['left', 'right']);
  });

  test('a set that corrects another counts in its place, also right behind it', async () => {
    const [session, first] = [await begun(), uuid()];
    expect(await Promise.all([add(session, first), add(session, uuid(), { corrects: first, doneAmount: 8 })])).toEqual([204, 204]);
    const record = await read(session);
    expect(record.rows.find((row) => row.blockId === 'b1' && row.side === 'left')?.doneAmount).toBe(8);
    expect(record.completion).toBeCloseTo(completion(record.rows), 12);
  });
});
