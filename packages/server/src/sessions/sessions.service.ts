import type {
  BlockReportInput,
  DoneSetInput,
  SessionEndInput,
  SessionInput,
  SessionListItem,
  SessionPage,
  SessionRecord,
} from '@clay-pot/contracts';
import { completion, compileTimeline, findLevel, plannedAgainstDone } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioOwned, StudioScope } from '../database/studio-scope.js';
import { conflict, invalid } from '../http/problem.js';
import { MovementsService } from '../movements/movements.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { KnownService, soundSequence } from '../methods/known.service.js';
import { BlockReportRow, DoneSetRow, SessionRow } from './session.entities.js';

/** Everything that writes here may be sent twice: a phone on bad Wi-Fi repeats what it got no answer to. */
@Injectable()
export class SessionsService {
  constructor(
    private readonly movements: MovementsService,
    private readonly known: KnownService,
  ) {}

  async list(scope: StudioScope, athleteId: string | null, before: Date | null, limit: number): Promise<SessionPage> {
    const query = scope
      .of(SessionRow)
      .query('session')
      .orderBy('session.started_at', 'DESC')
      .take(limit + 1);
    if (athleteId) query.andWhere('session.athlete_id = :athleteId', { athleteId });
    if (before) query.andWhere('session.started_at < :before', { before });
    const rows = await query.getMany();
    const items = await this.present(scope, rows.slice(0, limit));
    return { items, nextBefore: rows.length > limit ? items[items.length - 1]!.startedAt : null };
  }

  /** The last ended session of every athlete who has one. */
  async latestOfEach(scope: StudioScope): Promise<SessionListItem[]> {
    const last: { athleteId: string; at: Date }[] = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.ending IS NOT NULL')
      .select(['session.athlete_id AS athleteId', 'MAX(session.started_at) AS at'])
      .groupBy('session.athlete_id')
      .getRawMany();
    if (!last.length) return [];
    const rows = await scope.of(SessionRow).find({
      where: { startedAt: In(last.map(({ at }) => at)), athleteId: In(last.map(({ athleteId }) => athleteId)) },
    });
    // Two athletes may have begun at the same instant as somebody's last: keep each one's own.
    const own = rows.filter((row) =>
      last.some(({ athleteId, at }) => athleteId === row.athleteId && at.getTime() === row.startedAt.getTime()),
    );
    return this.present(scope, own);
  }

  async get(scope: StudioScope, id: string): Promise<SessionRecord> {
    const row = await scope.of(SessionRow).get(id, 'session');
    const [item] = await this.present(scope, [row]);
    const sets = await scope.of(DoneSetRow).find({ where: { sessionId: id }, order: { endedAt: 'ASC', id: 'ASC' } });
    const reports = await scope.of(BlockReportRow).find({ where: { sessionId: id }, order: { at: 'ASC' } });
    return {
      ...item!,
      plan: row.plan,
      note: row.note,
      sets: sets.map(({ studioId: _studio, sessionId: _session, endedAt, ...set }) => ({
        ...set,
        endedAt: endedAt.toISOString(),
      })),
      reports: reports.map(({ studioId: _studio, sessionId: _session, at, ...report }) => ({
        ...report,
        at: at.toISOString(),
      })),
      rows: plannedAgainstDone(compileTimeline(row.plan, await this.movements.lookup(scope)), sets),
    };
  }

  async begin(scope: StudioScope, id: string, input: SessionInput): Promise<SessionRecord> {
    const plan = soundSequence(input.plan, await this.known.of(scope), '/plan');
    const { athleteId, sequenceId } = input;
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    await scope.of(SequenceRow).get(sequenceId, 'sequence');
    const startedAt = new Date(input.startedAt);
    const open = { endedAt: null, ending: null, stopSign: null, note: '' };
    await scope.of(SessionRow).insert({ id, athleteId, sequenceId, plan, startedAt, ...open }, 'session');
    return this.get(scope, id);
  }

  async addSet(scope: StudioScope, sessionId: string, id: string, input: DoneSetInput): Promise<void> {
    const { plan } = await scope.of(SessionRow).get(sessionId, 'session');
    checkBlockId(plan, input.blockId);
    const movement = (await this.movements.lookup(scope))(input.movementId);
    if (!movement || !findLevel(movement, input.levelId)) {
      throw invalid([{ pointer: '/levelId', message: 'is not a level of a known movement' }]);
    }
    if (input.corrects && !(await scope.of(DoneSetRow).one({ id: input.corrects, sessionId }))) {
      throw invalid([{ pointer: '/corrects', message: 'must be the id of a set of this session' }]);
    }
    const { direction = null, corrects = null, ...rest } = input;
    const row = { ...rest, direction, corrects, id, sessionId, endedAt: new Date(input.endedAt) };
    await addOnce(scope, DoneSetRow, row, 'set');
  }

