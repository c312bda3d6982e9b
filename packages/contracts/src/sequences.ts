import { idOf, type Of, record, type Sequence, type SequenceChange, text } from '@clay-pot/core';
import { SEQUENCE_TEXT_LENGTH, type Taken } from '@clay-pot/core/exchange';

export { SEQUENCE as SEQUENCE_INPUT, type Sequence as SequenceInput } from '@clay-pot/core';

/** The longest file that is taken, in characters. */
export const SEQUENCE_FILE_LENGTH = 500_000;

/** A file with a sequence, as text: its faults are told by line and column. */
export const SEQUENCE_FILE_INPUT = record({
  /** Id for the new sequence, made by the sender. */
  id: idOf('a new sequence'),
  /** The whole text of the file. */
  text: text(SEQUENCE_FILE_LENGTH, 1),
});
/** The text of a file. */
export type SequenceFileInput = Of<typeof SEQUENCE_FILE_INPUT>;

/** A sequence as plain text, as a coach writes it in a message. */
export const SEQUENCE_TEXT_INPUT = record({ text: text(SEQUENCE_TEXT_LENGTH, 1, 'Text') });
/** A sequence as plain text. */
export type SequenceTextInput = Of<typeof SEQUENCE_TEXT_INPUT>;

/** What a text was read as, with what was taken for names that were not written to the letter. */
export interface SequenceTextAnswer {
  document: Sequence;
  taken: readonly Taken[];
}

/** A sequence in the list: its sums as they were when it was stored, and who was given it. */
export interface SequenceListItem {
  id: string;
  title: string;
  purpose: string;
  budgetMin: number;
  /** Compiled length. */
  durationMs: number;
  blocks: number;
  updatedAt: string;
  athletes: { athleteId: string; name: string }[];
}

/** A sequence with its id and version. */
export interface StoredSequence {
  id: string;
  etag: string;
  updatedAt: string;
  document: Sequence;
}

/** What a 412 carries beside the usual problem fields. */
export interface StaleEdit {
  current: StoredSequence;
  /** What the refused version would change in the current one. */
  changes: SequenceChange[];
}
