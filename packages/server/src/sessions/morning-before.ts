import type { MorningScores } from '@clay-pot/core';
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
  return last?.morning ? { left: last.morning.left, right: last.morning.right } : null;
}
