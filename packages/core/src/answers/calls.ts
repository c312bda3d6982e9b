import type { RecordedCaution } from '../model/athlete.js';
import type { Method } from '../model/method.js';
import type { Movement } from '../model/movement.js';
import type { Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { athleteCalls, type ToldLedSession } from '../programme/athlete-calls.js';
import type { Call } from '../rules/calls/call.js';
import type { ComingPlan } from '../rules/calls/question.js';
import type { Equipment } from '../vocabulary/places.js';
import { methodOf } from '../library/methods.js';
import { knownWith } from '../library/index.js';
import { personIn, type WhomWork } from './whom.js';

/** Everything that calls take, as plain data: for a thread of its own. */
export interface CallsWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  readonly sessions: readonly ToldLedSession[];
  readonly programmes: readonly {
    readonly id: string;
    readonly programme: Programme;
    readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  }[];
  readonly givenOn: readonly (readonly [sequenceId: string, day: string])[];
  readonly whom: WhomWork;
  readonly athlete: { readonly cautions: readonly RecordedCaution[]; readonly equipment: readonly Equipment[] };
  readonly measuredOn: string | null;
  readonly now: string;
  readonly today: string;
}

/** A plan that comes next, without its sequence. */
export type ComingBrief = Pick<ComingPlan, 'place' | 'day' | 'loads'>;

/** What is proposed, and the plans that it would change. */
export interface CallsAnswer {
  calls: Call[];
  coming: ComingBrief[];
}

/** Finds calls away from the event loop. */
export function answerCalls({ ownMovements, ownMethods, programmes, givenOn, whom, ...work }: CallsWork): CallsAnswer {
  const known = knownWith(ownMovements, ownMethods);
  const { calls, coming } = athleteCalls({
    ...work,
    person: personIn(whom, known.movement),
    programmes: programmes.map(({ sequences, ...rest }) => ({ ...rest, sequences: new Map(sequences) })),
    givenOn: new Map(givenOn),
    lookup: known.movement,
    shelf: known.shelf,
    methodOf: (plan) => methodOf(plan, known.method),
  });
  return { calls: [...calls], coming: coming.map(({ place, day, loads }) => ({ place, day, loads })) };
}
