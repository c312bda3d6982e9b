import { ValidateIf } from 'class-validator';

/** A field that may be left out. Null isn't left out: class-validator's own `IsOptional` would let it pass unchecked. */
export const OptionalField = (): PropertyDecorator => ValidateIf((_whole, value) => value !== undefined);
