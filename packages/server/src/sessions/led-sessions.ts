import { adviseOnMorning, type Hand, HANDS, type LedSession, type MorningAdvice } from '@clay-pot/core';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { carriedOut } from './carried-out.js';
import { BlockReportRow, ComplaintRow, SessionRow } from './session.entities.js';

/** An athlete’s sessions of some days before an instant with how they felt, oldest first: what progress is judged by. */
export async function ledSessions(
  scope: StudioScope,
  athleteId: string,
  until: Date,
  days: number,
): Promise<LedSession[]> {
  const carried = await carriedOut(scope, athleteId, until, { days });
  if (carried.length === 0) return [];
  const ids = In(carried.map(({ id }) => id));
  const [reports, complaints, mornings] = await Promise.all([
    scope.of(BlockReportRow).find({ where: { sessionId: ids } }),
    scope.of(ComplaintRow).find({ where: { sessionId: ids } }),
    scope.of(SessionRow).find({ select: { id: true, morning: true, morningBefore: true }, where: { id: ids } }),
  ]);
  const ofSession = <R extends { sessionId: string }>(rows: readonly R[], id: string) =>
    rows.filter(({ sessionId }) => sessionId === id);
  const led = carried.map((session): LedSession => {
    const row = mornings.find(({ id }) => id === session.id);
    const advice = (hand: Hand): MorningAdvice | null =>
      row?.morning ? adviseOnMorning(row.morning, row.morningBefore, hand).advice : null;
    return {
      ...session,
      reports: ofSession(reports, session.id).map(({ blockId, discomfort, exertion, at }) => ({
        blockId,
        discomfort,
        exertion,
        at: at.toISOString(),
      })),
      complaints: ofSession(complaints, session.id),
      mornings: Object.fromEntries(HANDS.map((hand) => [hand, advice(hand)])) as Record<Hand, MorningAdvice | null>,
    };
  });
  return led.sort((a, b) => a.startedAt.localeCompare(b.startedAt));
}
