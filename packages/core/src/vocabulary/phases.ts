/** Phases of a session, in order. */
export const PHASES = ['prepare', 'range', 'load', 'strength', 'skill', 'settle'] as const;
/** A part of a session. */
export type Phase = (typeof PHASES)[number];
