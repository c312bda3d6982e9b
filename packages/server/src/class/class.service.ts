import type { ClassRow, SessionListItem } from '@clay-pot/contracts';
import {
  allRepeats,
  CLASS_THINGS,
  type Hand,
  latestReading,
  needsALook,
  type Reading,
  type ReadingKind,
} from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { In, MoreThanOrEqual } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { IntakeRow } from '../intakes/intake.entity.js';
import { ReadingRow } from '../readings/reading.entity.js';
import { latestOfEach } from '../sessions/session-list.js';

/** Readings of longer ago change nothing of who needs a look today. */
const LOOK_BACK_DAYS = 400;

/** Puts a whole studio side by side. */
@Injectable()
export class ClassService {
  constructor(private readonly clock: Clock) {}

  /** Who needs a look first; whom nothing asks for last, by name. */
  async table(scope: StudioScope): Promise<ClassRow[]> {
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const since = dayIn(scope.timeZone, subDays(now, LOOK_BACK_DAYS));
    const [athletes, sessions, readings, asked] = await Promise.all([
      scope.of(AthleteRow).find({ order: { name: 'ASC' } }),
      latestOfEach(scope),
      scope.of(ReadingRow).find({
        where: { onDay: MoreThanOrEqual(since), kind: In(CLASS_THINGS.map(({ kind }) => kind)), of: In(CLASS_THINGS.map(({ of }) => of)) }, // prettier-ignore
        order: { onDay: 'ASC', id: 'ASC' },
      }),
      scope
        .of(IntakeRow)
        .query('intake')
        .select(['intake.athlete_id AS athleteId', 'MAX(intake.on_day) AS onDay'])
        .groupBy('intake.athlete_id')
        .getRawMany<{ athleteId: string; onDay: string }>(),
    ]);
    const readingsOf = grouped(readings);
    const repeats = allRepeats([...readingsOf.values()].map((rows) => rows.map(plain)));
    const askedOf = new Map(asked.map(({ athleteId, onDay }) => [athleteId, onDay]));
    const sessionOf = new Map(sessions.map((session) => [session.athleteId, session]));
    const rows = athletes.map((athlete): ClassRow => {
      const mine = (readingsOf.get(athlete.id) ?? []).map(plain);
      const session = sessionOf.get(athlete.id);
      const askedOn = askedOf.get(athlete.id) ?? null;
      const lastSessionOn = session ? dayIn(scope.timeZone, new Date(session.startedAt)) : null;
      const look = needsALook(
        {
          ...{ cautions: athlete.cautions, dominantHand: athlete.dominantHand, askedOn, readings: mine, repeats },
          lastSession: session && lastSessionOn ? outcomeOf(session, lastSessionOn) : null,
        },
        today,
      );
      const both = (kind: ReadingKind, of: string): Record<Hand, number | null> => ({
        left: latestReading(mine, kind, of, 'left')?.value ?? null,
        right: latestReading(mine, kind, of, 'right')?.value ?? null,
      });
      return {
        ...{ athleteId: athlete.id, name: athlete.name, practice: athlete.practice },
        ...{ weight: look.weight, reasons: [...look.reasons] },
        extensionDeg: both('passive range', 'wrist extension'),
        gripN: both('maximum', 'grip'),
        measuredOn: mine.at(-1)?.onDay ?? null,
        ...{ askedOn, lastSessionOn },
      };
    });
    return rows.sort((a, b) => b.weight - a.weight || a.name.localeCompare(b.name));
  }
}

const outcomeOf = (session: SessionListItem, onDay: string) => ({ ...session, onDay, isDecided: session.decision !== null }); // prettier-ignore

function grouped(rows: readonly ReadingRow[]): Map<string, ReadingRow[]> {
  const groups = new Map<string, ReadingRow[]>();
  for (const row of rows) {
    const group = groups.get(row.athleteId);
    if (group) group.push(row);
    else groups.set(row.athleteId, [row]);
  }
  return groups;
}

const plain = ({ kind, of, hand, value, onDay, trials, detail, sessionId, moment }: ReadingRow): Reading => ({
  ...{ kind, of, hand, value, onDay },
  ...(trials && { trials: [...trials] }),
  ...(detail && { detail }),
  ...(sessionId && moment && { sessionId, moment }),
});
