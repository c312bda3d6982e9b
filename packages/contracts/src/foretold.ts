import { type Evidence, type Foretold, foretold, type Method, type Movement, type Person, type ToldSession } from '@clay-pot/core'; // prettier-ignore
import { knownWith, methodOf } from '@clay-pot/core/library';

/** What was to be expected of an athlete’s sessions, beside what came; the oldest first. */
export interface ForetoldAnswer {
  blocks: Foretold[];
}

/** Everything that foretelling takes, as plain data: for a thread of its own. */
export interface ForetoldWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  readonly person: Person;
  readonly tested: readonly Evidence[];
  /** Oldest first. */
  readonly sessions: readonly ToldSession[];
}

/** Holds sessions against what was known before them, away from the event loop. */
export function answerForetold({ ownMovements, ownMethods, person, tested, sessions }: ForetoldWork): ForetoldAnswer {
  const known = knownWith(ownMovements, ownMethods);
  const blocks = foretold({
    person: { ...person, evidence: [...person.evidence, ...tested] },
    sessions,
    lookup: known.movement,
    methodOf: (plan) => methodOf(plan, known.method),
  });
  return { blocks };
}
