import type { IntakeInput, IntakeSaved, StoredIntake } from '@clay-pot/contracts';
import { checkIntake, healthOf, recordAfterIntake, same, screen, screenedOn, withPerson } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { Not } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { athleteView } from '../athletes/athletes.service.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { IntakeRow } from './intake.entity.js';

const NEWEST_FIRST = { onDay: 'DESC', id: 'DESC' } as const;

/** Keeps answers with their day, and puts what follows from them into the athlete’s record. */
@Injectable()
export class IntakesService {
  constructor(private readonly clock: Clock) {}

  /** All of an athlete’s, the newest first. */
  async list(scope: StudioScope, athleteId: string): Promise<StoredIntake[]> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const rows = await scope.of(IntakeRow).find({ where: { athleteId }, order: NEWEST_FIRST });
    return rows.map(({ id, answers, verdict }) => ({ id, answers, verdict }));
  }

  /** Records answers once: the same again is fine, others under the same id are refused. Record and answers change together. */
  async add(scope: StudioScope, athleteId: string, id: string, answers: IntakeInput): Promise<IntakeSaved> {
    const faults = checkIntake(answers, dayIn(scope.timeZone, this.clock.now()));
    if (faults.length) {
      await scope.of(AthleteRow).get(athleteId, 'athlete');
      throw invalid(faults);
    }
    return scope.transaction(async (held) => {
      const before = await held.of(AthleteRow).hold(athleteId, 'athlete');
      const { studioId: _studio, id: _id, rowVersion, evidenceRevision: _revision, ...record } = before;
      const next = withPerson(record, answers);
      const screening = screen(healthOf(answers), screenedOn(next, answers.onDay, id));
      const intake = { id, answers, verdict: screening.verdict };
      const isNew = await held.of(IntakeRow).insert({ ...intake, athleteId, onDay: answers.onDay }, 'intake');
      if (!isNew) {
        const there = await held.of(IntakeRow).get(id, 'intake');
        if (there.athleteId !== athleteId || !same(there.answers, answers)) {
          throw conflict('Other answers are stored under this id. Use a new id.');
        }
        return { intake, screening, athlete: athleteView(before) };
      }
      const [newest = null] = await held.of(IntakeRow).find({ where: { athleteId, id: Not(id) }, order: NEWEST_FIRST, take: 1 });
      const { equipment, cautions, ...facts } = recordAfterIntake(record, { id, answers }, screening.cautions, newest);
      const change = { ...facts, equipment: [...equipment], cautions: [...cautions], rowVersion: rowVersion + 1 };
      await held.of(AthleteRow).update({ id: athleteId }, change);
      await raiseEvidence(held, athleteId);
      return { intake, screening, athlete: athleteView(await held.of(AthleteRow).get(athleteId, 'athlete')) };
    });
  }
}
