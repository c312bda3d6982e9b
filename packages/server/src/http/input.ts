import { type Fault, faultsOf } from '@clay-pot/core';
import { type JsonSchema, publishedSchema } from '@clay-pot/core/exchange';
import { Body, Injectable, type PipeTransform } from '@nestjs/common';
import { ApiBody } from '@nestjs/swagger';
import { invalid } from './problem.js';

type Schema = Parameters<typeof faultsOf>[0];

/** Checks a body against the very schema that defines it; each fault is named by pointer, and unknown fields are refused. */
@Injectable()
class InputPipe implements PipeTransform {
  constructor(
    private readonly schema: Schema,
    private readonly check: (value: never) => Fault[],
  ) {}

  transform(value: unknown): unknown {
    const faults = faultsOf(this.schema, value);
    const all = faults.length > 0 ? faults : this.check(value as never);
    if (all.length > 0) throw invalid(all);
    return value;
  }
}

/** Schemas of request bodies by their name, for the OpenAPI document. */
export const INPUTS = new Map<string, JsonSchema>();

interface Options {
  /** Examples for the OpenAPI document. */
  examples?: Record<string, { summary: string; value: unknown }>;
  /** What no field alone can tell, beyond the schema. */
  check?: (value: never) => Fault[];
}

/** The body of a request, as a schema defines it. @param name that it has in the OpenAPI document */
export function Input(name: string, schema: Schema, { examples, check = () => [] }: Options = {}): ParameterDecorator {
  INPUTS.set(name, publishedSchema(schema));
  return (target, key, index) => {
    if (key === undefined) throw new TypeError('Input belongs to a parameter of a route.');
    Body(new InputPipe(schema, check))(target, key, index);
    const descriptor = Object.getOwnPropertyDescriptor(target, key);
    if (!descriptor) throw new TypeError(`There is no route ${String(key)}.`);
    ApiBody({ schema: { $ref: `#/components/schemas/${name}` }, ...(examples && { examples }) })(
      target,
      key,
      descriptor,
    );
  };
}
