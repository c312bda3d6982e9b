import { createHash } from 'node:crypto';
import type { EntityTarget } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioOwned, StudioScope } from '../database/studio-scope.js';
import { MethodRow } from '../methods/method.entity.js';
import { MovementRow } from '../movements/movement.entity.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { ReadingRow } from '../readings/reading.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SessionRow } from '../sessions/session.entities.js';

/** Changes whenever what is recorded of one athlete does, summed by the database. */
const OF_ATHLETE: readonly [entity: EntityTarget<StudioOwned & { athleteId: string }>, sum: string][] = [
  [SessionRow, `BIT_XOR(CRC32(CONCAT_WS(' ', row.id, row.ending, row.revision)))`],
  [ReadingRow, `CONCAT_WS(' ', COUNT(*), MAX(row.id))`],
  [ProgrammeRow, `CONCAT_WS(' ', COUNT(row.removed_at), BIT_XOR(CRC32(CONCAT(row.id, row.row_version))))`],
  [AssignmentRow, `BIT_XOR(CRC32(CONCAT_WS(' ', row.id, row.sequence_id, row.weekdays, row.from_day)))`],
];

/** The same for what the whole studio has in common. */
const OF_STUDIO: readonly EntityTarget<StudioOwned>[] = [SequenceRow, MethodRow, MovementRow];

/** What tells whether an athlete’s calls are still those that were found: by what is recorded, and by the day. */
export async function fingerprintsOf(scope: StudioScope, day: string): Promise<Map<string, string>> {
  const [athletes, shared, ...sums] = await Promise.all([
    scope.of(AthleteRow).find({ select: { id: true, rowVersion: true } }),
    Promise.all(OF_STUDIO.map((entity) => sharedSum(scope, entity))),
    ...OF_ATHLETE.map(([entity, sum]) => sumsByAthlete(scope, entity, sum)),
  ]);
  return new Map(
    athletes.map(({ id, rowVersion }) => {
      const parts = [day, rowVersion, ...shared, ...sums.map((byAthlete) => byAthlete.get(id))];
      return [id, createHash('sha256').update(JSON.stringify(parts)).digest('hex')];
    }),
  );
}

async function sumsByAthlete(
  scope: StudioScope,
  entity: EntityTarget<StudioOwned & { athleteId: string }>,
  sum: string,
): Promise<Map<string, string>> {
  const rows = await scope
    .of(entity)
    .query('row')
    .select(['row.athlete_id AS athleteId', `${sum} AS sum`])
    .groupBy('row.athlete_id')
    .getRawMany<{ athleteId: string; sum: string }>();
  return new Map(rows.map(({ athleteId, sum: mine }) => [athleteId, mine]));
}

async function sharedSum(scope: StudioScope, entity: EntityTarget<StudioOwned>): Promise<string | undefined> {
  const row = await scope
    .of(entity)
    .query('row')
    .select('BIT_XOR(CRC32(CONCAT(row.id, row.row_version)))', 'sum')
    .getRawOne<{ sum: string }>();
  return row?.sum;
}
