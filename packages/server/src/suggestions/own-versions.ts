import { addDays, applyEdits, type Edit, newestVersionOf, SEQUENCE_LIMITS, type SuggestionOption, weekdayOf } from '@clay-pot/core';
import { SEQUENCE_FORMAT_VERSION } from '@clay-pot/core/exchange';
import type { StudioLibrary } from '@clay-pot/core/library';
import { In, MoreThanOrEqual } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { dayIn } from '../http/clock.js';
import { conflict } from '../http/problem.js';
import { SessionRow } from '../sessions/session.entities.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { storedSequence } from '../sequences/sequence-sums.js';
import { keepMovementsOf } from '../sequences/sequence-movements.js';
import type { OwnVersion, SuggestionAnswerRow } from './suggestion.entities.js';
import { soundSequence } from '../sequences/sound-sequence.js';

/** Which sequences an athlete does in a version of their own, by what was answered and not taken back. */
export const replacedBy = (answers: readonly Pick<SuggestionAnswerRow, 'answer' | 'changed'>[]): [sequenceId: string, ownId: string][] =>
  answers
    .filter(({ answer }) => answer !== 'taken back')
    .flatMap(({ changed }) =>
      changed.flatMap((change) => ('ownId' in change ? [[change.sequenceId, change.ownId] as [string, string]] : [])),
    );

interface Change {
  readonly athlete: { readonly id: string; readonly name: string };
  readonly option: SuggestionOption;
  readonly answers: readonly SuggestionAnswerRow[];
  readonly library: StudioLibrary;
  readonly now: Date;
}

/**
 * Carries out an option on sequences that stand by themselves, in no programme: each becomes the person’s own version, assigned in its place. One that was only
 * led is assigned on the weekdays on which it was. What others do stays as it is. @throws 409 where the sequence is another by now
 */
export async function withOwnVersions(held: StudioScope, { athlete, option, answers, library, now }: Change): Promise<OwnVersion[]> {
  if (option.effect.kind !== 'blocks') return [];
  const replaced = new Map(replacedBy(answers));
  const made: OwnVersion[] = [];
  for (const { place, edits } of option.effect.plans) {
    if (place.programmeId !== null) continue;
    // Of what was changed before, their own version is changed further.
    const sequenceId = newestVersionOf(place.sequenceId, replaced);
    const found = await held.of(AssignmentRow).find({ where: { athleteId: athlete.id, sequenceId } });
    const fresh = found.length > 0 ? null : await assignAsLed(held, athlete.id, sequenceId, now);
    const version = await ownVersion(held, { sequenceId, edits, assignments: fresh ? [fresh] : found }, { athlete, library, now });
    made.push(fresh ? { ...version, madeAssignmentId: fresh.id } : version);
  }
  return made;
}

/** Sessions of so many days show on which weekdays a sequence is led. */
const WEEKDAYS_FROM_DAYS = 21;

/** Assigns a sequence on the weekdays on which it was led lately. */
async function assignAsLed(held: StudioScope, athleteId: string, sequenceId: string, now: Date): Promise<AssignmentRow> {
  const today = dayIn(held.timeZone, now);
  const onDay = MoreThanOrEqual(addDays(today, -WEEKDAYS_FROM_DAYS));
  const led = await held.of(SessionRow).find({ select: { id: true, onDay: true }, where: { athleteId, sequenceId, onDay } });
  const days = new Set(led.map((session) => weekdayOf(session.onDay)));
  const weekdays = (days.size > 0 ? [...days] : [weekdayOf(today)]).sort((a, b) => a - b);
  const assignment = { id: uuid(), athleteId, sequenceId, weekdays, fromDay: today };
  await held.of(AssignmentRow).insert(assignment, 'assignment');
  return held.of(AssignmentRow).get(assignment.id, 'assignment');
}

async function ownVersion(
  held: StudioScope,
  { sequenceId, edits, assignments }: { sequenceId: string; edits: readonly Edit[]; assignments: readonly AssignmentRow[] },
  { athlete, library, now }: Omit<Change, 'option' | 'answers'>,
): Promise<OwnVersion> {
  const original = await held.of(SequenceRow).get(sequenceId, 'sequence');
  const there = new Set(original.document.blocks.map(({ id }) => id));
  if (edits.some((edit) => 'blockId' in edit && !there.has(edit.blockId))) {
    throw conflict('The sequence has been changed since. Open it and change it there.');
  }
  const suffix = ` for ${athlete.name}`;
  const isOwn = original.title.endsWith(suffix);
  const title = isOwn ? original.title : `${original.title.slice(0, SEQUENCE_LIMITS.titleLength - suffix.length)}${suffix}`;
  const document = soundSequence({ ...applyEdits(original.document, edits), title }, library);
  const ownId = uuid();
  const kept = {
    rowVersion: 1,
    removedAt: null,
    lastUsedAt: null,
    tags: original.tags,
    isFavourite: original.isFavourite,
    isArchived: false,
  };
  const stored = { ...storedSequence(document, library.movement), schemaVersion: SEQUENCE_FORMAT_VERSION, updatedAt: now };
  await held.of(SequenceRow).insert({ id: ownId, ...kept, ...stored }, 'sequence');
  await keepMovementsOf(held, ownId, document);
  const assignmentIds = assignments.map(({ id }) => id);
  await held.of(AssignmentRow).update({ id: In(assignmentIds) }, { sequenceId: ownId });
  if (isOwn) await held.of(SequenceRow).update({ id: original.id }, { isArchived: true });
  return { sequenceId: original.id, ownId, assignmentIds, isArchived: isOwn };
}

/** Gives the person back what they did before; their own version is removed, and records keep what was led. */
export async function withoutOwnVersion(
  held: StudioScope,
  { sequenceId, ownId, assignmentIds, isArchived, madeAssignmentId }: OwnVersion,
  now: Date,
): Promise<void> {
  if (madeAssignmentId !== undefined) await held.of(AssignmentRow).remove({ id: madeAssignmentId });
  await held.of(AssignmentRow).update({ id: In([...assignmentIds]), sequenceId: ownId }, { sequenceId });
  await held.of(SequenceRow).update({ id: ownId }, { removedAt: now });
  if (isArchived) await held.of(SequenceRow).update({ id: sequenceId }, { isArchived: false });
}
