import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Devices on which an account was signed in before: guessing elsewhere does not slow them down. */
export class KnownDevices2100000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE known_devices (
      token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      account_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      expires_at DATETIME(3) NOT NULL,
      KEY known_devices_expires (expires_at),
      FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE known_devices');
  }
}
