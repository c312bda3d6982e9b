import { type BlockReport, type Complaint, completion, type CountedSet, plannedAgainstDone, type Timeline } from '@clay-pot/core';

/** What is recorded of a session while it is led. */
export interface Reports {
  readonly sets: readonly CountedSet[];
  /** Oldest first: the latest of a block counts. */
  readonly reports: readonly Pick<BlockReport, 'blockId' | 'discomfort' | 'exertion'>[];
  readonly complaints: readonly Pick<Complaint, 'discomfort'>[];
  /** The session rating of effort, where there is one. */
  readonly exertion: number | null;
}

/** What lists show of a session, summed from what is recorded of it. */
export function sumsOfSession(title: string, timeline: Timeline, { sets, reports, complaints, exertion }: Reports) {
  const answered = [...new Map(reports.map((report) => [report.blockId, report])).values()];
  const discomforts = [...answered, ...complaints].map(({ discomfort }) => discomfort);
  const exertions = answered.flatMap((report) => report.exertion ?? []);
  return {
    title,
    plannedMs: timeline.plannedMs,
    completion: completion(plannedAgainstDone(timeline, sets)),
    maxDiscomfort: discomforts.length ? Math.max(...discomforts) : null,
    exertion: exertion ?? meanOf(exertions),
  };
}

const meanOf = (values: readonly number[]): number | null =>
  values.length ? values.reduce((sum, value) => sum + value, 0) / values.length : null;
