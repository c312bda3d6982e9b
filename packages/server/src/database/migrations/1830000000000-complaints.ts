import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/**
 * What hurt in the middle of a session is recorded, and what the coach decided after it; how hard it was may stay untold of a block, and be
 * told of the whole.
 */
export class Complaints1830000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE complaints (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      session_id ${ID} NOT NULL,
      block_id VARCHAR(64) NOT NULL,
      hand VARCHAR(8) NOT NULL,
      place VARCHAR(24) NOT NULL,
      discomfort TINYINT NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY complaints_session (session_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (session_id) REFERENCES sessions (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    await runner.query('ALTER TABLE block_reports MODIFY exertion TINYINT NULL');
    await runner.query('ALTER TABLE sessions CHANGE mean_exertion exertion DOUBLE NULL');
    await runner.query(`ALTER TABLE sessions ADD told_exertion TINYINT NULL AFTER exertion,
      ADD decision VARCHAR(8) NULL, ADD decided_at DATETIME(3) NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions DROP told_exertion, DROP decision, DROP decided_at');
    await runner.query('ALTER TABLE sessions CHANGE exertion mean_exertion DOUBLE NULL');
    // Where nobody told how hard a block was there is no number to go back to: such a report goes with the column's freedom.
    await runner.query('DELETE FROM block_reports WHERE exertion IS NULL');
    await runner.query('ALTER TABLE block_reports MODIFY exertion TINYINT NOT NULL');
    await runner.query('DROP TABLE complaints');
  }
}
