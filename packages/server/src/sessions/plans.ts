import { createHash } from 'node:crypto';
import { movementIdsOf, must, type Sequence } from '@clay-pot/core';
import { asStoredSequence } from '@clay-pot/core/exchange';
import { LRUCache } from 'lru-cache';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { type StudioScope, DuplicateError } from '../database/studio-scope.js';
import { PlanMovementRow, PlanRow } from './plan.entities.js';

/** What a document is known by: two of the same content are one. */
export const sha256Of = (plan: Sequence): string =>
  createHash('sha256')
    .update(JSON.stringify(asStoredSequence(plan)))
    .digest('hex');

/** Keeps what is led, once for each content. @param held a transaction: a plan is never without its movements @returns the plan's id */
export async function keepPlan(held: StudioScope, plan: Sequence): Promise<string> {
  const sha256 = sha256Of(plan);
  const existing = await held.of(PlanRow).one({ sha256 });
  if (existing) return existing.id;
  const id = uuid();
  try {
    await held.of(PlanRow).insert({ id, sha256, document: plan }, 'plan');
  } catch (error) {
    if (!(error instanceof DuplicateError)) throw error;
    // Another session began with the same at this moment: what it wrote is not in this transaction's picture yet.
    const theirs = await held.of(PlanRow).query('plan').andWhere('plan.sha256 = :sha256', { sha256 }).setLock('pessimistic_read').getOne();
    return must(theirs, 'a plan under its own sum').id;
  }
  await held.of(PlanMovementRow).insertAll(movementIdsOf(plan).map((movementId) => ({ id: uuid(), planId: id, movementId })));
  return id;
}

/** One plan. */
export const planOf = async (scope: StudioScope, planId: string): Promise<Sequence> =>
  (await scope.of(PlanRow).get(planId, 'plan')).document;

/** Plans by their ids; sessions that led the same share one. */
export async function plansOf(scope: StudioScope, planIds: readonly string[]): Promise<(planId: string) => Sequence> {
  const rows = await scope.of(PlanRow).find({ where: { id: In([...new Set(planIds)]) } });
  const plans = new Map(rows.map(({ id, document }) => [id, document]));
  return (planId) => must(plans.get(planId), 'the plan of a session');
}

/** What was led with a movement. */
export async function plansWith(scope: StudioScope, movementId: string): Promise<Sequence[]> {
  const named = await scope.of(PlanMovementRow).find({ where: { movementId } });
  const rows = await scope.of(PlanRow).find({ where: { id: In(named.map(({ planId }) => planId)) } });
  return rows.map(({ document }) => document);
}

/** Plans that sessions are led by now, read once: a plan never changes. */
const kept = new LRUCache<string, Sequence>({ max: 300 });

/** As `plansOf`, from memory where they were read before: for what is recorded while a session goes on. */
export async function keptPlansOf(scope: StudioScope, planIds: readonly string[]): Promise<(planId: string) => Sequence> {
  const missing = planIds.filter((id) => !kept.has(id));
  const read = missing.length > 0 ? await scope.of(PlanRow).find({ where: { id: In([...new Set(missing)]) } }) : [];
  for (const { id, document } of read) kept.set(id, document);
  const known = new Map(read.map(({ id, document }) => [id, document]));
  const plans = new Map(planIds.map((id) => [id, must(kept.get(id) ?? known.get(id), 'the plan of a session')]));
  return (planId) => must(plans.get(planId), 'the plan of a session');
}
