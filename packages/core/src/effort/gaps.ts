import { type Coverage, type Direction, DIRECTIONS, visitOf } from './coverage.js';
import type { Level, Movement } from '../model/movement.js';
import { type Corner, CORNERS } from '../vocabulary/motions.js';

/** Something of the hand that a session never visits, and what would. */
export interface Gap {
  /** As it is said: “fist, wrist extended”. */
  readonly words: string;
  readonly answers: (movement: Movement, level: Level) => boolean;
}

/** Two-joint corners that are never visited. */
export const unvisitedCorners = ({ corners }: Pick<Coverage, 'corners'>): Corner[] =>
  CORNERS.filter((corner) => corners[corner].length === 0);

/** Directions of the wrist that are never visited, of the eight. */
export const unvisitedDirections = ({ cells }: Pick<Coverage, 'cells'>): Direction[] =>
  DIRECTIONS.filter((direction) => !cells.some((cell) => cell.direction === direction));

/** Whether nothing works the thumb. */
export const isThumbForgotten = (movements: readonly Pick<Movement, 'trains'>[]): boolean =>
  !movements.some(({ trains }) => trains.includes('thumb muscles'));

/** What a session leaves out: corners of the long muscles, directions on the wheel, the thumb. */
export function gapsOf(coverage: Coverage, movements: readonly Pick<Movement, 'trains'>[]): Gap[] {
  return [
    ...unvisitedCorners(coverage).map((corner): Gap => ({ words: corner, answers: ({ corners }) => corners.includes(corner) })),
    ...unvisitedDirections(coverage).map((direction): Gap => ({
      words: `wrist toward ${direction}`,
      answers: (movement, level) => visitOf(movement, level, null).directions.includes(direction),
    })),
    ...(isThumbForgotten(movements) ? [{ words: 'the thumb', answers: ({ trains }: Movement) => trains.includes('thumb muscles') }] : []),
  ];
}
