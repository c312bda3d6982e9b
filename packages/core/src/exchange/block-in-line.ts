import { checkFit } from '../model/fit.js';
import type { Dose } from '../model/dose.js';
import { parseDose, printDose, retypeDose, ShorthandError } from '../model/dose-shorthand.js';
import { type Level, type Movement, writtenWay } from '../model/movement.js';
import { sentence } from '../vocabulary/fault.js';
import { dosePhrasesIn } from './dose-phrases.js';
import { countedAs, usualAmount } from './counted-as.js';
import type { Clause, DosePhrases } from './phrases.js';
import { levelMeant } from './meant-level.js';
import { namedLevel, type Names } from './text-names.js';
import type { TextLine } from './text-lines.js';

/** A block as a line says it. */
export interface BlockInLine {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
  readonly note: string;
  /** Whether it was written to the letter. */
  readonly isExact: boolean;
}
/** What of a line was not understood, and lines that could be meant. */
export interface Misread {
  readonly column: number;
  readonly message: string;
  readonly nearest: readonly string[];
  readonly choices: readonly string[];
}

/** The movement of the line above, which had no dose: a dose alone is its. */
export interface Above {
  readonly movement: Movement;
  readonly level: Level;
}

/** Whether a line is a movement with a dose, wherever it stands: a title is not. */
export function isBlockLine(text: string, names: Pick<Names, 'shelf' | 'ownName'>): boolean {
  if (namedLevel(text, names)) return true;
  const { clauses, amount, sets, hints } = dosePhrasesIn(text);
  return (amount !== null || sets !== null) && 'movement' in levelMeant(clauses, names, hints);
}

type Said = Extract<TextLine, { kind: 'block' }>;
const SHOWN = 5;

/** The blocks of a line: one, or one for each hand where their amounts differ. */
export function blocksInLine(said: Said, names: Names, above: Above | null = null): readonly BlockInLine[] | Misread {
  const exact = toTheLetter(said, names);
  if (exact) return 'message' in exact ? exact : [exact];
  const phrases = dosePhrasesIn(said.text);
  if (phrases.clauses.length === 0 && above) return doseOf(above, phrases, said);
  const meant = exactly(phrases.clauses, names) ?? levelMeant(phrases.clauses, names, phrases.hints);
  if (!('movement' in meant)) return unclear(said, phrases, meant.candidates, meant.why);
  const [first = ''] = said.name.split(',');
  if (meant.unused.some((word) => PACES[word] === undefined) && first !== said.name && namedLevel(first, names)) {
    const candidates = meant.movement.ladder.map((level) => ({ movement: meant.movement, level }));
    return {
      ...unclear(said, phrases, candidates, 'level'),
      message: `“${meant.movement.name}” has no level “${said.name.slice(first.length + 1).trim()}”.`,
    };
  }
  const unread = meant.unused.find((word) => /\d/.test(word));
  if (unread !== undefined) {
    const message = `Can’t read “${unread}”. Write sets and amount like 3x8, 2x30s or 3 sets of 10.`;
    return { column: said.column + Math.max(0, said.text.indexOf(unread)), message, nearest: [], choices: [] };
  }
  return withDose(said, phrases, meant);
}

const doseOf = (above: Above, phrases: DosePhrases, said: Said) => withDose(said, phrases, { ...above, unused: [] });

function withDose(
  said: Said,
  phrases: DosePhrases,
  meant: Above & { readonly unused: readonly string[] },
): readonly BlockInLine[] | Misread {
  const { movement, level } = meant;
  const pace = meant.unused.find((word) => PACES[word] !== undefined);
  const paced = pace === undefined ? phrases : withPace(phrases, PACES[pace] ?? '');
  const asked = phrases.perHand ? phrases.perHand.map((each) => ofHand(paced, each)) : [paced];
  const blocks: BlockInLine[] = [];
  for (const each of asked) {
    const read = doseSaid(each, movement, level);
    if ('message' in read) return { column: said.column, message: read.message, nearest: [], choices: [lineOf(movement, level, null)] };
    const words = meant.unused.filter((word) => word !== pace || read.dropped.includes(PACES[word] ?? ''));
    const remarks = [
      ...phrases.notes,
      ...read.dropped.filter((part) => part !== PACES[pace ?? '']),
      ...words,
      ...asidesOf(phrases.clauses, level),
    ];
    blocks.push({ movement, level, dose: read.dose, note: [...new Set(remarks)].join('; '), isExact: false });
  }
  return blocks;
}

/** What one hand does, where the other does something else. */
function ofHand(phrases: DosePhrases, { side, amount }: NonNullable<DosePhrases['perHand']>[number]): DosePhrases {
  const [, sets, each] = /^(\d+)x(.+)$/.exec(amount) ?? [];
  return { ...phrases, sides: side, amount: each ?? amount, ...(sets !== undefined && { sets: Number(sets) }) };
}

