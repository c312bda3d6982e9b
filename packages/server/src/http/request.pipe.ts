import { type FieldRule, faultsIn, instanceOf, isRecord, VALIDATION } from '@clay-pot/contracts';
import { type ArgumentMetadata, Injectable, type Type, ValidationPipe } from '@nestjs/common';
import { getMetadataStorage } from 'class-validator';
import { validate as isUuid } from 'uuid';
import { invalid, notFound } from './problem.js';

/**
 * Checks body, query and parameters of every route against their classes in the contracts, with class-validator: what isn't known is
 * refused, and each fault is named by its JSON pointer.
 */
@Injectable()
export class RequestPipe extends ValidationPipe {
  constructor() {
    super({
      ...VALIDATION,
      // Fields are plain or documents: nothing below them becomes a class, and copying documents field by field would take longer than checking them.
      transformerPackage: {
        plainToInstance: <T>(Request: Type<T>, plain: unknown) =>
          (isRecord(plain) ? instanceOf(Request as Type<object>, plain) : plain) as T,
        classToPlain: (request: unknown) => ({ ...(request as object) }),
      },
      exceptionFactory: (errors) => invalid(faultsIn(errors)),
    });
  }

  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    if (metadata.type === 'param') return this.address(value, metadata);
    if (metadata.type === 'query') return super.transform(numbersIn(value, metadata.metatype), metadata);
    if (metadata.type === 'body' && !isRecord(value)) throw invalid([{ pointer: '', message: 'must be an object' }]);
    return super.transform(value, metadata);
  }

  /** What is no id doesn't exist either. Ids are kept in small letters. */
  private async address(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const lower = Object.entries(value as object).map(([name, text]: [string, unknown]) => [
      name,
      typeof text === 'string' && isUuid(text) ? text.toLowerCase() : text,
    ]);
    return super.transform(Object.fromEntries(lower), metadata).catch(() => {
      throw notFound('entry');
    });
  }
}

/** An address holds text only: what a field wants as a number is read as one. */
function numbersIn(query: unknown, metatype: ArgumentMetadata['metatype']): unknown {
  if (!metatype || !isRecord(query)) return query;
  const rules = getMetadataStorage().getTargetValidationMetadatas(metatype, '', false, false);
  const numbers = new Set(
    rules.filter(({ context }) => (context as FieldRule | undefined)?.schema['type'] === 'integer').map(({ propertyName }) => propertyName),
  );
  const read = (name: string, text: unknown) => (numbers.has(name) && typeof text === 'string' && text.trim() !== '' ? Number(text) : text);
  return Object.fromEntries(Object.entries(query).map(([name, text]) => [name, read(name, text)]));
}
