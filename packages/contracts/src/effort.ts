import {
  type Balance,
  BLOCK_LIMITS,
  type Action,
  type BlockAccount,
  type BlockGroup,
  type Coverage,
  type Edit,
  type EventKind,
  type Hand,
  type HandAccount,
  list,
  type MuscleGroup,
  type Sequence,
  SEQUENCE,
  SEQUENCE_LIMITS,
  type Severity,
  text,
  type WorkingSide,
  type Sentence,
} from '@clay-pot/core';
import { PersonInput } from './mechanics.js';
import { IsInstant, IsText } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

const CHECK_ID_LENGTH = 60;

/** A sequence and for whom: an athlete of the studio, a body, or nobody in particular. */
export class EffortQuestion extends PersonInput {
  @IsDocument(SEQUENCE)
  readonly sequence: Sequence;
  /** When the session would begin, for what earlier ones have left; now when left out. */
  @OptionalField()
  @IsInstant()
  readonly at?: string;
}

/** One muscle group on one side over the session. */
export interface GroupFatigue {
  hand: Hand;
  group: MuscleGroup;
  /** Share of the rested maximum left, 1 is rested; at the start and after each change of effort. */
  course: { atMs: number; capacityLeft: number }[];
  lowestCapacityLeft: number;
  /** Σ time / endurance time: 1 is one hold to failure's worth. */
  enduranceDose: number;
  underLoadS: number;
  /** The first work of each block that cannot be held to its end. */
  failures: { blockId: string; atMs: number; heldS: number; neededS: number; asks: number; restS: number | null }[];
}

/** How each muscle group fares over the session. */
export interface EffortTimelineAnswer {
  durationMs: number;
  events: { kind: EventKind; blockId: string; startMs: number; durationMs: number; side: WorkingSide; set: number }[];
  groups: GroupFatigue[];
  /** Blocks that this body cannot take, with the reason. */
  impossible: { blockId: string; message: string }[];
  estimated: string[];
}

/** What one block comes to, hand by hand and group by group. */
export interface BlockAnswer extends BlockAccount {
  /** Every muscle group that works in it, the hardest first. */
  groups: BlockGroup[];
  /** How likely it is carried to its end, 0–1: the least of its groups. */
  chanceOfCompletion: number;
}

/** What a check says, with the edits that would answer it. */
export interface SessionFinding {
  check: string;
  title: string;
  severity: Severity;
  text: Sentence;
  why: string;
  source: string;
  blockIds: string[];
  /** The reason for which the sequence leaves it unheeded. */
  muted: string | null;
}

/** Which finding of a sequence is to be answered, and whom it is about. */
export class OffersQuestion extends EffortQuestion {
  @IsText(CHECK_ID_LENGTH, 1)
  readonly check: string;
  /** Of which blocks, as the finding names them. */
  @IsDocument(list(text(BLOCK_LIMITS.idLength, 1), { max: SEQUENCE_LIMITS.blocks }))
  readonly blockIds: readonly string[];
}

/** What would answer a finding without raising another as grave, the gentlest first. */
export interface OffersAnswer {
  offers: { label: Sentence; edits: Edit[] }[];
}

/** What a session comes to: loads, doses, balance, and what the checks find. */
export interface EffortSessionAnswer extends EffortTimelineAnswer {
  /** The method that it was judged by. */
  method: { id: string; name: string };
  account: { hands: Record<Hand, HandAccount>; blocks: BlockAnswer[] };
  /** The one measurement that would settle most of what is in doubt. */
  whatToMeasure: { hand: Hand; action: Action; decides: number; of: number; words: string } | null;
  /** Doses of opposites; a ratio is null when there is too little to compare, or nothing on the other side. */
  balance: Balance;
  coverage: Coverage;
  /** What the pot's shape says. */
  shape: string[];
  findings: SessionFinding[];
}
