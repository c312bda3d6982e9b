import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is proposed of an athlete is a suggestion, also where its answers are kept. */
export class Suggestions2070000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('RENAME TABLE call_answers TO suggestion_answers');
    await runner.query('ALTER TABLE suggestion_answers CHANGE call_key suggestion_key VARCHAR(200) NOT NULL');
    await runner.query("UPDATE kept_answers SET kind = 'suggestions' WHERE kind = 'calls'");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("UPDATE kept_answers SET kind = 'calls' WHERE kind = 'suggestions'");
    await runner.query('ALTER TABLE suggestion_answers CHANGE suggestion_key call_key VARCHAR(200) NOT NULL');
    await runner.query('RENAME TABLE suggestion_answers TO call_answers');
  }
}
