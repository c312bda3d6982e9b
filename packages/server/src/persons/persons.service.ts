import type { BodyInput, PostureQuestion } from '@clay-pot/contracts';
import { type ForWhom, personOf } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { ReadingsService } from '../readings/readings.service.js';

/** Of whom something is asked: an athlete by their record, a body, or nobody in particular. */
@Injectable()
export class PersonsService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
  ) {}

  /** An athlete's record with what the question changes of it, or a body without a record. @throws 404 */
  async forWhom(
    scope: StudioScope,
    { athleteId, body }: Pick<PostureQuestion, 'athleteId' | 'body'>,
  ): Promise<ForWhom> {
    const today = dayIn(scope.timeZone, this.clock.now());
    if (!athleteId) return bodyAlone(body, today);
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const known = personOf(
      {
        sex: body?.sex ?? athlete.sex,
        statureCm: body?.statureM === undefined ? athlete.statureCm : body.statureM * 100,
        massKg: body?.massKg ?? athlete.massKg,
        birthDate: athlete.birthDate,
      },
      await this.readings.list(scope, athleteId),
      today,
    );
    return body?.ageYears === undefined ? known : { ...known, person: { ...known.person, ageYears: body.ageYears } };
  }
}

/** A body without a record. @param today ISO day */
export function bodyAlone(body: BodyInput | undefined, today: string): ForWhom {
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
  const ageYears = body?.ageYears ?? null;
  return { person: { ...person, ageYears }, estimated: ageYears === null ? estimated : estimated.slice(0, -1) };
}
