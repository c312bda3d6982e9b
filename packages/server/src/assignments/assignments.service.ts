import type { AssignmentInput, AssignmentItem, AssignmentsQuery } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { namesOf } from '../athletes/names.js';
import { BY_ID, pageFrom, type PageOf, pageWanted } from '../database/paging.js';
import type { StudioScope } from '../database/studio-scope.js';
import { notFound } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { AssignmentRow } from './assignment.entity.js';

/** Gives sequences to athletes and takes them back. */
@Injectable()
export class AssignmentsService {
  /** Of one athlete or of everybody, without those of removed sequences. */
  async list(scope: StudioScope, { athleteId, ...page }: AssignmentsQuery): Promise<PageOf<AssignmentItem>> {
    const wanted = pageWanted(page, [BY_ID]);
    const also = [...wanted.also, { text: IS_THERE, parameters: [] }];
    const rows = await scope.of(AssignmentRow).find({ where: athleteId === undefined ? {} : { athleteId }, ...wanted, also });
    const { shown, end } = pageFrom(rows, page, ({ id }) => [id]);
    return { items: await itemsOf(scope, shown), end };
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
    const [item] = await itemsOf(scope, await scope.of(AssignmentRow).find({ where: { id } }));
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

const IS_THERE = 'EXISTS (SELECT 1 FROM sequences WHERE sequences.id = assignments.sequence_id AND sequences.removed_at IS NULL)';

/** Rows with what they name; those of removed sequences are left out. */
async function itemsOf(scope: StudioScope, rows: readonly AssignmentRow[]): Promise<AssignmentItem[]> {
  const sequenceIds = [...new Set(rows.map(({ sequenceId }) => sequenceId))];
  const [sequences, names] = await Promise.all([
    scope.of(SequenceRow).find({ select: { id: true, title: true }, where: { id: In(sequenceIds), removedAt: IsNull() } }),
    namesOf(scope, rows),
  ]);
  const titleOf = new Map(sequences.map(({ id, title }) => [id, title]));
  return rows.flatMap(({ studioId: _studioId, ...row }) => {
    const sequenceTitle = titleOf.get(row.sequenceId);
    return sequenceTitle === undefined ? [] : [{ ...row, sequenceTitle, athleteName: names.get(row.athleteId) ?? '' }];
  });
}
