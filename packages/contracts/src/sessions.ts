import { type PlannedDoneRow, type Sequence, STOP_SIGN_IDS, type StopSign, type WorkingSide } from '@clay-pot/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsObject, IsUUID, Max, Min, ValidateNested } from 'class-validator';
import { IsInstant, MayBeAbsent, MayBeNull, Text, Within } from './bounded.js';
import { SequenceInput } from './sequences.js';

const SCALE = { min: 0, max: 10, step: 1, unit: 'on the scale' } as const;
const AMOUNT = { min: 0, max: 7200, step: 1, unit: '' } as const;

/** Begins a session: who, what, and the very document that is led. */
export class SessionInput {
  @IsUUID('7', { message: 'must be the id of an athlete' })
  athleteId: string;

  @IsUUID('7', { message: 'must be the id of a sequence' })
  sequenceId: string;

  @IsObject({ message: 'must be the sequence as it is led' })
  @ValidateNested()
  @Type(() => SequenceInput)
  plan: SequenceInput;

  @IsInstant()
  startedAt: string;
}

export const SET_UNITS = ['repetitions', 'seconds', 'breaths'] as const;

/** One set as it was done: one hand (or both) in one direction. Rows are only ever added; a mistake is put right by another. */
export class DoneSetInput {
  @Text(64, 1)
  blockId: string;

  @Text(100, 1)
  movementId: string;

  @Text(100, 1)
  levelId: string;

  @IsInt({ message: 'must be a whole number' })
  @Min(1, { message: 'must be 1 or more' })
  @Max(20, { message: 'must be 20 or less' })
  set: number;

  @IsIn(['left', 'right', 'both'], { message: 'must be left, right or both' })
  side: WorkingSide;

  @MayBeNull()
  @Text(60, 1)
  direction: string | null;

  @IsIn(SET_UNITS, { message: `must be one of ${SET_UNITS.join(', ')}` })
  unit: (typeof SET_UNITS)[number];

  @Within(AMOUNT)
  plannedAmount: number;

  @Within(AMOUNT)
  doneAmount: number;

  @IsInstant()
  endedAt: string;

  /** Id of the set that this one replaces. */
  @MayBeNull()
  @IsUUID('7', { message: 'must be the id of a set' })
  corrects: string | null;
}

/** How a block felt. */
export class BlockReportInput {
  @Text(64, 1)
  blockId: string;

  @Within(SCALE)
  discomfort: number;

  @Within(SCALE)
  exertion: number;

  @Text(1000)
  note: string;

  @IsInstant()
  at: string;
}

export const ENDINGS = ['completed', 'ended early', 'stopped'] as const;
export type Ending = (typeof ENDINGS)[number];

export class SessionEndInput {
  @IsIn(ENDINGS, { message: `must be one of ${ENDINGS.join(', ')}` })
  ending: Ending;

  /** With `ending: stopped`. */
  @MayBeAbsent()
  @IsIn(STOP_SIGN_IDS, { message: `must be one of ${STOP_SIGN_IDS.join(', ')}` })
  stopSign?: StopSign;

  @Text(2000)
  note: string;

  @IsInstant()
  endedAt: string;
}

export interface DoneSet extends DoneSetInput {
  id: string;
}
export interface BlockReport extends BlockReportInput {
  id: string;
}

export interface SessionListItem {
  id: string;
  athleteId: string;
  athleteName: string;
  sequenceId: string;
  title: string;
  startedAt: string;
  endedAt: string | null;
  /** Null while the session is open. */
  ending: Ending | null;
  stopSign: StopSign | null;
  plannedMs: number;
  /** Share of the planned work that was done, 0–1. */
  completion: number;
  maxDiscomfort: number | null;
  meanExertion: number | null;
}

export interface SessionPage {
  items: SessionListItem[];
  /** Pass as `before` for the next page; null at the end. */
  nextBefore: string | null;
}

export interface SessionRecord extends SessionListItem {
  plan: Sequence;
  note: string;
  sets: DoneSet[];
  reports: BlockReport[];
  rows: PlannedDoneRow[];
}
