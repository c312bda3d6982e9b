import { faultsOfRequest } from '@clay-pot/contracts';
import type { Fault } from '@clay-pot/core';
import { toNestErrors } from '@hookform/resolvers';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';

interface Options<T, R> {
  /** Makes a request of what the form holds: a form has fields for what was not said. */
  tidy: (values: T) => R;
  /** What no class can say: what a request means beside others, or today. Asked once its fields are right. */
  check?: (request: R) => readonly Fault[];
}

/**
 * Checks a form by the class that the server checks the request by, so that each field gets the same words.
 * Not the resolver of the package: it copies documents through class-transformer, and loses where in a document a fault is.
 */
export function requestResolver<T extends FieldValues, R extends object = T>(
  Request: new () => R,
  { tidy, check = () => [] }: Options<T, R>,
): Resolver<T, unknown, R> {
  return (typed, _context, options) => {
    const values = tidy(typed);
    const shape = faultsOfRequest(Request, values);
    const faults = shape.length > 0 ? shape : check(values);
    return faults.length === 0 ? { values, errors: {} } : { values: {}, errors: toNestErrors(errorsOf<T>(faults, fieldAt), options) };
  };
}

/**
 * Checks a form that a document is made from only later, by the rule of the core that judges it.
 * @param field the field that a fault belongs to, where it is not the one that its pointer names
 */
export function ruleResolver<T extends FieldValues>(
  faultsOf: (values: T) => readonly Fault[],
  field: (pointer: string) => string = fieldAt,
): Resolver<T, unknown, T> {
  return (values, _context, options) => {
    const faults = faultsOf(values);
    return faults.length === 0 ? { values, errors: {} } : { values: {}, errors: toNestErrors(errorsOf<T>(faults, field), options) };
  };
}

function errorsOf<T extends FieldValues>(faults: readonly Fault[], field: (pointer: string) => string): FieldErrors<T> {
  const errors = faults.map(({ pointer, message }) => [field(pointer), { type: 'request', message }]);
  return Object.fromEntries(errors) as FieldErrors<T>;
}

/** The values of a form whose fields are those of its request. */
export const asTyped = <T>(values: T): T => values;

/** A JSON pointer as a form names its fields. @example fieldAt('/cautions/0/note') → 'cautions.0.note' */
export const fieldAt = (pointer: string) => pointer.slice(1).replaceAll('/', '.');
