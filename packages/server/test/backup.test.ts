import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addDays } from 'date-fns';
import { v7 as uuid } from 'uuid';
import { dailyBackup, readBackup, writeBackup } from '../../../scripts/backup.mjs';
import { ATHLETE, type Browser, furnish, House, PICTURE } from './house.js';

let house: House;
let coach: Browser;
let folder: string;
let athleteId: string;
beforeAll(async () => {
  house = await House.open('backup');
  coach = await house.coach('backup');
  ({ athleteId } = await furnish(coach));
  await coach.ask('PUT', `/athletes/${athleteId}/pictures/${uuid()}`, PICTURE);
  await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, name: 'Ågot “Sørbø” 🏺', notes: 'two\nlines, a \\ and a ’' });
  folder = mkdtempSync(join(tmpdir(), 'backup-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A sum over all rows of each table. */
async function sums(): Promise<Record<string, string>> {
  const tables = (await house.source.query('SHOW TABLES')) as Record<string, string>[];
  const names = tables.map((row) => Object.values(row)[0]!);
  const found = (await house.source.query(`CHECKSUM TABLE ${names.map((name) => `\`${name}\``).join(', ')}`)) as {
    Table: string;
    Checksum: string;
  }[];
  return Object.fromEntries(found.map(({ Table, Checksum }) => [Table.split('.')[1]!, Checksum]));
}

describe('a backup', () => {
  test('is taken while others write, and restored to the last byte', async () => {
    const file = join(folder, 'whole.backup');
    const before = await sums();
    let isDone = false;
    const writers = Array.from({ length: 3 }, async () => {
      let count = 0;
      while (!isDone) {
        await coach.ask('PUT', `/athletes/${uuid()}`, ATHLETE);
        count++;
      }
      return count;
    });
    const rows = await writeBackup(house.url, file);
    isDone = true;
    await Promise.all(writers);
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(await sums()).not.toEqual(before);
    expect(await readBackup(house.url, file)).toBe(rows);
    const restored = await sums();
    // Athletes were added until the instant of the backup; nothing else was written.
    expect({ ...restored, athletes: '' }).toEqual({ ...before, athletes: '' });
    const again = join(folder, 'again.backup');
    await writeBackup(house.url, again);
    await readBackup(house.url, again);
    expect(await sums()).toEqual(restored);
    expect((await coach.ask('GET', `/athletes/${athleteId}`)).status).toBe(200);
  });

  test('that is cut off, damaged or none at all changes nothing', async () => {
    const file = join(folder, 'cut.backup');
    await writeBackup(house.url, file);
    const before = await sums();
    const bytes = readFileSync(file);
    truncateSync(file, Math.floor(bytes.length * 0.7));
    await expect(readBackup(house.url, file)).rejects.toThrow('Nothing was changed');
    writeFileSync(file, 'not a backup');
    await expect(readBackup(house.url, file)).rejects.toThrow('Nothing was changed');
    expect(await sums()).toEqual(before);
  });

  test('is written once a day and kept for two weeks', async () => {
    const days = join(folder, 'days');
    const first = new Date('2026-03-01T12:00:00');
    for (let day = 0; day < 20; day++) for (let time = 0; time < 2; time++) await dailyBackup(house.url, addDays(first, day), days);
    const names = readdirSync(days).toSorted();
    expect(names).toHaveLength(14);
    expect([names[0], names.at(-1)]).toEqual(['clay-pot-2026-03-07.backup', 'clay-pot-2026-03-20.backup']);
  });
});
