import type { Limit } from '../vocabulary/limit.js';
import { type Phase, PHASES } from '../vocabulary/phases.js';
import { SESSION_TESTS } from '../vocabulary/session-tests.js';
import { bounded, list, type Of, oneOf, onlyTrue, optional, record, text } from '../vocabulary/schema.js';
import { LOOK_STOPS } from '../vocabulary/rechecks.js';
import { BLOCK_LIMITS } from './block-limits.js';
import { DOSE, DOSE_LIMITS } from './dose.js';
import { ROUND } from './round.js';

export { BLOCK_LIMITS };

/** Bounds of a sequence document, wherever it comes from. */
export const SEQUENCE_LIMITS = {
  titleLength: 120,
  purposeLength: 500,
  noteLength: 500,
  methodIdLength: 64,
  blocks: 120,
  rounds: 40,
  mutes: 60,
  tests: 4,
  muteReasonLength: 200,
  tags: 8,
  tagLength: 24,
  /** Repetitions, breaths and timed pieces of all blocks together: four hours of one a second, which nobody leads. */
  pieces: 15_000,
  budgetMin: { min: 1, max: 240, step: 1, unit: 'min' },
  pacingS: { min: 0, max: 60, step: 1, unit: 's' },
  breathS: { min: 1, max: 20, step: 0.5, unit: 's' },
} as const satisfies Record<string, Limit | number>;

/** A movement at a level with a dose. */
export const BLOCK = record(
  {
    id: text(BLOCK_LIMITS.idLength, 1),
    phase: oneOf(PHASES, 'Phase'),
    movementId: text(BLOCK_LIMITS.nameLength, 1),
    levelId: text(BLOCK_LIMITS.nameLength, 1),
    dose: DOSE,
    /** A longer pause before it, in which things are fetched: between groups of like movements. */
    breakS: optional(bounded(DOSE_LIMITS.restS, 'Break before')),
    /** Follows the block before it without a change and without time to get ready. */
    atOnce: optional(onlyTrue()),
    /** Led only where time is left when it comes. */
    bonus: optional(onlyTrue()),
    /** Where hands are compared, or range is looked at again. */
    lookAgain: optional(list(oneOf(LOOK_STOPS, 'Recheck'), { min: 1, max: LOOK_STOPS.length, unique: true })),
    note: optional(text(SEQUENCE_LIMITS.noteLength, 0, 'Note')),
    /** Why it was chosen, where it was generated: kept while it is that movement. */
    why: optional(text(SEQUENCE_LIMITS.noteLength, 1, 'Reason')),
  },
  { what: 'a block' },
);
/** One movement at one level with one dose, in its phase. */
export type Block = Of<typeof BLOCK>;

/** How the clock of a sequence runs between and inside the blocks. */
export const PACING = record(
  {
    /** Time to get ready before the first block; the usual where nobody said. */
    readyS: optional(bounded(SEQUENCE_LIMITS.pacingS, 'Get ready')),
    /** Time to hear what comes next, before moving to it. */
    announceS: bounded(SEQUENCE_LIMITS.pacingS, 'Announce'),
    /** Time to change hands, and to turn to the other direction. */
    changeSidesS: bounded(SEQUENCE_LIMITS.pacingS, 'Change sides'),
    breathInS: bounded(SEQUENCE_LIMITS.breathS, 'Breath in'),
    breathOutS: bounded(SEQUENCE_LIMITS.breathS, 'Breath out'),
  },
  { what: 'the pacing of the sequence' },
);
/** Seconds that lie between things. */
export type Pacing = Of<typeof PACING>;

/** Four seconds in, six out is the slow breath that stretches are paced by. */
export const USUAL_PACING = {
  readyS: 10,
  announceS: 5,
  changeSidesS: 3,
  breathInS: 4,
  breathOutS: 6,
} as const satisfies Pacing;

/** A check that is left unheeded on purpose, with the reason; rules of safety cannot be. */
export const MUTE = record(
  { check: text(64, 1), reason: text(SEQUENCE_LIMITS.muteReasonLength, 1, 'Reason') },
  { what: 'a check and the reason' },
);
/** A check that is not heard in this sequence, and why. */
export type Mute = Of<typeof MUTE>;

/** The fields of a sequence: the document itself, and what its file holds besides its format. */
export const SEQUENCE_FIELDS = {
  title: text(SEQUENCE_LIMITS.titleLength, 1, 'Title'),
  purpose: text(SEQUENCE_LIMITS.purposeLength, 0, 'Purpose'),
  /** Minutes that there are. */
  budgetMin: bounded(SEQUENCE_LIMITS.budgetMin, 'Minutes'),
  pacing: PACING,
  blocks: list(BLOCK, { max: SEQUENCE_LIMITS.blocks, what: `a list of at most ${SEQUENCE_LIMITS.blocks} blocks` }),
  /** Neighbouring blocks that are taken in turn, several times over. */
  rounds: optional(list(ROUND, { max: SEQUENCE_LIMITS.rounds })),
  /** Id of its method; without one the usual method. */
  methodId: optional(text(SEQUENCE_LIMITS.methodIdLength, 1)),
  mutes: optional(list(MUTE, { max: SEQUENCE_LIMITS.mutes })),
  /** Measured before the first block and after the last. */
  tests: optional(list(oneOf(SESSION_TESTS, 'Test'), { max: SEQUENCE_LIMITS.tests })),
};

/** An ordered list of blocks in phases: what a coach designs and an athlete follows. */
export const SEQUENCE = record(SEQUENCE_FIELDS, { what: 'a sequence document' });
/** Blocks in the order in which they are led, with the fields of each. */
export type Sequence = Of<typeof SEQUENCE>;

/** Neighbouring blocks of one phase, as they are shown together: a phase may come twice. */
export interface PhaseRun {
  readonly phase: Phase;
  readonly blocks: readonly Block[];
}

/** Blocks in the order in which they are written, grouped by their phases. */
export function phaseRuns(blocks: readonly Block[]): PhaseRun[] {
  const runs: { phase: Phase; blocks: Block[] }[] = [];
  for (const block of blocks) {
    const last = runs.at(-1);
    if (last?.phase === block.phase) last.blocks.push(block);
    else runs.push({ phase: block.phase, blocks: [block] });
  }
  return runs;
}

/** Blocks sorted by their phases; within a phase the coach's order stays. */
export function inPhaseOrder(blocks: readonly Block[]): Block[] {
  return PHASES.flatMap((phase) => blocks.filter((block) => block.phase === phase));
}

/** The movements that a sequence names, each once, in the order in which they come first. */
export const movementIdsOf = ({ blocks }: Pick<Sequence, 'blocks'>): string[] => [...new Set(blocks.map(({ movementId }) => movementId))];
