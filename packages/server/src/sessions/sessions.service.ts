import type { MorningInput, SessionEndInput, SessionInput, SessionRecord } from '@clay-pot/contracts';
import {
  cautionsOn,
  checkSessionEnd,
  compileTimeline,
  ENDINGS,
  plannedAgainstDone,
  type Sequence,
  stopCaution,
  type StopSign,
  stopsOf,
  viewOf,
  withoutSettled,
  withStops,
  type WorkingSide,
  sentenceText,
} from '@clay-pot/core';
import { type StudioLibrary, methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioOwned, StudioScope } from '../database/studio-scope.js';
import { dayIn } from '../http/clock.js';
import { conflict, invalid } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { PersonsService } from '../persons/persons.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { soundSequence } from '../sequences/sound-sequence.js';
import { type BrokenRule, SessionRow } from './session.entities.js';
import { morningBefore } from './morning-before.js';
import { keepPlan, planOf } from './plans.js';
import { storeLastSession } from './last-session.js';
import { listed } from './session-list.js';
import { complaintsOf, formOf, looksOf, reportsOf, setsOf, sumUp } from './session-rows.js';
import { sumsOfSession } from './session-sums.js';

/** Everything that writes here may be sent twice: a phone on bad Wi-Fi repeats what it got no answer to. */
@Injectable()
export class SessionsService {
  constructor(
    private readonly library: LibraryService,
    private readonly persons: PersonsService,
  ) {}

  async get(scope: StudioScope, id: string): Promise<SessionRecord> {
    const row = await scope.of(SessionRow).get(id, 'session');
    const [[item], plan, sets, reports, complaints, looks, form, library] = await Promise.all([
      listed(scope, [row]),
      planOf(scope, row.planId),
      setsOf(scope, id),
      reportsOf(scope, id),
      complaintsOf(scope, id),
      looksOf(scope, id),
      formOf(scope, id),
      this.library.of(scope),
    ]);
    if (!item) throw new Error(`A session without its list item: ${id}`);
    return {
      ...item,
      plan,
      note: row.note,
      sets: sets.map(({ studioId: _studio, sessionId: _session, endedAt, ...set }) => ({
        ...set,
        endedAt: endedAt.toISOString(),
      })),
      ...{
        reports: reports.map(withoutOwner),
        complaints: complaints.map(withoutOwner),
        looks: looks.map(withoutOwner),
        form: form.map(withoutOwner),
      },
      rows: plannedAgainstDone(compileTimeline(plan, library.movement), sets),
    };
  }

  /** Records that a session was started, even against a rule: what is done isn’t lost, and the broken rules are kept with it. */
  async begin(scope: StudioScope, id: string, input: SessionInput): Promise<SessionRecord> {
    const library = await this.library.of(scope);
    const plan = soundSequence(input.plan, library, '/plan');
    const athlete = await scope.of(AthleteRow).get(input.athleteId, 'athlete');
    await scope.of(SequenceRow).get(input.sequenceId, 'sequence');
    const row = {
      id,
      athleteId: athlete.id,
      sequenceId: input.sequenceId,
      startedAt: new Date(input.startedAt),
      onDay: dayIn(scope.timeZone, new Date(input.startedAt)),
      ...{ endedAt: null, ending: null, stopSign: null, stopHand: null, note: '' },
      ...{ toldExertion: null, revision: 0, morning: null, morningOn: null, morningBefore: null },
      ...sumsOfSession(plan.title, compileTimeline(plan, library.movement), { sets: [], reports: [], complaints: [], exertion: null }),
      discomfortPolicy: methodOf(plan, library.method).discomfort,
      begunAgainst: await this.brokenBy(scope, athlete, plan, input.startedAt, library),
    };
    await scope.transaction(async (held) => {
      // First, so that of many who begin with one sequence each waits for its row before it holds another.
      await storeLastSession(held, row);
      await held.of(SessionRow).insert({ ...row, planId: await keepPlan(held, plan) }, 'session');
    });
    return this.get(scope, id);
  }

