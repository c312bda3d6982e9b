import { Injectable, type PipeTransform } from '@nestjs/common';
import { validate } from 'uuid';
import { notFound } from './problem.js';

/** An id from the path. What is no id at all does not exist either. */
@Injectable()
export class IdPipe implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!validate(value)) throw notFound('entry');
    return value.toLowerCase();
  }
}
