import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { handPictureOf, REFERENCE_BODIES, STILLS, stillsShow } from '@clay-pot/core';
import { LIBRARY } from '@clay-pot/core/library';
import { ROOT } from './places.mjs';

/** Where the pictures are, and which level has which. */
export const STILLS_FOLDER = join(ROOT, 'packages/web/public/assets/stills');
export const STILLS_LIST = join(ROOT, 'packages/web/src/drawing/hand/stills.json');

/** Pixels and quality of each size: rows and shelves, then the gallery, the sheet and a movement’s page. */
export const SIZES = { small: { width: 144, height: 108, quality: 0.85 }, large: { width: 480, height: 360, quality: 0.86 } };
/** Start and end stand large only. */
export const sizesOf = (name) => (name === 'list' ? ['small', 'large'] : ['large']);

const HASH_LENGTH = 12;
const hashOf = (text) => createHash('sha256').update(text).digest('hex').slice(0, HASH_LENGTH);
/** What a picture shows, in one order. */
const inOrder = ({ size, moment, frame, trail, isRound, push }) => [size, moment, frame, trail, isRound, push];
/** A tenth of a millimetre is not seen; what lies behind it differs from machine to machine. */
const rounded = (_key, value) => (typeof value === 'number' ? Number(value.toFixed(4)) + 0 : value);

/** What draws, without its comments: another way of drawing is another picture. */
function drawingHash() {
  const folder = join(ROOT, 'packages/web/src/drawing/hand');
  const drawing = ['materials.ts', 'overlay.ts', 'stage.ts', 'thing-meshes.ts', 'hand-mesh.ts', 'mesh-file.ts'];
  const code = drawing.map((file) =>
    readFileSync(join(folder, file), 'utf8')
      .replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, '')
      .replace(/\s+/g, ' '),
  );
  return hashOf([...code, readFileSync(join(folder, 'hand-mesh.bin')).toString('base64'), JSON.stringify(SIZES)].join('\n'));
}

/**
 * Every still there should be: per level, the name of the picture of each moment, and whether the body is drawn.
 * @returns {Map<string, { movementId: string, levelId: string, stills: Record<string, string>, withBody: boolean, bodyLarge: boolean }>} by “movement/level”
 */
export function wantedStills() {
  const drawing = drawingHash();
  const levels = new Map();
  for (const movement of LIBRARY)
    for (const level of movement.ladder) {
      const shows = stillsShow(movement, level);
      const shown = STILLS.map((name) => [name, hashOf(`${drawing} ${JSON.stringify(inOrder(shows[name]), rounded)}`)]);
      const { withBody, about } = handPictureOf(REFERENCE_BODIES['not stated'], movement, level);
      levels.set(`${movement.id}/${level.id}`, {
        movementId: movement.id,
        levelId: level.id,
        stills: Object.fromEntries(shown),
        withBody,
        bodyLarge: about === 'body',
      });
    }
  return levels;
}

/** The list as the web reads it: names in the order of `STILLS`, then 1 where a body is drawn beside it, 2 where it is the larger. */
export const listOf = (levels) =>
  Object.fromEntries(
    [...levels].map(([key, { stills, withBody, bodyLarge }]) => [
      key,
      [...STILLS.map((name) => stills[name]), withBody ? (bodyLarge ? 2 : 1) : 0],
    ]),
  );

/** Files that there should be: name, and of what they are a picture. */
export function wantedFiles(levels) {
  const files = new Map();
  for (const { movementId, levelId, stills } of levels.values())
    for (const name of STILLS)
      for (const size of sizesOf(name)) files.set(`${stills[name]}-${size}.webp`, { movementId, levelId, name, size });
  return files;
}

/** Names of the files that are there. */
export const filesThere = () => {
  try {
    return readdirSync(STILLS_FOLDER);
  } catch {
    return [];
  }
};

const byName = (one, other) => one.localeCompare(other);

// By itself it prints the list and the files that there should be, and those that are there.
if (process.argv[1] === import.meta.filename) {
  const levels = wantedStills();
  process.stdout.write(
    JSON.stringify({ list: listOf(levels), files: [...wantedFiles(levels).keys()].sort(byName), there: filesThere().sort(byName) }),
  );
}
