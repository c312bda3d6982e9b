import { METHODS } from '@clay-pot/core/library';
import { type Method } from '@clay-pot/core';

/** The hall's own way in the weeks before the show: loading the floor, but never to the last, and rotated. */
export const lanternWeeks = (id: string): Method => ({
  ...METHODS['floor-loading'],
  id,
  name: 'Lantern weeks',
  reason: 'Eight weeks before the show: floor loading with a margin, so that nobody arrives tired.',
  effort: 'medium',
  effortCeilingPercent: 75,
  weeklyGrowthPercent: 10,
});
