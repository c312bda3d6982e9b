import type { Body } from '../model/body.js';
import type { Level, Movement } from '../model/movement.js';
import { handView } from './figure-hand.js';
import { freeFigure } from './free-figure.js';
import { wayOf } from './posture-course.js';
import type { Figure } from './scene.js';
import { supportFigure } from './support-figure.js';

/**
 * A movement at a level as this body does it.
 * @throws as `handLoad`, when this body cannot take the posture.
 */
export function figureOf(body: Body, movement: Movement, level: Level): Figure {
  const hand = handView(movement, level);
  const { load, contact, facing } = level;
  if (load.kind !== 'body') return freeFigure(body, movement, { ...level, load }, hand);
  return supportFigure(body, { ...load.stance, contact, facing }, hand, wayOf(movement));
}
