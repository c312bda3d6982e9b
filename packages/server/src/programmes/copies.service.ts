import type { CopyInput, CopyItem, CopyPreview, StoredProgramme } from '@clay-pot/contracts';
import {
  type Block,
  carriedOutOn,
  compareProgrammes,
  compareSequences,
  dayWords,
  inDayOrder,
  lookBackDays,
  nextInProgramme,
  type Programme,
  same,
  say,
  type Sentence,
  SEQUENCE_LIMITS,
  weekIndexOf,
  weekProgress,
} from '@clay-pot/core';
import type { CopyAnswer } from '@clay-pot/core/answers';
import { methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { In, IsNull, MoreThanOrEqual, Not } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { CircumstancesService } from '../effort/circumstances.service.js';
import { Clock, dayIn } from '../http/clock.js';
import { etagOf } from '../http/etag.js';
import { invalid, notFound } from '../http/problem.js';
import { LevelsService } from '../levels/levels.service.js';
import { LibraryService, ownShelfOf } from '../library/library.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SequencesService } from '../sequences/sequences.service.js';
import { SessionRow } from '../sessions/session.entities.js';
import { HeavyWork } from '../work/heavy-work.js';
import { type AppliedVersions, ProgrammeCopyRow } from './programme-copy.entity.js';
import { ProgrammeRow } from './programme.entity.js';
import { ProgrammesService } from './programmes.service.js';

/** A source as a copy is made from it. */
interface Source {
  readonly row: ProgrammeRow;
  readonly sequences: ReadonlyMap<string, SequenceRow>;
  readonly versions: AppliedVersions;
}

/** What of a copy is kept as sequences. */
interface ToKeep {
  readonly answer: CopyAnswer;
  readonly before: Programme | null;
  readonly own: Set<string>;
  readonly titleOf: (title: string) => string;
}

/** One programme for many: copied to each with their own levels, limits and days; what changes in it later is offered to each. */
@Injectable()
export class CopiesService {
  constructor(
    private readonly programmes: ProgrammesService,
    private readonly sequences: SequencesService,
    private readonly circumstances: CircumstancesService,
    private readonly levels: LevelsService,
    private readonly library: LibraryService,
    private readonly work: HeavyWork,
    private readonly clock: Clock,
  ) {}

  /** Who has a copy, and whether the source has changed since. @throws 404 */
  async list(scope: StudioScope, sourceId: string): Promise<CopyItem[]> {
    const { versions, row: source } = await this.source(scope, sourceId);
    const copies = await scope.of(ProgrammeCopyRow).find({ where: { sourceId } });
    const rows = await scope.of(ProgrammeRow).find({ where: { id: In(copies.map(({ id }) => id)), removedAt: IsNull() } });
    const athletes = await scope.of(AthleteRow).find({
      select: { id: true, name: true },
      where: { id: In(rows.map(({ athleteId }) => athleteId)) },
    });
    const today = dayIn(scope.timeZone, this.clock.now());
    const led = await scope.of(SessionRow).find({
      select: { athleteId: true, sequenceId: true, onDay: true },
      where: { athleteId: In(rows.map(({ athleteId }) => athleteId)), onDay: MoreThanOrEqual(source.document.fromDay) },
    });
    const doneBy = (athleteId: string) =>
      led.filter((session) => session.athleteId === athleteId).map(({ sequenceId, onDay }) => ({ sequenceId, day: onDay }));
    const doneToday = (athleteId: string) =>
      doneBy(athleteId)
        .filter(({ day }) => day === today)
        .map(({ sequenceId }) => sequenceId);
    return rows
      .map(({ id, athleteId, document, lastDay, rowVersion }): CopyItem => {
        const copy = copies.find((each) => each.id === id);
        return {
          ...{ id, athleteId, lastDay },
          athleteName: athletes.find((athlete) => athlete.id === athleteId)?.name ?? '',
          etag: etagOf(rowVersion),
          weekdays: copy?.weekdays ?? null,
          isBehind: copy !== undefined && isBehind(copy.applied, versions),
          next: nextInProgramme(document, today, doneToday(athleteId)),
          weeks: weekProgress(document, doneBy(athleteId), today),
        };
      })
      .sort((a, b) => a.athleteName.localeCompare(b.athleteName));
  }

  /** What a copy would be for somebody, or what an update would make of one. Nothing is stored. @throws 404 @throws 422 where nothing of it is possible for them */
  async preview(scope: StudioScope, sourceId: string, input: CopyInput): Promise<CopyPreview> {
    const { answer, before, athleteName } = await this.made(scope, sourceId, input);
    const changes = before ? await this.updateWords(scope, before, answer) : [...(await this.running(scope, input)), ...answer.differences];
    const { findings } = answer;
    return { athleteId: input.athleteId, athleteName, document: answer.programme, differences: changes, findings };
  }

  /** Programmes that somebody follows already: both would run. */
  private async running(scope: StudioScope, { athleteId, copyId }: CopyInput): Promise<string[]> {
    const today = dayIn(scope.timeZone, this.clock.now());
    const where = { athleteId, removedAt: IsNull(), lastDay: MoreThanOrEqual(today), id: Not(copyId) };
    const rows = await scope.of(ProgrammeRow).find({ select: { id: true, title: true, lastDay: true }, where });
    return rows.map(({ title, lastDay }) => `Already has “${title}” until ${dayWords(lastDay)}: archive it, or both run`);
  }

  /** Makes somebody’s copy, or brings it up to date. @param ifMatch the version of a copy that is there @throws 404, 412, 422, 428 */
  async put(scope: StudioScope, sourceId: string, input: CopyInput, ifMatch: string | undefined): Promise<StoredProgramme> {
    const { answer, versions, athleteName, before, sourceAthleteId } = await this.made(scope, sourceId, input);
    const { name: sourceName } = await scope.of(AthleteRow).get(sourceAthleteId, 'athlete');
    if (before && ifMatch === undefined) {
      const stored = await this.programmes.get(scope, input.copyId);
      // Made twice, by a device that did not hear of the first time.
      if (await scope.of(ProgrammeCopyRow).one({ id: input.copyId, sourceId })) return stored;
    }
    return scope.transaction(async (inner) => {
      const own = new Set((await inner.of(ProgrammeCopyRow).one({ id: input.copyId }))?.applied.own);
      const ids = await this.putSequences(inner, { answer, before, own, titleOf: (title) => titleFor(title, sourceName, athleteName) });
      const plans = answer.programme.plans.map((plan) => ({ ...plan, sequenceId: ids.get(plan.id) ?? plan.sequenceId }));
      const document = { ...answer.programme, plans };
      const stored = await this.programmes.put(inner, input.copyId, { athleteId: input.athleteId, document }, ifMatch);
      const link = { sourceId, weekdays: input.weekdays ? [...input.weekdays] : null, applied: { ...versions, own: [...own] } };
      const isNew = await inner.of(ProgrammeCopyRow).insert({ id: input.copyId, ...link }, 'copy');
      if (!isNew) await inner.of(ProgrammeCopyRow).update({ id: input.copyId }, link);
      return stored;
    });
  }

  /** Keeps the sequences of a copy: those that stay the same as they are, its own changed where they are, others made. @returns ids by plan; new ones are its own now */
  private async putSequences(scope: StudioScope, { answer, before, own, titleOf }: ToKeep): Promise<ReadonlyMap<string, string>> {
    const ids = new Map<string, string>();
    for (const [planId, sequence] of answer.sequences) {
      const known = before?.plans.find((plan) => plan.id === planId)?.sequenceId;
      const stored = known === undefined ? null : await scope.of(SequenceRow).one({ id: known });
      if (stored && same(stored.document.blocks, plain(sequence.blocks))) {
        ids.set(planId, stored.id);
        continue;
      }
      const inPlace = stored && own.has(stored.id) ? stored : null;
      const id = inPlace?.id ?? uuid();
      const title = inPlace?.document.title ?? titleOf(sequence.title);
      await this.sequences.put(scope, id, { ...sequence, title }, inPlace ? etagOf(inPlace.rowVersion) : undefined);
      own.add(id);
      ids.set(planId, id);
    }
    return ids;
  }

  /** Leaves a copy as it is: the last changes of its source are not for this person. @throws 404 */
  async keep(scope: StudioScope, copyId: string): Promise<void> {
    const copy = await scope.of(ProgrammeCopyRow).get(copyId, 'copy');
    const { versions } = await this.source(scope, copy.sourceId);
    await scope.of(ProgrammeCopyRow).update({ id: copyId }, { applied: { ...copy.applied, ...versions } });
  }

  private async source(scope: StudioScope, id: string): Promise<Source> {
    const row = await scope.of(ProgrammeRow).get(id, 'programme');
    if (row.removedAt !== null) throw notFound('programme');
    const ids = row.document.plans.map(({ sequenceId }) => sequenceId);
    const kept = await scope.of(SequenceRow).find({ where: { id: In(ids), removedAt: IsNull() } });
    const sequences = new Map(
      row.document.plans.flatMap((plan) => {
        const sequence = kept.find((each) => each.id === plan.sequenceId);
        return sequence ? [[plan.id, sequence] as const] : [];
      }),
    );
    const versions = {
      programme: row.rowVersion,
      sequences: Object.fromEntries([...sequences].map(([planId, { rowVersion }]) => [planId, rowVersion])),
    };
    return { row, sequences, versions };
  }

  /** The source as somebody does it; of a copy that is there what is past stays as it was. */
  private async made(scope: StudioScope, sourceId: string, { athleteId, weekdays, copyId }: CopyInput) {
    const source = await this.source(scope, sourceId);
    const { document } = source.row;
    if (source.row.athleteId === athleteId)
      throw invalid([{ pointer: '/athleteId', message: 'must be someone else: this is the programme they have' }]);
    const today = dayIn(scope.timeZone, this.clock.now());
    const { library, subject, athlete, past, now } = await this.circumstances.of(scope, { athleteId }, lookBackDays(document, today));
    const [{ name }, shelf, standings, copy] = await Promise.all([
      scope.of(AthleteRow).get(athleteId, 'athlete'),
      ownShelfOf(scope),
      this.levels.standings(scope, athleteId),
      scope.of(ProgrammeRow).one({ id: copyId }),
    ]);
    const answer = await this.work.run('answerCopy', {
      source: document,
      sequences: [...source.sequences].map(([planId, row]) => [planId, row.document] as const),
      ...shelf,
      person: subject.person,
      method: methodOf(document, library.method),
      athlete,
      ...carriedOutOn(past),
      today,
      weekdays,
      fit: {
        past,
        now,
        standings: standings.map(({ movementId, levelId, step, last }) => ({ movementId, levelId, step, last })),
      },
    });
    if (!answer) {
      const message = `has nothing to do in it: ${name}’s restrictions, or the days that are left, leave none of its sessions`;
      throw invalid([{ pointer: '/athleteId', message, label: name }]);
    }
    const before = copy && copy.athleteId === athleteId ? copy.document : null;
    return {
      answer: before ? afterPast(before, answer, today) : answer,
      before,
      versions: source.versions,
      athleteName: name,
      sourceAthleteId: source.row.athleteId,
    };
  }

  /** What an update changes: the calendar, and what is in each sequence. */
  private async updateWords(scope: StudioScope, before: Programme, { programme, sequences }: CopyAnswer): Promise<Sentence[]> {
    const planOf = new Map(before.plans.map((plan) => [plan.id, plan]));
    const plans = programme.plans.map((plan) => ({ ...plan, sequenceId: planOf.get(plan.id)?.sequenceId ?? plan.sequenceId }));
    const library = await this.library.of(scope);
    const rows = await scope.of(SequenceRow).find({ where: { id: In(plans.map(({ sequenceId }) => sequenceId)) } });
    const nameOf = ({ movementId }: Block) => library.movement(movementId)?.name ?? movementId;
    const inSequences = sequences.flatMap(([planId, now]): Sentence[] => {
      const was = rows.find(({ id }) => id === planOf.get(planId)?.sequenceId)?.document;
      if (!was) return [`New sequence: ${now.title}`];
      return compareSequences(was, plain({ ...now, title: was.title }), nameOf, false).map(({ text }) => say`${was.title}: ${text}`);
    });
    return [...compareProgrammes(before, plain({ ...programme, plans })).map(({ text }) => text), ...inSequences];
  }
}

/** As it is stored: what comes from a thread has the types of another realm, and is no equal of what was read. */
const plain = <T>(document: T): T => JSON.parse(JSON.stringify(document)) as T;

const isBehind = (applied: AppliedVersions, now: AppliedVersions): boolean =>
  now.programme > applied.programme ||
  Object.entries(now.sequences).some(([planId, version]) => version > (applied.sequences[planId] ?? 0));

/** The title of somebody’s own sequence: that of the source, with their name in the place of the other’s. */
function titleFor(title: string, from: string, name: string): string {
  const plain = title.endsWith(`, ${from}`) ? title.slice(0, -`, ${from}`.length) : title;
  return `${plain}, ${name}`.slice(0, SEQUENCE_LIMITS.titleLength);
}

/** What is past of a copy, its own days away and accepted suggestions stay; from today on it is as the source has it now. */
function afterPast(before: Programme, answer: CopyAnswer, today: string): CopyAnswer {
  const { programme } = answer;
  const skipped = weekIndexOf(before, programme.fromDay);
  const past = before.sessions.filter(({ day }) => day < today);
  const used = new Set(past.map(({ id }) => id));
  const ahead = programme.sessions.map((session) => (used.has(session.id) ? { ...session, id: `${session.id}-${session.day}` } : session));
  const planIds = new Set(programme.plans.map(({ id }) => id));
  const oldPlans = before.plans.filter(({ id }) => !planIds.has(id) && past.some(({ planId }) => planId === id));
  return {
    ...answer,
    programme: {
      ...programme,
      fromDay: before.fromDay,
      weeks: [...before.weeks.slice(0, Math.max(0, skipped)), ...programme.weeks],
      plans: [...programme.plans, ...oldPlans],
      sessions: inDayOrder([...past, ...ahead]),
      ...(before.away && { away: before.away }),
      ...(before.changes && { changes: before.changes.filter(({ planId }) => planIds.has(planId)) }),
    },
  };
}
