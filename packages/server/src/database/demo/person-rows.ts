import { addDays, must, personOf, type Sequence, weekdayOf } from '@clay-pot/core';
import { SEQUENCE_FORMAT_VERSION } from '@clay-pot/core/exchange';
import { shippedMovement } from '@clay-pot/core/library';
import { TZDate } from '@date-fns/tz';
import type { EntityTarget, ObjectLiteral } from 'typeorm';
import { AssignmentRow } from '../../assignments/assignment.entity.js';
import { AthleteRow } from '../../athletes/athlete.entity.js';
import { IntakeRow } from '../../intakes/intake.entity.js';
import { ProgrammeRow } from '../../programmes/programme.entity.js';
import { storedProgramme } from '../../programmes/stored-programme.js';
import { ReadingRow } from '../../readings/reading.entity.js';
import { movementRowsOf, SequenceMovementRow } from '../../sequences/sequence-movements.js';
import { storedSequence } from '../../sequences/sequence-sums.js';
import { SequenceRow } from '../../sequences/sequence.entity.js';
import { storeLastSession } from '../../sessions/last-session.js';
import { keepPlan } from '../../sessions/plans.js';
import { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, SessionRow } from '../../sessions/session.entities.js';
import type { StudioScope } from '../studio-scope.js';
import { type History, historyOf } from './history.js';
import { demoIntake } from './intakes.js';
import type { DemoPerson } from './people.js';
import { towardTheShow } from './programmes.js';
import { SeededRandom } from './random.js';
import { raterOf } from './rater.js';
import { demoReadings, trialsOf } from './readings.js';
import { DEMO_SEQUENCES, type SequenceKey } from './sequences.js';

/** Where rows of the demo go. */
export interface SeedContext {
  readonly studioId: string;
  /** ISO day. */
  readonly today: string;
  /** When the demo’s documents are said to have been written. */
  readonly early: Date;
  readonly sequenceIds: ReadonlyMap<SequenceKey, string>;
  readonly add: <E extends ObjectLiteral>(entity: EntityTarget<E>, rows: readonly E[]) => Promise<void>;
  readonly held: StudioScope;
}

/** Seeds of what is drawn for each person beside the sessions, so that none depends on another. */
export const SEED = 20_417;

/** Writes people of the demo, one after another: their record, tests, check-in, what they were given, and how their weeks went. */
export class PersonRows {
  private readonly measuring = new SeededRandom(SEED + 1);
  private readonly asking = new SeededRandom(SEED + 4);
  private readonly scattering = new SeededRandom(SEED + 5);
  private readonly planning = new SeededRandom(SEED + 6);
  private readonly rating = new SeededRandom(SEED + 7);
  private readonly owning = new SeededRandom(SEED + 11);
  private readonly planIds = new Map<Sequence, string>();

  constructor(
    private readonly to: SeedContext,
    private readonly random: SeededRandom,
  ) {}

  async add(person: DemoPerson): Promise<void> {
    const { studioId, today, early, add } = this.to;
    const { athlete, gives, course, goalId } = person;
    const athleteId = this.random.id(early);
    await add(AthleteRow, [{ id: athleteId, studioId, rowVersion: 1, evidenceRevision: 0, lastSessionAt: null, leftOut: [], ...athlete }]);
    const readings = demoReadings(person, today, this.measuring);
    await add(
      ReadingRow,
      readings.map((reading) => ({
        ...reading,
        trials: trialsOf(reading, this.scattering),
        gauge: reading.kind === 'maximum' ? ('dynamometer' as const) : ('goniometer' as const),
        ...{ detail: null, sessionId: null, moment: null },
        isSure: false,
        id: this.measuring.id(early),
        studioId,
        athleteId,
      })),
    );
    const intake = demoIntake(person, today, this.asking.id(early));
    if (intake) await add(IntakeRow, [{ ...intake, studioId, athleteId }]);
    const { sequenceId, sequence } = await this.sequenceFor(person);
    // Counted from today's weekday, so that whichever day the demo is opened there is work in it.
    const weekdays = gives.weekdayOffsets.map((offset) => ((weekdayOf(today) - 1 + offset) % 7) + 1).sort((a, b) => a - b);
    const fromDay = addDays(today, -course.weeks * 7);
    await add(AssignmentRow, [{ id: this.random.id(early), studioId, sequenceId, athleteId, weekdays, fromDay }]);
    if (goalId !== null) {
      const easyId = must(this.to.sequenceIds.get('free'), 'a sequence of free motion');
      const document = towardTheShow({ goalId, loadingId: sequenceId, easyId, weekdays, today });
      await add(ProgrammeRow, [
        {
          id: this.planning.id(early),
          studioId,
          athleteId,
          ...storedProgramme(document),
          rowVersion: 1,
          updatedAt: early,
          removedAt: null,
        },
      ]);
    }
    const at = (day: string, minutes: number) => localInstant(this.to.held.timeZone, day, minutes);
    const rate = raterOf(personOf(athlete, readings, today).person, this.rating);
    await this.addHistory(historyOf({ studioId, athleteId, sequenceId, sequence, weekdays, course, today, at, rate }, this.random));
  }

  /** What a person does: one of the hall’s sequences, or a version of their own. */
  private async sequenceFor({ athlete, gives }: DemoPerson): Promise<{ sequenceId: string; sequence: Sequence }> {
    const { studioId, early, add, sequenceIds } = this.to;
    const sequence = DEMO_SEQUENCES[gives.sequence];
    if (!gives.isOwn) return { sequence, sequenceId: must(sequenceIds.get(gives.sequence), `a sequence ${gives.sequence}`) };
    const own: Sequence = { ...sequence, title: `${sequence.title}, ${athlete.name}` };
    const id = this.owning.id(early);
    await add(SequenceRow, [sequenceRow({ studioId, id, document: own, early })]);
    await add(
      SequenceMovementRow,
      movementRowsOf(id, own).map((row) => ({ ...row, studioId })),
    );
    return { sequenceId: id, sequence: own };
  }

  private async addHistory({ sessions, sets, reports, form, complaints }: History): Promise<void> {
    const { add, held } = this.to;
    const rows: SessionRow[] = [];
    for (const { plan, ...session } of sessions) {
      const planId = this.planIds.get(plan) ?? (await keepPlan(held, plan));
      this.planIds.set(plan, planId);
      rows.push({ ...session, planId });
    }
    await add(SessionRow, rows);
    const last = rows.at(-1);
    if (last) await storeLastSession(held, last);
    await add(DoneSetRow, sets);
    await add(BlockReportRow, reports);
    await add(FormTickRow, form);
    await add(ComplaintRow, complaints);
  }
}

/** A sequence as it is stored, filed nowhere. */
export const sequenceRow = ({
  studioId,
  id,
  document,
  early,
}: {
  studioId: string;
  id: string;
  document: Sequence;
  early: Date;
}): SequenceRow => ({
  ...{ id, studioId, tags: [], isFavourite: false, isArchived: false },
  ...{ rowVersion: 1, schemaVersion: SEQUENCE_FORMAT_VERSION },
  ...{ ...storedSequence(document, shippedMovement), updatedAt: early, lastUsedAt: null, removedAt: null },
});

function localInstant(timeZone: string, day: string, minutes: number): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(new TZDate(year, month - 1, date, Math.floor(minutes / 60), minutes % 60, timeZone).getTime());
}
