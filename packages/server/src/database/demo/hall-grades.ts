import type { Grade } from '@clay-pot/core';

/** Grippers and finger bands in the hall’s cupboard. */
export const HALL_GRADES: readonly Grade[] = [
  { kind: 'spring', name: 'Grey', kg: 10.2 },
  { kind: 'spring', name: 'Blue', kg: 18.4 },
  { kind: 'spring', name: 'Black', kg: 26.5 },
  { kind: 'band', name: 'Yellow', kg: 0.3 },
  { kind: 'band', name: 'Red', kg: 0.5 },
  { kind: 'band', name: 'Green', kg: 0.8 },
  { kind: 'band', name: 'Purple', kg: 1 },
  { kind: 'band', name: 'Black', kg: 1.6 },
];
