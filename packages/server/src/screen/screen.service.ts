import type { ScreenAnswer, ScreenQuestion } from '@clay-pot/contracts';
import { afterIntake, ageOn, cautionsOn, checkHealth, healthOf, screen, screeningWords, whyItHurts, withAge } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { invalid } from '../http/problem.js';
import { libraryDataOf } from '../library/library.service.js';
import { PersonsService } from '../persons/persons.service.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Stands for answers that are not kept. */
const NOT_KEPT = '00000000-0000-7000-8000-000000000000';

/** Asks the core what answers about health lead to. */
@Injectable()
export class ScreenService {
  constructor(
    private readonly clock: Clock,
    private readonly persons: PersonsService,
    private readonly work: HeavyWork,
  ) {}

  async verdict(scope: StudioScope, question: ScreenQuestion): Promise<ScreenAnswer> {
    const today = dayIn(scope.timeZone, this.clock.now());
    const { athleteId, onDay = today, path } = question;
    const faults = checkHealth(healthOf(question), today);
    if (onDay > today) faults.push({ pointer: '/onDay', message: `must not lie after today, ${today}` });
    if (faults.length > 0) throw invalid(faults);
    const whyHurts = path ? walked(path) : null;
    const athlete = athleteId ? await scope.of(AthleteRow).get(athleteId, 'athlete') : null;
    const age = question.ageYears ?? (athlete?.birthDate ? ageOn(athlete.birthDate, onDay) : null);
    const screening = screen(healthOf(question), { onDay, ageYears: age, sex: question.sex ?? athlete?.sex, intakeId: NOT_KEPT });
    const kept = afterIntake(athlete?.cautions ?? [], screening.cautions);
    const standing = withAge(cautionsOn({ cautions: kept }, onDay), age);
    const [{ person }, library] = await Promise.all([
      this.persons.subjectOf(scope, athleteId ? { athleteId } : age === null ? {} : { body: { ageYears: age } }),
      libraryDataOf(scope),
    ]);
    return {
      ...screening,
      words: screeningWords(screening),
      movements: await this.work.run('answerOpen', { library, person, cautions: standing }),
      whyItHurts: whyHurts,
    };
  }
}

function walked(path: readonly string[]) {
  try {
    return whyItHurts(path);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw invalid([{ pointer: '/path', message: error.message }]);
  }
}
