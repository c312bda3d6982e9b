import {
  type BlockReport,
  completion,
  compileTimeline,
  type CountedSet,
  type MovementLookup,
  plannedAgainstDone,
  type Sequence,
} from '@clay-pot/core';

/** What lists show of a session, summed from what is recorded of it. @param reports oldest first: the latest of a block stands */
export function sumsOfSession(
  plan: Sequence,
  sets: readonly CountedSet[],
  reports: readonly Pick<BlockReport, 'blockId' | 'discomfort' | 'exertion'>[],
  lookup: MovementLookup,
) {
  const timeline = compileTimeline(plan, lookup);
  const told = [...new Map(reports.map((report) => [report.blockId, report])).values()];
  const exertion = told.reduce((sum, report) => sum + report.exertion, 0);
  return {
    title: plan.title,
    plannedMs: timeline.durationMs,
    completion: completion(plannedAgainstDone(timeline, sets)),
    maxDiscomfort: told.length ? Math.max(...told.map(({ discomfort }) => discomfort)) : null,
    meanExertion: told.length ? exertion / told.length : null,
  };
}
