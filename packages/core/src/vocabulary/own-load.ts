import type { Limit } from './limit.js';

/**
 * What a coach may set in a dose over what the level has of its own: a weight, a spring, a band, the size of what is held, how the hands stand.
 * Each with its bounds, its name, and the word of the shorthand that it is typed with.
 */
export const OWN_LOADS = {
  massKg: { label: 'Weight', limit: { min: 0, max: 200, step: 0.25, unit: 'kg' } },
  springKg: { label: 'Spring', limit: { min: 0.5, max: 200, step: 0.5, unit: 'kg' } },
  bandKg: { label: 'Band', limit: { min: 0.25, max: 100, step: 0.25, unit: 'kg' } },
  edgeMm: { label: 'Edge depth', limit: { min: 4, max: 80, step: 1, unit: 'mm' } },
  handleMm: { label: 'Handle', limit: { min: 15, max: 120, step: 1, unit: 'mm' } },
  pinchMm: { label: 'Pinch width', limit: { min: 5, max: 150, step: 1, unit: 'mm' } },
  wedgeDeg: { label: 'Wedge', limit: { min: 0, max: 45, step: 1, unit: '°' } },
  handHeightM: { label: 'Hands above the floor', limit: { min: 0, max: 2, step: 0.01, unit: 'm' } },
  awayM: { label: 'Hands from knees or feet', limit: { min: 0, max: 3, step: 0.01, unit: 'm' } },
} as const satisfies Record<string, { readonly label: string; readonly limit: Limit }>;

/** The name of something that a dose may set. */
export type OwnLoadName = keyof typeof OWN_LOADS;
/** In the order in which they are printed. */
export const OWN_LOAD_NAMES = Object.keys(OWN_LOADS) as OwnLoadName[];
/** What is lifted or squeezed: what an effort would find. */
export const KILOGRAMS = ['massKg', 'springKg', 'bandKg'] as const satisfies readonly OwnLoadName[];
