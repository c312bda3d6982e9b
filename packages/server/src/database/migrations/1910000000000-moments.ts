import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A reading may be of a session: taken before its work, or after it. */
export class Moments1910000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE readings ADD session_id ${ID} NULL, ADD moment VARCHAR(8) NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE readings DROP session_id, DROP moment');
  }
}
