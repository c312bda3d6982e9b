import type { MigrationInterface, QueryRunner } from 'typeorm';
import { dayIn, read } from './frozen.js';

/** As cautions were recorded then. */
interface Caution {
  stopped?: { sessionId: string; sign: string };
}

interface Stopped {
  id: string;
  athleteId: string;
  sign: string;
  endedAt: Date | string;
  timeZone: string;
}

/**
 * A stop is of a hand and stands: those of before stand as well, of both hands, since nobody was asked which. Whoever was looked at meanwhile
 * is cleared with one entry; whoever was not is found at last.
 */
export class StandingStops1820000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions ADD stop_hand VARCHAR(8) NULL AFTER stop_sign');
    await runner.query(`UPDATE sessions SET stop_hand = 'both' WHERE stop_sign IS NOT NULL`);
    const stopped = (await runner.query(
      `SELECT session.id, session.athlete_id AS athleteId, session.stop_sign AS sign, session.ended_at AS endedAt,
        studio.time_zone AS timeZone
       FROM sessions session JOIN studios studio ON studio.id = session.studio_id
       WHERE session.stop_sign IS NOT NULL ORDER BY session.ended_at, session.id`,
    )) as Stopped[];
    for (const { id, athleteId, sign, endedAt, timeZone } of stopped) {
      const onDay = dayIn(timeZone, new Date(endedAt));
      const stop = { caution: 'stop-sign', hand: 'both', since: onDay, stopped: { sessionId: id, sign } };
      const isThere = ({ stopped: before }: Caution) => before?.sessionId === id && before.sign === sign;
      await change(runner, athleteId, (cautions) => (cautions.some(isThere) ? cautions : [...cautions, stop]));
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    const athletes = (await runner.query('SELECT id FROM athletes')) as { id: string }[];
    for (const { id } of athletes) await change(runner, id, (cautions) => cautions.filter(({ stopped }) => !stopped));
    await runner.query('ALTER TABLE sessions DROP stop_hand');
  }
}

async function change(runner: QueryRunner, athleteId: string, next: (cautions: readonly Caution[]) => readonly Caution[]): Promise<void> {
  const [row] = (await runner.query('SELECT cautions FROM athletes WHERE id = ?', [athleteId])) as { cautions: Caution[] | string }[];
  if (!row) return;
  const before = read<Caution[]>(row.cautions);
  const after = next(before);
  if (after.length === before.length) return;
  await runner.query('UPDATE athletes SET cautions = ?, row_version = row_version + 1 WHERE id = ?', [JSON.stringify(after), athleteId]);
}
