/**
 * A number that a computation rests on, with where it comes from. Read by `value`, so that its weight in every result can be found by moving it
 * (`withValue`); nothing else writes it.
 */
export interface Constant {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** Where it was published; null for a working value. */
  readonly source: string | null;
  /** Its meaning and, for a working value, the reason for the number. */
  readonly reason: string;
  /** Between what a working value could lie without anybody objecting; null for a published one. */
  readonly range: readonly [number, number] | null;
}

const ALL: Constant[] = [];

/** A number as it was published. */
export const published = (name: string, value: number, unit: string, source: string, reason = ''): Constant =>
  kept({ name, value, unit, source, reason, range: null });

/** A working choice of our own, with its reason and the range in which it could as well lie. */
export function working(name: string, value: number, unit: string, reason: string, range: readonly [number, number]): Constant {
  if (!(value >= range[0] && value <= range[1])) throw new RangeError(`${name}: ${value} is outside its own range`);
  return kept({ name, value, unit, source: null, reason, range });
}

function kept(constant: Constant): Constant {
  ALL.push(constant);
  return constant;
}

/** Every constant of the computations that are loaded, in the order in which they are declared. */
export const constants = (): readonly Constant[] => ALL;

let moved = 0;
/** How often a constant has been moved: what is kept of a computation is good for one count only. */
export const timesMoved = () => moved;

/**
 * What is computed while a constant has another value. What keeps its results by person, level or body is to be asked with new ones.
 * @example withValue({ name: 'n', value: 2, unit: '', source: null, reason: '', range: null }, 3, () => 4) → 4
 */
export function withValue<T>(constant: Constant, value: number, run: () => T): T {
  const movable: { value: number } = constant;
  const before = movable.value;
  movable.value = value;
  moved++;
  try {
    return run();
  } finally {
    movable.value = before;
    moved++;
  }
}
