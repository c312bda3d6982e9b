import type { Dose } from '../model/dose.js';
import { parseDose, retypeDose, ShorthandError } from '../model/dose-shorthand.js';
import { checkFit } from '../model/fit.js';
import { type Level, type Movement, writtenWay } from '../model/movement.js';
import { sentence } from '../vocabulary/fault.js';
import { countedAs, usualAmount } from './counted-as.js';
import type { DosePhrases } from './phrases.js';

/** A dose that suits the movement; what of it cannot be said of it is dropped, and told. */
export function doseSaid(phrases: DosePhrases, movement: Movement, level: Level): { dose: Dose; dropped: string[] } | { message: string } {
  const dropped: string[] = [];
  let said = countedAs(phrases, movement, level, dropped);
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
  const isList = amount?.includes(',') ?? false;
  const first = amount === null ? (sets === null ? [] : [`${sets}x${usualAmount(dose)}`]) : [isList ? amount : `${sets ?? 1}x${amount}`];
  const isCounted = amount !== null && (/^\d+$/.test(amount) || isList);
  const hold = holdS !== null && (isCounted || amount === null) ? [`${holdS}s`] : [];
  return [...first, ...parts, ...hold, ...(sides ? [sides] : []), ...(directions ? [directions] : [])].join(' ');
}

/** Hands as a note has them. */
const SIDES_SAID: Readonly<Record<string, string>> = {
  LR: 'both hands',
  L: 'left',
  R: 'right',
  'L,R': 'each side',
  'R,L': 'right, then left',
  'L/R': 'alternating',
};

interface Less {
  readonly said: DosePhrases;
  /** What was left out, in words. */
  readonly part: string;
}

/** Parts of the shorthand that a fault is about, by its place in the dose. */
const ABOUT: readonly (readonly [place: string, part: RegExp])[] = [
  ['effort', /^@/],
  ['/load', /kg|lb|edge|handle|pinch|wedge|hands|away/],
  ['', /./],
];

/** The dose without what does not suit, the least of it first; null where nothing can be left out. @param pointer of the fault, empty where it is of the whole */
function without(said: DosePhrases, pointer: string): Less | null {
  const inOrder = pointer.includes('/sides')
    ? [lessSides]
    : pointer.includes('/directions')
      ? [lessDirections]
      : pointer.includes('/work')
        ? []
        : [lessPart, lessHold, lessSides, lessDirections];
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
