export * from './sequence-file.js';
export * from './sequence-schema.js';
