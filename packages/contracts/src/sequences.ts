import { list, type Sequence, SEQUENCE, SEQUENCE_LIMITS, type SequenceChange, text } from '@clay-pot/core';
import { SEQUENCE_TEXT_LENGTH, type Interpretation, type TextFault } from '@clay-pot/core/exchange';
import { IsId, IsText, IsYesNo } from './validation/fields.js';
import { bodyOf, IsDocument } from './validation/is-document.js';

/** A sequence as it is sent. */
export class SequenceInput extends bodyOf(SEQUENCE) {}

/** The longest file that is taken, in characters. */
export const SEQUENCE_FILE_LENGTH = 500_000;

/** A file with a sequence, as text: faults name their line and column. */
export class SequenceFileInput {
  /** Id for the new sequence, made by the sender. */
  @IsId('a new sequence')
  readonly id: string;
  /** The whole text of the file. */
  @IsText(SEQUENCE_FILE_LENGTH, 1)
  readonly text: string;
}

/** A sequence as plain text, as a coach writes it in a message. */
export class SequenceTextInput {
  @IsText(SEQUENCE_TEXT_LENGTH, 1, 'Text')
  readonly text: string;
}

/** A studio's tags of a sequence. */
export const SEQUENCE_TAGS = list(text(SEQUENCE_LIMITS.tagLength, 1, 'Tag'), { max: SEQUENCE_LIMITS.tags, unique: true });

/** How a studio files a sequence: apart from its document and its versions. */
export class SequenceFilingInput {
  @IsDocument(SEQUENCE_TAGS)
  readonly tags: readonly string[];
  @IsYesNo()
  readonly isFavourite: boolean;
  /** Archived sequences are kept and can be led, but aren't offered. */
  @IsYesNo()
  readonly isArchived: boolean;
}

/** What a text was read as, with what was taken for names that were not written to the letter, and the lines that were not understood. */
export interface SequenceTextAnswer {
  /** All that was understood. */
  document: Sequence;
  interpretations: readonly Interpretation[];
  /** Lines that are not in the document, each with lines that could be meant. */
  faults: readonly TextFault[];
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
  /** When it was last led; null where it never was. */
  lastUsedAt: string | null;
  tags: readonly string[];
  isFavourite: boolean;
  isArchived: boolean;
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
