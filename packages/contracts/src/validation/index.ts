export { faultsIn, faultsOfRequest, instanceOf, isRecord, VALIDATION } from './faults-in.js';
export type { FieldRule } from './field-rule.js';
