import {
  type Balance,
  BLOCK_LIMITS,
  type BlockAccount,
  type Coverage,
  type Edit,
  type EventKind,
  type Hand,
  type HandAccount,
  idOf,
  instant,
  list,
  type MuscleGroup,
  type Of,
  optional,
  record,
  SEQUENCE,
  SEQUENCE_LIMITS,
  type Severity,
  text,
  type WorkingSide,
} from '@clay-pot/core';
import { BODY_INPUT } from './mechanics.js';

/** A sequence and for whom: an athlete of the studio, a body, or nobody in particular. */
export const EFFORT_QUESTION = record({
  athleteId: optional(idOf('an athlete')),
  body: optional(BODY_INPUT),
  sequence: SEQUENCE,
  /** When the session would begin, for what earlier ones have left; now when left out. */
  at: optional(instant()),
});
/** Whom a sequence is computed for: an athlete of the studio, or a body by itself. */
export type EffortQuestion = Of<typeof EFFORT_QUESTION>;

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
  /** The first work that cannot be held to its end. */
  failure: { blockId: string; atMs: number; heldS: number; askedS: number; restS: number | null } | null;
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

/** What a check says, with the edits that would answer it. */
export interface SessionFinding {
  check: string;
  title: string;
  severity: Severity;
  text: string;
  why: string;
  source: string;
  blockIds: string[];
  /** The reason for which the sequence leaves it unheeded. */
  muted: string | null;
}

/** Which finding of a sequence is to be answered. */
export const OFFERS_QUESTION = record({
  ...EFFORT_QUESTION.properties,
  check: text(60, 1),
  /** Of which blocks, as the finding names them. */
  blockIds: list(text(BLOCK_LIMITS.idLength, 1), { max: SEQUENCE_LIMITS.blocks }),
});
/** Whom and what it is about, and the finding. */
export type OffersQuestion = Of<typeof OFFERS_QUESTION>;

/** What would answer a finding without raising another as grave, the gentlest first. */
export interface OffersAnswer {
  offers: { label: string; edits: Edit[] }[];
}

/** What a session comes to: loads, doses, balance, and what the checks find. */
export interface EffortSessionAnswer extends EffortTimelineAnswer {
  /** The method that it was judged by. */
  method: { id: string; name: string };
  account: { hands: Record<Hand, HandAccount>; blocks: BlockAccount[] };
  /** Doses of opposites; a ratio is null when there is too little to compare, or nothing on the other side. */
  balance: Balance;
  coverage: Coverage;
  /** What the pot's shape says. */
  shape: string[];
  findings: SessionFinding[];
}
