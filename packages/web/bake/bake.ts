import { findLevel, type StillName, stillBeat, stillPicture } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { drawnStill } from '../src/drawing/hand/stills.js';
import '../src/app/theme.css';

/** A picture to be baked: of a shipped level, in pixels. */
interface Wish {
  readonly movementId: string;
  readonly levelId: string;
  readonly name: StillName;
  readonly width: number;
  readonly height: number;
}

/** Drawn larger and made smaller, so that lines are smooth. */
const FINER = 2;

/** The picture as a WebP data URL. Called from outside of the page, by scripts/bake-stills.mjs. */
async function bake({ movementId, levelId, name, width, height }: Wish, quality: number): Promise<string> {
  const movement = shippedMovement(movementId);
  const level = movement && findLevel(movement, levelId);
  if (!movement || !level) throw new Error(`There is no level ${movementId}/${levelId}.`);
  const picture = stillPicture(movement, level);
  const drawn = await drawnStill({
    picture,
    side: 'left',
    beat: stillBeat(picture, name),
    width: width * FINER,
    height: height * FINER,
    trail: name === 'list',
  });
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d');
  if (!context) throw new Error('There is no canvas to draw on.');
  context.imageSmoothingQuality = 'high';
  context.drawImage(drawn, 0, 0, width, height);
  return canvas.toDataURL('image/webp', quality);
}

Object.assign(window, { bake });
