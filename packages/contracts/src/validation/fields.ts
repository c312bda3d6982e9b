import { between, day, email, idOf, instant, type Limit, oneOf, text, trueOrFalse, bounded } from '@clay-pot/core';
import { IsBoolean, IsEmail, IsIn, IsInt, IsNumber, IsString, IsUUID, Length, Matches, Max, Min } from 'class-validator';
import { carrying } from './field-rule.js';
import { IsDocument } from './is-document.js';

/**
 * Plain fields of requests: class-validator's decorators with the core's limits. Each carries the core's definition of the field, so that a
 * a fault has the same words everywhere.
 */

const all =
  (...decorators: PropertyDecorator[]): PropertyDecorator =>
  (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };

/** Whole characters only: half of a surrogate pair can't be stored. */
const HALF_A_CHARACTER = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const WHOLE = new RegExp(`^(?![\\s\\S]*(?:${HALF_A_CHARACTER.source}))`);
const NOT_BLANK = /\S/;

/** Text of bounded length; what must not be empty is more than blanks. */
export function IsText(maxLength: number, minLength = 0, title?: string): PropertyDecorator {
  const schema = text(maxLength, minLength, title);
  const rule = carrying(schema);
  return all(
    IsString(rule),
    Length(minLength, maxLength, rule),
    Matches(WHOLE, rule),
    ...(minLength > 0 ? [Matches(NOT_BLANK, rule)] : []),
    // `Length` counts an emoji with its variant as one, a column counts two.
    IsDocument(schema),
  );
}

/** A number within a limit, of any fraction. */
export function IsBetween(limit: Limit, title?: string): PropertyDecorator {
  const rule = carrying(between(limit, title));
  return all(IsNumber({}, rule), Min(limit.min, rule), Max(limit.max, rule));
}

/** A whole number within a limit. */
export function IsWholeWithin(limit: Limit, title?: string): PropertyDecorator {
  const rule = carrying(bounded(limit, title));
  return all(IsInt(rule), Min(limit.min, rule), Max(limit.max, rule));
}

/** One of a few words. */
export const IsWord = (words: readonly (string | number)[], title?: string): PropertyDecorator =>
  IsIn(words, carrying(oneOf(words, title)));

/** An id made by whoever creates the thing. @param what it names, for the message */
export const IsId = (what: string): PropertyDecorator => IsUUID('all', carrying(idOf(what)));

/** An id in words, as shipped movements have: letters, digits, dots and hyphens. What else is asked for does not exist. */
export function IsWordId(maxLength: number): PropertyDecorator {
  const rule = carrying(text(maxLength, 1));
  return all(IsString(rule), Length(1, maxLength, rule), Matches(/^[\w.-]+$/, rule));
}

/** An e-mail address. */
export function IsEmailAddress(): PropertyDecorator {
  const rule = carrying(email());
  // `IsEmail` throws at half a character.
  return all(IsString(rule), Matches(WHOLE, rule), IsEmail({}, rule));
}

/** A yes or no. */
export const IsYesNo = (): PropertyDecorator => IsBoolean(carrying(trueOrFalse()));

/** A day of the calendar, ISO 8601, between the years that the core knows. */
export const IsDay = (title?: string): PropertyDecorator => IsDocument(day(title));

/** An instant in UTC with milliseconds, ISO 8601. */
export const IsInstant = (title?: string): PropertyDecorator => IsDocument(instant(title));
