import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Methods have a pace of their own at which doses grow; two clean sessions and six days were everybody’s until now. */
export class MethodPace1990000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE methods SET document = JSON_INSERT(document, '$.sessionsPerStep', 2, '$.daysPerStep', 6)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE methods SET document = JSON_REMOVE(document, '$.sessionsPerStep', '$.daysPerStep')`);
  }
}
