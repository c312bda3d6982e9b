import { itemAt, type StillName, STILLS } from '@clay-pot/core';
import list from './stills.json' with { type: 'json' };

/** Sizes of baked pictures: for rows, and for all that is larger than a thumb. Start and end come large only. */
export type BakedSize = 'small' | 'large';
/** Pixels of the sizes, as scripts/stills.mjs bakes them. */
const PIXELS = { small: [144, 108], large: [480, 360] } as const;

/** What is beside the hand in a picture of a level. */
const BESIDE = ['alone', 'with body', 'body large'] as const;

/** A picture of a shipped level that was drawn ahead: it is there with the page. */
export interface Baked {
  readonly src: string;
  readonly width: number;
  readonly height: number;
  readonly beside: (typeof BESIDE)[number];
}

/** The names of each level’s pictures in the order of `STILLS`, then what is beside the hand. */
const rows: Readonly<Partial<Record<string, readonly (string | number)[]>>> = list;

/** The baked picture of a level; null of a studio’s own movement, which is drawn live. */
export function bakedStill(movementId: string, levelId: string, name: StillName, size: BakedSize = 'large'): Baked | null {
  const row = rows[`${movementId}/${levelId}`];
  if (!row) return null;
  const [width, height] = PIXELS[size];
  const file = row[STILLS.indexOf(name)];
  return { src: `/assets/stills/${String(file)}-${size}.webp`, width, height, beside: itemAt(BESIDE, Number(row[STILLS.length])) };
}
