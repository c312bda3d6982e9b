import { addDays, METRIC, must, personOf, type Sequence, weekdayOf } from '@clay-pot/core';
import { TZDate } from '@date-fns/tz';
import type { DataSource, EntityTarget, ObjectLiteral } from 'typeorm';
import { AccountRow, StudioRow } from '../../accounts/entities.js';
import { hashPassword } from '../../accounts/sign-in.service.js';
import { AssignmentRow } from '../../assignments/assignment.entity.js';
import { AthleteRow } from '../../athletes/athlete.entity.js';
import { dayIn } from '../../http/clock.js';
import { GradeRow } from '../../grades/grade.entity.js';
import { IntakeRow } from '../../intakes/intake.entity.js';
import { MethodRow } from '../../methods/method.entity.js';
import { MovementNameRow } from '../../movements/movement-name.entity.js';
import { MovementRow } from '../../movements/movement.entity.js';
import { ReadingRow } from '../../readings/reading.entity.js';
import { storedSequence } from '../../sequences/sequence-sums.js';
import { ProgrammeRow } from '../../programmes/programme.entity.js';
import { storedProgramme } from '../../programmes/stored-programme.js';
import { movementRowsOf, SequenceMovementRow } from '../../sequences/sequence-movements.js';
import { SequenceRow } from '../../sequences/sequence.entity.js';
import { keepPlan } from '../../sessions/plans.js';
import { StudioScope } from '../studio-scope.js';
import { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, SessionRow } from '../../sessions/session.entities.js';
import { SEQUENCE_FORMAT_VERSION } from '@clay-pot/core/exchange';
import { shippedMovement } from '@clay-pot/core/library';
import { type History, historyOf } from './history.js';
import { demoIntake } from './intakes.js';
import { lanternWeeks } from './own-method.js';
import { strapHang } from './own-movement.js';
import { HALL_GRADES } from './hall-grades.js';
import { HALL_NAMES } from './own-names.js';
import { demoPeople } from './people.js';
import { SeededRandom } from './random.js';
import { raterOf } from './rater.js';
import { demoReadings, trialsOf } from './readings.js';
import { DEMO_GOALS, towardTheShow } from './programmes.js';
import { DEMO_FILING, DEMO_SEQUENCES, type SequenceKey } from './sequences.js';

/** Who can sign in to the demo studio. */
export const DEMO_SIGN_IN = { email: 'coach@lanternfield.example', password: 'lantern-hall' };
const SEED = 20_417;
const TIME_ZONE = 'Europe/Amsterdam';
const ROWS_PER_INSERT = 400;

