import type { ClassRecord } from '@clay-pot/core';
import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { addMilliseconds } from 'date-fns';
import { DataSource, IsNull, LessThan, LessThanOrEqual, Not } from 'typeorm';
import { v5 as uuidOf } from 'uuid';
import { StudioRow } from '../accounts/entities.js';
import { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { ProblemError } from '../http/problem.js';
import { ownShelfOf } from '../library/library.service.js';
import { ReportsService } from '../sessions/reports.service.js';
import { SessionsService } from '../sessions/sessions.service.js';
import { HeavyWork } from '../work/heavy-work.js';
import { ClassEventRow, ClassSessionRow } from './class-session.entities.js';
import { LONGEST_CLASS_H } from './class-sessions.service.js';

const LOOK_EVERY_MS = 2000;
/** What fails is tried again after so long, and a class that goes on is looked at again. */
const RETRY_MS = 60_000;
const HOUR_MS = 3_600_000;
/** Phones join for so long after the end, to say how it was. */
const CODE_AFTER_MS = HOUR_MS;

/**
 * Writes each person’s session from the presses of a class, once their class is over: it ended, or they were stopped. The ids follow from the class, so that
 * writing twice writes once. What is due stands in the database: a server that restarts goes on with it.
 */
@Injectable()
export class ClassRecords implements OnApplicationBootstrap, OnModuleDestroy {
  private timer: NodeJS.Timeout | undefined;
  private looking: Promise<void> | null = null;
  private readonly log = new Logger('ClassRecords');

  constructor(
    private readonly source: DataSource,
    private readonly work: HeavyWork,
    private readonly sessions: SessionsService,
    private readonly reports: ReportsService,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => void this.look(), LOOK_EVERY_MS).unref();
  }

  async onModuleDestroy(): Promise<void> {
    clearInterval(this.timer);
    await this.looking;
  }

  /** Writes what is due. */
  look(): Promise<void> {
    this.looking ??= this.writeDue().finally(() => {
      this.looking = null;
    });
    return this.looking;
  }

  private async writeDue(): Promise<void> {
    try {
      const rows = await this.source.getRepository(ClassSessionRow).findBy({ settleAt: LessThanOrEqual(this.clock.now()) });
      for (const row of rows) await this.settle(row);
      const codesUntil = addMilliseconds(this.clock.now(), -CODE_AFTER_MS);
      await this.source.getRepository(ClassSessionRow).update({ code: Not(IsNull()), endedAt: LessThan(codesUntil) }, { code: null });
    } catch (error) {
      // The database is away: it is looked again soon.
      this.log.warn({ event: 'class records', why: String(error) });
    }
  }

  private async settle(row: ClassSessionRow): Promise<void> {
    const rows = this.source.getRepository(ClassSessionRow);
    // What is pressed meanwhile makes it due again.
    if (row.settleAt) await rows.update({ id: row.id, settleAt: row.settleAt }, { settleAt: null });
    try {
      const studio = await this.source.getRepository(StudioRow).findOneByOrFail({ id: row.studioId });
      const scope = new StudioScope(studio.id, studio.timeZone, this.source.manager);
      for (const record of await this.recordsOf(scope, row)) await this.write(scope, row.document.sequenceId, record);
    } catch (error) {
      this.log.error({ event: 'class records', classId: row.id, why: String(error) });
      await rows.update({ id: row.id }, { settleAt: addMilliseconds(this.clock.now(), RETRY_MS) });
    }
  }

  private async recordsOf(scope: StudioScope, row: ClassSessionRow): Promise<ClassRecord[]> {
    const stored = await scope.of(ClassEventRow).find({ where: { classId: row.id }, order: { place: 'ASC' } });
    const question = {
      session: row.document,
      events: stored.map(({ id, event }) => ({ id, event })),
      nowMs: this.clock.now().getTime() + Number(row.offsetMs ?? 0),
      longestMs: LONGEST_CLASS_H * HOUR_MS,
      ...(await ownShelfOf(scope)),
    };
    const { records, endedMs } = await this.work.run('answerClassRecords', question, { background: true });
    if (endedMs === null) {
      const again = { settleAt: addMilliseconds(this.clock.now(), RETRY_MS) };
      await this.source.getRepository(ClassSessionRow).update({ id: row.id, settleAt: IsNull() }, again);
    } else if (row.endedAt === null) await this.close(row, endedMs);
    return records;
  }

  private async close({ id, offsetMs }: ClassSessionRow, endedMs: number): Promise<void> {
    await this.source.getRepository(ClassSessionRow).update({ id }, { endedAt: new Date(endedMs - Number(offsetMs ?? 0)) });
  }

  private async write(scope: StudioScope, sequenceId: string, record: ClassRecord): Promise<void> {
    const { sessionId, athleteId, plan, startedAt } = record;
    const part = (kind: string, index: number) => uuidOf(`${kind} ${index}`, sessionId);
    await this.sessions.begin(scope, sessionId, { athleteId, sequenceId, plan, startedAt });
    await Promise.all(record.sets.map((set, index) => once(this.reports.addSet(scope, sessionId, part('set', index), set))));
    for (const { id, ...complaint } of record.complaints)
      await once(this.reports.addComplaint(scope, sessionId, uuidOf(id, sessionId), complaint));
    for (const { id, ...tick } of record.form) await once(this.reports.addForm(scope, sessionId, uuidOf(id, sessionId), tick));
    for (const [index, report] of record.reports.entries()) {
      await once(this.reports.addReport(scope, sessionId, part(`report ${report.at}`, index), report));
    }
    await once(this.sessions.end(scope, sessionId, record.end));
  }
}

/** What was recorded is not rewritten: where it stands already in other words, the first ones hold. */
async function once(work: Promise<unknown>): Promise<void> {
  await work.catch((error: unknown) => {
    if (!(error instanceof ProblemError) || error.getStatus() !== 409) throw error;
  });
}
