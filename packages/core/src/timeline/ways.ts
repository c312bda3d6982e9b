import type { Dose } from '../model/dose.js';
import { type Movement, type Position, positionsIn } from '../model/movement.js';

/** One of the ways that a set goes through in turn: a finger or a position, in a direction. */
export interface Way {
  /** What it is called: “index”, “palm up, forward”; null for a movement that has neither positions nor directions. */
  readonly name: string | null;
  readonly position: Position | null;
  /** Whether it goes in the second of the movement’s directions. */
  readonly isSecond: boolean;
}

/** The ways of a dose in their order: each position in each direction. A movement without either is worked once, in no named way. */
export function waysOf(movement: Pick<Movement, 'directions' | 'positions'>, dose: Pick<Dose, 'directions' | 'positions'>): Way[] {
  const places = positionsIn(movement, dose);
  const positions: readonly (Position | null)[] = places.length > 0 ? places : [null];
  return positions.flatMap((position) =>
    directionsOf(movement, dose).map(({ name, isSecond }): Way => {
      const names = [position?.name, name].filter((part) => part !== undefined && part !== null);
      return { name: names.length > 0 ? names.join(', ') : null, position, isSecond };
    }),
  );
}

/** A movement without directions is worked once, in no named direction. */
function directionsOf({ directions }: Pick<Movement, 'directions'>, { directions: plan }: Pick<Dose, 'directions'>) {
  if (!directions) return [{ name: null, isSecond: false }];
  const [first, second] = [
    { name: directions[0], isSecond: false },
    { name: directions[1], isSecond: true },
  ];
  if (plan === 'first') return [first];
  return plan === 'second' ? [second] : [first, second];
}