  async addReport(scope: StudioScope, sessionId: string, id: string, input: BlockReportInput): Promise<void> {
    const { plan } = await scope.of(SessionRow).get(sessionId, 'session');
    checkBlockId(plan, input.blockId);
    await addOnce(scope, BlockReportRow, { ...input, id, sessionId, at: new Date(input.at) }, 'report');
  }

  async end(scope: StudioScope, id: string, input: SessionEndInput): Promise<SessionRecord> {
    const session = await scope.of(SessionRow).get(id, 'session');
    if ((input.ending === 'stopped') !== (input.stopSign !== undefined)) {
      throw invalid([{ pointer: '/stopSign', message: 'is given exactly when the ending is “stopped”' }]);
    }
    const endedAt = new Date(input.endedAt);
    if (endedAt < session.startedAt) {
      throw invalid([
        { pointer: '/endedAt', message: `must not lie before the start, ${session.startedAt.toISOString()}` },
      ]);
    }
    const { ending, note, stopSign = null } = input;
    if (session.ending && (session.ending !== ending || session.stopSign !== stopSign)) {
      throw conflict(`This session has ended already (${session.ending}).`);
    }
    await scope.of(SessionRow).update({ id }, { ending, stopSign, endedAt, note });
    return this.get(scope, id);
  }

  /** Rows as list items, with the sums that the core makes of plan and sets. */
  async present(scope: StudioScope, rows: readonly SessionRow[]): Promise<SessionListItem[]> {
    if (!rows.length) return [];
    const sessionId = In(rows.map((row) => row.id));
    const [sets, reports, athletes] = await Promise.all([
      scope.of(DoneSetRow).find({ where: { sessionId } }),
      scope.of(BlockReportRow).find({ where: { sessionId }, order: { at: 'ASC' } }),
      scope.of(AthleteRow).find({ select: { id: true, name: true } }),
    ]);
    const nameOf = new Map(athletes.map((athlete) => [athlete.id, athlete.name]));
    const lookup = await this.movements.lookup(scope);
    return rows.map(({ id, athleteId, sequenceId, plan, startedAt, endedAt, ending, stopSign }) => {
      const timeline = compileTimeline(plan, lookup);
      const done = plannedAgainstDone(
        timeline,
        sets.filter((set) => set.sessionId === id),
      );
      const told = latestPerBlock(reports.filter((report) => report.sessionId === id));
      return {
        id,
        athleteId,
        athleteName: nameOf.get(athleteId) ?? '',
        sequenceId,
        title: plan.title,
        startedAt: startedAt.toISOString(),
        endedAt: endedAt?.toISOString() ?? null,
        ending,
        stopSign,
        plannedMs: timeline.durationMs,
        completion: completion(done),
        maxDiscomfort: told.length ? Math.max(...told.map((report) => report.discomfort)) : null,
        meanExertion: told.length ? told.reduce((sum, report) => sum + report.exertion, 0) / told.length : null,
      };
    });
  }
}

function latestPerBlock(reports: readonly BlockReportRow[]): BlockReportRow[] {
  return [...new Map(reports.map((report) => [report.blockId, report])).values()];
}

function checkBlockId(plan: SessionRow['plan'], blockId: string): void {
  if (!plan.blocks.some((block) => block.id === blockId)) {
    throw invalid([{ pointer: '/blockId', message: 'is not a block of this session’s plan' }]);
  }
}

/** Adds a row; the same row again is fine, another under the same id is refused: what was recorded is not rewritten. */
async function addOnce<E extends StudioOwned & { sessionId: string }>(
  scope: StudioScope,
  entity: new () => E,
  row: Omit<E, 'studioId'>,
  what: string,
): Promise<void> {
  if (await scope.of(entity).insert(row, what)) return;
  const there = await scope.of(entity).get((row as unknown as E).id, what);
  const same = Object.entries(row).every(([key, value]) => String(there[key as keyof E]) === String(value));
  if (!same) throw conflict(`Another ${what} is recorded under this id: use a new id, and “corrects” for corrections.`);
}
