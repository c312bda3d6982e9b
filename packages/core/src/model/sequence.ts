import type { Dose } from './dose.js';
import { type Phase, PHASES } from '../vocabulary/phases.js';

/** A movement at a level with a dose. */
export interface Block {
  readonly id: string;
  readonly phase: Phase;
  readonly movementId: string;
  readonly levelId: string;
  readonly dose: Dose;
  readonly note?: string;
}

/** How the clock of a sequence runs between and inside the blocks. */
export interface Pacing {
  /** Time to hear what comes next, before moving to it. */
  readonly announceS: number;
  /** Time to change hands, and to turn to the other direction. */
  readonly changeSidesS: number;
  readonly breathInS: number;
  readonly breathOutS: number;
}

/** Four seconds in, six out is the slow breath that stretches are paced by. */
export const USUAL_PACING: Pacing = { announceS: 5, changeSidesS: 3, breathInS: 4, breathOutS: 6 };

/** An ordered list of blocks in phases: what a coach designs and an athlete follows. */
export interface Sequence {
  readonly title: string;
  readonly purpose: string;
  /** Minutes that there are. */
  readonly budgetMin: number;
  readonly pacing: Pacing;
  readonly blocks: readonly Block[];
  /** Id of the method it goes by; without one the usual method. */
  readonly methodId?: string;
  /** Checks that this sequence leaves unheeded on purpose, each with the reason. */
  readonly mutes?: readonly Mute[];
}

/** A check that is muted for a sequence. */
export interface Mute {
  readonly check: string;
  readonly reason: string;
}

/** Bounds of a sequence document, wherever it comes from. */
export const SEQUENCE_LIMITS = {
  titleLength: 120,
  purposeLength: 500,
  noteLength: 500,
  blocks: 120,
  mutes: 60,
  muteReasonLength: 200,
  budgetMin: { min: 1, max: 240, step: 1, unit: 'min' },
  pacingS: { min: 0, max: 60, step: 1, unit: 's' },
  breathS: { min: 1, max: 20, step: 0.5, unit: 's' },
} as const;

/** Blocks in the order of their phases; within a phase the coach's order stays. */
export function inPhaseOrder(blocks: readonly Block[]): Block[] {
  return PHASES.flatMap((phase) => blocks.filter((block) => block.phase === phase));
}
