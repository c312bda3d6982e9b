import type { MigrationInterface, QueryRunner } from 'typeorm';
import { leaveToWorkOut } from './frozen.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A set is of a round; what was seen of hands where a session stopped to look again is recorded; and there is time to get ready before a session. */
export class Rounds1920000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE done_sets ADD round INT NOT NULL DEFAULT 1');
    await runner.query(`CREATE TABLE hand_looks (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      session_id ${ID} NOT NULL,
      block_id VARCHAR(64) NOT NULL,
      round INT NOT NULL,
      stop VARCHAR(16) NOT NULL,
      hand VARCHAR(8) NOT NULL,
      answer VARCHAR(8) NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY hand_looks_session (session_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (session_id) REFERENCES sessions (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    await leaveToWorkOut(runner, 'lengths');
  }

  /** What was recorded of later rounds goes: an older house would take it for the first again. */
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE hand_looks');
    await runner.query('DELETE FROM done_sets WHERE round > 1');
    await runner.query('ALTER TABLE done_sets DROP round');
  }
}
