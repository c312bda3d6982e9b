import { ValidationPipe } from '@nestjs/common';
import type { ValidationError } from 'class-validator';
import { invalid } from './problem.js';

/** Checks every request body against its contract class; unknown fields are refused, and each fault is named by pointer. */
export const validation = new ValidationPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
  exceptionFactory: (errors) => invalid(flatten(errors, '')),
});

function flatten(errors: readonly ValidationError[], at: string): { pointer: string; message: string }[] {
  return errors.flatMap((error) => {
    const pointer = `${at}/${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      pointer,
      message: rule === 'whitelistValidation' ? 'is not a known field: remove it or check its spelling' : message,
    }));
    return [...own, ...flatten(error.children ?? [], pointer)];
  });
}
