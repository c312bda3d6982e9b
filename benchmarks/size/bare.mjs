// A bare handler: one request, one indexed query, its rows as JSON. What an answer could cost at least. Started by size.mjs with the port and the database’s URL.
import { createServer } from 'node:http';
import mysql from 'mysql2/promise';

const [port, databaseUrl] = process.argv.slice(2);
const pool = mysql.createPool({ uri: databaseUrl.replace(/^mariadb:/, 'mysql:'), connectionLimit: 10, timezone: 'Z' });
const QUERIES = {
  one: 'SELECT * FROM athletes WHERE id = ? AND studio_id = ?',
  page: 'SELECT id, title, started_at, ended_at, completion FROM sessions WHERE athlete_id = ? AND studio_id = ? ORDER BY started_at DESC LIMIT 50',
  insert: `INSERT INTO done_sets (id, studio_id, session_id, block_id, movement_id, level_id, round, set_number, side, direction, unit, planned_amount, done_amount, ended_at)
    VALUES (?, ?, ?, 'b1', 'free.open-close', 'slow', 1, 1, 'both', NULL, 'repetitions', 10, 10, NOW(3))`,
};
const server = createServer(async (request, response) => {
  const [, name, ...values] = request.url.split('/');
  for await (const _chunk of request);
  const [rows] = await pool.query(QUERIES[name], values);
  const body = JSON.stringify(rows);
  response.writeHead(200, { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) });
  response.end(body);
});
server.listen(Number(port), '127.0.0.1', () => process.send?.('listening'));
process.once('disconnect', () => process.exit(0));