const PACES: Readonly<Record<string, string>> = {
  slow: 'tempo3-3',
  slowly: 'tempo3-3',
  controlled: 'tempo2-2',
  fast: 'tempo1-1',
  quick: 'tempo1-1',
  quickly: 'tempo1-1',
};
const withPace = (phrases: DosePhrases, tempo: string): DosePhrases =>
  phrases.parts.some((part) => part.startsWith('tempo')) ? phrases : { ...phrases, parts: [...phrases.parts, tempo] };

/** A name as it is in the library with its dose in shorthand, or without one. */
function toTheLetter({ name, dose, doseColumn }: Said, names: Names): BlockInLine | Misread | null {
  const found = namedLevel(name, names);
  if (!found) return null;
  const { movement, level, isExact, isLevelNamed } = found;
  if (dose === null) return { movement, level, dose: level.dose, note: '', isExact };
  const wrong = (message: string, at = 0): Misread => ({
    column: doseColumn + Math.max(0, at),
    message,
    nearest: [],
    choices: [lineOf(movement, level, null)],
  });
  try {
    const read = parseDose(dose, writtenWay(movement));
    const [misfit] = checkFit(read, movement, level);
    if (!misfit) return { movement, level, dose: read, note: '', isExact };
    return isLevelNamed ? wrong(sentence(misfit)) : null;
  } catch (error) {
    if (!(error instanceof ShorthandError)) throw error;
    // In other words than the shorthand’s, as long as it is a dose and nothing else.
    const { clauses } = dosePhrasesIn(dose);
    const isDose = clauses.every(({ text, isAside }) => isAside || text in PACES);
    return isLevelNamed && !isDose ? wrong(error.message, error.at) : null;
  }
}

/** What is left beside the dose, where that is a name to the letter. */
function exactly(clauses: readonly Clause[], names: Names): { movement: Movement; level: Level; unused: string[] } | null {
  const [first] = clauses;
  if (!first) return null;
  const found = namedLevel(first.text, names);
  return !found || (!found.isLevelNamed && clauses.length > 1) ? null : { ...found, unused: [] };
}

/** Remarks behind dashes and in brackets that name no level. */
function asidesOf(clauses: readonly Clause[], { name }: Level): string[] {
  const known = name.toLowerCase();
  return clauses
    .filter(({ isAside }) => isAside)
    .flatMap(({ text }) => (known.includes(text.toLowerCase().replace(/^on (the )?/, '')) ? [] : [text]));
}

/** A dose that suits the movement; what of it cannot be said of it is dropped, and told. */
function doseSaid(phrases: DosePhrases, movement: Movement, level: Level): { dose: Dose; dropped: string[] } | { message: string } {
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

/** The dose without what does not suit; null where nothing can be left out. */
function without(said: DosePhrases, pointer: string): { said: DosePhrases; part: string } | null {
  if (pointer.includes('/sides') && said.sides) return { said: { ...said, sides: null }, part: said.sides };
  if (pointer.includes('/directions') && said.directions) return { said: { ...said, directions: null }, part: 'each direction' };
  if (pointer.includes('/work')) return null;
  const isMeant = (part: string) =>
    pointer.includes('effort')
      ? part.startsWith('@')
      : pointer.includes('/load')
        ? /kg|lb|edge|handle|pinch|wedge|hands|away/.test(part)
        : true;
  const part = said.parts.findLast(isMeant) ?? (pointer === '' || said.parts.length === 0 ? said.parts.at(-1) : undefined);
  if (part !== undefined) return { said: { ...said, parts: said.parts.filter((each) => each !== part) }, part };
  if (said.holdS !== null) return { said: { ...said, holdS: null }, part: `hold ${said.holdS} s` };
  if (pointer === '' && said.sides) return { said: { ...said, sides: null }, part: said.sides };
  if (pointer === '' && said.directions) return { said: { ...said, directions: null }, part: said.directions };
  return null;
}

const lineOf = (movement: Movement, level: Level, dose: string | null): string =>
  `${movement.name}, ${level.name}${dose === null || dose === '' ? '' : `: ${dose}`}`;

/** What could be meant, as lines to put in its place. */
function unclear(
  said: Said,
  phrases: DosePhrases,
  candidates: readonly { movement: Movement; level: Level }[],
  why: 'movement' | 'level' | 'unknown',
): Misread {
  const { text, column } = said;
  const name = phrases.clauses[0]?.text ?? text;
  const choices = candidates.slice(0, SHOWN).map(({ movement, level }) => {
    const read = doseSaid(phrases, movement, level);
    return lineOf(movement, level, 'message' in read ? null : printDose(read.dose));
  });
  const message = {
    level: `Which level of “${candidates[0]?.movement.name ?? name}”?`,
    movement: `“${name}” can mean several movements. Choose one.`,
    unknown: `There is no movement “${name}”.${choices.length > 0 ? ' Choose one of these, or write its full name.' : ''}`,
  }[why];
  return {
    column,
    message,
    nearest: [...new Set(candidates.slice(0, SHOWN).map(({ movement, level }) => (why === 'level' ? level.name : movement.name)))],
    choices,
  };
}
