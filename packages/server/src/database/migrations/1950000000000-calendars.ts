import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Private addresses of athletes’ calendars: one each, kept as a hash. */
export class Calendars1950000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE calendar_links (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      made_at DATETIME(3) NOT NULL,
      UNIQUE KEY calendar_links_athlete (studio_id, athlete_id),
      UNIQUE KEY calendar_links_token (token_hash),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE calendar_links');
  }
}
