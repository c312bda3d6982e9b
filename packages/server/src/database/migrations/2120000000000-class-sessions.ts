import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL';
const TABLE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci';

/** Classes that are led together, what is pressed in them, and the devices that join them. */
export class ClassSessions2120000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE class_sessions (
      id ${ID} PRIMARY KEY,
      studio_id ${ID},
      title VARCHAR(120) NOT NULL,
      document LONGTEXT NOT NULL CHECK (JSON_VALID(document)),
      athlete_ids LONGTEXT NOT NULL CHECK (JSON_VALID(athlete_ids)),
      started_at DATETIME(3) NOT NULL,
      ended_at DATETIME(3) NULL,
      offset_ms BIGINT NULL,
      code CHAR(6) CHARACTER SET ascii COLLATE ascii_bin NULL,
      settle_at DATETIME(3) NULL,
      UNIQUE KEY class_sessions_code (code),
      KEY class_sessions_running (studio_id, ended_at),
      KEY class_sessions_settle (settle_at),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE class_events (
      id ${ID} PRIMARY KEY,
      studio_id ${ID},
      class_id ${ID},
      place BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE,
      event LONGTEXT NOT NULL CHECK (JSON_VALID(event)),
      KEY class_events_class (class_id, place),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (class_id) REFERENCES class_sessions (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE class_guests (
      token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      class_id ${ID},
      role VARCHAR(8) NOT NULL,
      expires_at DATETIME(3) NOT NULL,
      KEY class_guests_expires (expires_at),
      FOREIGN KEY (class_id) REFERENCES class_sessions (id) ON DELETE CASCADE
    ) ${TABLE}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE class_guests');
    await runner.query('DROP TABLE class_events');
    await runner.query('DROP TABLE class_sessions');
  }
}
