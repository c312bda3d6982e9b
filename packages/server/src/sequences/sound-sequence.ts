import { checkMutes, checkSequence, type Fault, type Sequence, under } from '@clay-pot/core';
import type { StudioLibrary } from '@clay-pot/core/library';
import { invalid } from '../http/problem.js';

/** A document checked against the studio’s library. @throws 422 with pointers from `at` */
export function soundSequence(document: Sequence, library: StudioLibrary, at = ''): Sequence {
  const faults = [...checkSequence(document, library.movement), ...checkMutes(document), ...methodFaults(document, library)];
  if (faults.length) throw invalid(under(at, faults));
  return document;
}

/** What is wrong with the method that a sequence names. */
export function methodFaults({ methodId }: Sequence, { method }: StudioLibrary): Fault[] {
  if (methodId === undefined || method(methodId)) return [];
  const message = `There is no method “${methodId}” in this studio. Choose one of the studio’s methods or a shipped one.`;
  return [{ pointer: '/methodId', message }];
}
