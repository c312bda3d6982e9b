import type { Movement } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { copiedFor, type CopyQuestion } from '../programme/copied.js';
import type { Programme } from '../model/programme.js';
import type { ProgrammeFinding } from '../programme/finding.js';
import type { Sentence } from '../vocabulary/sentence.js';
import { LIBRARY, shippedMovement } from '../library/index.js';

/** Everything that a copy takes, as plain data: for a thread of its own. */
export interface CopyWork extends Omit<CopyQuestion, 'sequences' | 'lookup' | 'shelf'> {
  readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  readonly own: readonly Movement[];
  readonly removedIds: readonly string[];
}

/** A programme as somebody else would do it. */
export interface CopyAnswer {
  programme: Programme;
  sequences: [planId: string, sequence: Sequence][];
  differences: Sentence[];
  findings: ProgrammeFinding[];
}

/** Copies a programme for somebody, away from the event loop; null where nothing of it is possible for them. */
export function answerCopy({ own, removedIds, sequences, ...work }: CopyWork): CopyAnswer | null {
  const byId = new Map(own.map((movement) => [movement.id, movement]));
  const lookup = (id: string) => byId.get(id) ?? shippedMovement(id);
  const shelf = [...LIBRARY.filter(({ id }) => !byId.has(id)), ...own].filter(({ id }) => !removedIds.includes(id));
  const copied = copiedFor({ ...work, sequences: new Map(sequences), lookup, shelf });
  return (
    copied && {
      programme: copied.programme,
      sequences: [...copied.sequences],
      differences: [...copied.differences],
      findings: [...copied.findings],
    }
  );
}
