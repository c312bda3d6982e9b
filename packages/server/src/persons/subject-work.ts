import type { SubjectWork } from '@clay-pot/core/answers';
import type { Reading, ReportedSession } from '@clay-pot/core';
import { subDays } from 'date-fns';
import { In } from 'typeorm';
import type { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { carriedOut } from '../sessions/carried-out.js';
import { BlockReportRow } from '../sessions/session.entities.js';

/** Sets of longer ago, and of more sessions than these, tell next to nothing beside those of since: ratings of one person lean one way. */
export const TELLS = { days: 120, latest: 12 };

/** A body as it is on record, or as a question has it. */
export type RecordOf = Pick<AthleteRow, 'sex' | 'statureCm' | 'massKg' | 'birthDate'>;

interface Somebody {
  readonly record: RecordOf;
  readonly readings: readonly Reading[];
  readonly today: string;
}

/** What a thread reads of somebody whose sessions are known already, oldest first: of them, the last that tell. */
export function subjectWork({ record, readings, today }: Somebody, sessions: readonly ReportedSession[], until: Date): SubjectWork {
  const { sex, statureCm, massKg, birthDate } = record;
  const from = subDays(until, TELLS.days).toISOString();
  const recent = sessions.filter(({ startedAt }) => startedAt > from).slice(-TELLS.latest);
  return { record: { sex, statureCm, massKg, birthDate }, readings, sessions: recent.toReversed(), today };
}

/** What a thread reads of somebody: their record and readings, and the last sessions that ended before an instant with what was said of them. */
export async function loadSubjectWork(
  scope: StudioScope,
  athleteId: string,
  { record, readings, today }: Somebody,
  until: Date,
): Promise<SubjectWork> {
  const { sex, statureCm, massKg, birthDate } = record;
  const sessions = await carriedOut(scope, athleteId, until, TELLS);
  const sessionId = In(sessions.map(({ id }) => id));
  const reports = sessions.length === 0 ? [] : await scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC' } });
  return {
    record: { sex, statureCm, massKg, birthDate },
    readings,
    sessions: sessions.map((session) => ({ ...session, reports: reports.filter((report) => report.sessionId === session.id) })),
    today,
  };
}
