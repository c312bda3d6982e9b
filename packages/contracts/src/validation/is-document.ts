import type { Fault, Of, RecordSchema, Schema } from '@clay-pot/core';
import { registerDecorator } from 'class-validator';
import { carrying } from './field-rule.js';
import { OptionalField } from './optional-field.js';

/**
 * A field that is a document of the craft, or a part of one: the core's own definition checks it, and each of its faults keeps its pointer.
 * @param check what no single field of the document can say, asked once its shape is right
 */
export function IsDocument(schema: Schema, check?: (value: never) => Fault[]): PropertyDecorator {
  const options = carrying(schema, check);
  return ({ constructor: target }, propertyName) => {
    registerDecorator({
      name: 'isDocument',
      target,
      propertyName: String(propertyName),
      options,
      validator: {
        validate: (value) => options.context.faultsOf(value).length === 0,
        // Read by nobody, but without a message class-validator drops the context that tells the faults.
        defaultMessage: () => 'doesn’t match its definition',
      },
    });
  };
}

/** A class whose instances are one document of the craft: each of its fields is checked by the core's definition. */
export function bodyOf<S extends RecordSchema>(schema: S): new () => Of<S> {
  class DocumentBody {}
  for (const [name, field] of Object.entries(schema.properties)) {
    if (!schema.required?.includes(name)) OptionalField()(DocumentBody.prototype, name);
    IsDocument(field)(DocumentBody.prototype, name);
  }
  return DocumentBody as new () => Of<S>;
}
