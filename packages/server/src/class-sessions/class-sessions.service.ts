import { randomInt } from 'node:crypto';
import { setImmediate as turn } from 'node:timers/promises';
import {
  type ClassMemberPlan,
  type ClassPlanQuestion,
  type ClassSessionInput,
  CODE_LENGTH,
  CODE_LETTERS,
  type RunningClass,
  type StoredClass,
} from '@clay-pot/contracts';
import {
  aloneIn,
  checkClassEvent,
  checkClassSession,
  checkSequence,
  CLASS_LIMITS,
  type ClassEvent,
  type ClassSession,
  inForm,
  type KnownClassEvent,
  same,
  timelineOf,
} from '@clay-pot/core';
import { methodOf, type StudioLibrary } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { addMilliseconds } from 'date-fns';
import { In, IsNull } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { CircumstancesService } from '../effort/circumstances.service.js';
import { Clock } from '../http/clock.js';
import { conflict, invalid } from '../http/problem.js';
import { libraryDataOf, LibraryService, ownShelfOf } from '../library/library.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { soundSequence } from '../sequences/sound-sequence.js';
import { HeavyWork } from '../work/heavy-work.js';
import { ClassEventRow, ClassSessionRow } from './class-session.entities.js';

/** Nobody leads a class for longer: what nobody ended is over then. */
export const LONGEST_CLASS_H = 6;
/** A press that may be taken back is settled a little after that is no longer possible. */
const SETTLED_AFTER_MS = CLASS_LIMITS.undoMs + 1000;
/** Presses after which somebody’s record is written: their own class is over, or has been rated. */
const SETTLED_BY: ReadonlySet<ClassEvent['kind']> = new Set(['end', 'undo', 'note', 'fault', 'hurts']);

/** Classes as they are planned, begun and led. Everything that writes here may be sent twice: a phone on bad Wi-Fi repeats what it got no answer to. */
@Injectable()
export class ClassSessionsService {
  constructor(
    private readonly circumstances: CircumstancesService,
    private readonly library: LibraryService,
    private readonly work: HeavyWork,
    private readonly clock: Clock,
  ) {}

  /** What one person does in each block of a class, all through the gate. */
  async plan(scope: StudioScope, { athleteId, sequence: document }: ClassPlanQuestion): Promise<ClassMemberPlan> {
    const { library, subject, athlete, past, now } = await this.circumstances.of(scope, { athleteId });
    const sequence = soundSequence(document, library, '/sequence');
    const method = methodOf(sequence, library.method);
    const { person, estimated } = subject;
    const question = { sequence, person, estimated, method, athlete, past, now, ...(await ownShelfOf(scope)) };
    const plan = await this.work.run('answerClassPlan', question);
    const running = (await this.runningRows(scope)).find(({ athleteIds }) => athleteIds.includes(athleteId));
    return { ...plan, elsewhere: running?.title ?? null };
  }

  async running(scope: StudioScope): Promise<RunningClass[]> {
    const rows = await this.runningRows(scope);
    return rows.map(({ id, title, startedAt, athleteIds }) => ({
      id,
      title,
      startedAt: startedAt.toISOString(),
      members: athleteIds.length,
    }));
  }

  /** Begins a class; the same again is fine. Somebody in two classes is told of when it is planned, and refused nothing here: what is done isn’t lost. */
  async begin(scope: StudioScope, id: string, { offsetMs, ...session }: ClassSessionInput): Promise<StoredClass> {
    const faults = checkClassSession(session);
    if (faults.length) throw invalid(faults);
    const library = await this.library.of(scope);
    soundSequence(session.sequence, library, '/sequence');
    await scope.of(SequenceRow).get(session.sequenceId, 'sequence');
    const athleteIds = session.members.map(({ athleteId }) => athleteId);
    const known = new Set((await scope.of(AthleteRow).find({ where: { id: In(athleteIds) } })).map((row) => row.id));
    const stranger = athleteIds.findIndex((athleteId) => !known.has(athleteId));
    if (stranger >= 0) throw invalid([{ pointer: `/members/${stranger}/athleteId`, message: 'isn’t an athlete of this studio' }]);
    for (const index of session.members.keys()) {
      checkForms(session, index, library);
      // Thirty people with a long sequence are checked one by one, and others are answered in between.
      await turn();
    }
    const now = this.clock.now();
    const row = {
      id,
      title: session.sequence.title,
      document: session,
      athleteIds,
      startedAt: new Date(session.startedAt),
      endedAt: null,
      offsetMs: offsetMs === null ? null : String(offsetMs),
      code: await this.freeCode(scope),
      // The clock may run to its end without anybody pressing anything.
      settleAt: addMilliseconds(now, timelineOf(session.sequence, library.movement).durationMs),
    };
    if (!(await scope.of(ClassSessionRow).insert(row, 'class'))) {
      const { document } = await scope.of(ClassSessionRow).get(id, 'class');
      if (!same<unknown>(document, session)) throw conflict('Another class was started under this id.');
    }
    return this.get(scope, id);
  }

