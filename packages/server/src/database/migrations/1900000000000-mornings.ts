import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The morning after a session is its own answer, beside the one that was told before it. */
export class Mornings1900000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions ADD morning JSON NULL, ADD morning_before JSON NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sessions DROP morning, DROP morning_before');
  }
}
