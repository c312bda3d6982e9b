import {
  addDays,
  amountAt,
  attentionNeeded,
  barredWords,
  cautionsOn,
  changesSince,
  dueInProgramme,
  dueOn,
  forbidsLoading,
  type Hand,
  isNextDayCheckDue,
  latestReading,
  type ReadingKind,
  type Repeats,
} from '@clay-pot/core';
import type { ClassRow, TodayChange, TodayDue, TodayMorning } from '@clay-pot/contracts';
import { dayIn } from '../http/clock.js';
import type { Material } from './overview-material.js';

/** All that the screens of a whole studio show of one athlete. */
export interface Overview {
  readonly row: ClassRow;
  readonly due: readonly TodayDue[];
  readonly changes: readonly TodayChange[];
  /** The newest session before today whose next-day check is due. */
  readonly morning: TodayMorning | null;
  /** The last session that ended, and whether somebody said already what comes next. */
  readonly latestId: string | null;
  readonly isDecided: boolean;
}

/** The studio’s calendar, and what its readings scatter by. */
export interface OverviewDay {
  readonly today: string;
  readonly timeZone: string;
  readonly repeats: readonly Repeats[];
}

/** Puts together what is shown of an athlete on a day. */
export function overviewOf(material: Material, on: OverviewDay): Overview {
  const { athlete, recent, intakes, latest, isDecided } = material;
  const changes = changesSince(
    { sessions: recent.filter(({ ending }) => ending !== null), intakes, cautions: athlete.cautions },
    addDays(on.today, -1),
    on.today,
  );
  return {
    row: classRowOf(material, on),
    due: dueOf(material, on.today),
    changes: changes.map((change) => ({ ...change, athleteId: athlete.id, athleteName: athlete.name })),
    morning: morningOf(material, on),
    latestId: latest?.id ?? null,
    isDecided,
  };
}

function classRowOf({ athlete, latest, isDecided, readings, measuredOn, askedOn }: Material, { today, repeats }: OverviewDay): ClassRow {
  const lastSessionOn = latest?.onDay ?? null;
  const { cautions, dominantHand } = athlete;
  const look = attentionNeeded(
    {
      ...{ cautions, dominantHand, askedOn, readings, measuredOn, repeats },
      lastSession: latest && { ...latest, isDecided },
    },
    today,
  );
  const both = (kind: ReadingKind, of: string): Record<Hand, number | null> => ({
    left: latestReading(readings, kind, of, 'left')?.value ?? null,
    right: latestReading(readings, kind, of, 'right')?.value ?? null,
  });
  return {
    ...{ athleteId: athlete.id, name: athlete.name, practice: athlete.practice },
    ...{ weight: look.weight, reasons: [...look.reasons] },
    extensionDeg: both('passive range', 'wrist extension'),
    gripN: both('maximum', 'grip'),
    ...{ measuredOn, askedOn, lastSessionOn },
  };
}

function dueOf({ athlete, recent, latest, assignments, programmes, sequenceOf }: Material, today: string): TodayDue[] {
  const sessionDays = recent.filter(({ ending }) => ending !== null).map((session) => ({ ...session, day: session.onDay }));
  const stops = cautionsOn(athlete, today).filter(forbidsLoading).map(barredWords);
  const dueItem = (sequenceId: string, rest: Pick<TodayDue, 'from' | 'state'> & { readonly missedDays: readonly string[] }): TodayDue[] => {
    const sequence = sequenceOf.get(sequenceId);
    if (!sequence) return [];
    return [
      {
        ...{ sequenceId, ...rest, stops },
        ...{ athleteId: athlete.id, athleteName: athlete.name, practice: athlete.practice },
        ...{ sequenceTitle: sequence.title, durationMs: sequence.durationMs },
        missedDays: [...rest.missedDays],
        lastSession: latest,
      },
    ];
  };
  const ofProgrammes = programmes.flatMap(({ id, document }) =>
    dueInProgramme(document, sessionDays, today).flatMap(({ sequenceId, sessionId, state, missedDays }) =>
      dueItem(sequenceId, { from: { kind: 'programme', id, sessionId, amountPercent: amountAt(document, today) }, state, missedDays }),
    ),
  );
  const known = assignments.filter(({ sequenceId }) => sequenceOf.has(sequenceId));
  const given = dueOn(today, known, sessionDays).flatMap(({ assignment, state, missedDays }) =>
    dueItem(assignment.sequenceId, { from: { kind: 'given', id: assignment.id }, state, missedDays }),
  );
  // What a programme has on a day is due once, though it was given by itself as well.
  return [...ofProgrammes, ...given.filter((item) => !ofProgrammes.some(({ sequenceId }) => sequenceId === item.sequenceId))];
}

function morningOf({ recent, checkBefore }: Material, { today, timeZone }: OverviewDay): TodayMorning | null {
  for (const { id, athleteId, athleteName, title, endedAt, ending, morning } of recent) {
    if (endedAt === null) continue;
    const endedOn = dayIn(timeZone, new Date(endedAt));
    // The hands of a session of today had no morning yet: it hides none that is asked for.
    if (endedOn >= today) continue;
    if (ending === 'stopped' || !isNextDayCheckDue(endedOn, morning !== null, today)) return null;
    return { ...{ sessionId: id, athleteId, athleteName, title, endedAt }, before: checkBefore.get(id) ?? null };
  }
  return null;
}