  async get(scope: StudioScope, id: string): Promise<StoredClass> {
    const row = await scope.of(ClassSessionRow).get(id, 'class');
    const [events, { movements, names }] = await Promise.all([this.eventsOf(scope, id), libraryDataOf(scope)]);
    const used = movementsIn(row.document);
    return {
      id,
      session: row.document,
      code: row.code,
      offsetMs: row.offsetMs === null ? null : Number(row.offsetMs),
      endedAt: row.endedAt?.toISOString() ?? null,
      events,
      own: movements.flatMap(({ document }) => (used.has(document.id) ? [document] : [])),
      names: names.filter(({ movementId }) => used.has(movementId)),
    };
  }

  /** Keeps the clock of a class that began without a network, once. */
  async keepClock(scope: StudioScope, id: string, offsetMs: number): Promise<void> {
    await scope.of(ClassSessionRow).get(id, 'class');
    await scope.of(ClassSessionRow).update({ id, offsetMs: IsNull() }, { offsetMs: String(offsetMs) });
  }

  async eventsOf(scope: StudioScope, classId: string): Promise<KnownClassEvent[]> {
    const rows = await scope.of(ClassEventRow).find({ where: { classId }, order: { place: 'ASC' } });
    return rows.map(({ id, event }) => ({ id, event }));
  }

  /** Keeps a press. @throws 404, 409 for other words under its id, 422 for what the class doesn’t have */
  async press(scope: StudioScope, classId: string, id: string, event: ClassEvent): Promise<void> {
    const row = await scope.of(ClassSessionRow).get(classId, 'class');
    const faults = checkClassEvent(event, row.document);
    if (faults.length) throw invalid(faults.map(({ pointer, message }) => ({ pointer: `/event${pointer}`, message })));
    const [counted] = await scope.select<{ count: string }>(
      'SELECT COUNT(*) AS count FROM class_events WHERE studio_id = ? AND class_id = ?',
      [classId],
    );
    if (Number(counted?.count ?? 0) >= CLASS_LIMITS.events)
      throw conflict(`A class keeps ${CLASS_LIMITS.events} presses, and this one has them. End it and start another.`);
    await scope.transaction(async (held) => {
      const added = await held.of(ClassEventRow).insert({ id, classId, event } as Omit<ClassEventRow, 'studioId'>, 'press');
      if (!added) {
        const stored = await held.of(ClassEventRow).get(id, 'press');
        if (stored.classId !== classId || !same<unknown>(stored.event, event)) throw conflict('Another press is stored under this id.');
        return;
      }
      await held.of(ClassSessionRow).update({ id: classId }, this.changeBy(row, event));
    });
  }

  private changeBy({ endedAt, offsetMs, settleAt }: ClassSessionRow, event: ClassEvent): Partial<ClassSessionRow> {
    const now = this.clock.now();
    const settled = addMilliseconds(now, SETTLED_AFTER_MS);
    const isOver = event.kind === 'end' || endedAt !== null;
    // While it runs only a stop writes a record; how it was is said when the clock has run out, and afterwards whatever is still said of somebody counts.
    const isDue = event.kind === 'stop' || event.kind === 'rate' || (isOver && SETTLED_BY.has(event.kind));
    return {
      ...(event.kind === 'end' && endedAt === null && { endedAt: new Date(event.at - Number(offsetMs ?? 0)) }),
      ...(isDue && (settleAt === null || settled < settleAt) && { settleAt: settled }),
    };
  }

  private runningRows(scope: StudioScope): Promise<ClassSessionRow[]> {
    return scope.of(ClassSessionRow).find({ where: { endedAt: IsNull() }, order: { startedAt: 'DESC' } });
  }

  private async freeCode(scope: StudioScope): Promise<string> {
    for (;;) {
      const code = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
      const taken = await scope.select('SELECT 1 FROM class_sessions WHERE ? IS NOT NULL AND code = ?', [code]);
      if (taken.length === 0) return code;
    }
  }
}

/** @throws 422 for a form that names what isn’t there, or a dose that can’t be: any of them may be given on the spot */
function checkForms({ sequence, members }: ClassSession, index: number, library: StudioLibrary): void {
  const blocks = new Map(sequence.blocks.map((block) => [block.id, block]));
  for (const [at, { blockId, forms }] of (members[index]?.blocks ?? []).entries()) {
    const block = blocks.get(blockId);
    for (const [place, form] of forms.entries()) {
      if (!block || !form) continue;
      const [fault] = checkSequence(aloneIn(sequence, inForm(block, form)), library.movement);
      if (fault) throw invalid([{ pointer: `/members/${index}/blocks/${at}/forms/${place}`, message: fault.message }]);
    }
  }
}

/** Movements that a class uses, by their ids: whoever joins has no library of the studio. */
function movementsIn({ sequence, members }: ClassSession): Set<string> {
  const forms = members.flatMap(({ blocks }) => blocks.flatMap((block) => block.forms));
  return new Set([...sequence.blocks, ...forms].flatMap((each) => (each ? each.movementId : [])));
}
