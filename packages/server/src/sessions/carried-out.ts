import { type CarriedOut, groupedBy } from '@clay-pot/core';
import { In, IsNull, LessThanOrEqual, Not } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { plansOf } from './plans.js';
import { DoneSetRow, SessionRow } from './session.entities.js';

const DAY_MS = 86_400_000;

/**
 * An athlete's ended sessions that began within some days before an instant, with what was done of each, the newest first.
 * @param latest no more than so many
 */
export async function carriedOut(scope: StudioScope, athleteId: string, until: Date, limits: Limits): Promise<CarriedOut[]> {
  return (await carriedRows(scope, athleteId, until, limits)).map(({ carried }) => carried);
}

interface Limits {
  readonly days: number;
  readonly latest?: number;
}

/** The same, each with its row. */
export async function carriedRows(
  scope: StudioScope,
  athleteId: string,
  until: Date,
  { days, latest }: Limits,
): Promise<{ readonly row: SessionRow; readonly carried: CarriedOut }[]> {
  const rows = await scope.of(SessionRow).find({
    where: { athleteId, ending: Not(IsNull()), startedAt: LessThanOrEqual(until) },
    also: [{ text: 'started_at > ?', parameters: [new Date(until.getTime() - days * DAY_MS)] }],
    order: { startedAt: 'DESC' },
    ...(latest !== undefined && { take: latest }),
  });
  if (rows.length === 0) return [];
  const planOf = await plansOf(
    scope,
    rows.map(({ planId }) => planId),
  );
  const sets = await scope.of(DoneSetRow).find({ where: { sessionId: In(rows.map(({ id }) => id)) } });
  const setsOf = groupedBy(sets, ({ sessionId }) => sessionId);
  return rows.map((row) => {
    const { id, sequenceId, startedAt, endedAt, onDay, planId } = row;
    const carried: CarriedOut = {
      ...{ id, sequenceId, onDay },
      startedAt: startedAt.toISOString(),
      endedAt: (endedAt ?? startedAt).toISOString(),
      plan: planOf(planId),
      sets: setsOf.get(id) ?? [],
    };
    return { row, carried };
  });
}
