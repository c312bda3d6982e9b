import type { SimulatedAthlete } from './athlete.js';

/** Kinds of people who do not exist: whose weeks go as planned, as most go, and as they go with misses, flare-ups and ratings that scatter. */
export const SIMULATED_KINDS = {
  steady: (who: SimulatedAthlete): SimulatedAthlete => ({ ...who, adherence: 0.98, scatter: 0.4, threshold: 1.5 * who.threshold }),
  usual: (who: SimulatedAthlete): SimulatedAthlete => who,
  rough: (who: SimulatedAthlete): SimulatedAthlete => ({ ...who, adherence: 0.65, scatter: 1.2, threshold: 0.75 * who.threshold }),
} as const;
/** The name of a kind of simulated person. */
export type SimulatedKind = keyof typeof SIMULATED_KINDS;
