/** Steps of the one scale that load, effort and pressure are shown on. */
export const LOAD_STEPS = [1, 2, 3, 4, 5] as const;
/** A step of the scale, the least first. */
export type LoadStep = (typeof LOAD_STEPS)[number];

/**
 * The step that a share of the most falls on: each takes a fifth.
 * @example loadStepOf(40) → 2
 * @example loadStepOf(130) → 5
 */
export function loadStepOf(percent: number): LoadStep {
  const fifth = Math.ceil((percent * LOAD_STEPS.length) / 100);
  return LOAD_STEPS.find((step) => step >= fifth) ?? 5;
}
