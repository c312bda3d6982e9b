import type { TSchema } from '@sinclair/typebox';

/** A JSON Schema (draft-07) as other programs read it. */
export type JsonSchema = { readonly [keyword: string]: unknown };

/** What we note beside a schema for our own forms and messages. */
const OURS = new Set(['unit', 'step', 'what']);
/** Formats that stand in the JSON Schema vocabulary; our own `text` says no more than `type: string`. */
const FORMATS = new Set(['date', 'date-time', 'uuid']);

/**
 * The schema of a document for publication: our notes become descriptions, and records that differ by their kind are named as OpenAPI
 * and validators expect it.
 */
export function publishedSchema(schema: TSchema): JsonSchema {
  const { discriminator, format, unit, anyOf, properties, items, ...rest } = schema as JsonSchema;
  const kept = Object.entries(rest).filter(([keyword]) => !OURS.has(keyword));
  return {
    ...Object.fromEntries(kept),
    ...(typeof format === 'string' && FORMATS.has(format) && { format }),
    ...(unit !== undefined && { description: unit }),
    ...(properties !== undefined && { properties: mapped(properties as Record<string, TSchema>) }),
    ...(items !== undefined && { items: publishedSchema(items as TSchema) }),
    ...(anyOf !== undefined && { [discriminator ? 'oneOf' : 'anyOf']: (anyOf as TSchema[]).map(publishedSchema) }),
    ...(discriminator !== undefined && { type: 'object', required: ['kind'], discriminator }),
  };
}

const mapped = (fields: Record<string, TSchema>) =>
  Object.fromEntries(Object.entries(fields).map(([name, schema]) => [name, publishedSchema(schema)]));
