import type { ClassForm } from '../../model/class-session.js';
import { doseChanges } from '../../model/dose-changes.js';
import { setGroupsOf } from '../../model/dose.js';
import { amountWords, doseSentence } from '../../model/dose-words.js';
import { findLevel, type MovementLookup } from '../../model/movement.js';
import type { Block } from '../../model/sequence.js';
import { joinSentences, say, type Sentence, sentenceText } from '../../vocabulary/sentence.js';
import { capital, lowered } from '../../vocabulary/text.js';

/** What somebody does in place of a block, with what it changes. */
export function classFormWords(block: Block, form: ClassForm | null, lookup: MovementLookup): Sentence {
  if (form === null) return 'As the class';
  const movement = lookup(form.movementId);
  const level = movement && findLevel(movement, form.levelId);
  if (!movement || !level) return form.movementId;
  if (form.movementId !== block.movementId)
    return say`${movement.name}, ${lowered(level.name)}, ${doseSentence(form.dose, movement, level)}`;
  const changes = doseChanges(block.dose, form.dose, movement.strokes);
  const named = form.levelId === block.levelId ? [] : [level.name];
  return joinSentences([...named, ...changes], ', ');
}

/** The same in a word or two, for a screen that is read from far: the other movement, the other level, or how much. */
export function classFormName(block: Block, form: ClassForm | null, lookup: MovementLookup): string {
  if (form === null) return 'As the class';
  const movement = lookup(form.movementId);
  if (!movement) return form.movementId;
  if (form.movementId !== block.movementId) return movement.name;
  const level = findLevel(movement, form.levelId);
  if (form.levelId !== block.levelId && level) return level.name;
  const [now, its] = [amountWords(setGroupsOf(form.dose)), amountWords(setGroupsOf(block.dose))];
  // The same amount otherwise: with a wedge, with less effort.
  const [change = now] = doseChanges(block.dose, form.dose, movement.strokes);
  return now === its ? capital(sentenceText(change)) : now;
}
