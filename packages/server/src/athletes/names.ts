import { In } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { AthleteRow } from './athlete.entity.js';

/** The names of the athletes that some rows belong to, by their ids. */
export async function namesOf(scope: StudioScope, rows: readonly { readonly athleteId: string }[]): Promise<Map<string, string>> {
  const ids = [...new Set(rows.map(({ athleteId }) => athleteId))];
  if (ids.length === 0) return new Map();
  const athletes = await scope.of(AthleteRow).find({ select: { id: true, name: true }, where: { id: In(ids) } });
  return new Map(athletes.map(({ id, name }) => [id, name]));
}
