import type { BlockReportInput, ComplaintInput, DoneSetInput, FormTickInput, HandLookInput } from '@clay-pot/contracts';
import { ageOn, cautionsOfComplaint, withFelt } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { dayIn } from '../http/clock.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { planOf } from './plans.js';
import { BlockReportRow, ComplaintRow, FormTickRow, HandLookRow, SessionRow } from './session.entities.js';
import { addOnce, checkBlockId, sumUp } from './session-rows.js';
import { SetQueue } from './set-queue.js';

/** What is reported during a session, row by row. Everything may be sent twice: a phone on bad Wi-Fi repeats what it got no answer to. */
@Injectable()
export class ReportsService {
  constructor(
    private readonly library: LibraryService,
    private readonly sets: SetQueue,
  ) {}

  addSet(scope: StudioScope, sessionId: string, id: string, input: DoneSetInput): Promise<void> {
    return this.sets.add(scope, { sessionId, id, input });
  }

  async addReport(scope: StudioScope, sessionId: string, id: string, input: BlockReportInput): Promise<void> {
    const report = { ...input, bandPercent: input.bandPercent ?? null, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, (held) => addOnce(held, BlockReportRow, report, 'report'));
  }

  async addComplaint(scope: StudioScope, sessionId: string, id: string, input: ComplaintInput): Promise<void> {
    const complaint = { ...input, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, async (held) => {
      // Sent again it is no news: a later check-in may have said how it went on.
      if (await held.of(ComplaintRow).one({ id, sessionId })) return addOnce(held, ComplaintRow, complaint, 'complaint');
      await addOnce(held, ComplaintRow, complaint, 'complaint');
      await recordFelt(held, complaint);
    });
  }

  async addLook(scope: StudioScope, sessionId: string, id: string, input: HandLookInput): Promise<void> {
    const look = { ...input, round: input.round ?? 1, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, (held) => addOnce(held, HandLookRow, look, 'look'));
  }

  /** Keeps a fault of form that was seen, or that was not so after all: gates and suggestions obey it. */
  async addForm(scope: StudioScope, sessionId: string, id: string, input: FormTickInput): Promise<void> {
    const tick = { ...input, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, (held) => addOnce(held, FormTickRow, tick, 'tick'));
  }

  /** Adds what concerns a block while its session is locked, and recomputes the sums of the session. */
  private async add(
    scope: StudioScope,
    sessionId: string,
    blockId: string,
    row: (held: StudioScope, library: StudioLibrary) => Promise<void>,
  ): Promise<void> {
    const library = await this.library.of(scope);
    await scope.transaction(async (held) => {
      const session = await held.of(SessionRow).hold(sessionId, 'session');
      checkBlockId(await planOf(held, session.planId), blockId);
      await row(held, library);
      await sumUp(held, session, library);
      // Nothing rests on a session before it has ended.
      if (session.ending !== null) await raiseEvidence(held, session.athleteId);
    });
  }
}

/** Puts what hurt into the athlete’s record, where it limits all that is planned, generated and led until the next check-in. */
async function recordFelt(held: StudioScope, complaint: Omit<ComplaintInput, 'at'> & { sessionId: string; at: Date }): Promise<void> {
  const { athleteId } = await held.of(SessionRow).get(complaint.sessionId, 'session');
  const { id, cautions, rowVersion, birthDate, sex } = await held.of(AthleteRow).hold(athleteId, 'athlete');
  const onDay = dayIn(held.timeZone, complaint.at);
  const ageYears = birthDate ? ageOn(birthDate, onDay) : null;
  const felt = cautionsOfComplaint(complaint, { sessionId: complaint.sessionId, onDay, ageYears, sex });
  if (felt.length === 0) return;
  await held.of(AthleteRow).update({ id }, { cautions: withFelt(cautions, felt), rowVersion: rowVersion + 1 });
  await raiseEvidence(held, athleteId);
}
