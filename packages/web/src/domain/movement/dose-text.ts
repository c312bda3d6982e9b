import { type Block, doseSentence, findLevel } from '@clay-pot/core';
import { movementById, studioLibrary } from '../../store/library.js';
import { readable } from '../measuring/units.js';

/** A block's dose as a person reads it; its shorthand is only for typing. @example doseText(block) → '3 sets of 8, left, then right' */
export function doseText({ movementId, levelId, dose }: Pick<Block, 'movementId' | 'levelId' | 'dose'>): string {
  const movement = movementById(movementId);
  const level = movement && findLevel(movement, levelId);
  return level ? readable(doseSentence(dose, movement, level, null, studioLibrary().grades)) : '';
}
