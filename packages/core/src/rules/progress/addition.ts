import type { PastSession } from '../../effort/past.js';
import type { Dose } from '../../model/dose.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Hand } from '../../vocabulary/hands.js';
import { type GateSubject, type Refusal, refusalsOf, workOf } from '../gate/gate.js';
import type { Work } from '../gate/moments.js';
import { doseToAdd, levelFor } from './remembered.js';

/** For whom and when a movement is added. */
export interface AdditionSubject extends GateSubject {
  /** The weaker hand, for methods that let it go first. */
  readonly weaker: Hand | null;
  readonly past: readonly PastSession[];
  /** ISO 8601 instant from which gaps are counted. */
  readonly now: string;
}

/** What is added of a movement, and what stands against it where the gate lets no level through. */
export interface Addition {
  readonly level: Level;
  readonly dose: Dose;
  readonly refusal: Refusal | null;
}

/**
 * The level and dose with which a movement is added for somebody: as they did it last where the gate lets that through, else the easiest that it does. Where it
 * lets none through, the easiest, with the reason: a coach may plan ahead of a clearance.
 * @param among levels to choose from
 */
export function additionFor(subject: AdditionSubject, movement: Movement, among: readonly Level[] = movement.ladder): Addition {
  const { method, weaker, past, now, athlete } = subject;
  const dosed = (level: Level) => doseToAdd(movement, level, { method, weaker, past, cautions: athlete?.cautions ?? [] });
  const refusalOf = (level: Level) => refusalFor(subject, workOf(subject, movement, level, dosed(level)));
  const open = among.filter((level) => refusalOf(level) === null);
  const level = levelFor(movement, open, past, now) ?? among[0] ?? movement.ladder[0];
  return { level, dose: dosed(level), refusal: refusalOf(level) };
}

/** For anybody in general nothing is missing: the coach who adds it knows the room. */
const refusalFor = (subject: AdditionSubject, work: Work): Refusal | null =>
  refusalsOf(subject, work).find(({ rule }) => subject.athlete !== null || rule !== 'equipment-missing') ?? null;
