import type { Dose } from '../model/dose.js';
import { parseDose, retypeDose, ShorthandError } from '../model/dose-shorthand.js';
import { checkFit } from '../model/fit.js';
import { type Level, type Movement, writtenWay } from '../model/movement.js';
import { sentence } from '../vocabulary/fault.js';
import { countedAs, usualAmount, withFingers } from './counted-as.js';
import type { DosePhrases } from './phrases.js';

/** What was said of a dose in shorthand, as its movement is counted, with what has no place in it. */
export function asShorthand(phrases: DosePhrases, movement: Movement, level: Level): { shorthand: string; dropped: string[] } {
  const dropped: string[] = [];
  return { shorthand: shorthandOf(asCounted(phrases, movement, level, dropped), level), dropped };
}

function asCounted(phrases: DosePhrases, movement: Movement, level: Level, dropped: string[]): DosePhrases {
  return withGoalLike(withFingers(countedAs(phrases, movement, level, dropped), movement, dropped), level, dropped);
}

/** A dose that suits the movement; what of it cannot be said of it is dropped, and told. */
export function doseSaid(phrases: DosePhrases, movement: Movement, level: Level): { dose: Dose; dropped: string[] } | { message: string } {
  const dropped: string[] = [];
  let said = asCounted(phrases, movement, level, dropped);
  for (;;) {
    const text = shorthandOf(said, level);
    try {
      const dose = said.amount === null && said.sets === null ? retyped(text, level, movement) : parseDose(text, writtenWay(movement));
      const [misfit] = checkFit(dose, movement, level);
      if (!misfit) return { dose, dropped };
      const less = without(said, misfit.pointer);
      if (!less) return { message: sentence(misfit) };
      dropped.push(less.part);
      said = less.said;
    } catch (error) {
      if (!(error instanceof ShorthandError)) throw error;
      const less = without(said, '');
      if (!less) return { message: error.message };
      dropped.push(less.part);
      said = less.said;
    }
  }
}

const retyped = (text: string, level: Level, movement: Movement): Dose =>
  text === '' ? level.dose : retypeDose(text, level.dose, writtenWay(movement));

function shorthandOf({ sets, amount, holdS, parts, sides, directions }: DosePhrases, { dose }: Level): string {
  const isList = amount !== null && /^\d+x/.test(amount);
  const first = amount === null ? (sets === null ? [] : [`${sets}x${usualAmount(dose)}`]) : [isList ? amount : `${sets ?? 1}x${amount}`];
  const isCounted = amount !== null && (/^\d+(?:-\d+)?$/.test(amount) || isList);
  const hold = holdS !== null && (isCounted || amount === null) ? [`${holdS}s`] : [];
  return [...first, ...parts, ...hold, ...(sides ? [sides] : []), ...(directions ? [directions] : [])].join(' ');
}

/** A goal that counts something else than the sets is a remark. */
function withGoalLike(said: DosePhrases, { dose }: Level, dropped: string[]): DosePhrases {
  const goal = said.parts.find((part) => part.startsWith('goal'));
  if (goal === undefined) return said;
  const unitOf = (text: string) => (text.includes(':') ? 's' : (/(s|br|m)$/.exec(text)?.[1] ?? ''));
  if (unitOf(goal) === unitOf(said.amount ?? usualAmount(dose))) return said;
  dropped.push(goal.replace(/^goal/, 'goal '));
  return { ...said, parts: said.parts.filter((part) => part !== goal) };
}

/** Hands as a note has them. */
const SIDES_SAID: Readonly<Record<string, string>> = {
  LR: 'both hands',
  L: 'left',
  R: 'right',
  'L,R': 'each side',
  'R,L': 'right, then left',
  'L/R': 'alternating',
  'LL,RR': 'all sets of one hand first',
  'RR,LL': 'all sets of one hand first, right first',
};

interface Less {
  readonly said: DosePhrases;
  /** What was left out, in words. */
  readonly part: string;
}

/** Parts of the shorthand that a fault is about, by its place in the dose. */
const ABOUT: readonly (readonly [place: string, part: RegExp])[] = [
  ['/sore', /^sore/],
  ['effort', /^@/],
  ['/tempo', /^tempo/],
  ['/pauseS', /^pause/],
  ['/faster', /^faster/],
  ['/positions', /^only/],
  ['/load', /kg|lb|edge|handle|pinch|wedge|hands|away/],
  ['', /./],
];

/** The dose without what does not suit, the least of it first; null where nothing can be left out. @param pointer of the fault, empty where it is of the whole */
function without(said: DosePhrases, pointer: string): Less | null {
  const inOrder = LESS_OF.find(([place]) => pointer.includes(place))?.[1] ?? [lessPart, lessHold, lessSides, lessDirections];
  for (const less of inOrder) {
    const found = less(said, pointer);
    if (found) return found;
  }
  return null;
}

function lessPart(said: DosePhrases, pointer: string): Less | null {
  const [, about] = ABOUT.find(([place]) => pointer.includes(place)) ?? ['', /./];
  const part = said.parts.findLast((each) => about.test(each));
  return part === undefined ? null : { said: { ...said, parts: said.parts.filter((each) => each !== part) }, part };
}
const lessHold = (said: DosePhrases): Less | null =>
  said.holdS === null ? null : { said: { ...said, holdS: null }, part: `hold ${said.holdS} s` };
const lessSides = (said: DosePhrases): Less | null =>
  said.sides === null ? null : { said: { ...said, sides: null }, part: SIDES_SAID[said.sides] ?? said.sides };
const lessDirections = (said: DosePhrases): Less | null =>
  said.directions === null ? null : { said: { ...said, directions: null }, part: 'each direction' };

/** What is left out for a fault of a part that stands by itself; of the sets nothing is. */
const LESS_OF: readonly (readonly [place: string, inOrder: readonly ((said: DosePhrases, pointer: string) => Less | null)[]])[] = [
  ['/sides', [lessSides]],
  ['/directions', [lessDirections]],
  ['/work', []],
  ['/holdS', [lessHold]],
];
