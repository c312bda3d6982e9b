import { addDays, CLASS_THINGS, groupedBy, type MorningScores } from '@clay-pot/core';
import type { SessionListItem, StoredReading } from '@clay-pot/contracts';
import { subDays } from 'date-fns';
import { In, IsNull, LessThanOrEqual, MoreThanOrEqual } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { IntakeRow } from '../intakes/intake.entity.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import type { ReadingsService } from '../readings/readings.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { decidedSessions } from '../suggestions/decided-sessions.js';
import { morningsBefore } from '../sessions/morning-before.js';
import { latestEnded, sessionsSince } from '../sessions/session-list.js';

/** Misses are counted over a week; one day more covers every time zone's start of day. */
const LOOK_BACK_DAYS = 8;
const SHOWN_OF_INTAKE = { id: true, athleteId: true, onDay: true, verdict: true } as const;
const SHOWN_OF_SEQUENCE = { id: true, title: true, durationMs: true } as const;

/** What an overview of an athlete is made of. */
export interface Material {
  readonly athlete: AthleteRow;
  /** The last that ended. */
  readonly latest: SessionListItem | null;
  /** Whether somebody said already what comes after the latest. */
  readonly isDecided: boolean;
  /** Of the last days, the latest first. */
  readonly recent: readonly SessionListItem[];
  /** Of what a class is compared by, the oldest first. */
  readonly readings: readonly StoredReading[];
  /** The day on which they were measured last, at anything. */
  readonly measuredOn: string | null;
  readonly askedOn: string | null;
  /** Since yesterday. */
  readonly intakes: readonly Pick<IntakeRow, 'onDay' | 'verdict'>[];
  readonly assignments: readonly AssignmentRow[];
  /** Those that run today. */
  readonly programmes: readonly ProgrammeRow[];
  readonly sequenceOf: ReadonlyMap<string, Pick<SequenceRow, 'id' | 'title' | 'durationMs'>>;
  /** The last next-day check before each recent session that has none yet, by its id. */
  readonly checkBefore: ReadonlyMap<string, MorningScores | null>;
}

/** Reads for some athletes at once what their overviews are made of. */
export async function materialOf(
  scope: StudioScope,
  readingsService: ReadingsService,
  ids: readonly string[],
  { now, today }: { now: Date; today: string },
): Promise<Material[]> {
  const of = { athleteId: In([...ids]) };
  const [athletes, latest, recent, readings, measured, asked, intakes, assignments, programmes] = await Promise.all([
    scope.of(AthleteRow).find({ where: { id: In([...ids]) } }),
    latestEnded(scope, ids),
    sessionsSince(scope, subDays(now, LOOK_BACK_DAYS), ids),
    readingsService.ofThings(scope, CLASS_THINGS, ids),
    lastDays(scope, 'readings', ids),
    lastDays(scope, 'intakes', ids),
    scope.of(IntakeRow).find({ select: SHOWN_OF_INTAKE, where: { ...of, onDay: MoreThanOrEqual(addDays(today, -1)) } }),
    scope.of(AssignmentRow).find({ where: of }),
    scope.of(ProgrammeRow).find({
      where: { ...of, removedAt: IsNull(), fromDay: LessThanOrEqual(today), lastDay: MoreThanOrEqual(today) },
    }),
  ]);
  const planned = programmes.flatMap(({ document }) => document.plans.map(({ sequenceId }) => sequenceId));
  const sequenceIds = [...new Set([...assignments.map(({ sequenceId }) => sequenceId), ...planned])];
  const [sequences, decided, checkBefore] = await Promise.all([
    scope.of(SequenceRow).find({ select: SHOWN_OF_SEQUENCE, where: { id: In(sequenceIds), removedAt: IsNull() } }),
    decidedSessions(
      scope,
      [...latest.values()].map(({ id }) => id),
    ),
    morningsBefore(
      scope,
      recent.filter(({ ending, morning }) => ending !== null && morning === null).map(({ id }) => id),
    ),
  ]);
  const sequenceOf = new Map(sequences.map((row) => [row.id, row]));
  const byAthlete = <R extends { athleteId: string }>(rows: readonly R[]) => groupedBy(rows, ({ athleteId }) => athleteId);
  const [recentOf, intakesOf, assignmentsOf, programmesOf] = [
    byAthlete(recent),
    byAthlete(intakes),
    byAthlete(assignments),
    byAthlete(programmes),
  ];
  return athletes.map((athlete): Material => {
    const { id } = athlete;
    const last = latest.get(id) ?? null;
    return {
      athlete,
      latest: last,
      isDecided: last !== null && decided.has(last.id),
      recent: recentOf.get(id) ?? [],
      readings: readings.get(id) ?? [],
      measuredOn: measured.get(id) ?? null,
      askedOn: asked.get(id) ?? null,
      intakes: intakesOf.get(id) ?? [],
      assignments: assignmentsOf.get(id) ?? [],
      programmes: programmesOf.get(id) ?? [],
      sequenceOf,
      checkBefore,
    };
  });
}

/** The last day of each athlete in a table that has days. */
async function lastDays(scope: StudioScope, table: 'readings' | 'intakes', ids: readonly string[]): Promise<Map<string, string>> {
  const rows = await scope.select<{ athleteId: string; onDay: string | null }>(
    // One step into the index for each, whatever lies before.
    `SELECT athlete.id AS athleteId, (SELECT MAX(entry.on_day) FROM ${table} entry WHERE entry.athlete_id = athlete.id) AS onDay
     FROM athletes athlete WHERE athlete.studio_id = ? AND athlete.id IN (?)`,
    [ids],
  );
  return new Map(rows.flatMap(({ athleteId, onDay }) => (onDay === null ? [] : [[athleteId, onDay] as const])));
}
