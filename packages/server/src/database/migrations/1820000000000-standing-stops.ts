import { type RecordedCaution, stopCaution, type StopSign, withStops } from '@clay-pot/core';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { dayIn } from '../../http/clock.js';

interface Stopped {
  id: string;
  athleteId: string;
  sign: StopSign;
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
      await change(runner, athleteId, (cautions) => withStops(cautions, [stopCaution(id, { sign, hand: 'both', onDay })]));
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    const athletes = (await runner.query('SELECT id FROM athletes')) as { id: string }[];
    for (const { id } of athletes) await change(runner, id, (cautions) => cautions.filter(({ stopped }) => !stopped));
    await runner.query('ALTER TABLE sessions DROP stop_hand');
  }
}

async function change(
  runner: QueryRunner,
  athleteId: string,
  next: (cautions: readonly RecordedCaution[]) => readonly RecordedCaution[],
): Promise<void> {
  const [row] = (await runner.query('SELECT cautions FROM athletes WHERE id = ?', [athleteId])) as {
    cautions: RecordedCaution[] | string;
  }[];
  if (!row) return;
  // A JSON column comes as text or as what it says, by the driver's version.
  const before = typeof row.cautions === 'string' ? (JSON.parse(row.cautions) as RecordedCaution[]) : row.cautions;
  const after = next(before);
  if (after.length === before.length) return;
  await runner.query('UPDATE athletes SET cautions = ?, row_version = row_version + 1 WHERE id = ?', [JSON.stringify(after), athleteId]);
}
