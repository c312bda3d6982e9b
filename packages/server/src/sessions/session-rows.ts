import { compileTimeline, type Sequence } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import type { StudioOwned, StudioScope } from '../database/studio-scope.js';
import { conflict, invalid } from '../http/problem.js';
import { planOf } from './plans.js';
import { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, HandLookRow, SessionRow } from './session.entities.js';
import { sumsOfSession } from './session-sums.js';

/** A session’s sets, in the order in which they ended. */
export const setsOf = (scope: StudioScope, sessionId: string) =>
  scope.of(DoneSetRow).find({ where: { sessionId }, order: { endedAt: 'ASC', id: 'ASC' } });
/** What hurt in the middle, oldest first. */
export const complaintsOf = (scope: StudioScope, sessionId: string) =>
  scope.of(ComplaintRow).find({ where: { sessionId }, order: { at: 'ASC', id: 'ASC' } });
/** What was seen of hands where it stopped to look again, oldest first. */
export const looksOf = (scope: StudioScope, sessionId: string) =>
  scope.of(HandLookRow).find({ where: { sessionId }, order: { at: 'ASC', id: 'ASC' } });
/** Ticks of faults of form, oldest first. */
export const formOf = (scope: StudioScope, sessionId: string) =>
  scope.of(FormTickRow).find({ where: { sessionId }, order: { at: 'ASC', id: 'ASC' } });
/** How blocks felt, oldest first. */
export const reportsOf = (scope: StudioScope, sessionId: string) =>
  scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC', id: 'ASC' } });

/** Stores again what lists show of a session. The session’s row must be locked: of two sets sent at once the later sees both. */
export async function sumUp(
  held: StudioScope,
  { id, planId, toldExertion, revision, ending }: SessionRow,
  library: StudioLibrary,
  exertion = toldExertion,
): Promise<void> {
  const [sets, reports, complaints] = [await setsOf(held, id), await reportsOf(held, id), await complaintsOf(held, id)];
  const plan = await planOf(held, planId);
  const entries = { sets, reports, complaints, exertion };
  const sums = sumsOfSession(plan.title, compileTimeline(plan, library.movement), entries);
  // While it goes on only lists of sessions show it, and they are read each time.
  await held.of(SessionRow).update({ id }, { ...sums, revision: revision + 1 }, { isShown: ending !== null });
}

/** @throws 422 where it is not a block of the plan */
export function checkBlockId(plan: Sequence, blockId: string): void {
  if (!plan.blocks.some((block) => block.id === blockId)) {
    throw invalid([{ pointer: '/blockId', message: 'must be a block of this session’s plan' }]);
  }
}

/** Adds a row; the same row again is fine, another under the same id is refused: what was recorded is not rewritten. */
export async function addOnce<E extends StudioOwned & { sessionId: string }>(
  scope: StudioScope,
  entity: new () => E,
  row: Omit<E, 'studioId'> & { id: string },
  what: string,
): Promise<void> {
  if (await scope.of(entity).insert(row, what)) return;
  checkSame<object>(await scope.of(entity).get(row.id, what), row, what);
}

/** @throws 409 where a row that is stored says something else than the one that was sent under its id */
export function checkSame<R extends object>(stored: R, row: Partial<R>, what: string): void {
  const isSame = Object.entries(row as Record<string, unknown>).every(([key, value]) => String(stored[key as keyof R]) === String(value));
  if (!isSame) throw conflict(`Another ${what} is stored under this id. Use a new id, and “corrects” for corrections.`);
}
