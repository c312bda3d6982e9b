import type { Dose } from '../model/dose.js';
import type { Grade } from '../model/grades.js';
import { printDose, retypeDose, ShorthandError } from '../model/dose-shorthand.js';
import { type Level, type Movement, writtenWay } from '../model/movement.js';
import { handsApart } from './block-in-line.js';
import { dosePhrasesIn } from './dose-phrases.js';
import { asShorthand } from './dose-said.js';
import { withGrades } from './grade-names.js';
import { PACES } from './paces.js';

/**
 * Reads what is typed into the dose of a block: as shorthand, or as people say it, in the grammar of texts. What is not typed stays as it was.
 * @param grades springs and bands that may be named: “grey spring”
 * @throws ShorthandError where it is neither; its words are the shorthand’s
 */
export function typedDose(typed: string, before: Dose, movement: Movement, level: Level, grades: readonly Grade[] = []): Dose {
  const text = withGrades(typed, grades);
  try {
    return retypeDose(text, before, writtenWay(movement));
  } catch (error) {
    if (!(error instanceof ShorthandError)) throw error;
    const shorthand = inShorthand(text, before, movement, level);
    if (shorthand === null) throw error;
    return retypeDose(shorthand, before, writtenWay(movement));
  }
}

/** The same dose in shorthand; null where a word of it is no part of a dose. */
function inShorthand(text: string, before: Dose, movement: Movement, level: Level): string | null {
  const phrases = dosePhrasesIn(text);
  const paces = phrases.clauses.map(({ text: word }) => PACES[word.toLowerCase()]);
  if (paces.includes(undefined) || phrases.notes.length > 0) return null;
  const [said, other] = handsApart({ ...phrases, parts: [...phrases.parts, ...paces.flatMap((pace) => pace ?? [])] }, movement);
  if (!said || other) return null;
  const { shorthand, dropped } = asShorthand(said, movement, level);
  if (dropped.length > 0 || shorthand === '') return null;
  // Only a rest or an effort was typed: the sets that are there stay.
  const hasSets = said.amount !== null || said.sets !== null || said.holdS !== null;
  return hasSets ? shorthand : `${printDose(before).split(' ')[0]} ${shorthand}`;
}
