export * from './device-file.js';
export * from './nesting.js';
export * from './published-schema.js';
export * from './readings-file.js';
export * from './sequence-file.js';
export * from './sequence-schema.js';
export { readStoredSequence } from './upgrade-sequence.js';
