import { checkGrades, type Grade } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { v7 as uuid } from 'uuid';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { raiseEvidenceOfAll } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { GradeRow } from './grade.entity.js';

/** Keeps the springs and bands that a studio owns. */
@Injectable()
export class GradesService {
  constructor(private readonly library: LibraryService) {}

  async list(scope: StudioScope): Promise<Grade[]> {
    return [...(await this.library.of(scope)).grades];
  }

  /** Puts a list in the place of the one before: what is suggested to everybody may change by it. @throws 422 */
  async put(scope: StudioScope, grades: readonly Grade[]): Promise<Grade[]> {
    const faults = checkGrades(grades);
    if (faults.length > 0) throw invalid(faults);
    const kept = grades.map(({ kind, name, kg }): Grade => ({ kind, name: name.trim(), kg }));
    await scope.transaction(async (held) => {
      // Of two lists that are sent at once the later one stays whole.
      await held.holdStudio();
      await raiseEvidenceOfAll(held);
      await held.of(GradeRow).remove({});
      await held.of(GradeRow).insertAll(kept.map((grade) => ({ id: uuid(), ...grade })));
    });
    return kept;
  }
}
