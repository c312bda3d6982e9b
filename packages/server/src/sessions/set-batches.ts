import type { DoneSetInput } from '@clay-pot/contracts';
import { completion, findLevel, groupedBy, must, plannedAgainstDone, timelineOf } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import { LRUCache } from 'lru-cache';
import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid, notFound } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { keptPlansOf } from './plans.js';
import { DoneSetRow, SessionRow } from './session.entities.js';
import { checkBlockId, checkSame } from './session-rows.js';

/** A set that somebody waits to have stored. */
export interface SetToAdd {
  readonly sessionId: string;
  readonly id: string;
  readonly input: DoneSetInput;
}

/** Null for a set that is stored, by now or before; what is wrong with it else. */
export type SetOutcome = Error | null;

const READ = { id: true, planId: true, athleteId: true, ending: true, revision: true } as const;

/** A set as far as it counts, in the order in which they ended. */
type KnownSet = Omit<DoneSetRow, 'studioId'>;

/** The sets of a session, and the revision of it that they are of. */
interface Learned {
  readonly revision: number;
  readonly sets: readonly KnownSet[];
}

/** A set as it is stored. */
export const rowOf = ({ sessionId, id, input }: SetToAdd): Omit<DoneSetRow, 'studioId'> => ({
  ...input,
  corrects: input.corrects ?? null,
  round: input.round ?? 1,
  id,
  sessionId,
  endedAt: new Date(input.endedAt),
});

/**
 * Stores sets of a studio in one transaction, with the sums of their sessions: of thirty phones that record at once each would wait for the locks and
 * the commits of all others. A set that is refused takes no other with it.
 * @returns what came of each, in their order
 */
export async function addSets(
  scope: StudioScope,
  library: StudioLibrary,
  sets: readonly SetToAdd[],
  known: KnownSets,
): Promise<SetOutcome[]> {
  const ids = [...new Set(sets.map(({ sessionId }) => sessionId))];
  const learned = new Map<string, Learned>();
  const outcomes = await scope.transaction(async (held) => {
    // In one order for everybody, so that no two wait for each other.
    const sessions = await held.of(SessionRow).find({ select: READ, where: { id: In(ids) }, order: { id: 'ASC' }, forUpdate: true });
    const sessionOf = new Map(sessions.map((session) => [session.id, session]));
    const planOf = await keptPlansOf(
      held,
      sessions.map(({ planId }) => planId),
    );
    const storedOf = await known.of(held, sessions);
    const fresh: KnownSet[] = [];
    const came = sets.map(({ sessionId, id, input }): SetOutcome => {
      try {
        const session = sessionOf.get(sessionId);
        if (!session) throw notFound('session');
        checkBlockId(planOf(session.planId), input.blockId);
        const movement = library.movement(input.movementId);
        if (!movement || !findLevel(movement, input.levelId)) {
          throw invalid([{ pointer: '/levelId', message: 'is not a level of a known movement' }]);
        }
        const mine = [...(storedOf.get(sessionId) ?? []), ...fresh.filter((each) => each.sessionId === sessionId)];
        if (input.corrects && !mine.some((each) => each.id === input.corrects)) {
          throw invalid([{ pointer: '/corrects', message: 'must be the id of a set of this session' }]);
        }
        const row = rowOf({ sessionId, id, input });
        const same = mine.find((each) => each.id === id);
        if (same) checkSame<object>(same, row, 'set');
        else fresh.push(row);
        return null;
      } catch (error) {
        return error as Error;
      }
    });
    await held.of(DoneSetRow).insertAll(fresh);
    const freshOf = groupedBy(fresh, ({ sessionId }) => sessionId);
    const done = [...freshOf].map(([sessionId, added]) => {
      const all = inOrder([...(storedOf.get(sessionId) ?? []), ...added]);
      const { planId, revision } = must(sessionOf.get(sessionId), 'the session of a set');
      learned.set(sessionId, { revision: revision + 1, sets: all });
      return [sessionId, completion(plannedAgainstDone(timelineOf(planOf(planId), library.movement), all))] as const;
    });
    await storeCompletion(held, done);
    const ended = [...freshOf.keys()].flatMap((id) => sessionOf.get(id) ?? []).filter(({ ending }) => ending !== null);
    // Nothing rests on a session before it has ended.
    await raiseEvidence(held, ...new Set(ended.map(({ athleteId }) => athleteId)));
    return came;
  });
  known.keep(learned);
  return outcomes;
}

/** Sessions whose sets are kept in memory. */
const MOST_SESSIONS = 300;

/** The sets of sessions that are going on, from memory while nothing else was recorded of them: each record raises the revision of its session. */
export class KnownSets {
  private readonly kept = new LRUCache<string, Learned>({ max: MOST_SESSIONS });

  /** @param sessions locked, so that nobody adds to them meanwhile */
  async of(held: StudioScope, sessions: readonly Pick<SessionRow, 'id' | 'revision'>[]): Promise<Map<string, readonly KnownSet[]>> {
    const known = new Map<string, readonly KnownSet[]>();
    for (const { id, revision } of sessions) {
      const entry = this.kept.get(id);
      if (entry?.revision === revision) known.set(id, entry.sets);
    }
    const missing = sessions.filter(({ id }) => !known.has(id)).map(({ id }) => id);
    const read = missing.length > 0 ? await held.of(DoneSetRow).find({ where: { sessionId: In(missing) } }) : [];
    const readOf = groupedBy(read, ({ sessionId }) => sessionId);
    for (const id of missing) known.set(id, (readOf.get(id) ?? []).sort(byEnd));
    return known;
  }

  keep(learned: ReadonlyMap<string, Learned>): void {
    for (const [id, entry] of learned) this.kept.set(id, entry);
  }
}

type Ended = Pick<DoneSetRow, 'endedAt' | 'id'>;
const byEnd = (a: Ended, b: Ended) => a.endedAt.getTime() - b.endedAt.getTime() || (a.id < b.id ? -1 : 1);

/** Most arrive in the order in which they ended. */
function inOrder(sets: KnownSet[]): KnownSet[] {
  const isInOrder = sets.every((set, index) => index === 0 || byEnd(sets[index - 1] ?? set, set) <= 0);
  return isInOrder ? sets : sets.sort(byEnd);
}

/** How much is done of each session, in one statement. */
async function storeCompletion(held: StudioScope, done: readonly (readonly [sessionId: string, share: number])[]): Promise<void> {
  if (done.length === 0) return;
  const cases = done.map(() => 'WHEN ? THEN ?').join(' ');
  await held.change(`UPDATE sessions SET completion = CASE id ${cases} END, revision = revision + 1 WHERE id IN (?) AND studio_id = ?`, [
    ...done.flat(),
    done.map(([id]) => id),
  ]);
}
