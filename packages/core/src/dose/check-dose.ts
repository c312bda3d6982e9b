import { SIDE_PLANS } from '../anatomy/sides.js';
import { amountLimit, amountOf, DIRECTION_PLANS, type Dose, DOSE_LIMITS, type Limit, WORK_KINDS } from './dose.js';

/** Something wrong in a document: where (RFC 6901 JSON pointer) and what would be right. */
export interface Fault {
  readonly pointer: string;
  readonly message: string;
}

/** Every way in which a dose breaks the limits; empty when it is fine. Pointers are relative to the dose. */
export function checkDose(dose: Dose): Fault[] {
  const faults: Fault[] = [];
  const check = (pointer: string, name: string, value: number | undefined, limit: Limit) => {
    const message = outside(name, value, limit);
    if (message) faults.push({ pointer, message });
  };
  check('/sets', 'Sets', dose.sets, DOSE_LIMITS.sets);
  if (!WORK_KINDS.includes(dose.work.kind)) {
    faults.push({ pointer: '/work/kind', message: `The kind of work must be one of ${WORK_KINDS.join(', ')}.` });
  } else {
    const pointer = dose.work.kind === 'time' ? '/work/seconds' : '/work/count';
    const name = { repetitions: 'Repetitions', time: 'Seconds', breaths: 'Breaths' }[dose.work.kind];
    check(pointer, name, amountOf(dose.work), amountLimit(dose.work.kind));
  }
  check('/effortPercent', 'Effort', dose.effortPercent ?? DOSE_LIMITS.effortPercent.min, DOSE_LIMITS.effortPercent);
  check('/holdS', 'The hold in each repetition', dose.holdS ?? DOSE_LIMITS.holdS.min, DOSE_LIMITS.holdS);
  check('/tempo/outS', 'Tempo out', dose.tempo?.outS ?? DOSE_LIMITS.tempoS.min, DOSE_LIMITS.tempoS);
  check('/tempo/backS', 'Tempo back', dose.tempo?.backS ?? DOSE_LIMITS.tempoS.min, DOSE_LIMITS.tempoS);
  check('/restS', 'Rest', dose.restS, DOSE_LIMITS.restS);
  if (!SIDE_PLANS.includes(dose.sides)) {
    faults.push({ pointer: '/sides', message: `Sides must be one of ${SIDE_PLANS.join(', ')}.` });
  }
  if (!DIRECTION_PLANS.includes(dose.directions)) {
    faults.push({ pointer: '/directions', message: `Directions must be one of ${DIRECTION_PLANS.join(', ')}.` });
  }
  if (dose.work.kind !== 'repetitions') {
    const alone = 'belongs to repetitions only: give a number of repetitions, or leave it out.';
    if (dose.holdS !== undefined) faults.push({ pointer: '/holdS', message: `A hold in each repetition ${alone}` });
    if (dose.tempo) faults.push({ pointer: '/tempo', message: `A tempo ${alone}` });
    if (dose.sides === 'alternating') {
      const message = 'Alternating hands swap with each repetition: give repetitions, or choose left then right.';
      faults.push({ pointer: '/sides', message });
    }
  }
  return faults;
}

function outside(name: string, value: number | undefined, limit: Limit): string | null {
  const { min, max, step, unit } = limit;
  const range = `${min}–${max} ${unit}`;
  if (typeof value !== 'number' || !Number.isFinite(value)) return `${name} must be a number within ${range}.`;
  if (value < min || value > max) return `${name} must be within ${range}, not ${value}.`;
  if (!Number.isInteger(value / step)) return `${name} must be in steps of ${step} ${unit}, not ${value}.`;
  return null;
}
