import { checkFit } from '../../model/fit.js';
import { checkSetting } from '../../model/hand-picture.js';
import type { Person } from '../../mechanics/capacity.js';
import { demandOf } from '../../mechanics/demand.js';
import { type Body, REFERENCE_BODIES } from '../../model/body.js';
import { checkDose } from '../../model/check-dose.js';
import { checkLoad } from '../../model/load.js';
import { CLIMBS, type Level, loadAgreesWithLevel, type Movement, MOVEMENT } from '../../model/movement.js';
import { PostureError } from '../../model/posture.js';
import { climbedBy, flatSteps } from './ladder.js';
import { type Fault, under } from '../../vocabulary/fault.js';
import { faultsOf } from '../../vocabulary/faults.js';

const judge = (body: Body): Person => ({ body, ageYears: 30, evidence: [], today: '2000-01-01' });

/**
 * For whom a ladder must rise: for the one whom it was made for; else a studio's own for a woman and a man. The shipped ones are tested for
 * the whole range of sizes.
 */
export function judgesOf(movement: Pick<Movement, 'madeFor'>): readonly Person[] {
  if (movement.madeFor) return [judgeOf(movement)];
  return (['female', 'male'] as const).map((sex) => judge(REFERENCE_BODIES[sex]));
}

/** By whom levels are put in order: the one whom the ladder was made for, else an adult between both sexes. */
export function judgeOf({ madeFor }: Pick<Movement, 'madeFor'>): Person {
  if (!madeFor) return judge(REFERENCE_BODIES['not stated']);
  const { sex, statureCm, massKg } = madeFor;
  return judge({ sex, statureM: statureCm / 100, massKg });
}

/**
 * Everything that keeps a movement from being used, by JSON pointer: fields that are missing or outside their limits, loads that cannot be
 * computed, ids that stand twice, and a ladder whose demand does not rise. The same rules that the shipped library is tested by.
 */
export function checkMovement({ id: _id, ...document }: Movement): Fault[] {
  const shape = faultsOf(MOVEMENT, document);
  if (shape.length > 0) return shape;
  const movement: Movement = { id: _id, ...document };
  const parts = movement.ladder.flatMap((level, index) => under(`/ladder/${index}`, levelFaults(movement, level, index)));
  return parts.length > 0 ? parts : ladderFaults(movement);
}

function levelFaults(movement: Movement, level: Level, index: number): Fault[] {
  const twin = movement.ladder.findIndex(({ id }) => id === level.id) !== index;
  return [
    ...(twin ? [{ pointer: '/id', message: `stands twice in this ladder: ${level.id}` }] : []),
    ...under('/dose', checkDose(level.dose)),
    ...checkFit(level.dose, movement),
    ...under('/load', checkLoad(level.load)),
    ...loadAgreesWithLevel(level),
    ...checkSetting(level),
  ];
}

function ladderFaults(movement: Movement): Fault[] {
  const unit = CLIMBS[movement.climbs];
  const faults = new Map<string, Fault>();
  for (const person of judgesOf(movement)) {
    try {
      for (const { from, to } of flatSteps(person, movement)) {
        const index = movement.ladder.indexOf(to.level);
        const pointer = `/ladder/${index}/load`;
        const message = `${movement.climbs} doesn’t increase: ${show(to.climbed)} ${unit}, but ${show(from.climbed)} ${unit} at the level below (${from.level.name})`;
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
