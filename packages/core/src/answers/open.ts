import { type LibraryData, libraryWith } from '../library/index.js';
import type { Person } from '../mechanics/capacity.js';
import type { RecordedCaution } from '../model/athlete.js';
import { type MovementOpen, movementsOpen } from '../rules/screening/movements-open.js';

/** Whose cautions leave what open, as plain data: for a thread of its own. */
export interface OpenWork {
  readonly library: LibraryData;
  readonly person: Person;
  /** As they stand on the day. */
  readonly cautions: readonly RecordedCaution[];
}

/** Which levels of each movement on the shelf are open, away from the event loop: every way of every level is worked out. */
export const answerOpen = ({ library, person, cautions }: OpenWork): MovementOpen[] =>
  movementsOpen(person, libraryWith(library.movements, library.methods, library.names, library.grades).shelf, cautions);
