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
    const address = Object.fromEntries(lower) as Record<string, unknown>;
    if (metadata.metatype && areItsIds(metadata.metatype, address)) return instanceOf(metadata.metatype as Type<object>, address);
    return super.transform(address, metadata).catch(() => {
      throw notFound('entry');
    });
  }
}

/** The names of the fields of an address that consists of ids alone; null for any other. */
const idsOf = new WeakMap<object, ReadonlySet<string> | null>();

/** Whether an address is what it is to be: all of its ids, and nothing else. Most requests have one, and class-validator takes longer than the rest of the way. */
function areItsIds(metatype: Type<unknown>, address: Record<string, unknown>): boolean {
  let names = idsOf.get(metatype);
  if (names === undefined) {
    const rules = getMetadataStorage().getTargetValidationMetadatas(metatype, '', false, false);
    const isId = ({ context }: { context?: unknown }) => (context as FieldRule | undefined)?.schema['format'] === 'uuid';
    names = rules.length > 0 && rules.every(isId) ? new Set(rules.map(({ propertyName }) => propertyName)) : null;
    idsOf.set(metatype, names);
  }
  if (names === null || Object.keys(address).length !== names.size) return false;
  return [...names].every((name) => isUuid(address[name]));
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
