import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A studio calls movements by names of its own: each has one, and no two have the same. */
export class OwnNames1930000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE movement_names (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      movement_id VARCHAR(80) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      name VARCHAR(80) NOT NULL,
      UNIQUE KEY movement_names_movement (studio_id, movement_id),
      UNIQUE KEY movement_names_name (studio_id, name),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE movement_names');
  }
}
