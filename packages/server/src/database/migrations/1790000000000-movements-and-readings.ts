import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const TABLE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci';

/** A studio's own movements, and what was measured of its athletes. */
export class MovementsAndReadings1790000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE movements (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      row_version INT NOT NULL,
      name VARCHAR(80) NOT NULL,
      document JSON NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      removed_at DATETIME(3) NULL,
      KEY movements_studio (studio_id, name),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE readings (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      kind VARCHAR(20) NOT NULL,
      \`of\` VARCHAR(40) NOT NULL,
      hand VARCHAR(8) NOT NULL,
      value DOUBLE NOT NULL,
      on_day CHAR(10) NOT NULL,
      KEY readings_athlete (athlete_id, on_day),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ${TABLE}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['readings', 'movements']) await runner.query(`DROP TABLE ${table}`);
  }
}
