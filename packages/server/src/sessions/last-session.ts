import { IsNull, LessThan, Or } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import type { SessionRow } from './session.entities.js';

/** What people and sequences are sorted by: a session that is sent late was not their last one. */
export async function storeLastSession(
  held: StudioScope,
  { athleteId, sequenceId, startedAt }: Pick<SessionRow, 'athleteId' | 'sequenceId' | 'startedAt'>,
): Promise<void> {
  const isEarlier = Or(IsNull(), LessThan(startedAt));
  await held.of(SequenceRow).update({ id: sequenceId, lastUsedAt: isEarlier }, { lastUsedAt: startedAt });
  await held.of(AthleteRow).update({ id: athleteId, lastSessionAt: isEarlier }, { lastSessionAt: startedAt });
}
