export * from './accounts.js';
export * from './assignments.js';
export * from './athletes.js';
export * from './problems.js';
export * from './sequences.js';
export * from './sessions.js';
export * from './today.js';
