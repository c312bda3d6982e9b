/** Units that masses are shown in. */
export const MASS_UNITS = ['kg', 'lb'] as const;
/** Units that lengths of a hand or a body are shown in. */
export const LENGTH_UNITS = ['cm', 'in'] as const;

/** What a coach reads masses, forces and lengths in. Everything is kept metric. */
export interface ShownUnits {
  readonly mass: (typeof MASS_UNITS)[number];
  readonly length: (typeof LENGTH_UNITS)[number];
}
/** As everything is kept. */
export const METRIC: ShownUnits = { mass: 'kg', length: 'cm' };

/** A pound in kilograms, an inch in centimetres: by definition, 1959. */
export const POUND_KG = 0.45359237;
/** An inch in centimetres. */
export const INCH_CM = 2.54;
const CM_PER_M = 100;

/** How a metric unit is shown, and how many of the shown make one of the kept. */
export interface ShownAs {
  readonly unit: string;
  readonly per: number;
}

/** What a metric unit becomes for a coach; all but masses and lengths of bodies stay as they are. @example shownAs('kg', { mass: 'lb', length: 'cm' }).unit → 'lb' */
export function shownAs(unit: string, { mass, length }: ShownUnits): ShownAs {
  if (mass === 'lb' && unit === 'kg') return { unit: 'lb', per: 1 / POUND_KG };
  if (mass === 'lb' && unit === 'kg·min') return { unit: 'lb·min', per: 1 / POUND_KG };
  if (length === 'in' && unit === 'cm') return { unit: 'in', per: 1 / INCH_CM };
  if (length === 'in' && unit === 'm') return { unit: 'in', per: CM_PER_M / INCH_CM };
  return { unit, per: 1 };
}
