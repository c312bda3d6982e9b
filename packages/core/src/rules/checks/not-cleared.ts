import { forbidsLoading } from '../cautions.js';
import { ids } from './block-views.js';
import { removing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { CAUTIONS } from '../../vocabulary/cautions.js';

/** Loads that must wait for clearance: a rule, not an opinion. */
export const notCleared: Check = {
  id: 'not-cleared',
  title: 'Not cleared for loading',
  severity: 'stop',
  stopRule: true,
  why: 'Only free unloaded motion until a licensed practitioner has cleared it.',
  source: 'caution and referral rules',
  find: ({ athlete, blocks }) =>
    (athlete?.cautions ?? []).filter(forbidsLoading).flatMap(({ caution }): Observation[] => {
      const loaded = blocks.filter(({ level }) => level.loading !== 'unloaded');
      if (loaded.length === 0) return [];
      const fix = removing(`Take out the ${loaded.length} that load the hand`, loaded);
      return [{ blockIds: ids(loaded), text: CAUTIONS[caution].advice, fix }];
    }),
};
