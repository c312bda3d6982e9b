import {
  type Body,
  checkLoad,
  type Contact,
  CONTACTS,
  type Demand,
  demandOf,
  type Facing,
  FACINGS,
  fieldValue,
  findLevel,
  handLoad,
  type Level,
  LOAD_FIELDS,
  type Loaded,
  type LevelLoad,
  movableFields,
  nearestPossible,
  type Person,
  POSTURE_LABELS,
  POSTURE_LIMITS,
  POSTURE_NAMES,
  shown,
  postureDemand,
  type PostureField,
  PostureError,
  type SupportPosture,
  USUAL_POSTURES,
  type UsualPosture,
  withField,
} from '@clay-pot/core';
import { movementById } from '../../store/library.js';

/** The subject of the load bench: a contact, a facing, and a load. */
export type Subject = Loaded;

/** A posture on the bench. */
export const postureSubject = (name: UsualPosture): Subject => {
  const { contact, facing, ...stance }: SupportPosture = USUAL_POSTURES[name];
  return { contact, facing, load: { kind: 'body', stance } };
};

/** The whole posture of a subject on the hands. */
export function postureOfSubject({ contact, facing, load }: Subject): SupportPosture | null {
  return load.kind === 'body' ? { ...load.stance, contact, facing } : null;
}

/** The subject in another posture. */
export function withPosture({ contact, facing, ...stance }: SupportPosture): Subject {
  return { contact, facing, load: { kind: 'body', stance: stance } };
}

/** Reads a subject out of an address: what a level asks for, changed by what the coach did with it. Null when it cannot be read. */
export function readSubject(text: string | null): Subject | null {
  if (!text) return null;
  try {
    const value = JSON.parse(text) as { contact: Contact; facing: Facing; load: LevelLoad };
    const sound = CONTACTS.includes(value.contact) && FACINGS.includes(value.facing) && checkLoad(value.load).length === 0;
    return sound ? { contact: value.contact, facing: value.facing, load: value.load } : null;
  } catch {
    return null;
  }
}

/** A subject as the parameters of an address. */
export const writeSubject = ({ contact, facing, load }: Subject) => JSON.stringify({ contact, facing, load });

/** A level of a known movement as a subject. */
export function levelSubject(movementId: string | null, levelId: string | null): Subject | null {
  const movement = movementId ? movementById(movementId) : undefined;
  const level = movement && (findLevel(movement, levelId ?? '') ?? movement.ladder[0]);
  return level ? { contact: level.contact, facing: level.facing, load: level.load } : null;
}

/** What a subject is called: its level while it is unchanged, a usual posture where it is one, else what it was made from. */
export function nameOfSubject(subject: Subject, level: Level | undefined): string {
  const same = (other: Subject) => writeSubject(other) === writeSubject(subject);
  if (level && same(level)) return level.name;
  const usual = (Object.keys(USUAL_POSTURES) as UsualPosture[]).find((name) => same(postureSubject(name)));
  if (usual) return POSTURE_NAMES[usual];
  return level ? `${level.name}, changed` : 'Own position';
}

/** A name for a changed level by the first number that is another one now, e.g. “All fours, lean 12 °”. */
export function suggestedName(body: Body, level: Level, subject: Subject): string {
  const before = new Map(fieldsOf(body, level).map(({ name, value }) => [name, value]));
  const changed = fieldsOf(body, subject).find(({ name, value, step }) => Math.abs((before.get(name) ?? Infinity) - value) >= step / 2);
  if (!changed) return `${level.name}, changed`;
  return `${level.name}, ${changed.label.toLowerCase()} ${shown(changed.value, changed.step)} ${changed.unit}`;
}

/** One number of a subject that can be moved. */
export interface MovableField {
  readonly name: string;
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly unit: string;
}

/** The numbers of a subject, as they stand for a body. */
export function fieldsOf(body: Body, subject: Subject): MovableField[] {
  const posture = postureOfSubject(subject);
  if (posture) {
    const load = handLoad(body, posture);
    return movableFields(posture).map((name) => ({
      name,
      label: POSTURE_LABELS[name],
      value: fieldValue(posture, load, name),
      ...POSTURE_LIMITS[name],
    }));
  }
  const { load } = subject;
  const fields: Readonly<Record<string, unknown>> = load;
  return Object.entries(LOAD_FIELDS[load.kind]).flatMap(([name, field]) => {
    const value = fields[name];
    return 'limit' in field && typeof value === 'number' ? [{ name, label: field.label, value, ...field.limit }] : [];
  });
}

/** A change that could not be made as asked. */
export interface Refusal {
  readonly message: string;
  /** What was done instead, if anything. */
  readonly took?: number;
}

/**
 * Sets a number of the subject. What no such body can do is refused with the reason; where the nearest possible value is known, that
 * is taken.
 */
export function setField(person: Person, subject: Subject, name: string, value: number): { subject: Subject; refusal?: Refusal } {
  const posture = postureOfSubject(subject);
  if (!posture) {
    const next = { ...subject, load: { ...subject.load, [name]: value } as LevelLoad };
    const fault = checkLoad(next.load)[0];
    return fault ? { subject, refusal: { message: fault.message } } : { subject: next };
  }
  const { body } = person;
  const field = name as PostureField;
  const now = handLoad(body, posture);
  const wanted = withField(posture, now, field, value);
  try {
    handLoad(body, wanted);
    return { subject: withPosture(wanted) };
  } catch (error) {
    if (!(error instanceof PostureError)) throw error;
    const nearest = error.field === field ? nearestPossible(body, wanted, error) : undefined;
    if (nearest === undefined) return { subject, refusal: { message: error.message } };
    const settled = settle(body, posture, field, value, nearest);
    return settled
      ? { subject: withPosture(settled.posture), refusal: { message: error.message, took: settled.value } }
      : { subject, refusal: { message: error.message } };
  }
}

/** The nearest value is at the very edge: slightly inside is what a body can hold. */
function settle(body: Body, posture: SupportPosture, field: PostureField, wanted: number, nearest: number) {
  const now = handLoad(body, posture);
  for (const inside of [0, 1e-6, 1e-3]) {
    const value = nearest + Math.sign(nearest - wanted) * inside;
    const tried = withField(posture, now, field, value);
    try {
      handLoad(body, tried);
      return { posture: tried, value };
    } catch (error) {
      if (!(error instanceof PostureError)) throw error;
    }
  }
  return null;
}

/** The load of a subject on each hand: an uneven posture loads one more than the other, unlike a level that each takes in turn. */
export function currentDemand(person: Person, subject: Subject): Demand {
  const posture = postureOfSubject(subject);
  return posture ? postureDemand(person, posture, handLoad(person.body, posture)) : demandOf(person, subject);
}

/** Whether a subject can be computed for a person; if not, why. */
export function troubleWith(person: Person, subject: Subject): string | null {
  try {
    demandOf(person, subject);
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
