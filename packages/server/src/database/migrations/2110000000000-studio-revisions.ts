import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A revision of each studio that every write raises, and what large lists are read by. */
export class StudioRevisions2110000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE studio_revisions (
      studio_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      revision BIGINT UNSIGNED NOT NULL
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    await runner.query('ALTER TABLE sessions ADD KEY sessions_led (studio_id, sequence_id, started_at)');
    await runner.query(
      'ALTER TABLE readings ADD KEY readings_thing (studio_id, kind, `of`, on_day), ADD KEY readings_thing_of_one (athlete_id, kind, `of`, on_day)',
    );
    await runner.query('ALTER TABLE athletes ADD last_session_at DATETIME(3) NULL');
    await runner.query('ALTER TABLE sequences ADD last_used_at DATETIME(3) NULL');
    await storeLastSessions(runner);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sequences DROP last_used_at');
    await runner.query('ALTER TABLE athletes DROP last_session_at');
    // Its foreign key goes by an index that begins with it.
    await runner.query(
      'ALTER TABLE readings ADD KEY IF NOT EXISTS readings_studio (studio_id), DROP KEY readings_thing_of_one, DROP KEY readings_thing',
    );
    await runner.query('ALTER TABLE sessions DROP KEY sessions_led');
    await runner.query('DROP TABLE studio_revisions');
  }
}

/** Stores when each athlete’s last session began, and when each sequence was last led. */
async function storeLastSessions(runner: QueryRunner): Promise<void> {
  await runner.query(`UPDATE athletes JOIN (SELECT athlete_id, MAX(started_at) AS last FROM sessions GROUP BY athlete_id) led
    ON led.athlete_id = athletes.id SET athletes.last_session_at = led.last`);
  await runner.query(`UPDATE sequences JOIN (SELECT sequence_id, MAX(started_at) AS last FROM sessions GROUP BY sequence_id) led
    ON led.sequence_id = sequences.id SET sequences.last_used_at = led.last`);
}
