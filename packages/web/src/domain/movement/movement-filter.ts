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
import { studioLibrary } from '../../store/library.js';

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
  if (!finder) finders.set(movements, (finder = movementFinder(movements, studioLibrary().ownName)));
  return finder;
}

/** How many near misses are offered where no movement answers every word. */
const CLOSEST_SHOWN = 5;

/** Movements that pass, best match first; everything in the library's order where nothing was typed. */
export interface FoundMovements {
  readonly movements: readonly Movement[];
  /** No movement answers every word: these answer some. */
  readonly isClosest: boolean;
}

/** Finds movements by words and narrows them. */
export function findMovements(movements: readonly Movement[], filter: MovementFilter): FoundMovements {
  const passing = finderOf(movements)(filter.text).filter(
    ({ movement }) =>
      (!filter.family || movement.family === filter.family) &&
      (!filter.phase || USUAL_PHASE[movement.family] === filter.phase) &&
      passingLevels(movement, filter).length > 0,
  );
  const whole = passing.filter(({ isWhole }) => isWhole);
  const isClosest = whole.length === 0 && passing.length > 0;
  return { isClosest, movements: (isClosest ? passing.slice(0, CLOSEST_SHOWN) : whole).map(({ movement }) => movement) };
}
