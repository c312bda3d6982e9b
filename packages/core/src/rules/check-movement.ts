import type { Person } from '../mechanics/capacity.js';
import { demandOf } from '../mechanics/demand.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { checkDose } from '../model/dose.js';
import { checkLoad } from '../model/load.js';
import { checkFit, CLIMBS, type Level, loadAgreesWithLevel, type Movement } from '../model/movement.js';
import { PostureError } from '../model/posture.js';
import { climbedBy, flatSteps } from './ladder.js';
import type { Fault } from '../vocabulary/fault.js';

/** A studio's own ladders are judged for these two; the shipped ones for the whole range of sizes. */
const JUDGED: readonly Person[] = (['female', 'male'] as const).map((sex) => ({
  body: REFERENCE_BODIES[sex],
  ageYears: 30,
  measured: [],
  today: '2000-01-01',
}));

/**
 * Everything that keeps a movement from being used, by JSON pointer: doses and loads that cannot be computed, ids that stand twice, and
 * a ladder whose demand does not rise. The same rules that the shipped library is tested by.
 */
export function checkMovement(movement: Movement): Fault[] {
  const faults: Fault[] = [];
  const seen = new Set<string>();
  movement.ladder.forEach((level, index) => {
    const at = `/ladder/${index}`;
    if (seen.has(level.id)) faults.push({ pointer: `${at}/id`, message: `stands twice in this ladder: ${level.id}` });
    seen.add(level.id);
    const under = (list: Fault[], field: string) =>
      faults.push(...list.map((fault) => ({ ...fault, pointer: `${at}${field}${fault.pointer}` })));
    under(checkDose(level.dose), '/dose');
    under(checkFit(level.dose, movement), '');
    under(checkLoad(level.load), '/load');
    faults.push(...loadAgreesWithLevel(level, at));
  });
  return faults.length ? faults : ladderFaults(movement);
}

function ladderFaults(movement: Movement): Fault[] {
  const unit = CLIMBS[movement.climbs];
  const faults = new Map<string, Fault>();
  for (const person of JUDGED) {
    try {
      for (const { from, to } of flatSteps(person, movement)) {
        const index = movement.ladder.indexOf(to.level);
        const pointer = `/ladder/${index}/load`;
        const message = `${movement.climbs} does not rise: ${show(to.climbed)} ${unit}, and ${show(from.climbed)} ${unit} at the level below (${from.level.name})`;
        faults.set(pointer, { pointer, message });
      }
    } catch (error) {
      if (!(error instanceof PostureError)) throw error;
      const index = movement.ladder.findIndex((level) => !possible(person, movement, level));
      const pointer = `/ladder/${index}/load/stance/${error.field}`;
      faults.set(pointer, { pointer, message: `${error.message} (${person.body.sex}, ${person.body.statureM} m)` });
    }
  }
  return [...faults.values()];
}

const show = (value: number) => Number(value.toFixed(1));

function possible(person: Person, movement: Movement, level: Level): boolean {
  try {
    climbedBy(movement, level, demandOf(person, level));
    return true;
  } catch {
    return false;
  }
}
