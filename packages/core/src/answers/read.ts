import { readSequenceText, type SequenceRead } from '../exchange/read-sequence-text.js';
import { type LibraryData, libraryWith, type StudioLibrary } from '../library/index.js';

/** A text, and the library of the studio whose words it may hold. */
export interface ReadWork {
  readonly text: string;
  readonly library: LibraryData;
}

/** The names of a studio are looked up in a library that is built once: a text is read again with every change. */
let last: { readonly key: string; readonly library: StudioLibrary } | undefined;

/** Reads a text, away from the event loop. */
export function answerRead({ text, library: data }: ReadWork): Omit<SequenceRead, 'understood'> {
  const key = JSON.stringify(data);
  if (last?.key !== key) last = { key, library: libraryWith(data.movements, data.methods, data.names, data.grades) };
  const { document, interpretations, faults } = readSequenceText(text, last.library);
  return { document, interpretations, faults };
}
