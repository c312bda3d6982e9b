import type { BlockReportInput, ComplaintInput, DoneSetInput, FormTickInput, HandLookInput } from '@clay-pot/contracts';
import { findLevel } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { planOf } from './plans.js';
import { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, HandLookRow, SessionRow } from './session.entities.js';
import { addOnce, checkBlockId, sumUp } from './session-rows.js';

/** What is reported during a session, row by row. Everything may be sent twice: a phone on bad Wi-Fi repeats what it got no answer to. */
@Injectable()
export class ReportsService {
  constructor(private readonly library: LibraryService) {}

  async addSet(scope: StudioScope, sessionId: string, id: string, input: DoneSetInput): Promise<void> {
    await this.add(scope, sessionId, input.blockId, async (held, library) => {
      const movement = library.movement(input.movementId);
      if (!movement || !findLevel(movement, input.levelId)) {
        throw invalid([{ pointer: '/levelId', message: 'is not a level of a known movement' }]);
      }
      if (input.corrects && !(await held.of(DoneSetRow).one({ id: input.corrects, sessionId }))) {
        throw invalid([{ pointer: '/corrects', message: 'must be the id of a set of this session' }]);
      }
      const set = { ...input, round: input.round ?? 1, id, sessionId, endedAt: new Date(input.endedAt) };
      await addOnce(held, DoneSetRow, set, 'set');
    });
  }

  async addReport(scope: StudioScope, sessionId: string, id: string, input: BlockReportInput): Promise<void> {
    const report = { ...input, bandPercent: input.bandPercent ?? null, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, (held) => addOnce(held, BlockReportRow, report, 'report'));
  }

  async addComplaint(scope: StudioScope, sessionId: string, id: string, input: ComplaintInput): Promise<void> {
    const complaint = { ...input, id, sessionId, at: new Date(input.at) };
    await this.add(scope, sessionId, input.blockId, (held) => addOnce(held, ComplaintRow, complaint, 'complaint'));
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
