import type { BodyInput, PersonInput } from '@clay-pot/contracts';
import {
  cautionsOn,
  checkReading,
  type Evidence,
  type Subject,
  maximaOf,
  type Person,
  personOf,
  type Reading,
  type RecordedCaution,
  under,
  withRanges,
} from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { invalid } from '../http/problem.js';
import { EvidenceService } from './evidence.service.js';
import { gradesOf } from '../library/library.service.js';
import type { RecordOf } from './subject-work.js';
import { ReadingsService } from '../readings/readings.service.js';

/** Of whom something is asked: an athlete by their record, a body, or nobody in particular. */
@Injectable()
export class PersonsService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
    private readonly evidence: EvidenceService,
  ) {}

  /** An athlete's record with what the question changes of it, or a body without a record. @throws 404, 422 for a reading that cannot be */
  async subjectOf(scope: StudioScope, question: PersonInput): Promise<Subject> {
    const today = dayIn(scope.timeZone, this.clock.now());
    const { athleteId, body } = question;
    if (!athleteId) return this.withReports(scope, bodyAlone(body, today), question);
    const record = await this.onRecord(scope, athleteId, body);
    const seen = await (body
      ? this.evidence.found(scope, athleteId, record, this.clock.now())
      : this.evidenceOfRecord(scope, athleteId, record));
    return this.withReports(scope, { ...record, person: withEvidence(record.person, seen) }, question);
  }

  /** With what the question itself says of their strength, holds and tests among it. */
  private async withReports(scope: StudioScope, recorded: Subject, question: PersonInput): Promise<Subject> {
    const answered = withMore(recorded, question);
    const readings = measuredIn(question, answered.person.today);
    const held = await this.evidence.ofReadings(scope, { person: answered.person, readings });
    return { ...answered, person: { ...withEvidence(answered.person, held), grades: await gradesOf(scope) } };
  }

  /** An athlete’s restrictions today; none where nobody of the studio is meant. @throws 404 */
  async cautionsOf(scope: StudioScope, { athleteId }: PersonInput): Promise<RecordedCaution[]> {
    if (!athleteId) return [];
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    return cautionsOn(athlete, dayIn(scope.timeZone, this.clock.now()));
  }

  /** What the sets of an athlete tell of their maxima, beside the readings. @throws 404 */
  async evidenceFromSets(scope: StudioScope, athleteId: string): Promise<Evidence[]> {
    const record = await this.onRecord(scope, athleteId, undefined);
    return this.evidenceOfRecord(scope, athleteId, record);
  }

  private evidenceOfRecord(scope: StudioScope, athleteId: string, record: OnRecord): Promise<Evidence[]> {
    return this.evidence.ofRecord(scope, athleteId, record, this.clock.now());
  }

  /** By record and readings alone, with another body where one is given. */
  private async onRecord(scope: StudioScope, athleteId: string, body: BodyInput | undefined): Promise<OnRecord> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const readings = await this.readings.list(scope, athleteId);
    const record = {
      sex: body?.sex ?? athlete.sex,
      statureCm: body?.statureM === undefined ? athlete.statureCm : body.statureM * 100,
      massKg: body?.massKg ?? athlete.massKg,
      birthDate: athlete.birthDate,
    };
    const recorded = personOf(record, readings, dayIn(scope.timeZone, this.clock.now()));
    const person = body?.ageYears === undefined ? recorded.person : { ...recorded.person, ageYears: body.ageYears };
    return { ...recorded, person, record, readings };
  }
}

interface OnRecord extends Subject {
  readonly record: RecordOf;
  readonly readings: readonly Reading[];
}

const withEvidence = (person: Person, more: readonly Evidence[]): Person =>
  more.length === 0 ? person : { ...person, evidence: [...person.evidence, ...more] };

/** The readings of a question, on their days. */
const measuredIn = ({ measured = [] }: PersonInput, today: string): Reading[] =>
  measured.map((reading) => ({ ...reading, onDay: reading.onDay ?? today }));

/** A person with what the question itself says of their strength. @throws 422 for a reading that cannot be */
export function withMore({ person, estimated }: Subject, question: PersonInput): Subject {
  const { strengthOfNorm } = question;
  const readings = measuredIn(question, person.today);
  const faults = readings.flatMap((reading, index) => under(`/measured/${index}`, checkReading(reading, person.today)));
  if (faults.length > 0) throw invalid(faults);
  return {
    person: {
      ...person,
      ...(strengthOfNorm !== undefined && { strengthOfNorm }),
      evidence: [...person.evidence, ...maximaOf(readings)],
      rangeDeg: withRanges(person.rangeDeg, readings),
    },
    estimated,
  };
}

/** A body without a record. @param today ISO day */
export function bodyAlone(body: BodyInput | undefined, today: string): Subject {
  const { person, estimated } = personOf(
    {
      sex: body?.sex ?? 'not stated',
      statureCm: body?.statureM === undefined ? null : body.statureM * 100,
      massKg: body?.massKg ?? null,
      birthDate: null,
    },
    [],
    today,
  );
  const ageYears = body?.ageYears;
  if (ageYears === undefined) return { person, estimated };
  const unknowns = Math.max(0, (person.unknowns ?? 0) - 1);
  return { person: { ...person, ageYears, unknowns }, estimated: estimated.slice(0, -1) };
}
