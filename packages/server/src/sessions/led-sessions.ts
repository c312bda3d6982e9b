import { adviseOnMorning, type Hand, HANDS, type MorningAdvice, must, type ToldLedSession } from '@clay-pot/core';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { carriedOut } from './carried-out.js';
import { BlockReportRow, ComplaintRow, FormTickRow, SessionRow } from './session.entities.js';

/** What a session’s own row tells of how it went. */
const TOLD = {
  ...{ id: true, sequenceId: true, ending: true, completion: true, maxDiscomfort: true, exertion: true },
  ...{ discomfortPolicy: true, morning: true, morningBefore: true },
} as const;

/** An athlete’s sessions of some days before an instant with how they felt, oldest first: what progress is judged by. */
export async function ledSessions(scope: StudioScope, athleteId: string, until: Date, days: number): Promise<ToldLedSession[]> {
  const carried = await carriedOut(scope, athleteId, until, { days });
  if (carried.length === 0) return [];
  const ids = In(carried.map(({ id }) => id));
  const [reports, complaints, form, rows] = await Promise.all([
    scope.of(BlockReportRow).find({ where: { sessionId: ids } }),
    scope.of(ComplaintRow).find({ where: { sessionId: ids } }),
    scope.of(FormTickRow).find({ where: { sessionId: ids } }),
    scope.of(SessionRow).find({ select: TOLD, where: { id: ids } }),
  ]);
  const ofSession = <R extends { sessionId: string }>(rows: readonly R[], id: string) => rows.filter(({ sessionId }) => sessionId === id);
  const led = carried.map((session): ToldLedSession => {
    const row = must(
      rows.find(({ id }) => id === session.id),
      'the row of a session',
    );
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
