import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A reading keeps its trials, with what it was measured, and what else belongs to it. */
export class Trials1860000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE readings
      ADD trials JSON NULL,
      ADD gauge VARCHAR(20) NULL,
      ADD detail VARCHAR(60) NULL,
      ADD is_sure BOOLEAN NOT NULL DEFAULT FALSE`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE readings DROP trials, DROP gauge, DROP detail, DROP is_sure');
  }
}
