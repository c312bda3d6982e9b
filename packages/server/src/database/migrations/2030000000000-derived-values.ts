import type { MigrationInterface, QueryRunner } from 'typeorm';
import { DERIVED_VALUES } from './frozen.js';

/** By which version what is kept of documents was worked out: the house that runs does it anew where its own is later. */
export class DerivedValues2030000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(DERIVED_VALUES);
    // What no migration of this run has left to be worked out is as it should be.
    await runner.query("INSERT IGNORE INTO derived_values (name, version) VALUES ('sums', 1), ('lengths', 1)");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE derived_values');
  }
}
