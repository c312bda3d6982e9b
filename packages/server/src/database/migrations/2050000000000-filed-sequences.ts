import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sequences are filed by tags, favourites and an archive, and found by when they were last led. */
export class FiledSequences2050000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      "ALTER TABLE sequences ADD tags JSON NOT NULL DEFAULT '[]', ADD is_favourite TINYINT(1) NOT NULL DEFAULT 0, ADD is_archived TINYINT(1) NOT NULL DEFAULT 0",
    );
    await runner.query('CREATE INDEX sessions_sequence ON sessions (studio_id, sequence_id, started_at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX sessions_sequence ON sessions');
    await runner.query('ALTER TABLE sequences DROP tags, DROP is_favourite, DROP is_archived');
  }
}
