import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Methods have a step of their own by which efforts grow; ten points were everybody’s until now. */
export class MethodSteps1970000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE methods SET document = JSON_INSERT(document, '$.effortStepPercent', 10)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE methods SET document = JSON_REMOVE(document, '$.effortStepPercent')`);
  }
}
