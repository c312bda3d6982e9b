import type { AssignmentInput, AssignmentItem } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { notFound } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { AssignmentRow } from './assignment.entity.js';

/** Gives sequences to athletes and takes them back. */
@Injectable()
export class AssignmentsService {
  /** All that stand, leaving out those of removed sequences. */
  async list(scope: StudioScope): Promise<AssignmentItem[]> {
    const rows = await scope.of(AssignmentRow).find();
    const sequences = await scope.of(SequenceRow).find({ select: { id: true, title: true, removedAt: true } });
    const athletes = await scope.of(AthleteRow).find({ select: { id: true, name: true } });
    const titleOf = new Map(sequences.filter((row) => !row.removedAt).map((row) => [row.id, row.title]));
    const nameOf = new Map(athletes.map((row) => [row.id, row.name]));
    return rows.flatMap(({ studioId: _studioId, ...row }) => {
      const sequenceTitle = titleOf.get(row.sequenceId);
      return sequenceTitle === undefined ? [] : [{ ...row, sequenceTitle, athleteName: nameOf.get(row.athleteId) ?? '' }];
    });
  }

  /** Creates or replaces: the last word counts, since an assignment is a few ticks and nobody's long work. */
  async put(scope: StudioScope, id: string, input: AssignmentInput): Promise<AssignmentItem> {
    await scope.of(SequenceRow).get(input.sequenceId, 'sequence');
    await scope.of(AthleteRow).get(input.athleteId, 'athlete');
    const { sequenceId, athleteId, fromDay } = input;
    const weekdays = input.weekdays.toSorted((a, b) => a - b);
    const content = { sequenceId, athleteId, weekdays, fromDay };
    await scope.transaction(async (held) => {
      const rows = held.of(AssignmentRow);
      const before = await rows.one({ id });
      if (!(await rows.insert({ id, ...content }, 'assignment'))) await rows.update({ id }, content);
      await raiseEvidence(held, ...new Set([athleteId, before?.athleteId ?? athleteId]));
    });
    const item = (await this.list(scope)).find((candidate) => candidate.id === id);
    if (!item) throw notFound('sequence');
    return item;
  }

  async remove(scope: StudioScope, id: string): Promise<void> {
    await scope.transaction(async (held) => {
      const row = await held.of(AssignmentRow).get(id, 'assignment');
      await held.of(AssignmentRow).remove({ id });
      await raiseEvidence(held, row.athleteId);
    });
  }
}
