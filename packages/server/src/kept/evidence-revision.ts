import { In, IsNull } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';

/**
 * Each athlete has a revision of all that is computed about them: it is raised in the transaction that writes any of it, and whatever was
 * kept under an older one is computed again.
 */

/** What these athletes’ answers rest on changes with this transaction. */
export async function raiseEvidence(held: StudioScope, ...athleteIds: readonly string[]): Promise<void> {
  if (athleteIds.length > 0) await held.of(AthleteRow).raise({ id: In(athleteIds) }, 'evidenceRevision');
}

/** The same for everybody: what the whole studio has in common has changed. */
export async function raiseEvidenceOfAll(held: StudioScope): Promise<void> {
  await held.of(AthleteRow).raise({}, 'evidenceRevision');
}

/** The same for those who do a sequence, assigned or in a programme; one that nobody does concerns nobody. */
export async function raiseEvidenceOfWhoDo(held: StudioScope, sequenceId: string): Promise<void> {
  const [assigned, planned] = await Promise.all([
    held.of(AssignmentRow).find({ select: { id: true, athleteId: true }, where: { sequenceId } }),
    held
      .of(ProgrammeRow)
      .query('programme')
      .select('DISTINCT programme.athlete_id', 'athleteId')
      .andWhere({ removedAt: IsNull() })
      .andWhere("JSON_CONTAINS(JSON_EXTRACT(programme.document, '$.plans[*].sequenceId'), JSON_QUOTE(:sequenceId))", { sequenceId })
      .getRawMany<{ athleteId: string }>(),
  ]);
  await raiseEvidence(held, ...new Set([...assigned, ...planned].map(({ athleteId }) => athleteId)));
}
