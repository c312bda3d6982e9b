import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Answers to calls, and what was found for each athlete. What was decided about sessions becomes an answer. */
export class Calls1960000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE call_answers (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      call_key VARCHAR(200) NOT NULL,
      evidence_key VARCHAR(200) NOT NULL,
      kind VARCHAR(16) NOT NULL,
      hands JSON NOT NULL,
      why VARCHAR(1000) NOT NULL,
      answer VARCHAR(16) NOT NULL,
      option_id VARCHAR(40) NOT NULL,
      words VARCHAR(1000) NOT NULL,
      reason VARCHAR(400) NOT NULL,
      session_id ${ID} NULL,
      changed JSON NOT NULL,
      barred_hand VARCHAR(8) NULL,
      at DATETIME(3) NOT NULL,
      KEY call_answers_athlete (studio_id, athlete_id, at),
      KEY call_answers_session (studio_id, session_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
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
    await runner.query(`INSERT INTO call_answers
      SELECT UUID(), studio_id, athlete_id, 'after', id, IF(decision = 'go-on', 'hold', decision), '["left","right"]',
        'What the session asked for.', IF(decision = 'go-on', 'declined', 'accepted'), '',
        CASE decision WHEN 'hold' THEN 'Hold the level' WHEN 'ease' THEN 'Ease the next one' WHEN 'rest' THEN 'Rest a day more' ELSE '' END,
        IF(decision = 'go-on', 'Go on as planned.', ''), id, '[]', NULL, COALESCE(decided_at, ended_at, started_at)
      FROM sessions WHERE decision IS NOT NULL`);
    await runner.query('ALTER TABLE sessions DROP decision, DROP decided_at, ADD revision INT NOT NULL DEFAULT 0');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions DROP revision, ADD decision VARCHAR(8) NULL, ADD decided_at DATETIME(3) NULL');
    await runner.query(`UPDATE sessions JOIN call_answers ON call_answers.session_id = sessions.id AND call_answers.call_key = 'after'
      SET sessions.decision = IF(call_answers.answer = 'declined', 'go-on', call_answers.kind), sessions.decided_at = call_answers.at`);
    await runner.query('DROP TABLE call_sheets');
    await runner.query('DROP TABLE call_answers');
  }
}
