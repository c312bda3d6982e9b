import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const TABLE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci';

export class FirstHouse1780000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE studios (
      id ${ID} NOT NULL PRIMARY KEY,
      name VARCHAR(120) NOT NULL,
      time_zone VARCHAR(64) NOT NULL
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE accounts (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      email VARCHAR(254) NOT NULL,
      name VARCHAR(120) NOT NULL,
      password_hash VARCHAR(255) NOT NULL,
      UNIQUE KEY accounts_email (email),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE sign_ins (
      token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      account_id ${ID} NOT NULL,
      expires_at DATETIME(3) NOT NULL,
      KEY sign_ins_expiry (expires_at),
      FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE sign_in_failures (
      id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
      email VARCHAR(254) NOT NULL,
      address VARCHAR(64) NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY sign_in_failures_email (email, at),
      KEY sign_in_failures_address (address, at)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE athletes (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      row_version INT NOT NULL,
      name VARCHAR(120) NOT NULL,
      practice VARCHAR(200) NOT NULL,
      birth_date CHAR(10) NULL,
      sex VARCHAR(16) NOT NULL,
      dominant_hand VARCHAR(8) NOT NULL,
      stature_cm DECIMAL(4,1) NULL,
      mass_kg DECIMAL(4,1) NULL,
      equipment JSON NOT NULL,
      cautions JSON NOT NULL,
      notes VARCHAR(2000) NOT NULL,
      KEY athletes_studio (studio_id, name),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE sequences (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      row_version INT NOT NULL,
      schema_version INT NOT NULL,
      title VARCHAR(120) NOT NULL,
      document JSON NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      removed_at DATETIME(3) NULL,
      KEY sequences_studio (studio_id, removed_at, title),
      FOREIGN KEY (studio_id) REFERENCES studios (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE assignments (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      sequence_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      weekdays JSON NOT NULL,
      from_day CHAR(10) NOT NULL,
      KEY assignments_studio (studio_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (sequence_id) REFERENCES sequences (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE sessions (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      sequence_id ${ID} NOT NULL,
      plan JSON NOT NULL,
      started_at DATETIME(3) NOT NULL,
      ended_at DATETIME(3) NULL,
      ending VARCHAR(16) NULL,
      stop_sign VARCHAR(16) NULL,
      note VARCHAR(2000) NOT NULL DEFAULT '',
      KEY sessions_studio (studio_id, started_at),
      KEY sessions_athlete (athlete_id, started_at),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id),
      FOREIGN KEY (sequence_id) REFERENCES sequences (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE done_sets (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      session_id ${ID} NOT NULL,
      block_id VARCHAR(64) NOT NULL,
      movement_id VARCHAR(100) NOT NULL,
      level_id VARCHAR(100) NOT NULL,
      set_number INT NOT NULL,
      side VARCHAR(8) NOT NULL,
      direction VARCHAR(60) NULL,
      unit VARCHAR(16) NOT NULL,
      planned_amount INT NOT NULL,
      done_amount INT NOT NULL,
      ended_at DATETIME(3) NOT NULL,
      corrects ${ID} NULL,
      KEY done_sets_session (session_id),
      KEY done_sets_studio (studio_id, ended_at),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (session_id) REFERENCES sessions (id)
    ) ${TABLE}`);
    await runner.query(`CREATE TABLE block_reports (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      session_id ${ID} NOT NULL,
      block_id VARCHAR(64) NOT NULL,
      discomfort TINYINT NOT NULL,
      exertion TINYINT NOT NULL,
      note VARCHAR(1000) NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY block_reports_session (session_id),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (session_id) REFERENCES sessions (id)
    ) ${TABLE}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    const tables = ['block_reports', 'done_sets', 'sessions', 'assignments', 'sequences', 'athletes'];
    for (const table of [...tables, 'sign_in_failures', 'sign_ins', 'accounts', 'studios']) {
      await runner.query(`DROP TABLE ${table}`);
    }
  }
}
