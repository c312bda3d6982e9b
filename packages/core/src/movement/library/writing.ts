import type { Contact, Equipment, Facing, Loading, Posture } from '../../anatomy/support.js';
import { parseDose } from '../../dose/shorthand.js';
import type { DosingKind } from '../../dose/usual-ranges.js';
import type { CautionId } from '../../screen/cautions.js';
import type { Level, MovementCaution } from '../movement.js';

type LevelText = readonly [id: string, name: string, description: string];
type LevelPlace = readonly [posture: Posture, contact: Contact, facing: Facing, loading: Loading];

/** Writes one rung of a ladder in a line; the dose is written in the shorthand a coach would type. */
export function level(
  [id, name, description]: LevelText,
  [posture, contact, facing, loading]: LevelPlace,
  dosing: DosingKind,
  dose: string,
  equipment: readonly Equipment[] = [],
): Level {
  return { id, name, description, posture, contact, facing, loading, dosing, equipment, dose: parseDose(dose) };
}

/** Writes a caution with the recorded cautions that it concerns. */
export function caution(text: string, ...concerns: CautionId[]): MovementCaution {
  return { text, concerns, avoid: false };
}

/** Writes a caution for which those concerned leave the movement out. */
export function avoid(text: string, ...concerns: CautionId[]): MovementCaution {
  return { text, concerns, avoid: true };
}
