import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A studio's own methods. */
export class Methods1800000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE methods (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      row_version INT NOT NULL,
      name VARCHAR(60) NOT NULL,
      document JSON NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      removed_at DATETIME(3) NULL,
      KEY methods_studio (studio_id, name),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE methods');
  }
}
