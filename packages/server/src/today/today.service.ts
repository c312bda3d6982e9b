import {
  addDays,
  amountAt,
  barredWords,
  cautionsOn,
  changesSince,
  dueInProgramme,
  dueOn,
  forbidsLoading,
  isGrave,
  isNextDayCheckDue,
  must,
} from '@clay-pot/core';
import type { ClassRow, FirstSteps, SessionListItem, Today, TodayChange, TodayDue, TodayMorning } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { IsNull, LessThanOrEqual, MoreThanOrEqual } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { ClassService } from '../class/class.service.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { IntakeRow } from '../intakes/intake.entity.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { morningBefore } from '../sessions/morning-before.js';
import { latestOfEach, sessionsSince } from '../sessions/session-list.js';

/** How far a new studio has come; null where it has come far enough. */
function firstStepsOf(table: readonly ClassRow[], hasSequence: boolean): FirstSteps | null {
  const checkedIn = table.find(({ askedOn }) => askedOn !== null);
  if (checkedIn && hasSequence) return null;
  const next = checkedIn ?? table[0];
  return { athlete: next ? { id: next.athleteId, name: next.name } : null, hasCheckIn: checkedIn !== undefined, hasSequence };
}

/** Misses are counted over a week; one day more covers every time zone's start of day. */
const LOOK_BACK_DAYS = 8;
const RECENT_SHOWN = 12;
const SHOWN_OF_INTAKE = { id: true, athleteId: true, onDay: true, verdict: true } as const;
const SHOWN_OF_SEQUENCE = { id: true, title: true, durationMs: true } as const;

/** Puts together what a coach sees first. */
@Injectable()
export class TodayService {
  constructor(
    private readonly clock: Clock,
    private readonly classes: ClassService,
  ) {}

  async get(scope: StudioScope): Promise<Today> {
    const now = this.clock.now();
    const day = dayIn(scope.timeZone, now);
    const yesterday = addDays(day, -1);
    const [table, athletes, sequences, assignments, programmes, recent, latest, intakes] = await Promise.all([
      this.classes.table(scope),
      scope.of(AthleteRow).find(),
      scope.of(SequenceRow).find({ select: SHOWN_OF_SEQUENCE, where: { removedAt: IsNull() } }),
      scope.of(AssignmentRow).find(),
      scope.of(ProgrammeRow).find({
        where: { removedAt: IsNull(), fromDay: LessThanOrEqual(day), lastDay: MoreThanOrEqual(day) },
      }),
      sessionsSince(scope, subDays(now, LOOK_BACK_DAYS)),
      latestOfEach(scope),
      scope.of(IntakeRow).find({ select: SHOWN_OF_INTAKE, where: { onDay: MoreThanOrEqual(yesterday) } }),
    ]);
    const athleteOf = new Map(athletes.map((row) => [row.id, row]));
    const sequenceOf = new Map(sequences.map((row) => [row.id, row]));
    const standing = assignments.filter((row) => sequenceOf.has(row.sequenceId));
    const sessionDays = recent.filter((session) => session.ending !== null).map((session) => ({ ...session, day: session.onDay }));
    const dueItem = (
      { sequenceId, athleteId }: Pick<AssignmentRow, 'sequenceId' | 'athleteId'>,
      rest: Pick<TodayDue, 'from' | 'state'> & { readonly missedDays: readonly string[] },
    ): TodayDue[] => {
      const sequence = sequenceOf.get(sequenceId);
      if (!sequence) return [];
      const athlete = must(athleteOf.get(athleteId), 'the athlete of what is due');
      return [
        {
          ...{ sequenceId, athleteId, ...rest },
          athleteName: athlete.name,
          practice: athlete.practice,
          sequenceTitle: sequence.title,
          durationMs: sequence.durationMs,
          missedDays: [...rest.missedDays],
          lastSession: latest.find((session) => session.athleteId === athlete.id) ?? null,
          stops: cautionsOn(athlete, day).filter(forbidsLoading).map(barredWords),
        },
      ];
    };
    const ofProgrammes = programmes.flatMap(({ id, athleteId, document }) =>
      dueInProgramme(
        document,
        sessionDays.filter((session) => session.athleteId === athleteId),
        day,
      ).flatMap(({ sequenceId, sessionId, state, missedDays }) =>
        dueItem(
          { sequenceId, athleteId },
          { from: { kind: 'programme', id, sessionId, amountPercent: amountAt(document, day) }, state, missedDays },
        ),
      ),
    );
    const given = dueOn(day, standing, sessionDays).flatMap(({ assignment, state, missedDays }) =>
      dueItem(assignment, { from: { kind: 'given', id: assignment.id }, state, missedDays }),
    );
    // What a programme has on a day is due once, though it was given by itself as well.
    const isOfProgramme = (item: TodayDue) =>
      ofProgrammes.some((each) => each.athleteId === item.athleteId && each.sequenceId === item.sequenceId);
    const due = [...ofProgrammes, ...given.filter((item) => !isOfProgramme(item))];
    const placeOf = new Map(table.map(({ athleteId }, place) => [athleteId, place]));
    due.sort((a, b) => b.state.localeCompare(a.state) || (placeOf.get(a.athleteId) ?? 0) - (placeOf.get(b.athleteId) ?? 0));
    const mornings = await this.mornings(scope, recent, day);
    const atRisk = table.filter(isGrave).map(({ athleteId, name, reasons }) => ({ athleteId, athleteName: name, reasons }));
    const changes = athletes
      .flatMap((athlete): TodayChange[] =>
        changesSince(
          {
            sessions: recent.filter((session) => session.athleteId === athlete.id && session.ending !== null),
            intakes: intakes.filter((intake) => intake.athleteId === athlete.id),
            cautions: athlete.cautions,
          },
          yesterday,
          day,
        ).map((change) => ({ ...change, athleteId: athlete.id, athleteName: athlete.name })),
      )
      .toSorted((a, b) => Number(b.isGrave) - Number(a.isGrave) || (placeOf.get(a.athleteId) ?? 0) - (placeOf.get(b.athleteId) ?? 0));
    return {
      day,
      firstSteps: firstStepsOf(table, sequences.length > 0),
      atRisk,
      due,
      changes,
      recent: recent.slice(0, RECENT_SHOWN),
      mornings,
    };
  }

  /** Each athlete’s newest session before today that has no next-day check yet, with the last check before it. */
  private async mornings(scope: StudioScope, recent: readonly SessionListItem[], day: string): Promise<TodayMorning[]> {
    const newest = new Map<string, { session: SessionListItem; endedAt: string; endedOn: string }>();
    for (const session of recent) {
      const { athleteId, endedAt } = session;
      if (endedAt === null || newest.has(athleteId)) continue;
      const endedOn = dayIn(scope.timeZone, new Date(endedAt));
      // The hands of a session of today had no morning yet: it hides none that is asked for.
      if (endedOn < day) newest.set(athleteId, { session, endedAt, endedOn });
    }
    const checks = [...newest.values()].filter(
      ({ session: { ending, morning }, endedOn }) => ending !== 'stopped' && isNextDayCheckDue(endedOn, morning !== null, day),
    );
    return Promise.all(
      checks.map(async ({ session: { id, athleteId, athleteName, title, startedAt }, endedAt }) => ({
        ...{ sessionId: id, athleteId, athleteName, title, endedAt },
        before: await morningBefore(scope, { athleteId, startedAt: new Date(startedAt) }),
      })),
    );
  }
}
