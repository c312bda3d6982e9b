export * from './accounts.js';
export * from './addresses.js';
export * from './assignments.js';
export * from './athletes.js';

export * from './suggestions.js';
export * from './class.js';
export * from './compose.js';

export * from './devices.js';
export * from './effort.js';
export * from './predictions.js';
export * from './levels.js';
export * from './limits.js';
export * from './measure.js';
export * from './mechanics.js';
export * from './methods.js';
export * from './movements.js';
export * from './pictures.js';
export * from './problems.js';
export * from './changes.js';
export * from './programmes.js';
export * from './readings.js';
export * from './screen.js';
export * from './sequences.js';
export * from './sessions.js';
export * from './today.js';
export * from './validation/index.js';
