import type { MigrationInterface, QueryRunner } from 'typeorm';
import { leaveToWorkOut, read, rows } from './frozen.js';

/** What stored documents and readings called things, and the terms that take their place. */
const TERMS = {
  'hand opening': 'finger extension',
  'elbow bend': 'elbow flexion',
  'knuckle flexion': 'MCP flexion',
  'shoulder lift': 'shoulder flexion',
} as const;
const KINDS = { 'range with help': 'passive range' } as const;

/**
 * What lists show stands beside each sequence and session, so that a list reads and compiles no document; and the field's own terms take the
 * place of home-made ones.
 */
export class SumsAndTerms1810000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await rename(runner, Object.entries(TERMS), Object.entries(KINDS));
    await healCautions(runner);
    await runner.query(`ALTER TABLE sequences
      ADD purpose VARCHAR(500) NOT NULL DEFAULT '' AFTER title,
      ADD budget_min INT NOT NULL DEFAULT 0 AFTER purpose,
      ADD duration_ms INT NOT NULL DEFAULT 0 AFTER budget_min,
      ADD block_count INT NOT NULL DEFAULT 0 AFTER duration_ms`);
    await runner.query(`ALTER TABLE sessions
      ADD title VARCHAR(120) NOT NULL DEFAULT '' AFTER note,
      ADD planned_ms INT NOT NULL DEFAULT 0 AFTER title,
      ADD completion DOUBLE NOT NULL DEFAULT 0 AFTER planned_ms,
      ADD max_discomfort TINYINT NULL AFTER completion,
      ADD mean_exertion DOUBLE NULL AFTER max_discomfort,
      ADD discomfort_policy VARCHAR(8) NOT NULL DEFAULT 'mild' AFTER mean_exertion,
      ADD begun_against JSON NULL AFTER discomfort_policy,
      ADD KEY sessions_latest (studio_id, athlete_id, started_at)`);
    await runner.query("UPDATE sessions SET begun_against = '[]'");
    await runner.query('ALTER TABLE sessions MODIFY begun_against JSON NOT NULL');
    await leaveToWorkOut(runner, 'sums');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE sessions DROP KEY sessions_latest, DROP title, DROP planned_ms, DROP completion,
      DROP max_discomfort, DROP mean_exertion, DROP discomfort_policy, DROP begun_against`);
    await runner.query('ALTER TABLE sequences DROP purpose, DROP budget_min, DROP duration_ms, DROP block_count');
    const back = (pairs: [string, string][]) => pairs.map(([old, term]): [string, string] => [term, old]);
    await rename(runner, back(Object.entries(TERMS)), back(Object.entries(KINDS)));
  }
}

async function rename(runner: QueryRunner, terms: [string, string][], kinds: [string, string][]): Promise<void> {
  for (const [from, to] of terms) {
    await runner.query('UPDATE readings SET `of` = ? WHERE `of` = ?', [to, from]);
    await runner.query('UPDATE movements SET document = REPLACE(document, ?, ?)', [`"${from}"`, `"${to}"`]);
  }
  for (const [from, to] of kinds) await runner.query('UPDATE readings SET kind = ? WHERE kind = ?', [to, from]);
}

/** Cautions could once be stored as lists that say nothing, and whatever read them broke: those go, every one that names something stays. */
async function healCautions(runner: QueryRunner): Promise<void> {
  const athletes = await rows<{ id: string; cautions: unknown[] | string }>(runner, 'SELECT id, cautions FROM athletes');
  for (const { id, cautions } of athletes) {
    const all = read<unknown[]>(cautions);
    const named = all.filter((entry) => typeof (entry as { caution?: unknown } | null)?.caution === 'string');
    if (named.length === all.length) continue;
    await runner.query('UPDATE athletes SET cautions = ? WHERE id = ?', [JSON.stringify(named), id]);
  }
}
