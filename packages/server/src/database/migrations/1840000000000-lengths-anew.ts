import type { MigrationInterface, QueryRunner } from 'typeorm';
import { leaveToWorkOut } from './frozen.js';

/**
 * Getting to the first block, walking to what stands somewhere else and the pause after a held repetition take their time now: the lengths that lists
 * show are summed anew. What was done stands as it was recorded.
 */
export class LengthsAnew1840000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await leaveToWorkOut(runner, 'lengths');
  }

  /** The lengths are what the house that runs sums: an older one sums them again when a document is stored. */
  async down(): Promise<void> {
    // Nothing of the shape has changed.
  }
}
