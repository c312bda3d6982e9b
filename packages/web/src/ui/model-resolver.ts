import type { Fault } from '@clay-pot/core';
import { toNestErrors } from '@hookform/resolvers';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';

/**
 * Checks a form by the very rules that the server goes by.
 * @param check tells what is wrong, by JSON pointer
 * @param tidy makes a document of what the form holds
 */
export function modelResolver<T extends FieldValues>(
  check: (values: T) => readonly Fault[],
  tidy: (values: T) => T = (values) => values,
): Resolver<T> {
  return (typed, _context, options) => {
    const values = tidy(typed);
    const faults = check(values);
    if (faults.length === 0) return { values, errors: {} };
    const errors = faults.map(({ pointer, message }) => [fieldAt(pointer), { type: 'model', message }]);
    return { values: {}, errors: toNestErrors(Object.fromEntries(errors) as FieldErrors<T>, options) };
  };
}

/** A JSON pointer as a form names its fields. @example fieldAt('/cautions/0/note') → 'cautions.0.note' */
export const fieldAt = (pointer: string) => pointer.slice(1).replaceAll('/', '.');
