import { calendarEntries, type cautionsOn, type Programme, type Sequence } from '@clay-pot/core';
import { type LibraryData, libraryWith, methodOf } from '@clay-pot/core/library';
import { icsOf } from './ics.js';

/** A programme as a calendar is written of it. */
export interface ProgrammeInCalendar {
  readonly id: string;
  readonly document: Programme;
  /** By their plans; removed ones are left out. */
  readonly sequences: ReadonlyMap<string, Sequence>;
  /** When any of it last became other than it was. */
  readonly changedAt: Date;
}

/** Everything that a calendar is written from, as plain data: for a thread of its own. */
export interface CalendarWork {
  readonly name: string;
  readonly timeZone: string;
  readonly library: LibraryData;
  readonly cautions: ReturnType<typeof cautionsOn>;
  readonly programmes: readonly ProgrammeInCalendar[];
  readonly stampedAt: Date;
}

/** Programmes as an iCalendar: a year of sessions takes a tenth of a second and more. */
export function answerCalendar({ name, timeZone, library: data, cautions, programmes, stampedAt }: CalendarWork): string {
  const library = libraryWith(data.movements, data.methods, data.names, data.grades);
  const entries = programmes.flatMap(({ id, document, sequences, changedAt }) =>
    calendarEntries(id, document, sequences, library.movement, { cautions, method: methodOf(document, library.method) }).map((entry) => ({
      ...entry,
      changedAt,
    })),
  );
  return icsOf(name, timeZone, entries, stampedAt);
}
