import {
  list,
  oneOf,
  PROGRAMME,
  PROGRAMME_LIMITS,
  type Programme,
  type ProgrammeFinding,
  record,
  type Sentence,
  SEQUENCE,
  type Sequence,
  text,
  type WeekProgress,
  WEEKDAYS,
} from '@clay-pot/core';
import { PersonInput } from './mechanics.js';
import { IsDay, IsId, IsText } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

export type { CopyAnswer, EvaluateAnswer, EvaluatedSession, EvaluateWork } from '@clay-pot/core/answers';

/** Characters of a file: eight sequences of the longest, and four hundred sessions. */
const PROGRAMME_FILE_LENGTH = 900_000;

/** A programme as it is sent: whose, and the document. */
export class ProgrammeInput {
  @IsId('an athlete')
  readonly athleteId: string;
  @IsDocument(PROGRAMME)
  readonly document: Programme;
}

/** The text of a programme file, and for whom. */
export class ProgrammeFileInput {
  /** Id for the new programme, made by the sender. */
  @IsId('a new programme')
  readonly id: string;
  @IsId('an athlete')
  readonly athleteId: string;
  /** The whole text of the file. */
  @IsText(PROGRAMME_FILE_LENGTH, 1)
  readonly text: string;
}

/** A programme as it is kept. */
export interface StoredProgramme {
  id: string;
  etag: string;
  updatedAt: string;
  removed: boolean;
  athleteId: string;
  athleteName: string;
  document: Programme;
}

/** A programme in a list. */
export interface ProgrammeListItem {
  id: string;
  title: string;
  athleteId: string;
  athleteName: string;
  fromDay: string;
  lastDay: string;
  /** The first session after today; null where none is left. */
  next: { day: string; sequenceId: string } | null;
  updatedAt: string;
}

const PLANNED = record({ planId: text(PROGRAMME_LIMITS.idLength, 1, 'Plan'), sequence: SEQUENCE });

/** For whom a programme is computed, and from which day; the sequences of its plans are those of the studio, unless they are sent. */
export class EvaluateQuestion extends PersonInput {
  @IsDocument(PROGRAMME)
  readonly programme: Programme;
  @OptionalField()
  @IsDocument(list(PLANNED, { max: PROGRAMME_LIMITS.plans }))
  readonly sequences?: readonly { readonly planId: string; readonly sequence: Sequence }[];
  /** The studio’s today when left out. */
  @OptionalField()
  @IsDay('Today')
  readonly today?: string;
}

/** The private address of an athlete’s calendar. */
export interface CalendarLink {
  /** Null where there is none. */
  madeAt: string | null;
  /** Told once, when it is made: only its hash is kept. */
  path: string | null;
}

/** For whom a programme is copied, under which id, and on which weekdays they have time. */
export class CopyInput {
  /** Id of the copy, made by the sender. */
  @IsId('a copy')
  readonly copyId: string;
  @IsId('an athlete')
  readonly athleteId: string;
  /** As the source has them where left out. */
  @OptionalField()
  @IsDocument(list(oneOf<number>(WEEKDAYS), { min: 1, max: WEEKDAYS.length, unique: true, what: 'weekdays, each once' }))
  readonly weekdays?: readonly number[];
}

/** Somebody who follows a programme with a copy of their own. */
export interface CopyItem {
  /** Of the copy. */
  id: string;
  etag: string;
  athleteId: string;
  athleteName: string;
  weekdays: readonly number[] | null;
  lastDay: string;
  next: { day: string; sequenceId: string } | null;
  /** Week by week from its first. */
  weeks: WeekProgress[];
  /** Whether the source has changed since the copy was made, brought up to date, or kept. */
  isBehind: boolean;
}

/** A programme as another athlete would do it. */
export interface CopyPreview {
  athleteId: string;
  athleteName: string;
  document: Programme;
  /** What is other in it than in the source, or than in the copy that is there. */
  differences: readonly Sentence[];
  findings: readonly ProgrammeFinding[];
}
