import { type Fault, faultsOf, type Schema } from '@clay-pot/core';

/** What a decorator of a field carries beside its check: what describes the field, and what tells its faults. */
export interface FieldRule {
  /** The core's definition of the field: its words, its label, and its place in the API's description. */
  readonly schema: Schema;
  /** Everything wrong with a value, by JSON pointer within it. */
  readonly faultsOf: (value: unknown) => Fault[];
}

/** The options by which one of class-validator's decorators carries a rule. @param check what the definition alone can't say */
export function carrying(schema: Schema, check: (value: never) => Fault[] = () => []): { context: FieldRule } {
  const rule: FieldRule = {
    schema,
    faultsOf: (value) => {
      const faults = faultsOf(schema, value);
      return faults.length > 0 ? faults : check(value as never);
    },
  };
  return { context: rule };
}
