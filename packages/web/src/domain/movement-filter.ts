import {
  type Equipment,
  equipmentFor,
  type FamilyId,
  type Level,
  type Loading,
  type Movement,
  openSides,
  type RecordedCaution,
} from '@clay-pot/core';

/** What a movement has to be to be shown. */
export interface MovementFilter {
  readonly text: string;
  readonly family: FamilyId | '';
  readonly loading: Loading | '';
  /** Leave out what needs more than this; null asks for nothing. */
  readonly equipment: readonly Equipment[] | null;
  /** Leave out what somebody with these may do with neither hand. */
  readonly cautions: readonly RecordedCaution[];
}

/** Everything passes. */
export const NO_FILTER: MovementFilter = {
  text: '',
  family: '',
  loading: '',
  equipment: null,
  cautions: [],
};

/** The levels of a movement that pass: loading and equipment are questions to a level, not to a movement. */
export function passingLevels(movement: Movement, filter: MovementFilter): Level[] {
  const { equipment } = filter;
  return movement.ladder.filter(
    (level) =>
      (!filter.loading || level.loading === filter.loading) &&
      (filter.cautions.length === 0 || openSides(movement, level, filter.cautions).length > 0) &&
      (equipment === null || equipmentFor(movement, level).every((thing) => equipment.includes(thing))),
  );
}

/** Movements that pass, in the library's order; those whose name holds the words come before those that mention them. */
export function filterMovements(movements: readonly Movement[], filter: MovementFilter): Movement[] {
  const words = filter.text.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = (text: string) => words.every((word) => text.toLowerCase().includes(word));
  const passing = movements.filter(
    ({ name, purpose, trains, motions, family }) =>
      holds([name, purpose, ...trains, ...motions].join(' ')) && (!filter.family || family === filter.family),
  );
  const suited = passing.filter((movement) => passingLevels(movement, filter).length > 0);
  return [...suited.filter(({ name }) => holds(name)), ...suited.filter(({ name }) => !holds(name))];
}
