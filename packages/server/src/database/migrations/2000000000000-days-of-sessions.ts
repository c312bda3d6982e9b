import type { MigrationInterface, QueryRunner } from 'typeorm';
import { dayIn, rows } from './frozen.js';

interface Dated {
  readonly id: string;
  readonly startedAt: Date;
  readonly morningAt: string | null;
  readonly timeZone: string;
}

/** A session’s day, and the day of its morning after, are the studio’s calendar days, kept in the row: until now each reader cut an instant its own way. */
export class DaysOfSessions2000000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions ADD on_day CHAR(10) NULL AFTER ended_at, ADD morning_on CHAR(10) NULL AFTER morning');
    const sessions = await rows<Dated>(
      runner,
      `SELECT session.id, session.started_at AS startedAt, JSON_VALUE(session.morning, '$.at') AS morningAt, studio.time_zone AS timeZone
       FROM sessions session JOIN studios studio ON studio.id = session.studio_id`,
    );
    for (const { id, startedAt, morningAt, timeZone } of sessions) {
      const morningOn = morningAt === null ? null : dayIn(timeZone, new Date(morningAt));
      await runner.query('UPDATE sessions SET on_day = ?, morning_on = ? WHERE id = ?', [dayIn(timeZone, startedAt), morningOn, id]);
    }
    await runner.query('ALTER TABLE sessions MODIFY on_day CHAR(10) NOT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions DROP on_day, DROP morning_on');
  }
}
