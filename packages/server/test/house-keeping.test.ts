import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { AssignmentItem, EffortSessionAnswer, StoredSequence, Today } from '@clay-pot/contracts';
import { GAUGES, HANDS, MOMENTS, READING_KINDS, SEXES, VERDICTS } from '@clay-pot/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { dataSourceOptions, migrate } from '../src/database/data-source.js';
import { DEMO_SIGN_IN, seedWhenEmpty } from '../src/database/demo/seed.js';
import { allSuggestions, type Browser, House } from './house.js';

// Every migration back and forth, and every person of the demo judged: long on a busy machine.
jest.setTimeout(30_000);

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
  test('has twelve athletes, ten sequences, and six to ten weeks of sessions up to yesterday', async () => {
    expect([await count('athletes'), await count('sequences'), await count('assignments')]).toEqual([12, 10, 12]);
    const [span] = await house.source.query('SELECT MIN(started_at) AS first, MAX(started_at) AS last FROM sessions');
    expect((NOW.getTime() - span.first) / (7 * 24 * 3600 * 1000)).toBeGreaterThan(8);
    expect(span.last.getTime()).toBeLessThan(NOW.getTime());
    expect(await count('sessions')).toBeGreaterThan(150);
  });

  test('today is the studio’s day, has work in it, and waits for decisions', async () => {
    const { body } = await coach.ask<Today>('GET', '/today');
    expect(body.day).toBe('2026-06-11');
    expect(body.due.length).toBeGreaterThanOrEqual(4);
    const suggestions = await allSuggestions(coach);
    expect(suggestions[0]).toMatchObject({ kind: 'refer', athleteName: 'Hana Kobler' });
    expect(suggestions.map((suggestion) => suggestion.kind)).toEqual(expect.arrayContaining(['refer', 'ease', 'hold', 'progress']));
    expect(body.due.some((due) => due.missedDays.length > 0)).toBe(true);
    // All athletes of the demo are looked at here, while the rest of the tests has the machine.
  }, 90_000);

  test('what its athletes are to do may begin; who is not cleared for loading has unloaded motion only', async () => {
    const { body: assignments } = await coach.ask<AssignmentItem[]>('GET', '/assignments');
    const barred: string[] = [];
    for (const { athleteId, sequenceId, athleteName } of assignments) {
      const { document } = (await coach.ask<StoredSequence>('GET', `/sequences/${sequenceId}`)).body;
      const answer = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', { athleteId, sequence: document });
      if (answer.body.findings.some(({ severity }) => severity === 'stop')) barred.push(athleteName);
    }
    expect(assignments).toHaveLength(12);
    expect(barred).toEqual([]);
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

  test('a house of before gets its sums and terms: the same as those written with each row', async () => {
    const before = await House.open('migrations_old', { seedDemo: true, now: () => NOW });
    const sums = () =>
      before.source.query(`SELECT 'sequence' AS what, id, title, purpose, budget_min, duration_ms, block_count, NULL AS policy
        FROM sequences UNION SELECT 'session', id, title, completion, max_discomfort, planned_ms, exertion, discomfort_policy
        FROM sessions ORDER BY id`);
    const terms = () => before.source.query("SELECT COUNT(*) AS n FROM readings WHERE `of` = 'finger extension'");
    const measured =
      'INSERT INTO readings (id, studio_id, athlete_id, kind, `of`, hand, value, on_day) SELECT UUID(), studio_id, athlete_id, ?, ?, hand, 5, on_day FROM readings LIMIT 1';
    await before.source.query(measured, ['maximum', 'finger extension']);
    const written = await sums();
    const [{ n }] = await terms();
    await before.undoTo('SumsAndTerms');
    expect(await before.source.query("SELECT `of` FROM readings WHERE `of` = 'hand opening'")).toHaveLength(Number(n));
    await before.source.query(`UPDATE athletes SET cautions = '[[], {"caution":"numbness"}]' LIMIT 1`);
    const [{ id }] = await before.source.query('SELECT id FROM sequences ORDER BY id LIMIT 1');
    const unsound =
      '{"title":"Old","purpose":"","budgetMin":5,"blocks":[{"id":"b","movementId":"gone","levelId":"gone","dose":{"sets":1,"work":{"kind":"time","seconds":10},"restS":0,"sides":"together","directions":"none"}}]}';
    const [{ document }] = await before.source.query('SELECT document FROM sequences WHERE id = ?', [id]);
    await before.source.query('UPDATE sequences SET document = ? WHERE id = ?', [unsound, id]);
    await migrate(before.source);
    const [{ healed }] = await before.source.query("SELECT COUNT(*) AS healed FROM athletes WHERE cautions LIKE '%[[]%'");
    expect(Number(healed)).toBe(0);
    // The unsound one has no sums and keeps nothing else from having theirs.
    await before.undoTo('SumsAndTerms');
    await before.source.query('UPDATE sequences SET document = ? WHERE id = ?', [JSON.stringify(document), id]);
    await migrate(before.source);
    expect(await sums()).toEqual(written);
    expect((await terms())[0].n).toEqual(n);
  }, 60_000);

  test('lengths that an older house had summed are summed anew', async () => {
    const before = await House.open('migrations_lengths', { seedDemo: true, now: () => NOW });
    const lengths = () =>
      before.source.query(`SELECT id, duration_ms AS ms FROM sequences UNION SELECT id, planned_ms FROM sessions ORDER BY id`);
    const written = await lengths();
    await before.undoTo('LengthsAnew');
    await before.source.query('UPDATE sequences SET duration_ms = duration_ms - 10000');
    await before.source.query('UPDATE sessions SET planned_ms = planned_ms - 10000');
    await migrate(before.source);
    expect(await lengths()).toEqual(written);
  }, 60_000);

  test('the tables are what the entities say', async () => {
    const { upQueries } = await house.source.driver.createSchemaBuilder().log();
    const columns = upQueries.map(({ query }) => query).filter((query) => /ADD `|DROP COLUMN/.test(query));
    expect(columns).toEqual([]);
  });

  test.each([
    ['readings', 'kind', READING_KINDS],
    ['readings', 'hand', HANDS],
    ['readings', 'gauge', GAUGES],
    ['readings', 'moment', MOMENTS],
    ['intakes', 'verdict', VERDICTS],
    ['athletes', 'sex', SEXES],
    ['athletes', 'dominant_hand', HANDS],
  ])('every word of %s.%s fits its column', (table, name, words: readonly string[]) => {
    const column = house.source.getMetadata(table).columns.find(({ databaseName }) => databaseName === name)!;
    expect(Math.max(...words.map(({ length }) => length))).toBeLessThanOrEqual(Number(column.length));
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
  });

  test('an address that is nothing, and an id that is none, are answered as problems', async () => {
    for (const path of ['/nothing/here', '/athletes/not-an-id']) {
      const answer = await coach.ask('GET', path);
      expect(answer.status).toBe(404);
      expect(answer.headers['content-type']).toContain('application/problem+json');
      expect(answer.body.instance).toMatch(/^urn:clay-pot:request:/);
    }
  });

  test('an address that cannot be read is answered as a problem', async () => {
    for (const [path, status] of [
      ['/athletes/%E0%A4%A', 400],
      [`/athletes/${'a'.repeat(101)}`, 414],
    ] as const) {
      const answer = await coach.ask('GET', path);
      expect([answer.status, answer.body.title]).toEqual([status, expect.any(String)]);
      expect(answer.headers['content-type']).toContain('application/problem+json');
    }
  });

  test('the description of the API is shown to who is signed in, and to nobody else', async () => {
    for (const path of ['/openapi.json', '/docs', '/docs/swagger-ui-init.js', '/DOCS']) {
      const { status } = await house.stranger().ask('GET', path);
      expect([path, status]).toEqual([path, 401]);
    }
    expect((await coach.ask('GET', '/openapi.json')).status).toBe(200);
    expect((await coach.ask('GET', '/docs')).status).toBe(200);
  });

  test('answers carry the headers that keep a browser careful', async () => {
    const { headers } = await house.stranger().ask('GET', '/health/live');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toMatch(/'unsafe-/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect((await coach.ask('GET', '/athletes')).headers['cache-control']).toBe('no-store');
  });
});
