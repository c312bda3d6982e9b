import type { ReadingInput, StoredReading } from '@clay-pot/contracts';
import { checkReading } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid, notFound } from '../http/problem.js';
import { ReadingRow } from './reading.entity.js';

/** Keeps measurements: rows are added and taken out, never changed. */
@Injectable()
export class ReadingsService {
  constructor(private readonly clock: Clock) {}

  /** All of an athlete's, oldest first. */
  async list(scope: StudioScope, athleteId: string): Promise<StoredReading[]> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const rows = await scope.of(ReadingRow).find({ where: { athleteId }, order: { onDay: 'ASC', id: 'ASC' } });
    return rows.map(({ studioId: _studio, athleteId: _athlete, ...reading }) => reading);
  }

  /** Adds one; the same again is fine, another under the same id is refused. */
  async add(scope: StudioScope, athleteId: string, id: string, input: ReadingInput): Promise<StoredReading> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const faults = checkReading(input, dayIn(scope.timeZone, this.clock.now()));
    if (faults.length) throw invalid(faults);
    const row = { id, athleteId, ...input };
    if (!(await scope.of(ReadingRow).insert(row, 'reading'))) {
      const there = await scope.of(ReadingRow).get(id, 'reading');
      const same = Object.entries(row).every(([key, value]) => there[key as keyof ReadingRow] === value);
      if (!same) throw conflict('Another reading is recorded under this id: use a new id.');
    }
    return { id, ...input };
  }

  async remove(scope: StudioScope, athleteId: string, id: string): Promise<void> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    if ((await scope.of(ReadingRow).remove({ id, athleteId })) === 0) throw notFound('reading');
  }
}
