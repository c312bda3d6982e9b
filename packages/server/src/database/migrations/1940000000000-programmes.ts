import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Sequences over weeks: a document of each person. */
export class Programmes1940000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE programmes (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      row_version INT NOT NULL,
      title VARCHAR(120) NOT NULL,
      from_day CHAR(10) CHARACTER SET ascii NOT NULL,
      last_day CHAR(10) CHARACTER SET ascii NOT NULL,
      document JSON NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      removed_at DATETIME(3) NULL,
      KEY programmes_athlete (studio_id, athlete_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE programmes');
  }
}
