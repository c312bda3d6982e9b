import { DataSource, type DataSourceOptions } from 'typeorm';
import { refreshDerived } from './derived.js';
import { givingUpAfter, QUERY_LIMIT_S, withLimit } from './query-limit.js';
import { AccountRow, KnownDeviceRow, SignInFailureRow, SignInRow, StudioRow } from '../accounts/entities.js';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { IntakeRow } from '../intakes/intake.entity.js';
import { PictureRow } from '../pictures/picture.entity.js';
import { KeptAnswerRow } from '../kept/kept-answer.entity.js';
import { MethodRow } from '../methods/method.entity.js';
import { GradeRow } from '../grades/grade.entity.js';
import { MovementNameRow } from '../movements/movement-name.entity.js';
import { SuggestionAnswerRow } from '../suggestions/suggestion.entities.js';
import { CalendarLinkRow } from '../calendar/calendar-link.entity.js';
import { ProgrammeCopyRow } from '../programmes/programme-copy.entity.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { MovementRow } from '../movements/movement.entity.js';
import { ReadingRow } from '../readings/reading.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, HandLookRow, SessionRow } from '../sessions/session.entities.js';
import { PlanMovementRow, PlanRow } from '../sessions/plan.entities.js';
import { SequenceMovementRow } from '../sequences/sequence-movements.js';
import { FirstHouse1780000000000 } from './migrations/1780000000000-first-house.js';
import { MovementsAndReadings1790000000000 } from './migrations/1790000000000-movements-and-readings.js';
import { Methods1800000000000 } from './migrations/1800000000000-methods.js';
import { SumsAndTerms1810000000000 } from './migrations/1810000000000-sums-and-terms.js';
import { StandingStops1820000000000 } from './migrations/1820000000000-standing-stops.js';
import { Complaints1830000000000 } from './migrations/1830000000000-complaints.js';
import { LengthsAnew1840000000000 } from './migrations/1840000000000-lengths-anew.js';
import { Intakes1850000000000 } from './migrations/1850000000000-intakes.js';
import { Trials1860000000000 } from './migrations/1860000000000-trials.js';
import { Band1880000000000 } from './migrations/1880000000000-band.js';
import { Pictures1890000000000 } from './migrations/1890000000000-pictures.js';
import { Moments1910000000000 } from './migrations/1910000000000-moments.js';
import { Rounds1920000000000 } from './migrations/1920000000000-rounds.js';
import { OwnNames1930000000000 } from './migrations/1930000000000-own-names.js';
import { Calendars1950000000000 } from './migrations/1950000000000-calendars.js';
import { Calls1960000000000 } from './migrations/1960000000000-calls.js';
import { MethodSteps1970000000000 } from './migrations/1970000000000-method-steps.js';
import { FormTicks1980000000000 } from './migrations/1980000000000-form-ticks.js';
import { MethodPace1990000000000 } from './migrations/1990000000000-method-pace.js';
import { KeptAnswers2010000000000 } from './migrations/2010000000000-kept-answers.js';
import { Plans2020000000000 } from './migrations/2020000000000-plans.js';
import { DerivedValues2030000000000 } from './migrations/2030000000000-derived-values.js';
import { Predictions2040000000000 } from './migrations/2040000000000-predictions.js';
import { DemoStudio2060000000000 } from './migrations/2060000000000-demo-studio.js';
import { Suggestions2070000000000 } from './migrations/2070000000000-suggestions.js';
import { ProgrammeCopies2080000000000 } from './migrations/2080000000000-programme-copies.js';
import { Grades2090000000000 } from './migrations/2090000000000-grades.js';
import { KnownDevices2100000000000 } from './migrations/2100000000000-known-devices.js';
import { ClassEventRow, ClassGuestRow, ClassSessionRow } from '../class-sessions/class-session.entities.js';
import { StudioRevisions2110000000000 } from './migrations/2110000000000-studio-revisions.js';
import { ClassSessions2120000000000 } from './migrations/2120000000000-class-sessions.js';
import { FiledSequences2050000000000 } from './migrations/2050000000000-filed-sequences.js';
import { DaysOfSessions2000000000000 } from './migrations/2000000000000-days-of-sessions.js';
import { Programmes1940000000000 } from './migrations/1940000000000-programmes.js';
import { Mornings1900000000000 } from './migrations/1900000000000-mornings.js';
import { Units1870000000000 } from './migrations/1870000000000-units.js';

