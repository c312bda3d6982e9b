import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Pictures that angles were read off can be kept, with who agreed to it. */
export class Pictures1890000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE pictures (
      id ${ID} NOT NULL PRIMARY KEY,
      studio_id ${ID} NOT NULL,
      athlete_id ${ID} NOT NULL,
      \`of\` VARCHAR(40) NOT NULL,
      hand VARCHAR(8) NOT NULL,
      on_day CHAR(10) CHARACTER SET ascii NOT NULL,
      deg FLOAT NOT NULL,
      points JSON NOT NULL,
      jpeg MEDIUMBLOB NOT NULL,
      consent_by VARCHAR(120) NOT NULL,
      consent_on CHAR(10) CHARACTER SET ascii NOT NULL,
      KEY pictures_athlete (athlete_id, on_day),
      FOREIGN KEY (studio_id) REFERENCES studios (id),
      FOREIGN KEY (athlete_id) REFERENCES athletes (id)
    ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_520_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE pictures');
  }
}
