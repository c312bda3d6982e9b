import type { Dose } from '../model/dose.js';
import type { Level, Movement } from '../model/movement.js';
import type { Block, Pacing } from '../model/sequence.js';

/** A block as it is done once: at the level and with the dose of that round. */
export interface OneTurn {
  readonly block: Block;
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
  /** Over that of the level: a later round may be faster. */
  readonly pace: number;
  readonly pacing: Pacing;
}
