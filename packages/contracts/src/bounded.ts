import { applyDecorators } from './decorate.js';
import type { Limit } from '@clay-pot/core';
import {
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';

/** A number within a limit of the core; whole when its step is whole. */
export function Within(limit: Limit): PropertyDecorator {
  const message = `must be a number within ${limit.min}–${limit.max} ${limit.unit}`;
  const whole = Number.isInteger(limit.step);
  return applyDecorators(
    Min(limit.min, { message }),
    Max(limit.max, { message }),
    whole ? IsInt({ message: `must be a whole number of ${limit.unit}` }) : IsNumber({}, { message }),
  );
}

/** Text of bounded length. */
export function Text(maxLength: number, minLength = 0): PropertyDecorator {
  return applyDecorators(
    IsString({ message: 'must be text' }),
    MinLength(minLength, {
      message: minLength === 1 ? 'must not be empty' : `must have at least ${minLength} characters`,
    }),
    MaxLength(maxLength, { message: `must have at most ${maxLength} characters` }),
  );
}

/** A calendar day, ISO 8601. */
export function IsDay(): PropertyDecorator {
  return Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, { message: 'must be a day like 2026-05-31' });
}

/** An instant in UTC with milliseconds, as `Date.prototype.toISOString` gives it. */
export function IsInstant(): PropertyDecorator {
  return Matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/, {
    message: 'must be an instant in UTC like 2026-05-31T08:30:00.000Z',
  });
}

/** May be left out, but not null. */
export function MayBeAbsent(): PropertyDecorator {
  return ValidateIf((_object, value) => value !== undefined);
}

/** May be null or left out. */
export const MayBeNull = IsOptional;
