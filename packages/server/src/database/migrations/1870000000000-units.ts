import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A coach chooses what masses and lengths are shown in. */
export class Units1870000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE accounts
      ADD mass_unit CHAR(2) NOT NULL DEFAULT 'kg',
      ADD length_unit CHAR(2) NOT NULL DEFAULT 'cm'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE accounts DROP mass_unit, DROP length_unit');
  }
}