/** Fills an empty database with Lanternfield Hall. Does nothing when there is a studio already. */
export async function seedWhenEmpty(source: DataSource, now: Date): Promise<void> {
  if ((await source.getRepository(StudioRow).count()) > 0) return;
  const random = new SeededRandom(SEED);
  const today = dayIn(TIME_ZONE, now);
  const early = new Date(now.getTime() - 80 * 24 * 3600 * 1000);
  const studioId = random.id(early);
  const passwordHash = await hashPassword(DEMO_SIGN_IN.password);
  await source.transaction(async (manager) => {
    const add = async <E extends ObjectLiteral>(entity: EntityTarget<E>, rows: readonly E[]) => {
      for (let start = 0; start < rows.length; start += ROWS_PER_INSERT) {
        const some = rows.slice(start, start + ROWS_PER_INSERT);
        await manager.createQueryBuilder().insert().into(entity).values(some).updateEntity(false).execute();
      }
    };
    await add(StudioRow, [{ id: studioId, name: 'Lanternfield Hall', timeZone: TIME_ZONE, isDemo: true }]);
    const { email } = DEMO_SIGN_IN;
    const units = { massUnit: METRIC.mass, lengthUnit: METRIC.length };
    await add(AccountRow, [{ id: random.id(early), studioId, email, name: 'Maren Holloway', passwordHash, ...units }]);
    const sequenceIds = new Map<SequenceKey, string>();
    for (const [key, document] of Object.entries(DEMO_SEQUENCES) as [SequenceKey, (typeof DEMO_SEQUENCES)[SequenceKey]][]) {
      const id = random.id(early);
      sequenceIds.set(key, id);
      const versions = { rowVersion: 1, schemaVersion: SEQUENCE_FORMAT_VERSION };
      await add(SequenceRow, [
        {
          ...{ id, studioId, tags: [], isFavourite: false, isArchived: false, ...DEMO_FILING[key] },
          ...{ ...versions, ...storedSequence(document, shippedMovement), updatedAt: early, removedAt: null },
        },
      ]);
      await add(
        SequenceMovementRow,
        movementRowsOf(id, document).map((row) => ({ ...row, studioId })),
      );
    }
    const ownId = new SeededRandom(SEED + 2).id(early);
    const own = strapHang(ownId);
    await add(MovementRow, [{ id: ownId, studioId, rowVersion: 1, name: own.name, document: own, updatedAt: early, removedAt: null }]);
    const nameIds = new SeededRandom(SEED + 4);
    const named = Object.entries(HALL_NAMES);
    await add(
      MovementNameRow,
      named.map(([movementId, name]) => ({ id: nameIds.id(early), studioId, movementId, name })),
    );
    const gradeIds = new SeededRandom(SEED + 9);
    await add(
      GradeRow,
      HALL_GRADES.map((grade) => ({ id: gradeIds.id(early), studioId, ...grade })),
    );
    const methodId = new SeededRandom(SEED + 3).id(early);
    const method = lanternWeeks(methodId);
    await add(MethodRow, [
      { id: methodId, studioId, rowVersion: 1, name: method.name, document: method, updatedAt: early, removedAt: null },
    ]);
    const histories: History[] = [];
    const birthDate = (yearsAgo: number, monthDay: string) => {
      const thisYear = Number(today.slice(0, 4));
      const hadBirthday = monthDay <= today.slice(5);
      return `${thisYear - yearsAgo - (hadBirthday ? 0 : 1)}-${monthDay}`;
    };
    // A generator of its own, so that the sessions don’t depend on the tests.
    const measuring = new SeededRandom(SEED + 1);
    const asking = new SeededRandom(SEED + 4);
    const scattering = new SeededRandom(SEED + 5);
    const planning = new SeededRandom(SEED + 6);
    const rating = new SeededRandom(SEED + 7);
    for (const person of demoPeople(birthDate)) {
      const { athlete, gives, course } = person;
      const athleteId = random.id(early);
      await add(AthleteRow, [{ id: athleteId, studioId, rowVersion: 1, evidenceRevision: 0, leftOut: [], ...athlete }]);
      const readings = demoReadings(person, today, measuring);
      await add(
        ReadingRow,
        readings.map((reading) => ({
          ...reading,
          trials: trialsOf(reading, scattering),
          gauge: reading.kind === 'maximum' ? ('dynamometer' as const) : ('goniometer' as const),
          ...{ detail: null, sessionId: null, moment: null },
          isSure: false,
          id: measuring.id(early),
          studioId,
          athleteId,
        })),
      );
      const intake = demoIntake(person, today, asking.id(early));
      if (intake) await add(IntakeRow, [{ ...intake, studioId, athleteId }]);
      const sequenceId = must(sequenceIds.get(gives.sequence), `a sequence ${gives.sequence}`);
      // Counted from today's weekday, so that whichever day the house is opened there is work in it.
      const weekdays = gives.weekdayOffsets.map((offset) => ((weekdayOf(today) - 1 + offset) % 7) + 1).sort((a, b) => a - b);
      const fromDay = addDays(today, -course.weeks * 7);
      await add(AssignmentRow, [{ id: random.id(early), studioId, sequenceId, athleteId, weekdays, fromDay }]);
      const goalId = DEMO_GOALS[athlete.name];
      if (goalId !== undefined) {
        const easyId = must(sequenceIds.get('free'), 'a sequence of free motion');
        const document = towardTheShow({ goalId, loadingId: sequenceId, easyId, weekdays, today });
        await add(ProgrammeRow, [
          { id: planning.id(early), studioId, athleteId, ...storedProgramme(document), rowVersion: 1, updatedAt: early, removedAt: null },
        ]);
      }
      const sequence = DEMO_SEQUENCES[gives.sequence];
      const at = (day: string, minutes: number) => localInstant(day, minutes);
      const rate = raterOf(personOf(athlete, readings, today).person, rating);
      histories.push(historyOf({ studioId, athleteId, sequenceId, sequence, weekdays, course, today, at, rate }, random));
    }
    const held = new StudioScope(studioId, TIME_ZONE, manager);
    const planIds = new Map<Sequence, string>();
    const sessions: SessionRow[] = [];
    for (const { plan, ...session } of histories.flatMap((history) => history.sessions)) {
      const planId = planIds.get(plan) ?? (await keepPlan(held, plan));
      planIds.set(plan, planId);
      sessions.push({ ...session, planId });
    }
    await add(SessionRow, sessions);
    await add(
      DoneSetRow,
      histories.flatMap((history) => history.sets),
    );
    await add(
      BlockReportRow,
      histories.flatMap((history) => history.reports),
    );
    await add(
      FormTickRow,
      histories.flatMap((history) => history.form),
    );
    await add(
      ComplaintRow,
      histories.flatMap((history) => history.complaints),
    );
  });
}

function localInstant(day: string, minutes: number): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(new TZDate(year, month - 1, date, Math.floor(minutes / 60), minutes % 60, TIME_ZONE).getTime());
}
