import { same } from '../vocabulary/same.js';
import { joinSentences, say, type Sentence, sentenceText } from '../vocabulary/sentence.js';
import { type Dose, setGroupsOf, workOf } from './dose.js';
import { amountWords, ownLoadWords, paceWords, percentWords, workWords } from './dose-words.js';
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
    effortChange(before, after),
    change('goal', goalOf(before), goalOf(after)),
    change('on sore days', before.sore ? percentWords(before.sore) : 'the same', after.sore ? percentWords(after.sore) : 'the same'),
    loadChange(joinSentences(ownLoadWords(before), ', '), joinSentences(ownLoadWords(after), ', ')),
  ];
}

const goalOf = ({ goal, work }: Dose): string => (goal === undefined ? 'none' : workWords(workOf(work.kind, goal)));

function effortChange(before: Dose, after: Dose): string | false {
  const number = ({ effortPercent, effortToPercent }: Dose) =>
    effortPercent === undefined ? 'open' : `${effortPercent}${effortToPercent === undefined ? '' : `–${effortToPercent}`}`;
  const [was, is] = [number(before), number(after)];
  return was !== is && `effort ${was} → ${is}${after.effortPercent === undefined ? '' : ' %'}`;
}

/** What something was and is; nothing where it stayed. */
const change = (of: string, was: string, is: string): string | false => was !== is && `${of} ${was} → ${is}`;

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
    change('hold', holdsOf(before), holdsOf(after)),
    before.pauseS !== after.pauseS && `pause ${before.pauseS ?? 0} → ${after.pauseS ?? 0} s`,
    !same<unknown>(before.tempo, after.tempo) && `${pace(before)} → ${pace(after)}`,
    before.restS !== after.restS && `rest ${before.restS} → ${after.restS} s`,
    change('each set faster by', fasterOf(before), fasterOf(after)),
    change('hands', handsOf(before), handsOf(after)),
    before.directions !== after.directions && `${planWords(before.directions)} → ${planWords(after.directions)} direction`,
    change('positions', before.positions?.join(', ') ?? 'all', after.positions?.join(', ') ?? 'all'),
  ];
}

const holdsOf = (dose: Dose): string => `${[dose.holdS ?? 0, ...(dose.then ?? []).flatMap(({ holdS }) => holdS ?? [])].join(', then ')} s`;
const fasterOf = ({ faster }: Dose): string =>
  faster ? (faster.kind === 'percent' ? `${faster.percent} %` : `${faster.seconds} s`) : 'nothing';
const handsOf = ({ sides, oneHandFirst, rightAmount }: Dose): string =>
  [planWords(sides), oneHandFirst && 'all sets of one first', rightAmount !== undefined && `the right one ${rightAmount}`]
    .filter(Boolean)
    .join(', ');
const planWords = (plan: string) => plan.replaceAll('-', ' ');
