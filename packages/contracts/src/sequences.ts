import {
  type Block,
  DIRECTION_PLANS,
  type DirectionPlan,
  type Dose,
  DOSE_LIMITS,
  type Pacing,
  type Phase,
  PHASES,
  type Sequence,
  SEQUENCE_LIMITS,
  type SequenceChange,
  SIDE_PLANS,
  type SidePlan,
  type Tempo,
  type Work,
  WORK_KINDS,
  type WorkKind,
} from '@clay-pot/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsObject, IsUUID, ValidateIf, ValidateNested } from 'class-validator';
import { MayBeAbsent, Text, Within } from './bounded.js';

const { pacingS, breathS } = SEQUENCE_LIMITS;

export class WorkInput {
  @IsIn(WORK_KINDS, { message: `must be one of ${WORK_KINDS.join(', ')}` })
  kind: WorkKind;

  /** Repetitions or breaths. */
  @ValidateIf((work: WorkInput) => work.kind !== 'time' || work.count !== undefined)
  @Within(DOSE_LIMITS.repetitions)
  count?: number;

  /** With `kind: time`. */
  @ValidateIf((work: WorkInput) => work.kind === 'time' || work.seconds !== undefined)
  @Within(DOSE_LIMITS.seconds)
  seconds?: number;
}

export class TempoInput implements Tempo {
  @Within(DOSE_LIMITS.tempoS)
  outS: number;

  @Within(DOSE_LIMITS.tempoS)
  backS: number;
}

export class DoseInput {
  @Within(DOSE_LIMITS.sets)
  sets: number;

  @IsObject({ message: 'must say how much: a kind of work and its amount' })
  @ValidateNested()
  @Type(() => WorkInput)
  work: WorkInput;

  @IsIn(SIDE_PLANS, { message: `must be one of ${SIDE_PLANS.join(', ')}` })
  sides: SidePlan;

  @IsIn(DIRECTION_PLANS, { message: `must be one of ${DIRECTION_PLANS.join(', ')}` })
  directions: DirectionPlan;

  @MayBeAbsent()
  @Within(DOSE_LIMITS.effortPercent)
  effortPercent?: number;

  @MayBeAbsent()
  @Within(DOSE_LIMITS.holdS)
  holdS?: number;

  @MayBeAbsent()
  @IsObject({ message: 'must have outS and backS' })
  @ValidateNested()
  @Type(() => TempoInput)
  tempo?: TempoInput;

  @Within(DOSE_LIMITS.restS)
  restS: number;
}

export class BlockInput {
  @Text(64, 1)
  id: string;

  @IsIn(PHASES, { message: `must be one of ${PHASES.join(', ')}` })
  phase: Phase;

  @Text(100, 1)
  movementId: string;

  @Text(100, 1)
  levelId: string;

  @IsObject({ message: 'must be a dose' })
  @ValidateNested()
  @Type(() => DoseInput)
  dose: DoseInput;

  @MayBeAbsent()
  @Text(SEQUENCE_LIMITS.noteLength)
  note?: string;
}

export class PacingInput implements Pacing {
  @Within(pacingS)
  announceS: number;

  @Within(pacingS)
  changeSidesS: number;

  @Within(breathS)
  breathInS: number;

  @Within(breathS)
  breathOutS: number;
}

export class MuteInput {
  /** Id of the check. */
  @Text(64, 1)
  check: string;

  @Text(SEQUENCE_LIMITS.muteReasonLength, 1)
  reason: string;
}

/** A sequence as one document. */
export class SequenceInput {
  @Text(SEQUENCE_LIMITS.titleLength, 1)
  title: string;

  @Text(SEQUENCE_LIMITS.purposeLength)
  purpose: string;

  @Within(SEQUENCE_LIMITS.budgetMin)
  budgetMin: number;

  @IsObject({ message: 'must be the pacing of the sequence' })
  @ValidateNested()
  @Type(() => PacingInput)
  pacing: PacingInput;

  @IsArray({ message: 'must be a list of blocks' })
  @ArrayMaxSize(SEQUENCE_LIMITS.blocks, { message: `must have at most ${SEQUENCE_LIMITS.blocks} blocks` })
  @ValidateNested({ each: true })
  @Type(() => BlockInput)
  blocks: BlockInput[];

  /** The method it goes by; without one the usual method. */
  @MayBeAbsent()
  @Text(64, 1)
  methodId?: string;

  /** Checks left unheeded on purpose; rules of safety cannot be. */
  @MayBeAbsent()
  @IsArray({ message: 'must be a list of mutes' })
  @ArrayMaxSize(SEQUENCE_LIMITS.mutes, { message: `must have at most ${SEQUENCE_LIMITS.mutes} mutes` })
  @ValidateNested({ each: true })
  @Type(() => MuteInput)
  mutes?: MuteInput[];
}

export class SequenceFileInput {
  /** Id for the new sequence, made by the sender. */
  @IsUUID('7', { message: 'must be a UUID version 7' })
  id: string;

  /** The whole text of the file. */
  @Text(500_000, 1)
  text: string;
}

/** A validated document as the core's type: validation and the core's own check have established the work union. */
export function toSequence(input: SequenceInput): Sequence {
  const blocks = input.blocks.map((block): Block => ({ ...block, dose: toDose(block.dose) }));
  return { ...input, blocks };
}

export function toDose({ work, tempo, ...rest }: DoseInput): Dose {
  return { ...rest, work: toWork(work), ...(tempo && { tempo: { outS: tempo.outS, backS: tempo.backS } }) };
}

function toWork({ kind, count, seconds }: WorkInput): Work {
  return kind === 'time' ? { kind, seconds: seconds! } : { kind, count: count! };
}

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
