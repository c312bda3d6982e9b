import type { ReadingInput } from '@clay-pot/contracts';
import { type Hand, type Moment, must, protocolOf, type SessionTest } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { showReadings } from '../api/queries.js';
import { isoToday } from '../ui/today.js';
import { accountStorage, perAccount } from './device-storage.js';
import { useOutbox } from './outbox.js';
import type { Run } from './run.js';

/** What was measured at a moment of a session, by test and hand, in the units that are kept. */
type TestResults = Readonly<Record<string, number>>;

interface Tested {
  readonly before?: TestResults;
  readonly after?: TestResults;
  /** Moments that are over, all measured or not. */
  readonly done: readonly Moment[];
}

interface State {
  readonly sessionId: string | null;
  readonly tested: Tested;
}

const NOTHING: Tested = { done: [] };

/** What was measured before and after the session that is led: a reload loses none of it. */
export const useSessionTests = perAccount(
  create<State>()(
    persist((): State => ({ sessionId: null, tested: NOTHING }), {
      name: 'session-tests',
      storage: createJSONStorage(() => accountStorage),
    }),
  ),
);

const of = (state: State, sessionId: string): Tested => (state.sessionId === sessionId ? state.tested : NOTHING);
/** What was measured in a session so far. */
export const testsOf = (sessionId: string): Tested => of(useSessionTests.getState(), sessionId);

function change(sessionId: string, make: (tested: Tested) => Partial<Tested>): void {
  useSessionTests.setState((state) => {
    const tested = of(state, sessionId);
    return { sessionId, tested: { ...tested, ...make(tested) } };
  });
}

/** Keeps one number, of which was asked where it is unlikely: on its way at once, as a reading of this session. */
export function keepTest(run: Run, { id, moment, hand, value }: { id: SessionTest; moment: Moment; hand: Hand; value: number }): void {
  const { kind, of: what, gauge } = must(protocolOf(id), `a protocol ${id}`);
  const body: ReadingInput = {
    ...{ kind, of: what, hand, value, gauge, onDay: isoToday() },
    ...{ sessionId: run.id, moment, isSure: true },
  };
  const readingId = uuid();
  useOutbox.getState().add({ path: `/athletes/${run.athleteId}/readings/${readingId}`, body });
  showReadings(run.athleteId, [{ id: readingId, ...body }]);
  change(run.id, (tested) => ({ [moment]: { ...tested[moment], [`${id} ${hand}`]: value } }));
}

/** Ends a moment’s tests, whether all was measured or not. */
export const skipTests = (sessionId: string, moment: Moment): void => change(sessionId, ({ done }) => ({ done: [...done, moment] }));

/** Which tests of a session are asked for now: before its first block, and once it ended otherwise than by a sign. */
export function useMomentNow(run: Run): Moment | null {
  const { done, before } = useSessionTests((state) => of(state, run.id));
  if (!run.sequence.tests?.length) return null;
  const hasBegun = run.head.event > 0 || run.sets.length > 0;
  if (!run.ended) return done.includes('before') || hasBegun ? null : 'before';
  // Nothing is tested again that was not tested first.
  const wasTested = Object.keys(before ?? {}).length > 0;
  return done.includes('after') || run.ended.ending === 'stopped' || !wasTested ? null : 'after';
}
