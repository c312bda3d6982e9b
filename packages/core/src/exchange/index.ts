export * from './device-file.js';
export { FileError, type FileFault } from './json-file.js';
export * from './nesting.js';
export * from './programme-file.js';
export * from './published-schema.js';
export * from './readings-file.js';
export * from './sequence-file.js';
export * from './sequence-schema.js';
export { asStoredSequence, readStoredSequence } from './upgrade-sequence.js';
export {
  type Interpretation,
  readSequenceText,
  SEQUENCE_TEXT_LENGTH,
  type SequenceRead,
  type TextFault,
  type UnderstoodLine,
} from './read-sequence-text.js';
export { typedDose } from './typed-dose.js';
export { writeSequenceText } from './write-sequence-text.js';
