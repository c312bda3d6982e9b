import { beforeAll, describe, expect, test } from '@jest/globals';
import type { SequenceListItem, StaleEdit, StoredSequence } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { Ajv } from 'ajv';
import { v7 as uuid } from 'uuid';
import { type Browser, furnish, House, pointers, SEQUENCE } from './house.js';

let coach: Browser;
beforeAll(async () => {
  coach = await (await House.open('sequences')).coach('willow');
});

const put = (id: string, document: unknown, headers = {}) => coach.ask<StoredSequence>('PUT', `/sequences/${id}`, document, headers);
const titles = async () => (await coach.ask<SequenceListItem[]>('GET', '/sequences')).body.map((item) => item.title);
const dosed = (change: object): unknown => ({
  ...SEQUENCE,
  blocks: [{ ...SEQUENCE.blocks[0]!, dose: { ...SEQUENCE.blocks[0]!.dose, ...change } }],
});

describe('a sequence', () => {
  test('comes back as it was put, and the list tells its compiled length', async () => {
    const id = uuid();
    const stored = await put(id, SEQUENCE);
    expect(stored.body.document).toEqual(SEQUENCE);
    const [item] = (await coach.ask<SequenceListItem[]>('GET', '/sequences')).body.filter((other) => other.id === id);
    // 5 + 30 s; then 5 + fetch 5 + left 8 × 5 + change 3 + right 8 × 5  →  128 s
    expect(item).toMatchObject({ title: 'Two blocks', blocks: 2, durationMs: 156_000, athletes: [] });
  });

  test('is filed by tags, favourites and the archive, while its version stays; bad tags are told', async () => {
    const id = uuid();
    const { etag } = (await put(id, SEQUENCE)).body;
    const find = async () => (await coach.ask<SequenceListItem[]>('GET', '/sequences')).body.find((item) => item.id === id);
    expect(await find()).toMatchObject({ tags: [], isFavourite: false, isArchived: false, lastUsedAt: null });
    const filing = { tags: ['class', 'floor'], isFavourite: true, isArchived: true };
    expect((await coach.ask('PUT', `/sequences/${id}/filing`, filing)).status).toBe(204);
    expect(await find()).toMatchObject(filing);
    expect((await coach.ask<StoredSequence>('GET', `/sequences/${id}`)).body.etag).toBe(etag);
    for (const tags of [['a', 'a'], [''], ['x'.repeat(25)], Array.from({ length: 9 }, (_, index) => `t${index}`)]) {
      const { status, body } = await coach.ask('PUT', `/sequences/${id}/filing`, { ...filing, tags });
      expect([status, pointers(body)[0]]).toEqual([422, expect.stringMatching(/^\/tags/)]);
    }
    expect((await coach.ask('PUT', `/sequences/${uuid()}/filing`, filing)).status).toBe(404);
  });

  test('tells when it was last led', async () => {
    const { athleteId, sequenceId } = await furnish(coach);
    for (const startedAt of ['2026-05-01T08:00:00.000Z', '2026-05-04T08:00:00.000Z', '2026-05-02T08:00:00.000Z']) {
      await coach.ask('PUT', `/sessions/${uuid()}`, { athleteId, sequenceId, plan: SEQUENCE, startedAt });
    }
    const items = (await coach.ask<SequenceListItem[]>('GET', '/sequences')).body;
    expect(items.find(({ id }) => id === sequenceId)?.lastUsedAt).toBe('2026-05-04T08:00:00.000Z');
  });

  test('the same content is the same whatever the order of its fields: sent again it is one creation', async () => {
    const id = uuid();
    const { etag } = (await put(id, SEQUENCE)).body;
    const turned = Object.fromEntries(Object.entries(SEQUENCE).reverse());
    const again = await put(id, turned);
    expect([again.status, again.body.etag]).toEqual([200, etag]);
  });

  test('of two edits from one version the second is told what stands and what it would change', async () => {
    const id = uuid();
    const { etag } = (await put(id, SEQUENCE)).body;
    const mine: Sequence = { ...SEQUENCE, budgetMin: 15 };
    const theirs: Sequence = { ...SEQUENCE, title: 'Renamed', blocks: SEQUENCE.blocks.slice(1) };
    expect((await put(id, theirs, { 'if-match': etag })).status).toBe(200);
    const stale = await coach.ask<StaleEdit>('PUT', `/sequences/${id}`, mine, { 'if-match': etag });
    expect(stale.status).toBe(412);
    expect(stale.body.current.document.title).toBe('Renamed');
    expect(stale.body.changes.map((change) => change.text)).toEqual([
      'Title: “Renamed” → “Two blocks”',
      'Minutes: 10 → 15',
      'Added: Hand open and close (Fast for time), 30 s',
    ]);
    expect(stale.headers['etag']).toBe('"2"');
    expect((await put(id, mine, { 'if-match': stale.body.current.etag })).body.etag).toBe('"3"');
  });

  test('two edits at the same moment: exactly one is taken', async () => {
    const id = uuid();
    const { etag } = (await put(id, SEQUENCE)).body;
    const edits = [11, 12, 13, 14].map((budgetMin) => put(id, { ...SEQUENCE, budgetMin }, { 'if-match': etag }));
    const statuses = (await Promise.all(edits)).map((answer) => answer.status).sort();
    expect(statuses).toEqual([200, 412, 412, 412]);
  });

  test.each<[string, unknown, string]>([
    ['a dose over its limit', dosed({ sets: 21 }), '/blocks/0/dose/sets'],
    ['a fraction of a set', dosed({ sets: 1.5 }), '/blocks/0/dose/sets'],
    ['more breaths than allowed', dosed({ work: { kind: 'breaths', count: 61 } }), '/blocks/0/dose/work/count'],
    ['work without an amount', dosed({ work: { kind: 'time' } }), '/blocks/0/dose/work/seconds'],
    ['directions it does not have', dosed({ directions: 'each' }), '/blocks/0/dose/directions'],
    ['an unknown movement', { ...SEQUENCE, blocks: [{ ...SEQUENCE.blocks[0]!, movementId: 'x' }] }, '/blocks/0/movementId'],
    ['an unknown level', { ...SEQUENCE, blocks: [{ ...SEQUENCE.blocks[0]!, levelId: 'x' }] }, '/blocks/0/levelId'],
    ['an unknown field deep inside', dosed({ tempo: { outS: 1, backS: 1, pauseS: 1 } }), '/blocks/0/dose/tempo/pauseS'],
    ['too many blocks', { ...SEQUENCE, blocks: Array(121).fill(SEQUENCE.blocks[0]) }, '/blocks'],
    ['blocks that are no list', { ...SEQUENCE, blocks: 'none' }, '/blocks'],
    ['no title', { ...SEQUENCE, title: '' }, '/title'],
  ])('%s is refused at its place', async (_what, document, pointer) => {
    const answer = await coach.ask('PUT', `/sequences/${uuid()}`, document);
    expect(answer.status).toBe(422);
    expect(pointers(answer.body)).toContain(pointer);
  });

  test('removed, it is gone from shelf and address; restored, it is back', async () => {
    const id = uuid();
    await put(id, { ...SEQUENCE, title: 'Here and gone' });
    expect((await coach.ask('DELETE', `/sequences/${id}`)).status).toBe(204);
    expect(await titles()).not.toContain('Here and gone');
    expect((await coach.ask('GET', `/sequences/${id}`)).status).toBe(404);
    expect((await coach.ask('POST', `/sequences/${id}/restore`)).status).toBe(200);
    expect(await titles()).toContain('Here and gone');
  });
});

