import type { CarriedOut } from '@clay-pot/core';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { plansOf } from './plans.js';
import { DoneSetRow, SessionRow } from './session.entities.js';

const DAY_MS = 86_400_000;

/**
 * An athlete's ended sessions that began within some days before an instant, with what was done of each, the newest first.
 * @param latest no more than so many
 */
export async function carriedOut(
  scope: StudioScope,
  athleteId: string,
  until: Date,
  { days, latest }: { days: number; latest?: number },
): Promise<CarriedOut[]> {
  const query = scope
    .of(SessionRow)
    .query('session')
    .andWhere('session.athlete_id = :athleteId', { athleteId })
    .andWhere('session.ending IS NOT NULL')
    .andWhere('session.started_at > :from', { from: new Date(until.getTime() - days * DAY_MS) })
    .andWhere('session.started_at <= :until', { until })
    .orderBy('session.started_at', 'DESC');
  const rows = await (latest === undefined ? query : query.take(latest)).getMany();
  if (rows.length === 0) return [];
  const planOf = await plansOf(
    scope,
    rows.map(({ planId }) => planId),
  );
  const sets = await scope.of(DoneSetRow).find({ where: { sessionId: In(rows.map(({ id }) => id)) } });
  return rows.map(({ id, sequenceId, startedAt, endedAt, onDay, planId }) => ({
    id,
    sequenceId,
    startedAt: startedAt.toISOString(),
    endedAt: (endedAt ?? startedAt).toISOString(),
    onDay,
    plan: planOf(planId),
    sets: sets.filter(({ sessionId }) => sessionId === id),
  }));
}
