import { must } from './lists.js';
import { FormatRegistry, type TSchema } from '@sinclair/typebox';
import { Errors, type ValueError, ValueErrorType } from '@sinclair/typebox/errors';
import { Check } from '@sinclair/typebox/value';
import { isDay, isInstant } from './days.js';
import type { Fault } from './fault.js';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;
/** Something before and after one @, without blanks, with a dot after it: whether it exists only a letter to it tells. */
const EMAIL = /^[^\s@]+@[^\s@]+\.[^\s@.]+$/;
FormatRegistry.Set('date', isDay);
FormatRegistry.Set('date-time', isInstant);
FormatRegistry.Set('time-of-day', (value) => /^([01]\d|2[0-3]):[0-5]\d$/.test(value));
FormatRegistry.Set('uuid', (value) => UUID.test(value));
FormatRegistry.Set('email', (value) => EMAIL.test(value) && isWhole(value));
FormatRegistry.Set('text', isWhole);
FormatRegistry.Set('words', (value) => value.trim() !== '' && isWhole(value));

/** Whether a text has no half of a surrogate pair. */
export function isWhole(value: string): boolean {
  return !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(value);
}

/** The most faults of one document that are reported: more would help nobody, and a malicious one has millions. */
export const MOST_FAULTS = 20;

/**
 * Everything that keeps a value from being what a schema describes, by JSON pointer, at most `MOST_FAULTS`; empty when it is.
 * @example faultsOf(bounded({ min: 1, max: 20, step: 1, unit: 'sets' }), 99, '/sets') → [{ pointer: '/sets', message: 'must be within 1–20 sets, not 99' }]
 */
export function faultsOf(schema: TSchema, value: unknown, at = ''): Fault[] {
  if (Check(schema, value)) return [];
  const faults: Fault[] = [];
  collect(schema, value, at, faults);
  return faults;
}

function collect(schema: TSchema, value: unknown, at: string, faults: Fault[]): void {
  for (const error of Errors(schema, value)) {
    if (faults.length >= MOST_FAULTS) return;
    const pointer = at + error.path;
    if (error.type === ValueErrorType.Union) {
      const variant = variantOf(error);
      if (variant) collect(variant, error.value, pointer, faults);
      else faults.push(kindFault(error, pointer));
    } else if (!faults.some((fault) => fault.pointer === pointer)) {
      const label = error.schema['title'];
      faults.push({ pointer, message: messageOf(error), ...(label !== undefined && { label }) });
    }
  }
}

/** The variant that a value of a union means: by its kind; else the first, beside which there is only null or a word. */
function variantOf({ schema, value }: ValueError): TSchema | undefined {
  const variants = schema['anyOf'] as TSchema[];
  const name = kindName(schema);
  if (name === undefined) return variants[0];
  if (typeof value !== 'object' || value === null) return undefined;
  const chosen = (value as Record<string, unknown>)[name];
  return variants.find(
    (variant) => must((variant['properties'] as Record<string, TSchema>)[name], `a ${name} in every variant`)['const'] === chosen,
  );
}

const kindName = (schema: TSchema) => (schema['discriminator'] as { propertyName: string } | undefined)?.propertyName;

function kindFault({ schema, value }: ValueError, pointer: string): Fault {
  const name = kindName(schema);
  if (name === undefined || typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { pointer, message: `must be ${what(schema)}` };
  }
  const variants = schema['anyOf'] as { properties: Record<string, { const: string }> }[];
  const values = variants.map(({ properties }) => must(properties[name], `a ${name} in every variant`).const);
  return { pointer: `${pointer}/${name}`, message: `must be one of ${values.join(', ')}` };
}

function messageOf({ type, schema, value }: ValueError): string {
  if (type === ValueErrorType.ObjectAdditionalProperties) {
    return 'is not a known field: remove it or check its spelling';
  }
  const wanted = requirementOf(schema, value);
  return type === ValueErrorType.ObjectRequiredProperty ? `is missing: it ${requirementOf(schema, undefined)}` : wanted;
}

/** What a value must be by a schema, to stand after the name of its field. @example requirementOf(day(), '') → 'must be a day of the calendar like 2026-05-31' */
export function requirementOf(schema: TSchema, value: unknown): string {
  if (schema['enum']) return `must be one of ${(schema['enum'] as unknown[]).join(', ')}`;
  if ('const' in schema) return `must be ${JSON.stringify(schema['const'])}`;
  switch (schema['type'] as string) {
    case 'integer':
    case 'number':
      return numberWanted(schema, value);
    case 'string':
      return textWanted(schema, value);
    case 'array':
      return listWanted(schema, value);
    case 'boolean':
      return 'must be true or false';
    default:
      return `must be ${what(schema)}`;
  }
}

const what = (schema: TSchema) => (schema['what'] as string | undefined) ?? 'an object';

function numberWanted(schema: TSchema, value: unknown): string {
  const { minimum, maximum, step, unit } = schema as Record<string, number | string>;
  const range = `within ${minimum}–${maximum} ${unit}`;
  if (typeof value !== 'number' || !Number.isFinite(value)) return `must be a number ${range}`;
  const inside = value >= Number(minimum) && value <= Number(maximum);
  return inside ? `must be in steps of ${step} ${unit}, not ${value}` : `must be ${range}, not ${value}`;
}

const FORMATS: Record<string, string> = {
  date: 'a day of the calendar like 2026-05-31',
  'time-of-day': 'a time of day like 18:30',
  email: 'an e-mail address',
  'date-time': 'an instant in UTC like 2026-05-31T08:30:00.000Z',
};

function textWanted(schema: TSchema, value: unknown): string {
  const { format, minLength, maxLength } = schema as {
    format?: string;
    minLength?: number;
    maxLength?: number;
  };
  if (format === 'uuid') return `must be ${what(schema)}`;
  const named = FORMATS[format ?? ''];
  if (named) return `must be ${named}`;
  if (typeof value !== 'string') return 'must be text';
  if (value.trim() === '' && (minLength ?? 0) > 0) return 'must not be empty';
  if (value.length < (minLength ?? 0)) return `must have at least ${minLength} characters`;
  if (value.length > (maxLength ?? Infinity)) return `must have at most ${maxLength} characters`;
  return 'must be text in whole characters';
}

function listWanted(schema: TSchema, value: unknown): string {
  const { minItems = 0, maxItems = Infinity } = schema as { minItems?: number; maxItems?: number };
  const named = schema['what'] as string | undefined;
  if (!Array.isArray(value)) return `must be ${named ?? 'a list'}`;
  if (value.length < minItems) return named ? `must be ${named}` : `must have at least ${minItems}`;
  if (value.length > maxItems) return named ? `must be ${named}` : `must have at most ${maxItems}`;
  return 'must not name anything twice';
}
