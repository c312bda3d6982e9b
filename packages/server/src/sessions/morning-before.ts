import type { Morning, MorningScores } from '@clay-pot/core';
import { IsNull, LessThan, Not } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { SessionRow } from './session.entities.js';

/** The last next-day check of an athlete’s earlier sessions. @param startedAt when the session after them began */
export async function morningBefore(
  scope: StudioScope,
  { athleteId, startedAt }: { athleteId: string; startedAt: Date },
): Promise<MorningScores | null> {
  const [last] = await scope.of(SessionRow).find({
    select: { id: true, morning: true },
    where: { athleteId, startedAt: LessThan(startedAt), morning: Not(IsNull()) },
    order: { startedAt: 'DESC' },
    take: 1,
  });
  return last?.morning ? scoresOf(last.morning) : null;
}

/** The same before each of some sessions, by its id. */
export async function morningsBefore(scope: StudioScope, ids: readonly string[]): Promise<Map<string, MorningScores | null>> {
  if (ids.length === 0) return new Map();
  const rows = await scope.select<{ id: string; morning: Morning | string | null }>(
    `SELECT session.id, (SELECT earlier.morning FROM sessions earlier WHERE earlier.studio_id = session.studio_id
      AND earlier.athlete_id = session.athlete_id AND earlier.started_at < session.started_at AND earlier.morning IS NOT NULL
      ORDER BY earlier.started_at DESC LIMIT 1) AS morning
    FROM sessions session WHERE session.studio_id = ? AND session.id IN (?)`,
    [ids],
  );
  return new Map(
    rows.map(({ id, morning }) => [
      id,
      morning === null ? null : scoresOf(typeof morning === 'string' ? (JSON.parse(morning) as Morning) : morning),
    ]),
  );
}

const scoresOf = ({ left, right }: MorningScores): MorningScores => ({ left, right });
