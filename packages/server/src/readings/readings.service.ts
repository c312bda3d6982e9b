import type { ReadingInput, ReadingsAdded, ReadingsInput, RepeatsAnswer, StoredReading } from '@clay-pot/contracts';
import { allRepeats, checkReading, type Fault, type MeasuredThing, readingDoubt, sentenceText, same, under } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { In, MoreThanOrEqual } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid, notFound } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { ReadingRow } from './reading.entity.js';

/** Of the whole studio nothing longer ago is read: a hand that measures changes over the years, and so does one that is measured. */
const LOOK_BACK_DAYS = 400;
/** Ten times the sets that count. */
const LATEST_OF_ONE = 600;
/** The latest of a large studio are enough. */
const REPEATS_READINGS = 6000;

/** Keeps measurements: rows are added and taken out, never changed. */
@Injectable()
export class ReadingsService {
  constructor(private readonly clock: Clock) {}

  /** All of an athlete's, oldest first. */
  async list(scope: StudioScope, athleteId: string): Promise<StoredReading[]> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const rows = await scope.of(ReadingRow).find({ where: { athleteId }, order: { onDay: 'ASC', id: 'ASC' } });
    return rows.map(readingView);
  }

  /** The studio’s own repeats, pooled over its athletes. */
  async repeats(scope: StudioScope): Promise<RepeatsAnswer[]> {
    const latest = await scope.of(ReadingRow).find({
      where: { onDay: MoreThanOrEqual(this.since(scope)) },
      order: { onDay: 'DESC', id: 'DESC' },
      take: REPEATS_READINGS,
    });
    return allRepeats([...byAthlete(latest.reverse()).values()]);
  }

  /** The same of some things alone: only the latest sets of each count. */
  async repeatsOf(scope: StudioScope, things: readonly MeasuredThing[]): Promise<RepeatsAnswer[]> {
    const onDay = MoreThanOrEqual(this.since(scope));
    const latest = await Promise.all(
      things.map(({ kind, of }) =>
        scope.of(ReadingRow).find({ where: { kind, of, onDay }, order: { onDay: 'DESC', id: 'DESC' }, take: LATEST_OF_ONE }),
      ),
    );
    return allRepeats([...byAthlete(latest.flat().reverse()).values()]);
  }

  /** Readings of some things of some athletes, by athlete, the oldest first. */
  async ofThings(
    scope: StudioScope,
    things: readonly MeasuredThing[],
    athleteIds: readonly string[],
  ): Promise<Map<string, StoredReading[]>> {
    const where = {
      athleteId: In([...athleteIds]),
      kind: In(things.map(({ kind }) => kind)),
      of: In(things.map(({ of }) => of)),
      onDay: MoreThanOrEqual(this.since(scope)),
    };
    return byAthlete(await scope.of(ReadingRow).find({ where, order: { onDay: 'ASC', id: 'ASC' } }));
  }

  private since(scope: StudioScope): string {
    return dayIn(scope.timeZone, subDays(this.clock.now(), LOOK_BACK_DAYS));
  }

  /** Adds one; the same again is fine, another under the same id is refused. What fits another unit better is asked about before it is kept. */
  async add(scope: StudioScope, athleteId: string, id: string, input: ReadingInput): Promise<StoredReading> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const faults = this.faultsOf(scope, input);
    if (faults.length > 0) throw invalid(faults);
    await scope.transaction(async (held) => {
      if (await insert(held, athleteId, id, input)) await raiseEvidence(held, athleteId);
    });
    return { id, ...input };
  }

  /** Adds many, all of them or none; each reports its own fault. */
  async addAll(scope: StudioScope, athleteId: string, { readings }: ReadingsInput): Promise<ReadingsAdded> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const faults = readings.flatMap(({ reading }, index) => under(`/readings/${index}/reading`, this.faultsOf(scope, reading)));
    if (faults.length > 0) throw invalid(faults);
    return scope.transaction(async (held) => {
      let added = 0;
      for (const { id, reading } of readings) added += (await insert(held, athleteId, id, reading)) ? 1 : 0;
      if (added > 0) await raiseEvidence(held, athleteId);
      return { added, duplicates: readings.length - added };
    });
  }

  private faultsOf(scope: StudioScope, input: ReadingInput): Fault[] {
    const faults = checkReading(input, dayIn(scope.timeZone, this.clock.now()));
    if (faults.length > 0 || input.isSure) return faults;
    const doubt = readingDoubt(input);
    return doubt ? [{ pointer: '/value', message: `${sentenceText(doubt.text)} If it is right, send isSure: true.` }] : [];
  }

  async remove(scope: StudioScope, athleteId: string, id: string): Promise<void> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    await scope.transaction(async (held) => {
      if ((await held.of(ReadingRow).remove({ id, athleteId })) === 0) throw notFound('reading');
      await raiseEvidence(held, athleteId);
    });
  }
}

/** @returns whether it is new. @throws 409 where another reading has its id */
async function insert(scope: StudioScope, athleteId: string, id: string, input: ReadingInput): Promise<boolean> {
  const { trials = null, gauge = null, detail = null, isSure = false, sessionId = null, moment = null } = input;
  const row = { id, athleteId, ...input, trials, gauge, detail, isSure, sessionId, moment };
  if (await scope.of(ReadingRow).insert(row, 'reading')) return true;
  const there = await scope.of(ReadingRow).get(id, 'reading');
  const isSame = there.athleteId === athleteId && same<unknown>(readingView(there), readingView(row));
  if (!isSame) throw conflict('Another reading is stored under this id. Use a new id.');
  return false;
}

function byAthlete(rows: readonly ReadingRow[]): Map<string, StoredReading[]> {
  const groups = new Map<string, StoredReading[]>();
  for (const row of rows) {
    const mine = groups.get(row.athleteId);
    if (mine) mine.push(readingView(row));
    else groups.set(row.athleteId, [readingView(row)]);
  }
  return groups;
}

/** A row as the API shows it: fields without a value are left out. */
function readingView(row: Omit<ReadingRow, 'studioId'>): StoredReading {
  const { id, kind, of, hand, value, onDay, trials, gauge, detail, isSure, sessionId, moment } = row;
  return {
    ...{ id, kind, of, hand, value, onDay },
    ...(trials && { trials: [...trials] }),
    ...(gauge && { gauge }),
    ...(detail && { detail }),
    ...(isSure && { isSure }),
    ...(sessionId && moment && { sessionId, moment }),
  };
}
