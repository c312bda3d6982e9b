import { evidenceOf, type ReportedSession } from '../effort/evidence.js';
import { heldAndTested } from '../measure/readings-tell.js';
import type { Evidence } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import { personOf } from '../mechanics/person.js';
import type { BodyRecord } from '../model/body.js';
import type { Grade } from '../model/grades.js';
import type { Movement, MovementLookup } from '../model/movement.js';
import type { Reading } from '../model/reading.js';
import { defined } from '../vocabulary/defined.js';
import { libraryWith } from '../library/index.js';

/** Somebody by record and readings, and the sessions that tell of their maxima: as plain data, for a thread of its own. */
export interface SubjectWork {
  readonly record: BodyRecord & { readonly birthDate: string | null };
  /** Oldest first. */
  readonly readings: readonly Reading[];
  readonly sessions: readonly ReportedSession[];
  readonly today: string;
  /** The studio’s springs and bands. */
  readonly grades?: readonly Grade[];
}

/** What somebody's readings, holds, tests and sets tell, besides maxima that were tested. */
export interface EvidenceWork extends SubjectWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
}

/** What holds and tests of readings tell of somebody, and then what their sets do. */
export function evidenceFor(
  { record, readings, sessions, today, grades }: SubjectWork,
  lookup: MovementLookup,
): { person: Person; evidence: Evidence[] } {
  const found = personOf(record, readings, today);
  const person: Person = { ...found.person, ...defined({ grades }) };
  return { person, evidence: [...heldAndTested(person, readings, lookup), ...evidenceOf(person, sessions, lookup)] };
}

/** Somebody with everything that is known of their maxima. */
export function personIn(work: SubjectWork, lookup: MovementLookup): Person {
  const { person, evidence: seen } = evidenceFor(work, lookup);
  return { ...person, evidence: [...person.evidence, ...seen] };
}

/** Finds evidence away from the event loop: each set of a session is computed once. */
export const answerEvidence = ({ ownMovements, ...work }: EvidenceWork): Evidence[] =>
  evidenceFor(work, libraryWith(ownMovements, []).movement).evidence;
