import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const TABLE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci';

/** What was led is kept once for each content, and which movements a document names stands beside it: no document is searched. */
export class Plans2020000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE plans (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      document JSON NOT NULL,
      UNIQUE KEY plans_content (studio_id, sha256),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`INSERT INTO plans (id, studio_id, sha256, document)
      SELECT UUID(), session.studio_id, SHA2(session.plan, 256), session.plan FROM sessions session
      JOIN (SELECT MIN(id) AS id FROM sessions GROUP BY studio_id, SHA2(plan, 256)) one ON one.id = session.id`);
    await runner.query(`ALTER TABLE sessions ADD plan_id ${ID} NULL AFTER sequence_id`);
    await runner.query(`UPDATE sessions session JOIN plans plan
      ON plan.studio_id = session.studio_id AND plan.sha256 = CONVERT(SHA2(session.plan, 256) USING ascii) COLLATE ascii_bin SET session.plan_id = plan.id`);
    await runner.query(`ALTER TABLE sessions MODIFY plan_id ${ID} NOT NULL, DROP plan,
      ADD CONSTRAINT sessions_plan FOREIGN KEY (plan_id) REFERENCES plans (id)`);
    await this.named(runner, 'plan_movements', 'plan_id', 'plans');
    await this.named(runner, 'sequence_movements', 'sequence_id', 'sequences');
  }

  /** A table of the movements that documents name. */
  private async named(runner: QueryRunner, table: string, column: string, documents: string): Promise<void> {
    await runner.query(`CREATE TABLE ${table} (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      ${column} ${ID} NOT NULL,
      movement_id VARCHAR(100) NOT NULL,
      UNIQUE KEY ${table}_once (${column}, movement_id),
      KEY ${table}_movement (studio_id, movement_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (${column}) REFERENCES ${documents} (id)
    ) ${TABLE}`);
    await runner.query(`INSERT INTO ${table} (id, studio_id, ${column}, movement_id)
      SELECT UUID(), used.studio_id, used.id, used.movement_id FROM (
        SELECT DISTINCT stored.studio_id, stored.id, block.movement_id FROM ${documents} stored,
        JSON_TABLE(stored.document, '$.blocks[*]' COLUMNS (movement_id VARCHAR(100) PATH '$.movementId')) block
        WHERE block.movement_id IS NOT NULL
      ) used`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE sequence_movements');
    await runner.query('DROP TABLE plan_movements');
    await runner.query('ALTER TABLE sessions ADD plan JSON NULL AFTER plan_id');
    await runner.query('UPDATE sessions session JOIN plans plan ON plan.id = session.plan_id SET session.plan = plan.document');
    await runner.query('ALTER TABLE sessions DROP FOREIGN KEY sessions_plan, DROP plan_id, MODIFY plan JSON NOT NULL');
    await runner.query('DROP TABLE plans');
  }
}