  /**
   * Ends a session, once. The same ending again is fine and takes nothing away; a graver one (a stop that another device sends later) takes
   * the place of a milder, so that no stop sign is lost; a milder one is refused. A second sign is kept beside the first.
   */
  async end(scope: StudioScope, id: string, input: SessionEndInput): Promise<SessionRecord> {
    const library = await this.library.of(scope);
    await scope.transaction(async (held) => {
      const session = await held.of(SessionRow).hold(id, 'session');
      const faults = checkSessionEnd(input, session.startedAt.toISOString());
      if (faults.length) throw invalid(faults);
      const { ending, stopSign = null, endedAt, exertion = session.toldExertion } = input;
      const stopHand = stopSign && (input.stopHand ?? 'both');
      const note = input.note || session.note;
      const isGraver = session.ending === null || ENDINGS.indexOf(ending) > ENDINGS.indexOf(session.ending);
      if (isGraver) {
        await held.of(SessionRow).update({ id }, { ending, stopSign, stopHand, endedAt: new Date(endedAt), note });
      } else if (session.ending !== ending) {
        throw conflict(`This session has already ended (${session.ending}).`);
      } else if (session.note === '') await held.of(SessionRow).update({ id }, { note });
      if (exertion !== session.toldExertion) {
        await held.of(SessionRow).update({ id }, { toldExertion: exertion });
        await sumUp(held, session, library, exertion);
      }
      await raiseEvidence(held, session.athleteId);
      // Of two signs that two devices tell of one session both stand.
      if (stopSign && stopHand) {
        const onDay = dayIn(scope.timeZone, new Date(endedAt));
        await bar(held, session, { sign: stopSign, hand: stopHand, onDay });
      }
    });
    return this.get(scope, id);
  }

  /** Keeps the next-day check; a later one replaces it. Numbness bars the hand like a stop. */
  async saveNextDayCheck(scope: StudioScope, id: string, morning: MorningInput): Promise<void> {
    await scope.transaction(async (held) => {
      const session = await held.of(SessionRow).hold(id, 'session');
      const { endedAt } = session;
      if (endedAt === null || morning.at < endedAt.toISOString()) {
        throw invalid([{ pointer: '/at', message: 'must be after the end of the session' }]);
      }
      if (session.morning && session.morning.at > morning.at) return;
      const morningOn = dayIn(scope.timeZone, new Date(morning.at));
      const check = { morning, morningOn, morningBefore: await morningBefore(held, session) };
      await held.of(SessionRow).update({ id }, { ...check, revision: session.revision + 1 });
      await raiseEvidence(held, session.athleteId);
      await settle(held, session, morning);
      if (morning.numb) await bar(held, session, { sign: 'numbness', hand: morning.numb, onDay: morningOn });
    });
  }

  /** The rules of safety that a plan breaks for an athlete on the day of the session. */
  private async brokenBy(
    scope: StudioScope,
    athlete: AthleteRow,
    plan: Sequence,
    startedAt: string,
    library: StudioLibrary,
  ): Promise<BrokenRule[]> {
    const { person } = await this.persons.subjectOf(scope, { athleteId: athlete.id });
    const cautions = cautionsOn(athlete, dayIn(scope.timeZone, new Date(startedAt)));
    const view = viewOf({
      sequence: plan,
      lookup: library.movement,
      shelf: library.shelf,
      person,
      method: methodOf(plan, library.method),
      athlete: { cautions, equipment: athlete.equipment, leftOut: athlete.leftOut },
      past: [],
      now: startedAt,
    });
    return stopsOf(view).map(({ check, text }) => ({ check: check.id, text: sentenceText(text) }));
  }
}

/** A row as the API shows it, of a session and studio that are known. */
const withoutOwner = <R extends StudioOwned & { sessionId: string; at: Date }>({
  studioId: _studio,
  sessionId: _session,
  at,
  ...row
}: R) => ({
  ...row,
  at: at.toISOString(),
});

/** Takes what was mildly sore out of the athlete’s record where it is fine the next morning. */
async function settle(held: StudioScope, session: SessionRow, morning: MorningInput): Promise<void> {
  const { id, cautions, rowVersion } = await held.of(AthleteRow).hold(session.athleteId, 'athlete');
  const next = withoutSettled(cautions, session.id, morning);
  if (next.length < cautions.length) await held.of(AthleteRow).update({ id }, { cautions: next, rowVersion: rowVersion + 1 });
}

/** Puts the reason for stopping a session into the athlete’s record, where it stays until it is cleared. */
async function bar(held: StudioScope, session: SessionRow, stop: { sign: StopSign; hand: WorkingSide; onDay: string }): Promise<void> {
  const { id, cautions, rowVersion } = await held.of(AthleteRow).hold(session.athleteId, 'athlete');
  const next = withStops(cautions, [stopCaution(session.id, stop)]);
  if (next !== cautions) await held.of(AthleteRow).update({ id }, { cautions: [...next], rowVersion: rowVersion + 1 });
}
