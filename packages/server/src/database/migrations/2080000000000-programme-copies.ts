import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Programmes that follow another person’s, and movements that are left out for a person. */
export class ProgrammeCopies2080000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE programme_copies (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      source_id ${ID} NOT NULL,
      weekdays JSON NULL,
      applied JSON NOT NULL,
      KEY programme_copies_of (studio_id, source_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      CONSTRAINT programme_copies_copy FOREIGN KEY (id) REFERENCES programmes (id) ON DELETE CASCADE,
      CONSTRAINT programme_copies_source FOREIGN KEY (source_id) REFERENCES programmes (id) ON DELETE CASCADE
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    await runner.query("ALTER TABLE athletes ADD left_out JSON NOT NULL DEFAULT '[]'");
    await runner.query('ALTER TABLE athletes ALTER COLUMN left_out DROP DEFAULT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE athletes DROP left_out');
    await runner.query('DROP TABLE programme_copies');
  }
}
