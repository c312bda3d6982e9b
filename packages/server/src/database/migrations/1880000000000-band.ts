import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A block that was held against a gauge keeps how much of the time its effort was kept. */
export class Band1880000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE block_reports ADD band_percent TINYINT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE block_reports DROP band_percent');
  }
}
