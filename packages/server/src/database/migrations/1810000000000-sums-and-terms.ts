import { type BlockReport, CAUTION_IDS, type CautionId, type CountedSet, must, type Sequence } from '@clay-pot/core';
import { type Known, methodOf } from '@clay-pot/core/library';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { storedSequence } from '../../sequences/sequence-sums.js';
import { sumsOfSession } from '../../sessions/session-sums.js';
import { knownIn, read, rows, unlessUnsound } from './documents.js';

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
 * place of home-made ones. The sums are the ones the server writes: whatever they become later, they are written again with the row.
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
    for (const { id } of await rows<{ id: string }>(runner, 'SELECT id FROM studios')) {
      const known = await knownIn(runner, id);
      await sumSequences(runner, id, known);
      await sumSessions(runner, id, known);
    }
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
    const named = all.filter((entry) => CAUTION_IDS.includes((entry as { caution?: CautionId } | null)?.caution as CautionId));
    if (named.length === all.length) continue;
    await runner.query('UPDATE athletes SET cautions = ? WHERE id = ?', [JSON.stringify(named), id]);
  }
}

async function sumSequences(runner: QueryRunner, studioId: string, { movement }: Known): Promise<void> {
  const sql = 'SELECT id, document FROM sequences WHERE studio_id = ?';
  for (const { id, document } of await rows<{ id: string; document: Sequence }>(runner, sql, [studioId])) {
    const sums = unlessUnsound(() => storedSequence(read(document), movement));
    if (!sums) continue;
    const { purpose, budgetMin, durationMs, blockCount } = sums;
    await runner.query('UPDATE sequences SET purpose = ?, budget_min = ?, duration_ms = ?, block_count = ? WHERE id = ?', [
      purpose,
      budgetMin,
      durationMs,
      blockCount,
      id,
    ]);
  }
}

async function sumSessions(runner: QueryRunner, studioId: string, known: Known): Promise<void> {
  for (const { id } of await rows<{ id: string }>(runner, 'SELECT id FROM sessions WHERE studio_id = ?', [studioId])) {
    const [row] = await rows<{ plan: Sequence }>(runner, 'SELECT plan FROM sessions WHERE id = ?', [id]);
    const plan = read(must(row, 'a row for an id just read').plan);
    const sets = await rows<CountedSet>(
      runner,
      `SELECT id, block_id AS blockId, set_number AS \`set\`, side, direction, unit, planned_amount AS plannedAmount,
        done_amount AS doneAmount, corrects FROM done_sets WHERE session_id = ? ORDER BY ended_at, id`,
      [id],
    );
    const reports = await rows<Pick<BlockReport, 'blockId' | 'discomfort' | 'exertion'>>(
      runner,
      'SELECT block_id AS blockId, discomfort, exertion FROM block_reports WHERE session_id = ? ORDER BY at, id',
      [id],
    );
    const sums = unlessUnsound(() => sumsOfSession(plan, { sets, reports, complaints: [], exertion: null }, known.movement));
    if (!sums) continue;
    await runner.query(
      `UPDATE sessions SET title = ?, planned_ms = ?, completion = ?, max_discomfort = ?, mean_exertion = ?,
        discomfort_policy = ? WHERE id = ?`,
      [...[sums.title, sums.plannedMs, sums.completion, sums.maxDiscomfort, sums.exertion], methodOf(plan, known.method).discomfort, id],
    );
  }
}
