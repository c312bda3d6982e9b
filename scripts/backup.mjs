import { createReadStream, createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { createGunzip, createGzip } from 'node:zlib';
import { newDatabase } from './copy-database.mjs';
import { runningDatabase, startDatabase } from './database.mjs';
import { ensureOnMachine } from './machine.mjs';
import { BACKUPS, LOCK } from './places.mjs';
import { releaseLock, takeLock } from './lock.mjs';
import { UserError } from './user-error.mjs';

const FORMAT = 'clay-pot-backup';
const VERSION = 1;
const DATABASE = 'clay_pot';
/** Rows of one line of the file. */
const ROWS = 200;
const KEPT_DAYS = 14;
const DAY_MS = 86_400_000;
const CHECK_EVERY_MS = 600_000;
const DAILY = /^clay-pot-(\d{4}-\d{2}-\d{2})\.backup$/;

/** ./clay-pot backup FILE */
export async function backup([file]) {
  if (!file) throw new UserError('Say where to: ./clay-pot backup FILE');
  if (existsSync(file)) throw new UserError(`${file} is there already. Choose another name.`);
  const rows = await overDatabase((url) => writeBackup(url, resolve(file)));
  console.log(`Backup written to ${file}: ${rows} rows.`);
}

/** ./clay-pot restore FILE: what is there now is kept as a backup first. */
export async function restore([file]) {
  if (!file || !existsSync(file)) throw new UserError('Say from where: ./clay-pot restore FILE');
  const other = takeLock(LOCK);
  if (other !== null) throw new UserError('Clay Pot is running. Stop it first: ./clay-pot stop');
  try {
    const kept = await keepBefore('restore');
    const rows = await overDatabase((url) => readBackup(url, resolve(file)));
    console.log(`Restored ${rows} rows from ${file}.${kept ? ` What was there before is in ${kept}.` : ''}`);
  } finally {
    releaseLock(LOCK);
  }
}

/** Keeps what is there now beside the daily backups. @returns the file, null where there is nothing */
export async function keepBefore(what, over = overDatabase) {
  const file = join(BACKUPS, `before-${what}-${new Date().toISOString().replaceAll(/[:.]/g, '-')}.backup`);
  const rows = await over((url) => writeBackup(url, file));
  if (rows > 0) return file;
  rmSync(file, { force: true });
  return null;
}

/** Writes a backup each day, and forgets those of more than two weeks ago. */
export function keepDailyBackups(url) {
  const check = () =>
    dailyBackup(url).catch((error) => console.error(`The daily backup failed: ${error.message} It is tried again in ten minutes.`));
  void check();
  const timer = setInterval(() => void check(), CHECK_EVERY_MS);
  return { stop: () => clearInterval(timer) };
}

/** @param {Date} now */
export async function dailyBackup(url, now = new Date(), folder = BACKUPS) {
  const file = join(folder, `clay-pot-${dayOf(now)}.backup`);
  if (!existsSync(file)) await writeBackup(url, file);
  const oldest = dayOf(new Date(now.getTime() - KEPT_DAYS * DAY_MS));
  for (const name of readdirSync(folder)) {
    const [, day] = DAILY.exec(name) ?? [];
    if (day !== undefined && day <= oldest) rmSync(join(folder, name));
  }
}

/** The calendar day where this machine is, like 2026-12-02. */
const dayOf = (at) => new Intl.DateTimeFormat('sv-SE').format(at);

/** Does something over the database in use: an outside one, else the private one. */
async function overDatabase(work) {
  const outside = process.env.DATABASE_URL;
  return outside ? work(outside) : overPrivate(work);
}

/** Does something over the private database, whatever else is in use: the one that runs, or one that is started for it. */
export async function overPrivate(work) {
  const running = runningDatabase('demo');
  if (running) return work(running + DATABASE);
  await ensureOnMachine('database');
  const database = await startDatabase('demo');
  try {
    return await work(database.url + DATABASE);
  } finally {
    await database.stop();
  }
}

async function connect(url) {
  const { createConnection } = await import('mysql2/promise');
  return createConnection({
    uri: url.replace(/^mariadb:/, 'mysql:'),
    dateStrings: true,
    supportBigNumbers: true,
    bigNumberStrings: true,
    jsonStrings: true,
  });
}

/**
 * Writes all tables as they are at one instant; others go on writing meanwhile. The file appears under its name only when it is whole.
 * @returns how many rows
 */
export async function writeBackup(url, file) {
  mkdirSync(resolve(file, '..'), { recursive: true, mode: 0o700 });
  const connection = await connect(url);
  const unfinished = `${file}.${process.pid}.part`;
  let rows = 0;
  async function* lines() {
    yield { format: FORMAT, version: VERSION };
    await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT');
    const [tables] = await connection.query('SHOW FULL TABLES WHERE Table_type = "BASE TABLE"');
    for (const found of tables) {
      const [table] = Object.values(found);
      const [[made]] = await connection.query(`SHOW CREATE TABLE \`${table}\``);
      yield { table, create: made['Create Table'] };
      let batch = [];
      for await (const row of connection.connection.query({ sql: `SELECT * FROM \`${table}\``, rowsAsArray: true }).stream()) {
        batch.push(row.map(written));
        if (batch.length < ROWS) continue;
        rows += batch.length;
        yield { rows: batch };
        batch = [];
      }
      rows += batch.length;
      if (batch.length > 0) yield { rows: batch };
    }
    yield { end: true, rows };
  }
  try {
    const text = Readable.from(
      (async function* () {
        for await (const line of lines()) yield `${JSON.stringify(line)}\n`;
      })(),
    );
    await pipeline(text, createGzip(), createWriteStream(unfinished, { mode: 0o600 }));
    renameSync(unfinished, file);
    return rows;
  } finally {
    rmSync(unfinished, { force: true });
    connection.destroy();
  }
}

const written = (value) => (Buffer.isBuffer(value) ? { base64: value.toString('base64') } : value);
const readBack = (value) => (value !== null && typeof value === 'object' ? Buffer.from(value.base64, 'base64') : value);

/**
 * Puts a backup in the place of a database: read whole into one beside it first, so that a broken file changes nothing.
 * @returns how many rows
 */
export async function readBackup(url, file) {
  const at = url.lastIndexOf('/') + 1;
  const [server, name] = [url.slice(0, at), url.slice(at)];
  const beside = `${name}_restoring`;
  await newDatabase(server, beside);
  const connection = await connect(server + beside);
  const dropBeside = () => connection.query(`DROP DATABASE IF EXISTS \`${beside}\``);
  try {
    const rows = await readInto(connection, file).catch(async (error) => {
      await dropBeside();
      throw error;
    });
    // From here on the rows beside are the only ones that are whole: they are dropped once they have moved.
    await newDatabase(server, name);
    const [tables] = await connection.query('SHOW TABLES');
    await connection.query('SET FOREIGN_KEY_CHECKS = 0');
    const moves = tables.map((found) => Object.values(found)[0]).map((table) => `\`${beside}\`.\`${table}\` TO \`${name}\`.\`${table}\``);
    if (moves.length > 0) await connection.query(`RENAME TABLE ${moves.join(', ')}`);
    await dropBeside();
    return rows;
  } finally {
    connection.destroy();
  }
}

async function readInto(connection, file) {
  const broken = (why) => new UserError(`${file} can’t be restored: ${why} Nothing was changed.`);
  await connection.query('SET FOREIGN_KEY_CHECKS = 0');
  await connection.query("SET SESSION sql_mode = CONCAT(@@sql_mode, ',NO_AUTO_VALUE_ON_ZERO')");
  let table = null;
  let rows = 0;
  let isWhole = false;
  let isFirst = true;
  const source = createReadStream(file).pipe(createGunzip());
  const damaged = () => broken('it is damaged or no backup.');
  const failed = new Promise((_resolve, reject) => source.once('error', () => reject(damaged())));
  const input = createInterface({ input: source, crlfDelay: Infinity })[Symbol.asyncIterator]();
  for (;;) {
    // What is unpacked fails in its own way, and by what reads its lines in another.
    const { value: text, done } = await Promise.race([input.next(), failed]).catch(() => Promise.reject(damaged()));
    if (done) break;
    let line;
    try {
      line = JSON.parse(text);
    } catch {
      throw damaged();
    }
    if (isFirst) {
      if (line.format !== FORMAT) throw broken('it is no backup of Clay Pot.');
      if (line.version > VERSION) throw broken('it was made by a newer Clay Pot.');
      isFirst = false;
    } else if (line.create) {
      ({ table } = line);
      await connection.query(line.create);
    } else if (line.rows && Array.isArray(line.rows)) {
      rows += line.rows.length;
      await connection.query(`INSERT INTO \`${table}\` VALUES ?`, [line.rows.map((row) => row.map(readBack))]);
    } else if (line.end) isWhole = line.rows === rows;
  }
  if (!isWhole) throw broken('its end is missing.');
  return rows;
}