describe('files', () => {
  test('an exported file validates against the published schema and imports as the same document', async () => {
    const id = uuid();
    await put(id, { ...SEQUENCE, title: 'Épée & strap, 2' });
    const file = await coach.ask<object>('GET', `/sequences/${id}/export`);
    expect(file.headers['content-disposition']).toBe('attachment; filename="p-e-strap-2.claypot.json"');
    const schema = await coach.ask<object>('GET', '/schemas/sequence-3.json');
    expect(new Ajv({ discriminator: true, strict: false }).validate(schema.body, file.body)).toBe(true);
    const again = await coach.ask<StoredSequence>('POST', '/sequences/import', {
      id: uuid(),
      text: JSON.stringify(file.body),
    });
    expect(again.status).toBe(201);
    expect(again.body.document).toEqual({ ...SEQUENCE, title: 'Épée & strap, 2' });
  });

  test('a broken file names line and field, and nothing is stored', async () => {
    const id = uuid();
    await put(id, SEQUENCE);
    const before = await titles();
    const file = await coach.ask<object>('GET', `/sequences/${id}/export`);
    const text = JSON.stringify(file.body, null, 2).replace('"sets": 1', '"sets": 400');
    const answer = await coach.ask('POST', '/sequences/import', { id: uuid(), text });
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toContain('Not imported');
    const line = text.split('\n').findIndex((row) => row.includes('"sets": 400')) + 1;
    expect(answer.body.errors).toEqual([expect.objectContaining({ pointer: '/blocks/0/dose/sets', line })]);
    expect(await titles()).toEqual(before);
  });

  test('the file schema and the API’s rules refuse the same documents', async () => {
    const schema = await coach.ask<object>('GET', '/schemas/sequence-3.json');
    const validate = new Ajv({ discriminator: true, strict: false }).compile(schema.body);
    const documents: [boolean, unknown][] = [
      [true, SEQUENCE],
      [true, dosed({ sets: 20, restS: 900, effortPercent: 100 })],
      [false, dosed({ sets: 0 })],
      [false, dosed({ restS: 901 })],
      [false, dosed({ restS: 1.5 })],
      [false, dosed({ effortPercent: 0 })],
      [false, dosed({ sides: 'neither' })],
      [false, dosed({ rest: 5 })],
      [false, { ...SEQUENCE, budgetMin: 241 }],
      [false, { ...SEQUENCE, title: 'x'.repeat(121) }],
      [false, { ...SEQUENCE, pacing: { ...SEQUENCE.pacing, breathInS: 0.2 } }],
    ];
    for (const [sound, document] of documents) {
      const { status } = await coach.ask('PUT', `/sequences/${uuid()}`, document);
      expect([status, validate({ format: 'clay-pot/sequence', version: 1, ...(document as object) })]).toEqual(
        sound ? [200, true] : [422, false],
      );
    }
  });
});
