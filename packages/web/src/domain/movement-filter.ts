import {
  type CautionId,
  type Equipment,
  equipmentFor,
  type FamilyId,
  type Level,
  type Loading,
  type Movement,
} from '@clay-pot/core';

/** What a movement has to be to be shown. */
export interface MovementFilter {
  readonly text: string;
  readonly family: FamilyId | '';
  readonly loading: Loading | '';
  /** Leave out what needs more than this; null asks for nothing. */
  readonly equipment: readonly Equipment[] | null;
  /** Leave out what people with these should avoid. */
  readonly cautions: readonly CautionId[];
  /** Nothing but free unloaded motion. */
  readonly unloadedOnly: boolean;
}

/** Everything passes. */
export const NO_FILTER: MovementFilter = {
  text: '',
  family: '',
  loading: '',
  equipment: null,
  cautions: [],
  unloadedOnly: false,
};

/** The levels of a movement that pass: loading and equipment are questions to a level, not to a movement. */
export function passingLevels(movement: Movement, filter: MovementFilter): Level[] {
  const { equipment } = filter;
  return movement.ladder.filter(
    (level) =>
      (!filter.loading || level.loading === filter.loading) &&
      (!filter.unloadedOnly || level.loading === 'unloaded') &&
      (equipment === null || equipmentFor(movement, level).every((thing) => equipment.includes(thing))),
  );
}

/** Movements that pass, in the library's order; those whose name holds the words come before those that mention them. */
export function filterMovements(movements: readonly Movement[], filter: MovementFilter): Movement[] {
  const words = filter.text.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = (text: string) => words.every((word) => text.toLowerCase().includes(word));
  const passing = movements.filter(
    ({ name, purpose, trains, motions, family, ...movement }) =>
      holds([name, purpose, ...trains, ...motions].join(' ')) &&
      (!filter.family || family === filter.family) &&
      !movement.cautions.some((note) => note.avoid && note.concerns.some((id) => filter.cautions.includes(id))),
  );
  const suited = passing.filter((movement) => passingLevels(movement, filter).length > 0);
  return [...suited.filter(({ name }) => holds(name)), ...suited.filter(({ name }) => !holds(name))];
}
