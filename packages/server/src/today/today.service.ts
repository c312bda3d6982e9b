import {
  amountAt,
  barredWords,
  callAfter,
  cautionAdvice,
  cautionsOn,
  dueInProgramme,
  dueOn,
  forbidsLoading,
  isMorningAsked,
  must,
} from '@clay-pot/core';
import type { SessionListItem, Today, TodayCall, TodayDue, TodayMorning } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { IsNull, LessThanOrEqual, MoreThanOrEqual } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { morningBefore } from '../sessions/morning-before.js';
import { latestOfEach, sessionsSince } from '../sessions/session-list.js';

/** Misses are counted over a week; one day more covers every time zone's start of day. */
const LOOK_BACK_DAYS = 8;
const RECENT_SHOWN = 12;
const SHOWN_OF_SEQUENCE = { id: true, title: true, durationMs: true } as const;

/** Puts together what a coach sees first. */
@Injectable()
export class TodayService {
  constructor(private readonly clock: Clock) {}

  async get(scope: StudioScope): Promise<Today> {
    const now = this.clock.now();
    const day = dayIn(scope.timeZone, now);
    const [athletes, sequences, assignments, programmes, recent, latest] = await Promise.all([
      scope.of(AthleteRow).find(),
      scope.of(SequenceRow).find({ select: SHOWN_OF_SEQUENCE, where: { removedAt: IsNull() } }),
      scope.of(AssignmentRow).find(),
      scope.of(ProgrammeRow).find({
        where: { removedAt: IsNull(), fromDay: LessThanOrEqual(day), lastDay: MoreThanOrEqual(day) },
      }),
      sessionsSince(scope, subDays(now, LOOK_BACK_DAYS)),
      latestOfEach(scope),
    ]);
    const athleteOf = new Map(athletes.map((row) => [row.id, row]));
    const sequenceOf = new Map(sequences.map((row) => [row.id, row]));
    const standing = assignments.filter((row) => sequenceOf.has(row.sequenceId));
    const sessionDays = recent
      .filter((session) => session.ending !== null)
      .map((session) => ({ ...session, day: dayIn(scope.timeZone, new Date(session.startedAt)) }));
    const present = (
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
        present(
          { sequenceId, athleteId },
          { from: { kind: 'programme', id, sessionId, amountPercent: amountAt(document, day) }, state, missedDays },
        ),
      ),
    );
    const given = dueOn(day, standing, sessionDays).flatMap(({ assignment, state, missedDays }) =>
      present(assignment, { from: { kind: 'given', id: assignment.id }, state, missedDays }),
    );
    // What a programme has on a day is due once, though it was given by itself as well.
    const isOfProgramme = (item: TodayDue) =>
      ofProgrammes.some((each) => each.athleteId === item.athleteId && each.sequenceId === item.sequenceId);
    const due = [...ofProgrammes, ...given.filter((item) => !isOfProgramme(item))];
    due.sort((a, b) => a.state.localeCompare(b.state) * -1 || a.athleteName.localeCompare(b.athleteName));
    const mornings = await this.mornings(scope, recent, day);
    return { day, due, calls: callsFor(athletes, latest, day), recent: recent.slice(0, RECENT_SHOWN), mornings };
  }

  /** Each athlete’s newest session of a day before, where nobody told the morning after yet, with the last one that was told of before it. */
  private async mornings(scope: StudioScope, recent: readonly SessionListItem[], day: string): Promise<TodayMorning[]> {
    const newest = new Map<string, { session: SessionListItem; endedAt: string; endedOn: string }>();
    for (const session of recent) {
      const { athleteId, endedAt } = session;
      if (endedAt === null || newest.has(athleteId)) continue;
      const endedOn = dayIn(scope.timeZone, new Date(endedAt));
      // The hands of a session of today had no morning yet: it hides none that is asked for.
      if (endedOn < day) newest.set(athleteId, { session, endedAt, endedOn });
    }
    const asked = [...newest.values()].filter(
      ({ session: { ending, morning }, endedOn }) =>
        ending !== 'stopped' && isMorningAsked(endedOn, morning !== null, day),
    );
    return Promise.all(
      asked.map(async ({ session: { id, athleteId, athleteName, title, startedAt }, endedAt }) => ({
        ...{ sessionId: id, athleteId, athleteName, title, endedAt },
        before: await morningBefore(scope, { athleteId, startedAt: new Date(startedAt) }),
      })),
    );
  }
}

/** What waits for the coach: referrals first, then each athlete's latest session that asks for a decision and has none. */
function callsFor(athletes: readonly AthleteRow[], latest: readonly SessionListItem[], day: string): TodayCall[] {
  return athletes
    .flatMap((athlete): TodayCall[] => {
      const who = { athleteId: athlete.id, athleteName: athlete.name };
      const barred = cautionsOn(athlete, day).find(forbidsLoading);
      if (barred) {
        return [
          {
            ...who,
            kind: 'refer',
            reason: cautionAdvice(barred),
            sessionId: barred.stopped?.sessionId ?? null,
            sequenceId: null,
          },
        ];
      }
      const last = latest.find((session) => session.athleteId === athlete.id);
      // What was decided about, by whichever word, waits no longer.
      if (!last || last.decision !== null) return [];
      const { proposed, reason } = callAfter(last);
      if (proposed === 'go-on') return [];
      return [{ ...who, kind: proposed, reason, sessionId: last.id, sequenceId: last.sequenceId }];
    })
    .sort((a, b) => ORDER[a.kind] - ORDER[b.kind] || a.athleteName.localeCompare(b.athleteName));
}

const ORDER: Record<TodayCall['kind'], number> = { refer: 0, ease: 1, rest: 2, hold: 3, 'go-on': 4 };
