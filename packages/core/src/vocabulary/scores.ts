import type { Limit } from './limit.js';

/** Discomfort, exertion and whatever else somebody says from nought to ten. */
export const SCORE = { min: 0, max: 10, step: 1, unit: 'on the scale' } as const satisfies Limit;
