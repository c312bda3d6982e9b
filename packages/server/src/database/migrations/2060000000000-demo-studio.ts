import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The demo studio is known as such, so that it can be visited and left. */
export class DemoStudio2060000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE studios ADD is_demo TINYINT(1) NOT NULL DEFAULT 0');
    await runner.query(
      "UPDATE studios SET is_demo = 1 WHERE id IN (SELECT studio_id FROM accounts WHERE email = 'coach@lanternfield.example')",
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE studios DROP is_demo');
  }
}
