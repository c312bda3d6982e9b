/** Phases of a session, in order. */
export const PHASES = ['prepare', 'range', 'load', 'strength', 'skill', 'settle'] as const;
/** What coaches call them. */
export const PHASE_NAMES = {
  prepare: 'Warm-up',
  range: 'Range',
  load: 'Load',
  strength: 'Strength',
  skill: 'Skill',
  settle: 'Cool-down',
} as const satisfies Record<(typeof PHASES)[number], string>;
/** A part of a session. */
export type Phase = (typeof PHASES)[number];
/** Phases of work: what the warm-up prepares for. */
export const WORK: readonly Phase[] = ['load', 'strength', 'skill'];
