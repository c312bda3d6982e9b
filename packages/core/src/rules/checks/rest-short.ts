import { changing } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';

/** Less rest than this between hard sets leaves the second one short. Working value. */
const HARD_REST_S = 30;
/** Finds hard sets without rest between them. */
export const restShort: Check = {
  id: 'rest-short',
  title: 'Hard sets without rest',
  severity: 'look',
  why: 'Quality ends a set; it comes back with rest.',
  source: PRACTICE,
  find: ({ blocks }) =>
    blocks.flatMap((block): Observation[] => {
      const { dose } = block.block;
      if (!block.hard || dose.sets < 2 || dose.restS >= HARD_REST_S) return [];
      const text = `${block.movement.name}: ${dose.restS} s between sets at ${Math.round(block.effortPercent)} %.`;
      return [
        { blockIds: [block.block.id], text, fix: changing('Rest 60 s between sets', block, { ...dose, restS: 60 }) },
      ];
    }),
};
