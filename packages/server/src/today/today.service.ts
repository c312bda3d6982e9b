import {
  adviseOnDiscomfort,
  barredWords,
  cautionAdvice,
  cautionsOn,
  DISCOMFORT_WORDS,
  dueOn,
  forbidsLoading,
  must,
} from '@clay-pot/core';
import type { SessionListItem, Today, TodayCall } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { IsNull } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
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
    const [athletes, sequences, assignments, recent, latest] = await Promise.all([
      scope.of(AthleteRow).find(),
      scope.of(SequenceRow).find({ select: SHOWN_OF_SEQUENCE, where: { removedAt: IsNull() } }),
      scope.of(AssignmentRow).find(),
      sessionsSince(scope, subDays(now, LOOK_BACK_DAYS)),
      latestOfEach(scope),
    ]);
    const athleteOf = new Map(athletes.map((row) => [row.id, row]));
    const sequenceOf = new Map(sequences.map((row) => [row.id, row]));
    const standing = assignments.filter((row) => sequenceOf.has(row.sequenceId));
    const sessionDays = recent
      .filter((session) => session.ending !== null)
      .map((session) => ({ ...session, day: dayIn(scope.timeZone, new Date(session.startedAt)) }));
    const due = dueOn(day, standing, sessionDays).map(({ assignment, state, missedDays }) => {
      const athlete = must(athleteOf.get(assignment.athleteId), 'the athlete of an assignment');
      const { title, durationMs } = must(
        sequenceOf.get(assignment.sequenceId),
        'the sequence of a standing assignment',
      );
      return {
        assignmentId: assignment.id,
        sequenceId: assignment.sequenceId,
        athleteId: athlete.id,
        athleteName: athlete.name,
        practice: athlete.practice,
        sequenceTitle: title,
        durationMs,
        state,
        missedDays: [...missedDays],
        lastSession: latest.find((session) => session.athleteId === athlete.id) ?? null,
        stops: cautionsOn(athlete, day).filter(forbidsLoading).map(barredWords),
      };
    });
    due.sort((a, b) => a.state.localeCompare(b.state) * -1 || a.athleteName.localeCompare(b.athleteName));
    return { day, due, calls: callsFor(athletes, latest, day), recent: recent.slice(0, RECENT_SHOWN) };
  }
}

/** What waits for the coach: referrals first, then each athlete's latest session by the discomfort it ended with. */
function callsFor(athletes: readonly AthleteRow[], latest: readonly SessionListItem[], day: string): TodayCall[] {
  return athletes
    .flatMap((athlete): TodayCall[] => {
      const who = { athleteId: athlete.id, athleteName: athlete.name };
      const barred = cautionsOn(athlete, day).find(forbidsLoading);
      if (barred) {
        return [{ ...who, kind: 'refer', reason: cautionAdvice(barred), sessionId: barred.stopped?.sessionId ?? null }];
      }
      const last = latest.find((session) => session.athleteId === athlete.id);
      if (!last) return [];
      const advice =
        last.maxDiscomfort === null ? 'go-on' : adviseOnDiscomfort(last.maxDiscomfort, last.discomfortPolicy);
      if (advice === 'go-on') return [];
      const reason = `Discomfort ${last.maxDiscomfort} of 10 in the last session. ${DISCOMFORT_WORDS[advice]}`;
      return [{ ...who, kind: advice === 'ease-or-stop' ? 'ease' : 'hold', reason, sessionId: last.id }];
    })
    .sort((a, b) => ORDER[a.kind] - ORDER[b.kind] || a.athleteName.localeCompare(b.athleteName));
}

const ORDER: Record<TodayCall['kind'], number> = { refer: 0, ease: 1, hold: 2 };
