import { type Body, figureOf, type Level, type Movement, REFERENCE_BODIES } from '@clay-pot/core';
import { memo } from 'react';
import { Figure } from '../drawing/figure.js';

interface Props {
  movement: Movement;
  level: Level;
  body?: Body;
  animated?: boolean;
  withHand?: boolean;
  className?: string;
}

/** A level's picture for lists, sheets and the player; nothing where this body cannot take the posture. */
export const LevelPicture = memo(function LevelPicture({
  movement,
  level,
  body = REFERENCE_BODIES['not stated'],
  animated = false,
  withHand = true,
  className = '',
}: Props) {
  try {
    const figure = figureOf(body, movement, level);
    return (
      <Figure
        body={body}
        figure={figure}
        title={`${movement.name}, ${level.name}`}
        animated={animated}
        withHand={withHand}
        className={className}
      />
    );
  } catch {
    return null;
  }
});
