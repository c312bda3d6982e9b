/** Phases of a session, in order. */
export const PHASES = ['prepare', 'range', 'load', 'strength', 'skill', 'settle'] as const;
export type Phase = (typeof PHASES)[number];
