import type { Sequence } from '../model/sequence.js';
import { copiedFor, type CopyQuestion } from '../programme/copied.js';
import type { Programme } from '../model/programme.js';
import type { ProgrammeFinding } from '../programme/finding.js';
import type { Sentence } from '../vocabulary/sentence.js';
import { type OwnShelf, shelfOf } from './own-shelf.js';

/** Everything that a copy takes, as plain data: for a thread of its own. */
export interface CopyWork extends Omit<CopyQuestion, 'sequences' | 'lookup' | 'shelf'>, OwnShelf {
  readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
}

/** A programme as another athlete would do it. */
export interface CopyAnswer {
  programme: Programme;
  sequences: [planId: string, sequence: Sequence][];
  differences: Sentence[];
  findings: ProgrammeFinding[];
}

/** Copies a programme for somebody, away from the event loop; null where nothing of it is possible for them. */
export function answerCopy({ own, removedIds, sequences, ...work }: CopyWork): CopyAnswer | null {
  const copied = copiedFor({ ...work, sequences: new Map(sequences), ...shelfOf({ own, removedIds }) });
  return (
    copied && {
      programme: copied.programme,
      sequences: [...copied.sequences],
      differences: [...copied.differences],
      findings: [...copied.findings],
    }
  );
}
