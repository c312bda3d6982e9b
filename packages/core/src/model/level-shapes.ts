import type { Level, Movement } from './movement.js';
import type { HandShapeName } from '../vocabulary/hand-shapes.js';

/** The shapes that the hand goes between. */
export function shapesOf(movement: Movement, level: Level): readonly [HandShapeName, HandShapeName] {
  const { load, contact } = level;
  if (level.shapes ?? movement.shapes) return (level.shapes ?? movement.shapes)!;
  switch (load.kind) {
    case 'hang':
    case 'lift': {
      const shape = ({ bar: 'around a bar', edge: 'on an edge', pinch: 'pinch' } as const)[load.on];
      return [shape, shape];
    }
    case 'weight':
    case 'roller':
      return ['around a bar', 'around a bar'];
    case 'press':
    case 'resist':
      if (load.action === 'finger extension') return ['relaxed', 'spread'];
      if (load.action !== 'grip') return ['fist', 'fist'];
      if (contact === 'ball') return ['around a ball', 'around a ball'];
      return contact === 'handle' ? ['relaxed', 'around a bar'] : ['hook', 'hook'];
    case 'stretch':
      return ({ curled: ['fist', 'fist'], relaxed: ['open', 'open'], straight: ['together', 'together'] } as const)[
        load.fingers
      ];
    case 'move':
      if (contact === 'ball') return ['around a ball', 'around a ball'];
      if (contact === 'handle') return ['around a bar', 'around a bar'];
      return load.actions.every(
        (action) => action === 'grip' || action === 'finger extension' || action === 'shoulder flexion',
      )
        ? ['spread', 'fist']
        : ['relaxed', 'relaxed'];
    case 'rest':
      return contact === 'ball' ? ['around a ball', 'around a ball'] : ['relaxed', 'relaxed'];
    case 'body':
      return ['spread', 'spread'];
  }
}
