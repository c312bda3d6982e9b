import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { UNIT_OF } from '../vocabulary/work.js';
import { type Dose, DOSE, DOSE_LIMITS, setCount, setGroupsOf } from './dose.js';
import { amountLimit, amountOf } from './work.js';

/** Every way in which a dose breaks the limits or its own parts; empty when it is fine. Pointers are relative to the dose. */
export function checkDose(dose: Dose): Fault[] {
  let faults = checked.get(dose);
  if (!faults) checked.set(dose, (faults = faultsIn(dose)));
  return faults;
}
/** A dose is a document: the same one is checked once, however often its sequence is compiled. */
const checked = new WeakMap<Dose, Fault[]>();

function faultsIn(dose: Dose): Fault[] {
  const shape = faultsOf(DOSE, dose).map((fault) => ceilingFault(dose, fault));
  return shape.length > 0 ? [...shape, ...faultsTogether(dose)] : [...faultsTogether(dose), ...faultsOfSets(dose)];
}

/** An open set without a ceiling is reported as that, rather than as a missing number. */
function ceilingFault(dose: Partial<Dose>, fault: Fault): Fault {
  const at = /^\/(?:then\/(\d+)\/)?work\/(?:count|seconds|metres)$/.exec(fault.pointer);
  if (!at || !fault.message.startsWith('is missing')) return fault;
  const work = at[1] === undefined ? dose.work : dose.then?.[Number(at[1])]?.work;
  if (!work?.open) return fault;
  return { pointer: fault.pointer, message: 'An open-ended set needs a maximum, for example max20 or ease90s.' };
}

/** What no field alone can tell. */
function faultsTogether(dose: Partial<Dose>): Fault[] {
  return [...faultsOfPace(dose), ...faultsOfRanges(dose), ...faultsOfHands(dose)];
}

/** Only what repeats has a pace: counted repetitions, and a movement that goes on for a time. */
function faultsOfPace({ work, holdS, pauseS, tempo, faster, sides }: Partial<Dose>): Fault[] {
  if (!work || work.kind === 'repetitions') return [];
  const faults: Fault[] = [];
  if (work.kind !== 'time') {
    const message = 'only works with repetitions or seconds: count in one of them, or leave it out';
    if (holdS !== undefined) faults.push({ pointer: '/holdS', message, label: 'A hold in each repetition' });
    if (pauseS !== undefined) faults.push({ pointer: '/pauseS', message, label: 'A pause between repetitions' });
    if (tempo) faults.push({ pointer: '/tempo', message, label: 'A tempo' });
    if (faster) faults.push({ pointer: '/faster', message, label: 'A faster set' });
  }
  if (sides === 'alternating') {
    const message = 'alternating hands swap with each repetition: give repetitions, or choose left then right';
    faults.push({ pointer: '/sides', message });
  }
  return faults;
}

/** A range and a goal lie above what is done today, an effort for sore days below. */
function faultsOfRanges({ effortPercent, effortToPercent, sore, goal, work }: Partial<Dose>): Fault[] {
  const faults = [
    ...faultsOfEffortRange('', effortPercent, effortToPercent),
    ...faultsOfEffortRange('/sore', sore?.effortPercent, sore?.effortToPercent),
  ];
  const usual = effortToPercent ?? effortPercent;
  const ofSore = sore?.effortToPercent ?? sore?.effortPercent;
  if (usual !== undefined && ofSore !== undefined && ofSore > usual) {
    faults.push({ pointer: '/sore', message: `The effort on sore days, ${ofSore} %, must not be more than the usual ${usual} %.` });
  }
  if (goal !== undefined && work && goal > amountLimit(work.kind).max) {
    faults.push({ pointer: '/goal', message: `The goal can be at most ${amountLimit(work.kind).max} ${UNIT_OF[work.kind]}.` });
  }
  return faults;
}

function faultsOfEffortRange(at: string, from: number | undefined, to: number | undefined): Fault[] {
  if (to === undefined) return [];
  const pointer = `${at}/effortToPercent`;
  if (from === undefined) return [{ pointer, message: 'A range of effort needs its lower end, for example @30-40%.' }];
  if (to > from) return [];
  return [{ pointer, message: `The effort goes from ${from} to ${to} %. Put the lower number first.` }];
}

/** One hand's own amount is bounded as the other's. Where hands work together it isn’t read. */
function faultsOfHands({ rightAmount, work }: Partial<Dose>): Fault[] {
  if (rightAmount === undefined || !work || rightAmount <= amountLimit(work.kind).max) return [];
  return [{ pointer: '/rightAmount', message: `The right hand can do at most ${amountLimit(work.kind).max} ${UNIT_OF[work.kind]}.` }];
}

/** What the sets of a dose must have in common, and what an open end goes with. */
function faultsOfSets(dose: Dose): Fault[] {
  const faults: Fault[] = [];
  const groups = setGroupsOf(dose);
  groups.forEach(({ work }, index) => {
    const at = index === 0 ? '/work' : `/then/${index - 1}/work`;
    if (work.upTo !== undefined && work.upTo <= amountOf(work)) {
      faults.push({ pointer: `${at}/upTo`, message: `The range goes from ${amountOf(work)} to ${work.upTo}. Put the lower number first.` });
    }
    if (work.upTo !== undefined && work.open) {
      faults.push({ pointer: `${at}/upTo`, message: 'An open-ended set has a maximum, not a range. Keep one of the two.' });
    }
    if (work.kind !== dose.work.kind) {
      const message = `Count all sets of a block the same way, in ${UNIT_OF[dose.work.kind]}. Put what counts in ${UNIT_OF[work.kind]} into its own block.`;
      faults.push({ pointer: `${at}/kind`, message });
    }
    if (work.open === 'ease' && work.kind !== 'time' && work.kind !== 'breaths') {
      const message = `“Until it eases” needs seconds or breaths, for example ease90s or ease10br, not ${UNIT_OF[work.kind]}.`;
      faults.push({ pointer: `${at}/open`, message });
    }
  });
  if (setCount(dose) > DOSE_LIMITS.sets.max) {
    const message = `All sets together come to ${setCount(dose)}. The maximum is ${DOSE_LIMITS.sets.max}.`;
    faults.push({ pointer: '/then', message });
  }
  return faults;
}
