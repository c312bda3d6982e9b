import { working } from '../vocabulary/constant.js';
import type { Fault } from '../vocabulary/fault.js';
import { OWN_LOADS } from '../vocabulary/own-load.js';
import { between, list, type Of, oneOf, record, text } from '../vocabulary/schema.js';
import type { OwnLoad } from './dose.js';
import type { Movement } from './movement.js';

/** What comes in grades: the springs of grippers, and elastic bands. */
export const GRADED = ['spring', 'band'] as const;
/** What comes in grades. */
export type GradedKind = (typeof GRADED)[number];

/** By which name a dose sets each. */
export const GRADED_LOAD = { spring: 'springKg', band: 'bandKg' } as const satisfies Record<GradedKind, keyof OwnLoad>;

/** How many grades a studio lists, and how long their names are. */
export const GRADE_LIMITS = { grades: 40, nameLength: 30 } as const;

const GRADE = record(
  {
    kind: oneOf(GRADED, 'Spring or band'),
    name: text(GRADE_LIMITS.nameLength, 1, 'Name'),
    kg: between(
      { min: OWN_LOADS.bandKg.limit.min, max: OWN_LOADS.springKg.limit.max, step: OWN_LOADS.bandKg.limit.step, unit: 'kg' },
      'Force',
    ),
  },
  { what: 'kind, name and kg of a grade' },
);
/** A spring or a band that the studio owns: what it is called, and the force that closes or stretches it. */
export type Grade = Of<typeof GRADE>;

/** All grades of a studio, as they are sent. */
export const GRADES = record({ grades: list(GRADE, { max: GRADE_LIMITS.grades, what: 'grades' }) }, { what: 'a list of grades' });

const plain = (name: string): string => name.trim().toLowerCase().replaceAll(/\s+/g, ' ');

/** What a name begins with to be read in a dose. */
const READABLE = /^[\p{L}\p{N}][\p{L}\p{N} '’-]*$/u;

/** Why some grades can’t be a list: a name that can’t be read in a text, one that comes twice, a force outside of its kind. */
export function checkGrades(grades: readonly Grade[]): Fault[] {
  return grades.flatMap(({ kind, name, kg }, index): Fault[] => {
    const at = (field: keyof Grade) => `/grades/${index}/${field}`;
    const earlier = grades.slice(0, index).some((other) => other.kind === kind && plain(other.name) === plain(name));
    const { min, max } = OWN_LOADS[GRADED_LOAD[kind]].limit;
    const faults: Fault[] = [];
    if (!READABLE.test(name.trim())) faults.push({ pointer: at('name'), message: `“${name}”: use letters, numbers, spaces and hyphens.` });
    if (earlier) faults.push({ pointer: at('name'), message: `Two ${kind}s are called “${name}”. Give each its own name.` });
    if (kg < min || kg > max) faults.push({ pointer: at('kg'), message: `A ${kind} takes ${min} to ${max} kg.` });
    return faults;
  });
}

/** The grades of a kind, lightest first. */
export const gradesOf = (grades: readonly Grade[], kind: GradedKind): Grade[] =>
  grades.filter((grade) => grade.kind === kind).toSorted((one, other) => one.kg - other.kg);

/** What a movement is done with that comes in grades; undefined for balls, putty and all else. */
export const gradedIn = ({ equipment }: Pick<Movement, 'equipment'>): GradedKind | undefined =>
  GRADED.find((kind) => equipment.includes(DONE_WITH[kind]));
const DONE_WITH = { spring: 'hand gripper', band: 'finger band' } as const satisfies Record<GradedKind, Movement['equipment'][number]>;

/** The grades that a movement can be done with, lightest first; none where it takes no spring or band, or the studio lists none. */
export function gradesFor(grades: readonly Grade[], movement: Pick<Movement, 'equipment'>): Grade[] {
  const kind = gradedIn(movement);
  return kind ? gradesOf(grades, kind) : [];
}

/** Written forces are rounded: what differs less is the same grade. */
const SAME_KG = working('Same grade', 0.05, 'kg', 'forces are written to the tenth of a kilogram', [0.01, 0.1]).value;

/** The grade that has a force; undefined where the studio lists none of it. */
export const gradeAt = (grades: readonly Grade[], kind: GradedKind, kg: number): Grade | undefined =>
  gradesOf(grades, kind).find((grade) => Math.abs(grade.kg - kg) < SAME_KG);
