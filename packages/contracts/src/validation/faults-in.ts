import { type Fault, MOST_FAULTS, requirementOf, under } from '@clay-pot/core';
import { type ValidationError, validateSync, type ValidatorOptions } from 'class-validator';
import type { FieldRule } from './field-rule.js';

/** How every request and every form is checked: unknown fields are refused, and each field reports its first fault. */
export const VALIDATION = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
  validationError: { target: false },
} as const satisfies ValidatorOptions;

/** What must be sent as the body of a request that has one. */
const NO_RECORD: Fault = { pointer: '', message: 'must be an object' };

/** What class-validator found, as faults with JSON pointers (RFC 6901), at most `MOST_FAULTS`. */
export function faultsIn(errors: readonly Pick<ValidationError, 'property' | 'value' | 'constraints' | 'contexts'>[]): Fault[] {
  return errors.flatMap(faultsOfField).slice(0, MOST_FAULTS);
}

function faultsOfField({
  property,
  value,
  constraints = {},
  contexts = {},
}: Pick<ValidationError, 'property' | 'value' | 'constraints' | 'contexts'>): Fault[] {
  const at = `/${property.replaceAll('~', '~0').replaceAll('/', '~1')}`;
  const rule = Object.keys(constraints).map((name) => contexts[name] as FieldRule | undefined)[0];
  if (!rule) return [{ pointer: at, message: 'is not a known field: remove it or check its spelling' }];
  const { schema } = rule;
  const label = schema['title'];
  const faultFor = (message: string): Fault[] => [{ pointer: at, message, ...(label !== undefined && { label }) }];
  if (value === undefined) return faultFor(`is missing: it ${requirementOf(schema, undefined)}`);
  const faults = under(at, rule.faultsOf(value));
  // class-validator is stricter here and there than the definition: an e-mail address, an id.
  return faults.length > 0 ? faults : faultFor(requirementOf(schema, value));
}

/** Whether something is a record with fields: neither a list nor nothing. */
export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** An instance of a request's class with what was sent. Fields are documents or plain: nothing below them becomes a class. */
export const instanceOf = <T extends object>(Request: new () => T, value: Record<string, unknown>): T =>
  Object.assign(new Request(), value);

/** Everything that keeps a value from being this request, by JSON pointer; empty when it is. */
export function faultsOfRequest(Request: new () => object, value: unknown): Fault[] {
  return isRecord(value) ? faultsIn(validateSync(instanceOf(Request, value), VALIDATION)) : [NO_RECORD];
}
