import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Faults of form are ticked while somebody watches. */
export class FormTicks1980000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE form_ticks (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      session_id ${ID} NOT NULL,
      block_id VARCHAR(64) NOT NULL,
      hand VARCHAR(8) NOT NULL,
      fault VARCHAR(200) NOT NULL,
      seen BOOLEAN NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY form_ticks_session (session_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (session_id) REFERENCES sessions (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    // Found by the rules of before: they are found anew when they are asked for.
    await runner.query('DELETE FROM call_sheets');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE form_ticks');
  }
}
