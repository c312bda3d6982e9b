import { beforeAll, describe, expect, test } from '@jest/globals';
import type { OwnName, SequenceTextAnswer } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { type Browser, House, OWN_MOVEMENT, pointers } from './house.js';

let coach: Browser;
let neighbour: Browser;
beforeAll(async () => {
  const house = await House.open('names', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('names');
  neighbour = await house.coach('neighbour');
});

const call = (movementId: string, name: unknown, who = coach) => who.ask('PUT', `/movement-names/${movementId}`, { name });
const list = async (who = coach) => (await who.ask<OwnName[]>('GET', '/movement-names')).body;

describe('what a studio calls movements', () => {
  test('is one name a movement, changed by the next and taken away again', async () => {
    expect((await call('free.open-close', ' Jellyfish ')).body).toEqual({
      movementId: 'free.open-close',
      name: 'Jellyfish',
    });
    expect((await call('free.open-close', 'Jellyfish')).status).toBe(200);
    await call('free.open-close', 'Anemone');
    await call('settle.shakes', 'Jellyfish');
    expect(await list()).toEqual([
      { movementId: 'free.open-close', name: 'Anemone' },
      { movementId: 'settle.shakes', name: 'Jellyfish' },
    ]);
    expect((await coach.ask('DELETE', '/movement-names/settle.shakes')).status).toBe(204);
    expect(await list()).toHaveLength(1);
  });

  test('a movement of the studio’s own can be called otherwise too', async () => {
    const id = uuid();
    await coach.ask('PUT', `/movements/${id}`, OWN_MOVEMENT);
    expect((await call(id, 'The old pier')).status).toBe(200);
  });

  test.each<[string, unknown, string]>([
    ['Palm lift', 'palm  LIFT', 'belongs to “Palm lift” already'],
    ['another’s own name', 'anemone', 'belongs to “Hand open and close” already'],
    ['marks alone', '…', 'needs a letter or a number'],
    ['nothing', '', 'must'],
    ['a number', 7, 'must'],
    ['a whole page', 'x'.repeat(81), 'must'],
  ])('%s is refused, naming what is wrong', async (_what, name, says) => {
    const { status, body } = await call('free.wrist-circles', name);
    expect([status, pointers(body)]).toEqual([422, ['/name']]);
    expect(JSON.stringify(body)).toContain(says);
    expect((await list()).map(({ movementId }) => movementId)).not.toContain('free.wrist-circles');
  });

  test('one of the studio’s own movements cannot take the name that another is called by', async () => {
    await call('grip.towel-gather', 'Reef the sail');
    const { status, body } = await coach.ask('PUT', `/movements/${uuid()}`, { ...OWN_MOVEMENT, name: 'Reef the Sail' });
    expect([status, pointers(body)]).toEqual([422, ['/name']]);
    expect(JSON.stringify(body)).toContain('belongs to “Towel scrunch” already');
  });

  test('of two that give one name in the same moment one is told so, and nothing breaks', async () => {
    const ids = ['grip.pinch-hold', 'grip.thick-hold', 'grip.hook-hold', 'hang.full'];
    const answers = await Promise.all(ids.map((id) => call(id, 'The anchor')));
    const said = answers.map(({ status }) => status);
    expect(said.filter((status) => status === 200)).toHaveLength(1);
    expect(said.filter((status) => ![200, 409, 422].includes(status))).toEqual([]);
    expect((await list()).filter(({ name }) => name === 'The anchor')).toHaveLength(1);
  });

  test('a movement that nobody knows has no name', async () => {
    expect((await call('free.nothing', 'Nothing')).status).toBe(404);
  });

  test('is the studio’s alone', async () => {
    expect(await list(neighbour)).toEqual([]);
    expect((await call('free.open-close', 'Anemone', neighbour)).status).toBe(200);
    expect((await neighbour.ask('DELETE', '/movement-names/free.open-close')).status).toBe(204);
    expect(await list()).toContainEqual({ movementId: 'free.open-close', name: 'Anemone' });
  });

  test('finds its movement in a text', async () => {
    const { status, body } = await coach.ask<SequenceTextAnswer>('POST', '/sequences/read', {
      text: 'Tide pool\nprepare\nAnemone, slow: 1x10 tempo2-2',
    });
    expect([status, body.document.blocks[0]?.movementId]).toEqual([200, 'free.open-close']);
  });
});
