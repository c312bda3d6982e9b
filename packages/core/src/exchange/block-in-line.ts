import { checkFit } from '../model/fit.js';
import type { Dose } from '../model/dose.js';
import { parseDose, printDose, ShorthandError } from '../model/dose-shorthand.js';
import { type Level, type Movement, writtenWay } from '../model/movement.js';
import { sentence } from '../vocabulary/fault.js';
import { dosePhrasesIn } from './dose-phrases.js';
import { doseSaid } from './dose-said.js';
import type { Clause, DosePhrases } from './phrases.js';
import { levelMeant, type Unclear } from './meant-level.js';
import { type NameInText, nameInText, TAKEN_NAME } from './name-in-text.js';
import { PACES } from './paces.js';
import { type AtLevel, namedLevel, type Names } from './text-names.js';
import type { TextLine } from './text-lines.js';

/** A block as a line says it. */
export interface BlockInLine extends AtLevel {
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

/** Whether a line is a movement with a dose, wherever it stands: a title is not. */
export function isBlockLine(text: string, names: Names): boolean {
  if (namedLevel(text, names)) return true;
  const { clauses, amount, sets, hints } = dosePhrasesIn(text);
  return (amount !== null || sets !== null) && 'movement' in levelMeant(clauses, names, hints);
}

type Said = Extract<TextLine, { kind: 'block' }>;
const SHOWN = 5;
const SHOWN_DIGITS = 8;

/** The blocks of a line: one, or one for each hand where their amounts differ. @param above the movement of the line above, where that had no dose: a dose alone is its */
export function blocksInLine(said: Said, names: Names, above: AtLevel | null = null): readonly BlockInLine[] | Misread {
  const exact = toTheLetter(said, names);
  if (exact) return 'message' in exact ? exact : [exact];
  const [tooLong] = /\d{6,}/.exec(said.text) ?? [];
  if (tooLong !== undefined) return misread(said, tooLong, `“${tooLong.slice(0, SHOWN_DIGITS)}…” is no amount.`);
  const { phrases, named } = partsOf(said, names);
  if (!named && phrases.clauses.length === 0 && above) return withDose(said, phrases, { ...above, unused: [] });
  const meant = named?.level ? atName(named.movement, named.level, phrases.clauses) : levelMeant(phrases.clauses, names, phrases.hints);
  if (!('movement' in meant)) return unclear(said, phrases, meant.candidates, meant.why);
  return unknownIn(said, phrases, meant, names) ?? withDose(said, phrases, meant);
}

const misread = ({ text, column }: Said, part: string, message: string): Misread => ({
  ...{ column: column + Math.max(0, text.indexOf(part)), message },
  ...{ nearest: [], choices: [] },
});

/** A line in its dose and its words, after a name that stands in it to the letter was taken out. */
function partsOf({ text }: Said, names: Names): { phrases: DosePhrases; named: NameInText | null } {
  const named = nameInText(text, names);
  const found = dosePhrasesIn(named?.rest ?? text);
  if (!named) return { phrases: found, named };
  return { phrases: { ...found, clauses: withName(found.clauses, named.level ? '' : named.movement.name) }, named };
}

/** A level behind the comma that the movement has not, or a word with a number that is no dose. */
function unknownIn(said: Said, phrases: DosePhrases, { movement, unused }: Meant, names: Names): Misread | null {
  const [first = ''] = said.name.split(',');
  const behind = said.name.slice(first.length).toLowerCase();
  if (unused.some((word) => PACES[word] === undefined && behind.includes(word)) && namedLevel(first, names)) {
    const candidates = movement.ladder.map((level) => ({ movement, level }));
    const message = `“${movement.name}” has no level “${said.name.slice(first.length + 1).trim()}”.`;
    return { ...unclear(said, phrases, candidates, 'level'), message };
  }
  const unread = unused.find((word) => /\d/.test(word));
  if (unread === undefined) return null;
  return misread(said, unread, `Can’t read “${unread}”. Write sets and amount like 3x8, 2x30s or 3 sets of 10.`);
}

type Meant = AtLevel & { readonly unused: readonly string[] };

function withDose(said: Said, phrases: DosePhrases, meant: Meant): readonly BlockInLine[] | Misread {
  const { movement, level } = meant;
  const pace = meant.unused.find((word) => PACES[word] !== undefined);
  const paced = pace === undefined ? phrases : withPace(phrases, PACES[pace] ?? '');
  const asked = handsApart(paced, movement);
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

/** One dose, with an amount for each hand where the movement goes from one to the other; else one for each. */
export function handsApart(phrases: DosePhrases, { sides }: Movement): DosePhrases[] {
  const { perHand } = phrases;
  if (!perHand) return [phrases];
  const [first, second] = perHand.map((each) => ofHand(phrases, each));
  const plan = perHand[0]?.side === 'R' ? 'right-then-left' : 'left-then-right';
  if (!first || !second || first.sets !== second.sets || !sides.includes(plan)) return perHand.map((each) => ofHand(phrases, each));
  const [left, right] = plan === 'left-then-right' ? [first, second] : [second, first];
  const order = plan === 'left-then-right' ? 'L,R' : 'R,L';
  return [{ ...left, sides: order, parts: [...left.parts, ...(right.amount === null ? [] : [`R${right.amount}`])] }];
}

/** What one hand does, where the other does something else. */
function ofHand(phrases: DosePhrases, { side, amount }: NonNullable<DosePhrases['perHand']>[number]): DosePhrases {
  const [, sets, each] = /^(\d+)x(.+)$/.exec(amount) ?? [];
  return { ...phrases, sides: side, amount: each ?? amount, ...(sets !== undefined && { sets: Number(sets) }) };
}

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

/** What was named to the letter, with the words that are left beside name and dose. */
const atName = (movement: Movement, level: Level, clauses: readonly Clause[]): Meant => ({
  ...{ movement, level },
  unused: clauses.filter(({ isAside }) => !isAside).map(({ text }) => text.toLowerCase()),
});

/** Clauses with another text where a name was taken out of them. */
const withName = (clauses: readonly Clause[], name: string): Clause[] =>
  clauses.flatMap(({ text, isAside }) => {
    const isItsOwn = text.includes(TAKEN_NAME);
    const told = text.replace(TAKEN_NAME, name).replaceAll(/^[ ,:]+|[ ,:]+$/g, '');
    // A name is no aside, wherever in the line it stands.
    return told === '' ? [] : [{ text: told, isAside: isAside && !isItsOwn }];
  });

/** Remarks behind dashes and in brackets that name no level. */
function asidesOf(clauses: readonly Clause[], { name }: Level): string[] {
  const known = name.toLowerCase();
  return clauses
    .filter(({ isAside }) => isAside)
    .flatMap(({ text }) => (known.includes(text.toLowerCase().replace(/^on (the )?/, '')) ? [] : [text]));
}

const lineOf = (movement: Movement, level: Level, dose: string | null): string =>
  `${movement.name}, ${level.name}${dose === null || dose === '' ? '' : `: ${dose}`}`;

/** What could be meant, as lines to put in its place. */
function unclear(said: Said, phrases: DosePhrases, candidates: Unclear['candidates'], why: Unclear['why']): Misread {
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
