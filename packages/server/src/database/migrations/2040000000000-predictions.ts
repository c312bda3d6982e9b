import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is kept of predictions goes by their name. */
export class Predictions2040000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query("UPDATE kept_answers SET kind = 'predictions' WHERE kind = 'foretold'");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("UPDATE kept_answers SET kind = 'foretold' WHERE kind = 'predictions'");
  }
}
