import { LOAD_STEPS, type LoadStep, loadStepOf } from '@clay-pot/core';

const colourOfStep = (step: LoadStep) => `var(--color-load-${step})`;

/** The colours of the load scale, the least first. */
export const LOAD_COLOURS = LOAD_STEPS.map(colourOfStep);

/** The colour of a load, in percent of the most. */
export const loadColour = (percent: number) => colourOfStep(loadStepOf(percent));
