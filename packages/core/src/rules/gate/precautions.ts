import { say, type Sentence, uniqueSentences } from '../../vocabulary/sentence.js';
import type { Person } from '../../mechanics/capacity.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Level, Movement } from '../../model/movement.js';
import { cautionAdvice } from '../safety/cautions.js';
import { concernsOf } from '../safety/clearance.js';
import { handsUsed } from '../safety/hands-used.js';
import { workOf } from './gate.js';
import { leftOutBy, limitBroken, waitsFor } from './restrictions.js';

/** What somebody’s restrictions say of one level at its usual dose. */
export interface Precautions {
  /** Nobody has cleared the hands for it. */
  readonly waits: readonly Sentence[];
  /** It passes the limits of a restriction or of a clearance. */
  readonly over: readonly Sentence[];
  readonly leaveOut: readonly string[];
  readonly care: readonly string[];
}

/** As the gate judges a block of it: the same numbers and the same verdict. @param cautions as they stand on the day */
export function precautionsFor(person: Person, movement: Movement, level: Level, cautions: readonly RecordedCaution[]): Precautions {
  const work = workOf({ person }, movement, level, level.dose);
  const waits = cautions.filter((entry) => waitsFor(entry, work));
  const over = cautions.flatMap((entry) => {
    const limit = waits.includes(entry) ? null : limitBroken(entry, work);
    return limit ? [say`${limit.broken}. ${cautionAdvice(entry)}`] : [];
  });
  const { care } = concernsOf(movement, level, cautions, handsUsed(level, level.dose.sides));
  return { waits: uniqueSentences(waits.map(cautionAdvice)), over: uniqueSentences(over), leaveOut: leftOutBy(cautions, work), care };
}
