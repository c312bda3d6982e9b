export * from './sequence-file.js';
export * from './sequence-schema.js';
export * from './load-schema.js';
