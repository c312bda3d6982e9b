import { same } from '../vocabulary/same.js';
import { joinSentences, say, type Sentence, sentenceText } from '../vocabulary/sentence.js';
import { type Dose, setGroupsOf } from './dose.js';
import { amountWords, ownLoadWords, paceWords } from './dose-words.js';
import type { Movement } from './movement.js';

/** Either way of a movement where nobody knows which it is. */
const OUT_AND_BACK: Movement['strokes'] = ['out', 'back'];

/**
 * What is different in a dose, part by part.
 * @example doseChanges(parseDose('2x8 rest30'), parseDose('2x5 rest60')) → ['2 sets of 8 → 2 sets of 5', 'rest 30 → 60 s']
 */
export const doseChanges = (before: Dose, after: Dose, strokes: Movement['strokes'] = OUT_AND_BACK): Sentence[] =>
  [...amountChanges(before, after), ...wayChanges(before, after, strokes)].flatMap((change) => (change === false ? [] : [change]));

/** How much, how hard and with what. */
function amountChanges(before: Dose, after: Dose): (Sentence | false)[] {
  const amount = (dose: Dose) => amountWords(setGroupsOf(dose));
  return [
    amount(before) !== amount(after) && `${amount(before)} → ${amount(after)}`,
    before.effortPercent !== after.effortPercent &&
      `effort ${before.effortPercent ?? 'open'} → ${after.effortPercent ?? 'open'}${after.effortPercent === undefined ? '' : ' %'}`,
    loadChange(joinSentences(ownLoadWords(before), ', '), joinSentences(ownLoadWords(after), ', ')),
  ];
}

/** Where a dose names no load, the level has its own. */
function loadChange(before: Sentence, after: Sentence): Sentence | false {
  const [was, is] = [sentenceText(before), sentenceText(after)];
  if (was === is) return false;
  if (was === '') return say`with ${after}`;
  return is === '' ? say`without ${before}` : say`${before} → ${after}`;
}

/** At which pace, with which hands. */
function wayChanges(before: Dose, after: Dose, strokes: Movement['strokes']): (Sentence | false)[] {
  const pace = ({ tempo }: Dose) => (tempo ? paceWords(tempo, strokes) : 'usual pace');
  return [
    before.holdS !== after.holdS && `hold ${before.holdS ?? 0} → ${after.holdS ?? 0} s`,
    before.pauseS !== after.pauseS && `pause ${before.pauseS ?? 0} → ${after.pauseS ?? 0} s`,
    !same<unknown>(before.tempo, after.tempo) && `${pace(before)} → ${pace(after)}`,
    before.restS !== after.restS && `rest ${before.restS} → ${after.restS} s`,
    before.sides !== after.sides && `hands ${planWords(before.sides)} → ${planWords(after.sides)}`,
    before.directions !== after.directions && `${planWords(before.directions)} → ${planWords(after.directions)} direction`,
  ];
}

const planWords = (plan: string) => plan.replaceAll('-', ' ');
