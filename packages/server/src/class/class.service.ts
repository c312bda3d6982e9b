import type { ClassRow } from '@clay-pot/contracts';
import { CLASS_THINGS, type Hand, latestReading, attentionNeeded, type ReadingKind } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { decidedSessions } from '../suggestions/decided-sessions.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { IntakeRow } from '../intakes/intake.entity.js';
import { ReadingsService } from '../readings/readings.service.js';
import { latestOfEach } from '../sessions/session-list.js';

/** Puts a whole studio side by side. */
@Injectable()
export class ClassService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
  ) {}

  /** Who needs a look first; whom nothing asks for last, by name. */
  async table(scope: StudioScope): Promise<ClassRow[]> {
    const today = dayIn(scope.timeZone, this.clock.now());
    const [athletes, sessions, readings, lastDays, repeats, decided, lastAsked] = await Promise.all([
      scope.of(AthleteRow).find({ order: { name: 'ASC' } }),
      latestOfEach(scope),
      this.readings.ofThings(scope, CLASS_THINGS),
      this.readings.lastDays(scope),
      this.readings.repeats(scope),
      decidedSessions(scope),
      scope
        .of(IntakeRow)
        .query('intake')
        .select(['intake.athlete_id AS athleteId', 'MAX(intake.on_day) AS onDay'])
        .groupBy('intake.athlete_id')
        .getRawMany<{ athleteId: string; onDay: string }>(),
    ]);
    const askedOf = new Map(lastAsked.map(({ athleteId, onDay }) => [athleteId, onDay]));
    const sessionOf = new Map(sessions.map((session) => [session.athleteId, session]));
    const rows = athletes.map((athlete): ClassRow => {
      const mine = readings.get(athlete.id) ?? [];
      const measuredOn = lastDays.get(athlete.id) ?? null;
      const session = sessionOf.get(athlete.id);
      const askedOn = askedOf.get(athlete.id) ?? null;
      const lastSessionOn = session?.onDay ?? null;
      const look = attentionNeeded(
        {
          ...{
            cautions: athlete.cautions,
            dominantHand: athlete.dominantHand,
            askedOn,
            readings: mine,
            measuredOn,
            repeats,
          },
          lastSession: session && lastSessionOn ? { ...session, onDay: lastSessionOn, isDecided: decided.has(session.id) } : null,
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
        ...{ measuredOn, askedOn, lastSessionOn },
      };
    });
    return rows.sort((a, b) => b.weight - a.weight || a.name.localeCompare(b.name));
  }
}
