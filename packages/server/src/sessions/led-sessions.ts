import { adviseOnMorning, type Hand, HANDS, type MorningAdvice, type ReportedSession } from '@clay-pot/core';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { carriedRows } from './carried-out.js';
import { BlockReportRow, ComplaintRow, FormTickRow } from './session.entities.js';

/** An athlete’s sessions of some days before an instant with how they felt, oldest first: what progress is judged by. */
export async function ledSessions(scope: StudioScope, athleteId: string, until: Date, days: number): Promise<ReportedSession[]> {
  const found = await carriedRows(scope, athleteId, until, { days });
  if (found.length === 0) return [];
  const ids = In(found.map(({ row }) => row.id));
  const [reports, complaints, form] = await Promise.all([
    scope.of(BlockReportRow).find({ where: { sessionId: ids } }),
    scope.of(ComplaintRow).find({ where: { sessionId: ids } }),
    scope.of(FormTickRow).find({ where: { sessionId: ids } }),
  ]);
  const ofSession = <R extends { sessionId: string }>(rows: readonly R[], id: string) => rows.filter(({ sessionId }) => sessionId === id);
  const led = found.map(({ row, carried: session }): ReportedSession => {
    const { morning, morningBefore, ending, completion, maxDiscomfort, exertion, discomfortPolicy } = row;
    const advice = (hand: Hand): MorningAdvice | null => (morning ? adviseOnMorning(morning, morningBefore, hand).advice : null);
    return {
      ...session,
      sequenceId: session.sequenceId ?? row.sequenceId,
      ...{ ending, completion, maxDiscomfort, exertion, discomfortPolicy, morning, morningBefore },
      scores: morning && { left: morning.left, right: morning.right },
      reports: ofSession(reports, session.id).map(({ blockId, discomfort, exertion, at }) => ({
        blockId,
        discomfort,
        exertion,
        at: at.toISOString(),
      })),
      complaints: ofSession(complaints, session.id),
      form: ofSession(form, session.id).map(({ at, ...tick }) => ({ ...tick, at: at.toISOString() })),
      mornings: Object.fromEntries(HANDS.map((hand) => [hand, advice(hand)])) as Record<Hand, MorningAdvice | null>,
    };
  });
  return led.sort((a, b) => a.startedAt.localeCompare(b.startedAt));
}
