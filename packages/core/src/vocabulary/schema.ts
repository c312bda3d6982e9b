import {
  Array as ListOf,
  Boolean as TrueOrFalse,
  Integer,
  Kind,
  Literal,
  Null,
  Number as NumberOf,
  Object as RecordOf,
  type ObjectOptions,
  Optional,
  type Static,
  String as TextOf,
  type TObject,
  type TProperties,
  type TSchema,
  type TUnsafe,
  TypeRegistry,
  Union,
  Unsafe,
} from '@sinclair/typebox';
import type { Limit } from './limit.js';

/**
 * The words that documents are defined in. Each gives a JSON Schema, and from it the TypeScript type, the check (`faultsOf`), the limits and
 * the labels: what is defined here is written nowhere else. `title` is the label of a field, `unit` and `step` are read by steppers.
 */

/** A type whose parts cannot be written to, all the way down. */
export type Immutable<T> = T extends readonly unknown[]
  ? { readonly [K in keyof T]: Immutable<T[K]> }
  : T extends object
    ? { readonly [K in keyof T]: Immutable<T[K]> }
    : T;

/** The definition of a field or of a document. */
export type Schema = TSchema;
/** The definition of a document with named fields. */
export type RecordSchema = TObject;

/** What a schema describes, e.g. `type Tempo = Of<typeof TEMPO>`. */
export type Of<S extends TSchema> = Immutable<Static<S>>;

/** Thirds and tenths have no exact form in binary: only halves, quarters and the like are held to their step. */
const isExact = (step: number) => Number.isInteger(1 / step) && Number.isInteger(Math.log2(1 / step));

/** A number within a limit, held to its step: whole where the step is whole. */
export function bounded({ min: minimum, max: maximum, step, unit }: Limit, title?: string) {
  const options = { minimum, maximum, unit, step, ...(title !== undefined && { title }) };
  if (Number.isInteger(step)) return Integer(options);
  return NumberOf({ ...options, ...(isExact(step) && { multipleOf: step }) });
}

/** A number between the bounds of a limit; its step is what a stepper moves by. */
export function between({ min: minimum, max: maximum, step, unit }: Limit, title?: string) {
  return NumberOf({ minimum, maximum, unit, step, ...(title !== undefined && { title }) });
}

/** One of a few words. */
export function oneOf<const W extends string | number>(words: readonly W[], title?: string): TUnsafe<W> {
  const type = typeof words[0] === 'number' ? 'integer' : 'string';
  return Unsafe<W>({ [Kind]: WORDS, type, enum: words, ...(title !== undefined && { title }) });
}
const WORDS = 'Words';
TypeRegistry.Set<{ enum: readonly unknown[] }>(WORDS, (schema, value) => schema.enum.includes(value));

/** Text of bounded length, in whole characters: half of a pair is no text and cannot be stored. What must not be empty is more than blanks. */
export function text(maxLength: number, minLength = 0, title?: string) {
  return TextOf({
    minLength,
    maxLength,
    format: minLength > 0 ? 'words' : 'text',
    ...(title !== undefined && { title }),
  });
}

/** A day of the calendar, ISO 8601. */
export const day = (title?: string) => TextOf({ format: 'date', ...(title !== undefined && { title }) });

/** A time of day where the studio is, hours and minutes. */
export const timeOfDay = (title?: string) => TextOf({ format: 'time-of-day', ...(title !== undefined && { title }) });

/** An instant in UTC with milliseconds, ISO 8601. */
export const instant = (title?: string) => TextOf({ format: 'date-time', ...(title !== undefined && { title }) });

/** The id of something, made by whoever creates it. @param what that it names, for the message */
export const idOf = (what: string) => TextOf({ format: 'uuid', what: `the id of ${what}` });

/** An e-mail address. */
export const email = () => TextOf({ maxLength: 254, format: 'email', title: 'E-mail' });

/** A yes or no. */
export const trueOrFalse = () => TrueOrFalse();

/** A mark that is written where it is set and left out elsewhere, so that the same document has one form. */
export const onlyTrue = () => Literal(true);

/** A record that has these fields and no others. @param options `what` it is, in words, where “an object” would not do */
export function record<P extends TProperties>(fields: P, options: ObjectOptions & { what?: string } = {}) {
  return RecordOf(fields, { ...options, additionalProperties: false });
}

/** A list of at most so many. `unique` lists name nothing twice. */
export function list<S extends TSchema>(
  items: S,
  { max, min = 0, unique = false, what }: { max: number; min?: number; unique?: boolean; what?: string },
) {
  const options = { minItems: min, maxItems: max, uniqueItems: unique, ...(what !== undefined && { what }) };
  return ListOf(items, options);
}

/** As `list`, of at least one: its type says so. */
export function someOf<S extends TSchema>(items: S, options: { max: number; unique?: boolean; what?: string }) {
  return Unsafe<[Static<S>, ...Static<S>[]]>(list(items, { ...options, min: 1 }));
}

/** Exactly two of something. */
export function twoOf<S extends TSchema>(items: S, what: string) {
  return Unsafe<[Static<S>, Static<S>]>(list(items, { min: 2, max: 2, what }));
}

/** One of several records, which differ by their `kind`. */
export function kinds<V extends TObject[]>(variants: [...V], what: string) {
  return Union(variants, { discriminator: { propertyName: 'kind' }, what });
}
/** The field by which `kinds` differ. */
export const kind = <K extends string>(name: K) => Literal(name);

/** Something, or null where there is none. */
export const orNull = <S extends TSchema>(schema: S) => Union([schema, Null()]);

/** Something, or one word in its place. */
export const orWord = <S extends TSchema, const W extends string>(schema: S, word: W) => Union([schema, Literal(word)]);

/** A field that may be left out. */
export const optional = Optional;
