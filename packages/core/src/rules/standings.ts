import type { RecordedCaution } from '../model/athlete.js';
import type { MovementLookup } from '../model/movement.js';
import type { Method } from '../model/method.js';
import type { Sequence } from '../model/sequence.js';
import type { Hand } from '../vocabulary/hands.js';
import { groupedBy, lastOf } from '../vocabulary/lists.js';
import { forbidsLoading, handsOf } from './cautions.js';
import { type LevelStanding, type Pace, standingOf } from './level-standing.js';
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
  readonly pace?: Pace;
}

/** Where both hands stand on the ladders of everything that was done, what was done last first. @param sessions oldest first */
export function standingsOf(sessions: readonly LedSession[], question: StandingsQuestion): LevelStanding[] {
  const { lookup, methodOf, cautions, today, pace } = question;
  const barred = new Set<Hand>(cautions.filter(forbidsLoading).flatMap(handsOf));
  const all = sessions.flatMap((session) => workDoneIn(session, lookup).map((done) => ({ done, plan: session.plan })));
  const standings = [...groupedBy(all, ({ done: { movementId, hand } }) => `${movementId} ${hand}`).values()].flatMap(
    (history) => {
      const { done, plan } = lastOf(history);
      const movement = lookup(done.movementId);
      if (!movement) return [];
      const works: WorkDone[] = history.map((each) => each.done);
      return [
        standingOf(works, {
          movement,
          method: methodOf(plan),
          today,
          isBarred: barred.has(done.hand),
          ...(pace && { pace }),
        }),
      ];
    },
  );
  return standings.sort((a, b) => b.last.endedAt.localeCompare(a.last.endedAt));
}
