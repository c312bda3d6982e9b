import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** What is computed about an athlete is kept under the revision of what it rests on, instead of under a sum over all tables. */
export class KeptAnswers2010000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE athletes ADD evidence_revision INT NOT NULL DEFAULT 0 AFTER row_version');
    await runner.query('DROP TABLE call_sheets');
    await runner.query(`CREATE TABLE kept_answers (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      kind VARCHAR(16) NOT NULL,
      evidence_revision INT NOT NULL,
      on_day CHAR(10) NOT NULL,
      rules CHAR(16) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      answer JSON NOT NULL,
      UNIQUE KEY kept_answers_athlete (athlete_id, kind),
      KEY kept_answers_studio (studio_id, kind),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE kept_answers');
    await runner.query(`CREATE TABLE call_sheets (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      fingerprint CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      calls JSON NOT NULL,
      coming JSON NOT NULL,
      KEY call_sheets_studio (studio_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
    await runner.query('ALTER TABLE athletes DROP evidence_revision');
  }
}
