import {
  type Equipment,
  equipmentFor,
  type FamilyId,
  type Gap,
  type Level,
  type Loading,
  type Movement,
  openSides,
  type Phase,
  type Place,
  PLACE_OF,
  type RecordedCaution,
  USUAL_PHASE,
} from '@clay-pot/core';
import { movementFinder, type MovementFinder } from '@clay-pot/core/library';
import { known } from '../../store/library.js';

/** What a movement has to be to be shown. */
export interface MovementFilter {
  readonly text: string;
  readonly family: FamilyId | '';
  readonly loading: Loading | '';
  readonly phase: Phase | '';
  readonly place: Place | '';
  /** Only what answers it. */
  readonly gap: Gap | null;
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
  phase: '',
  place: '',
  gap: null,
  equipment: null,
  cautions: [],
};

/** The levels of a movement that pass: loading and equipment are questions to a level, not to a movement. */
export function passingLevels(movement: Movement, filter: MovementFilter): Level[] {
  const { equipment } = filter;
  return movement.ladder.filter(
    (level) =>
      (!filter.loading || level.loading === filter.loading) &&
      (!filter.place || PLACE_OF[level.posture] === filter.place) &&
      (filter.gap?.answers(movement, level) ?? true) &&
      (filter.cautions.length === 0 || openSides(movement, level, filter.cautions).length > 0) &&
      (equipment === null || equipmentFor(movement, level).every((thing) => equipment.includes(thing))),
  );
}

/** One index for each shelf, which is another where the studio’s names are: it is built when somebody looks for something. */
const finders = new WeakMap<readonly Movement[], MovementFinder>();
function finderOf(movements: readonly Movement[]): MovementFinder {
  let finder = finders.get(movements);
  if (!finder) finders.set(movements, (finder = movementFinder(movements, known().ownName)));
  return finder;
}

/** Movements that pass: what was looked for best first, everything in the library's order where nothing was. */
export function filterMovements(movements: readonly Movement[], filter: MovementFilter): Movement[] {
  return finderOf(movements)(filter.text)
    .filter(({ isWhole }) => isWhole)
    .map(({ movement }) => movement)
    .filter(({ family }) => !filter.family || family === filter.family)
    .filter(({ family }) => !filter.phase || USUAL_PHASE[family] === filter.phase)
    .filter((movement) => passingLevels(movement, filter).length > 0);
}
