/** One seed for all properties of a run, so that a run can be had again. */
import fc from 'fast-check';

const USUAL_RUNS = 100;
const size = Number(process.env.PROPERTY_SIZE ?? 1);
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED), numRuns: Math.round(USUAL_RUNS * size) });
