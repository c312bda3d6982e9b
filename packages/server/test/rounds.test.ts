import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, test } from '@jest/globals';
import type { SequenceTextAnswer, SessionRecord, StoredSequence } from '@clay-pot/contracts';
import { parseDose, type Sequence, usualWay } from '@clay-pot/core';
import { decodeSequence } from '@clay-pot/core/exchange';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { DEMO_SEQUENCES } from '../src/database/demo/sequences.js';
import { ATHLETE, type Browser, House, pointers, SEQUENCE } from './house.js';

let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('rounds');
  coach = await house.coach('willow');
});

const fileOf = (version: number) =>
  readFileSync(join(import.meta.dirname, `../../core/test/files/sequence-v${version}.claypot.json`), 'utf8');
const blockOf = (id: string, movementId: string, levelId: string, dose: string) => ({
  id,
  phase: 'strength' as const,
  movementId,
  levelId,
  dose: parseDose(dose, usualWay(shippedMovement(movementId)!)),
});
const ROUNDS: Sequence = {
  ...SEQUENCE,
  title: 'In rounds',
  blocks: [
    { ...blockOf('a', 'stretch.flexors', 'open', '1x10s L,R'), lookAgain: ['between hands'] },
    blockOf('b', 'grip.bar-carry', 'light', '1x20m,1xmax40m rest10'),
  ],
  rounds: [{ id: 'r', blockIds: ['a', 'b'], times: 2, restS: 30 }],
};

describe('rounds', () => {
  test('are kept, and a round in a round, of nothing, or of blocks apart is refused by its place', async () => {
    const id = uuid();
    expect((await coach.ask<StoredSequence>('PUT', `/sequences/${id}`, ROUNDS)).body.document).toEqual(ROUNDS);
    const refused = async (rounds: Sequence['rounds']) =>
      pointers((await coach.ask('PUT', `/sequences/${uuid()}`, { ...ROUNDS, rounds })).body);
    const [round] = ROUNDS.rounds!;
    expect(await refused([{ ...round!, blockIds: [] }])).toEqual(['/rounds/0/blockIds']);
    expect(await refused([round!, { ...round!, id: 's', blockIds: ['b'] }])).toEqual(['/rounds/1/blockIds']);
    expect(await refused([{ ...round!, times: 11 }])).toEqual(['/rounds/0/times']);
  });

  test('of a session are recorded apart, with what was open and what was seen', async () => {
    const [athleteId, sequenceId, id] = [uuid(), uuid(), uuid()];
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    await coach.ask('PUT', `/sequences/${sequenceId}`, ROUNDS);
    const startedAt = '2026-05-04T08:00:00.000Z';
    await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: ROUNDS, startedAt });
    const set = (round: number, number: number, plannedAmount: number, doneAmount: number) => ({
      ...{ blockId: 'b', movementId: 'grip.bar-carry', levelId: 'light', side: 'both', direction: null },
      ...{ round, set: number, unit: 'metres', plannedAmount, doneAmount, endedAt: startedAt, corrects: null },
    });
    const look = { blockId: 'a', round: 2, stop: 'between hands', hand: 'left', answer: 'looser', at: startedAt };
    const lookId = uuid();
    for (const [path, body] of [
      [`sets/${uuid()}`, set(1, 1, 20, 20)],
      [`sets/${uuid()}`, set(1, 2, 40, 12)],
      [`sets/${uuid()}`, set(2, 1, 20, 20)],
      [`looks/${lookId}`, look],
      [`looks/${lookId}`, look],
    ] as const) {
      expect((await coach.ask('PUT', `/sessions/${id}/${path}`, body)).status).toBe(204);
    }
    const { rows, looks } = (await coach.ask<SessionRecord>('GET', `/sessions/${id}`)).body;
    const carried = rows.filter(({ blockId }) => blockId === 'b');
    expect(carried.map(({ round, set: of, doneAmount, open }) => [round, of, doneAmount, open])).toEqual([
      [1, 1, 20, null],
      [1, 2, 12, 'form'],
      [2, 1, 20, null],
      [2, 2, null, 'form'],
    ]);
    expect(looks).toMatchObject([look]);
    const wrong = await coach.ask('PUT', `/sessions/${id}/looks/${uuid()}`, { ...look, answer: 'stiffer' });
    expect(pointers(wrong.body)).toEqual(['/answer']);
  });
});

describe('what an older house wrote', () => {
  test.each([1, 2])('a file of version %i is imported', async (version) => {
    const { status, body } = await coach.ask<StoredSequence>('POST', '/sequences/import', {
      id: uuid(),
      text: fileOf(version),
    });
    expect(status).toBe(201);
    expect(body.document).toEqual(decodeSequence(fileOf(version), shippedMovement));
  });

  test('a row is read as a document of today and stays as it was written until somebody stores it', async () => {
    const id = uuid();
    const { format: _format, version: _version, ...old } = JSON.parse(fileOf(2)) as { format: string; version: number };
    const { etag } = (await coach.ask<StoredSequence>('PUT', `/sequences/${id}`, SEQUENCE)).body;
    await house.source.query('UPDATE sequences SET document = ?, schema_version = 2 WHERE id = ?', [JSON.stringify(old), id]);
    const read = (await coach.ask<StoredSequence>('GET', `/sequences/${id}`)).body.document;
    expect(read).toEqual(decodeSequence(fileOf(2), shippedMovement));
    const row = async () => (await house.source.query('SELECT document, schema_version AS version FROM sequences WHERE id = ?', [id]))[0];
    const { document } = await row();
    expect(typeof document === 'string' ? JSON.parse(document) : document).toEqual(old);
    await coach.ask('PUT', `/sequences/${id}`, read, { 'if-match': etag });
    expect((await row()).version).toBe(3);
  });
});

describe('plain text', () => {
  test.each(Object.entries(DEMO_SEQUENCES))('the sequence “%s” of the demo comes back from its text', async (_key, document: Sequence) => {
    const { text } = (await coach.ask<{ text: string }>('POST', '/sequences/write', document)).body;
    const { body } = await coach.ask<SequenceTextAnswer>('POST', '/sequences/read', { text });
    expect(body).toEqual({ document: { ...document, pacing: document.pacing }, interpretations: [], faults: [] });
  });

  test('what cannot be read is told beside what can, and of a text of nothing else by line and column', async () => {
    const before = (await coach.ask<unknown[]>('GET', '/sequences')).body.length;
    const half = await coach.ask<SequenceTextAnswer>('POST', '/sequences/read', { text: 'T\nFloating anvils: 2x6\nPalm lift, plank: 2x6' });
    expect([half.status, half.body.document.blocks.length, half.body.faults.map(({ line }) => line)]).toEqual([200, 1, [2]]);
    const { status, body } = await coach.ask<{ errors: unknown[] }>('POST', '/sequences/read', {
      text: 'T\n\nstrength\nPalm: 2x6\nPalm lift, plank: 2x6 soon',
    });
    expect(status).toBe(422);
    expect(body.errors).toMatchObject([
      {
        line: 4,
        column: 1,
        names: expect.arrayContaining([LIBRARY.find(({ id }) => id === 'strength.palm-lift')!.name]),
      },
      { line: 5, column: 23 },
    ]);
    expect((await coach.ask<unknown[]>('GET', '/sequences')).body).toHaveLength(before);
  });

  test('what is no sequence is refused field by field when it should be written', async () => {
    const { status } = await coach.ask('POST', '/sequences/write', {
      ...SEQUENCE,
      blocks: [{ ...SEQUENCE.blocks[0]!, levelId: 'none' }],
    });
    expect(status).toBe(422);
  });
});
