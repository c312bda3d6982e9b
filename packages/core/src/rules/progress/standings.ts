import type { RecordedCaution } from '../../model/athlete.js';
import type { MovementLookup } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import type { Sequence } from '../../model/sequence.js';
import { timelineOf } from '../../timeline/timeline-of.js';
import type { Hand } from '../../vocabulary/hands.js';
import { groupedBy, lastOf } from '../../vocabulary/lists.js';
import { forbidsLoading, handsOf } from '../safety/cautions.js';
import { type LevelStanding, standingOf } from './level-standing.js';
import { type LedSession, type WorkDone, workDoneIn } from './work-done.js';

/** Whose standings, by which methods and when. */
export interface StandingsQuestion {
  readonly lookup: MovementLookup;
  /** The method that a sequence went by. */
  readonly methodOf: (plan: Sequence) => Method;
  /** As they stand today. */
  readonly cautions: readonly RecordedCaution[];
  /** ISO day. */
  readonly today: string;
}

/** Where both hands stand on the ladders of everything that was done, what was done last first. @param sessions oldest first */
export function standingsOf(sessions: readonly LedSession[], question: StandingsQuestion): LevelStanding[] {
  const { lookup, methodOf, cautions, today } = question;
  const barred = new Set<Hand>(cautions.filter(forbidsLoading).flatMap(handsOf));
  const all = sessions.flatMap((session) =>
    workDoneIn(session, lookup, timelineOf(session.plan, lookup)).map((done) => ({ done, plan: session.plan })),
  );
  const standings = [...groupedBy(all, ({ done: { movementId, hand } }) => `${movementId} ${hand}`).values()].flatMap((history) => {
    const { done, plan } = lastOf(history);
    const movement = lookup(done.movementId);
    if (!movement) return [];
    return [
      standingOf(daily(history.map((each) => each.done)), {
        movement,
        method: methodOf(plan),
        today,
        isBarred: barred.has(done.hand),
      }),
    ];
  });
  return standings.sort((a, b) => b.last.endedAt.localeCompare(a.last.endedAt));
}

/** One session a day: training or logging twice on a day does not meet a gate twice. The last one counts, with the day’s worst scores. */
export function daily(works: readonly WorkDone[]): WorkDone[] {
  return [...groupedBy(works, ({ onDay }) => onDay).values()].map((same) => {
    const last = lastOf(same);
    if (same.length === 1) return last;
    const worst = (of: (done: WorkDone) => number | null) => {
      const scores = same.map(of).filter((score) => score !== null);
      return scores.length > 0 ? Math.max(...scores) : null;
    };
    return {
      ...last,
      discomfort: worst(({ discomfort }) => discomfort),
      exertion: worst(({ exertion }) => exertion),
      isWhole: same.every(({ isWhole }) => isWhole),
      formFaults: [...new Set(same.flatMap(({ formFaults }) => formFaults))],
    };
  });
}
