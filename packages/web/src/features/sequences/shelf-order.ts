import type { Movement } from '@clay-pot/core';

/** Movements with some of them first, in the order in which they are named; the rest as it was. */
export function onTop(movements: readonly Movement[], firstIds: readonly string[]): Movement[] {
  const first = [...new Set(firstIds)].flatMap((id) => movements.filter((movement) => movement.id === id));
  return first.length > 0 ? [...first, ...movements.filter((movement) => !first.includes(movement))] : [...movements];
}
