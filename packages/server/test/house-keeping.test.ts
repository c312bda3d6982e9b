import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Today } from '@clay-pot/contracts';
import type { OpenAPIObject } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { dataSourceOptions, migrate } from '../src/database/data-source.js';
import { DEMO_SIGN_IN, seedWhenEmpty } from '../src/database/demo/seed.js';
import { type Browser, House } from './house.js';

/** A Wednesday; late evening in UTC is Thursday already in the studio's time zone. */
const NOW = new Date('2026-06-10T22:30:00.000Z');
let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('demo', { seedDemo: true, now: () => NOW });
  coach = await house.signedIn(DEMO_SIGN_IN.email, DEMO_SIGN_IN.password);
}, 60_000);

const count = async (table: string) => Number((await house.source.query(`SELECT COUNT(*) AS n FROM ${table}`))[0].n);

describe('the demo studio', () => {
  test('has twelve athletes, seven sequences, and six to ten weeks of sessions up to yesterday', async () => {
    expect([await count('athletes'), await count('sequences'), await count('assignments')]).toEqual([12, 7, 12]);
    const [span] = await house.source.query('SELECT MIN(started_at) AS first, MAX(started_at) AS last FROM sessions');
    expect((NOW.getTime() - span.first) / (7 * 24 * 3600 * 1000)).toBeGreaterThan(8);
    expect(span.last.getTime()).toBeLessThan(NOW.getTime());
    expect(await count('sessions')).toBeGreaterThan(150);
  });

  test('today is the studio’s day, has work in it, and waits for decisions', async () => {
    const { body } = await coach.ask<Today>('GET', '/today');
    expect(body.day).toBe('2026-06-11');
    expect(body.due.length).toBeGreaterThanOrEqual(4);
    expect(body.calls[0]).toMatchObject({ kind: 'refer', athleteName: 'Hana Kobler' });
    expect(body.calls.map((call) => call.kind)).toEqual(expect.arrayContaining(['refer', 'ease', 'hold']));
    expect(body.due.some((due) => due.missedDays.length > 0)).toBe(true);
  });

  test('its history has misses, sessions ended early, a weaker side and a flare-up', async () => {
    const query = async (sql: string) => Number((await house.source.query(sql))[0].n);
    expect(await query(`SELECT COUNT(*) AS n FROM sessions WHERE ending = 'ended early'`)).toBeGreaterThan(3);
    expect(await query('SELECT COUNT(*) AS n FROM block_reports WHERE discomfort >= 5')).toBeGreaterThan(3);
    const short = (side: string) =>
      query(`SELECT COUNT(*) AS n FROM done_sets JOIN sessions ON sessions.id = session_id JOIN athletes ON athletes.id = athlete_id
        WHERE athletes.name LIKE 'Mirela%' AND side = '${side}' AND done_amount < planned_amount`);
    expect(await short('right')).toBeGreaterThan(2 * (await short('left')));
  });

  test('the same seed and day give the same history; a second start adds nothing', async () => {
    const fingerprint = async (source: DataSource) =>
      JSON.stringify(await source.query('SELECT id, done_amount FROM done_sets ORDER BY id'));
    const before = await fingerprint(house.source);
    await seedWhenEmpty(house.source, NOW);
    expect(await fingerprint(house.source)).toBe(before);
    const twin = await House.open('demo_twin', { seedDemo: true, now: () => NOW });
    expect(await fingerprint(twin.source)).toBe(before);
  }, 60_000);
});

describe('the house', () => {
  test('lives, is ready, and is ready no more when the database is gone', async () => {
    const doomed = await House.open('doomed');
    expect((await doomed.stranger().ask('GET', '/health/ready')).status).toBe(200);
    await doomed.source.destroy();
    expect((await doomed.stranger().ask('GET', '/health/live')).status).toBe(200);
    expect((await doomed.stranger().ask('GET', '/health/ready')).status).toBe(503);
    await doomed.source.initialize();
  });

  test('migrations can be taken back and run again; two instances at once do not collide', async () => {
    const fresh = await House.open('migrations');
    for (const _each of fresh.source.migrations) await fresh.source.undoLastMigration();
    expect(await fresh.source.query('SHOW TABLES')).toHaveLength(1);
    const second = await new DataSource(dataSourceOptions(fresh.url)).initialize();
    await Promise.all([migrate(fresh.source), migrate(second)]);
    expect((await fresh.source.query('SHOW TABLES')).length).toBeGreaterThan(10);
    await second.destroy();
  });

  test('the tables are what the entities say', async () => {
    const { upQueries } = await house.source.driver.createSchemaBuilder().log();
    const columns = upQueries.map(({ query }) => query).filter((query) => /ADD `|DROP COLUMN/.test(query));
    expect(columns).toEqual([]);
  });

  test('OpenAPI names every body with its bounds and refuses unknown fields', async () => {
    const { body } = await coach.ask<OpenAPIObject>('GET', '/openapi.json');
    const { SequenceInput } = body.components!.schemas! as Record<string, object>;
    const dose = { additionalProperties: false, properties: { sets: { minimum: 1, maximum: 20 } } };
    expect(SequenceInput).toMatchObject({
      additionalProperties: false,
      properties: { blocks: { maxItems: 120, items: { additionalProperties: false, properties: { dose } } } },
    });
    const text = JSON.stringify(body);
    for (const [, name] of text.matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)) {
      expect(Object.keys(body.components!.schemas!)).toContain(name);
    }
    expect((await house.stranger().ask('GET', '/docs')).status).toBe(200);
  });

  test('an address that is nothing, and an id that is none, are answered as problems', async () => {
    for (const path of ['/nothing/here', '/athletes/not-an-id']) {
      const answer = await coach.ask('GET', path);
      expect(answer.status).toBe(404);
      expect(answer.headers['content-type']).toContain('application/problem+json');
      expect(answer.body.instance).toMatch(/^urn:clay-pot:request:/);
    }
  });

  test('answers carry the headers that keep a browser careful', async () => {
    const { headers } = await house.stranger().ask('GET', '/health/live');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
  });
});