/** Every table. */
export const ENTITIES = [
  StudioRow,
  AccountRow,
  SignInRow,
  SignInFailureRow,
  KnownDeviceRow,
  AthleteRow,
  SequenceRow,
  AssignmentRow,
  SequenceMovementRow,
  PlanRow,
  PlanMovementRow,
  SessionRow,
  DoneSetRow,
  BlockReportRow,
  ComplaintRow,
  FormTickRow,
  HandLookRow,
  MovementRow,
  MovementNameRow,
  GradeRow,
  ProgrammeRow,
  ProgrammeCopyRow,
  CalendarLinkRow,
  SuggestionAnswerRow,
  KeptAnswerRow,
  MethodRow,
  ReadingRow,
  IntakeRow,
  PictureRow,
  ClassSessionRow,
  ClassEventRow,
  ClassGuestRow,
];

/** How the database at a URL is spoken to: with migrations, and a limit on the time of every query. @param limitS seconds; 0 for none */
export function dataSourceOptions(url: string, limitS = QUERY_LIMIT_S): DataSourceOptions {
  return {
    type: 'mariadb',
    driver: withLimit(limitS),
    // Says nothing: what fails is logged with its request.
    logger: 'debug',
    ...givingUpAfter(limitS),
    url: url.replace(/^mysql:/, 'mariadb:'),
    entities: ENTITIES,
    migrations: [
      FirstHouse1780000000000,
      MovementsAndReadings1790000000000,
      Methods1800000000000,
      SumsAndTerms1810000000000,
      StandingStops1820000000000,
      Complaints1830000000000,
      LengthsAnew1840000000000,
      Intakes1850000000000,
      Trials1860000000000,
      Units1870000000000,
      Band1880000000000,
      Pictures1890000000000,
      Mornings1900000000000,
      Moments1910000000000,
      Rounds1920000000000,
      OwnNames1930000000000,
      Programmes1940000000000,
      Calendars1950000000000,
      Calls1960000000000,
      MethodSteps1970000000000,
      FormTicks1980000000000,
      MethodPace1990000000000,
      DaysOfSessions2000000000000,
      KeptAnswers2010000000000,
      Plans2020000000000,
      DerivedValues2030000000000,
      Predictions2040000000000,
      FiledSequences2050000000000,
      DemoStudio2060000000000,
      Suggestions2070000000000,
      ProgrammeCopies2080000000000,
      Grades2090000000000,
      KnownDevices2100000000000,
      StudioRevisions2110000000000,
      ClassSessions2120000000000,
    ],
    synchronize: false,
    timezone: 'Z',
    charset: 'utf8mb4_unicode_520_ci',
    poolSize: 10,
  };
}

/** Options of this database. */
export type MariaDbOptions = Extract<DataSourceOptions, { type: 'mariadb' | 'mysql' }>;
/** One holds the lock, another migrates. */
const MIGRATION_CONNECTIONS = 3;
const MIGRATION_LOCK = 'clay-pot-migrate';
const LOCK_WAIT_S = 60;

/** Brings the tables up to date, and runs `then` under the same lock: of several instances starting at once, one does the work. */
export async function migrate(served: DataSource, then: () => Promise<void> = async () => {}): Promise<void> {
  // By connections of its own: rewriting a table may take longer than a request waits.
  const source = await new DataSource({
    ...(served.options as MariaDbOptions),
    driver: withLimit(0),
    enableQueryTimeout: false,
    poolSize: MIGRATION_CONNECTIONS,
  }).initialize();
  const runner = source.createQueryRunner();
  try {
    const query = 'SELECT GET_LOCK(?, ?) AS got';
    const [row] = (await runner.query(query, [MIGRATION_LOCK, LOCK_WAIT_S])) as { got: unknown }[];
    if (Number(row?.got) !== 1) throw new Error(`Another instance has been migrating for more than ${LOCK_WAIT_S} s.`);
    await source.runMigrations({ transaction: 'each' });
    await refreshDerived(source);
    await then();
  } finally {
    await runner.query('SELECT RELEASE_LOCK(?)', [MIGRATION_LOCK]);
    await runner.release();
    await source.destroy();
  }
}
