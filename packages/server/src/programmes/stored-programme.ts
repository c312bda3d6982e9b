import { lastDayOf, type Programme } from '@clay-pot/core';
import type { ProgrammeRow } from './programme.entity.js';

/** A document with what lists and Today read of it. */
export const storedProgramme = (document: Programme): Pick<ProgrammeRow, 'title' | 'fromDay' | 'lastDay' | 'document'> => ({
  title: document.title,
  fromDay: document.fromDay,
  lastDay: lastDayOf(document),
  document,
});
