import { must } from '../vocabulary/lists.js';
import { amountOf, checkDose, type Dose, type Tempo, type Work } from './dose.js';
import { sentence } from '../vocabulary/fault.js';
import type { SidePlan } from '../vocabulary/hands.js';
import { type DirectionPlan, UNIT_LETTERS, UNIT_OF } from '../vocabulary/work.js';

/**
 * The dose shorthand a coach types.
 *
 * | part | means |
 * |---|---|
 * | `3x8` `3x30s` `2x1:30` `3x5br` | sets × repetitions, seconds, minutes:seconds, breaths; `8` alone is one set |
 * | `@40%` | effort, percent of the own maximum |
 * | `2s` | hold at the far end of each repetition |
 * | `tempo1-3` | seconds out and back; `tempo1-2-3` has the hold in the middle |
 * | `rest20` | seconds of rest after each set but the last |
 * | `LR` `L` `R` `L,R` `R,L` `L/R` | both together, left, right, left then right, right then left, alternating |
 * | `>` `<` `<>` | first direction, second direction, each |
 *
 * @example printDose(parseDose('3 x 8 @40% 2s rest20')) → '3x8 @40% 2s rest20'
 */
export class ShorthandError extends Error {
  override readonly name = 'ShorthandError';
  constructor(
    /** The part of the text that is wrong. */
    readonly part: string,
    message: string,
  ) {
    super(message);
  }
}

/** What a text that says nothing of sides or directions means; a movement's usual way. */
export interface DoseDefaults {
  readonly sides: SidePlan;
  readonly directions: DirectionPlan;
}
const PLAIN: DoseDefaults = { sides: 'together', directions: 'none' };

const SIDE_WORDS: Record<string, SidePlan> = {
  LR: 'together',
  L: 'left',
  R: 'right',
  'L,R': 'left-then-right',
  'R,L': 'right-then-left',
  'L/R': 'alternating',
};
const DIRECTION_WORDS: Record<string, DirectionPlan> = { '>': 'first', '<': 'second', '<>': 'each' };

/**
 * Reads a dose shorthand.
 * @throws ShorthandError naming the part and what would be right, for unknown parts, doubled parts and values outside the limits.
 */
export function parseDose(text: string, defaults: DoseDefaults = PLAIN): Dose {
  const tidy = tidied(text);
  if (!tidy) throw new ShorthandError('', 'Type a dose, for example 3x8 @40% rest20 or 2x30s L,R.');
  const dose: Dose = { ...USUAL, ...defaults, ...partsOf(tidy) };
  const fault = checkDose(dose)[0];
  if (fault) throw new ShorthandError(text.trim(), sentence(fault));
  return dose;
}

/**
 * Reads what is typed over a dose that stands there: what is not typed stays as it was. Only where parts of what stood there were taken away
 * and nothing else was typed are those parts meant to go.
 * @example printDose(retypeDose('3x12 rest60', parseDose('2x12 tempo1-2 rest30'))) → '3x12 tempo1-2 rest60'
 * @example printDose(retypeDose('2x12 rest30', parseDose('2x12 tempo1-2 rest30'))) → '2x12 rest30'
 * @throws as `parseDose`
 */
export function retypeDose(text: string, before: Dose, defaults: DoseDefaults = PLAIN): Dose {
  const tidy = tidied(text);
  if (!tidy) return parseDose(text, defaults);
  const stood = printDose(before).split(' ');
  const typed = tidy.split(/\s+/);
  if (typed.every((part) => stood.includes(part))) {
    // Hands together and no direction are not printed, so they cannot have been taken away.
    const sides = before.sides === PLAIN.sides ? before.sides : defaults.sides;
    const directions = before.directions === PLAIN.directions ? before.directions : defaults.directions;
    return parseDose(text, { sides, directions });
  }
  const said = partsOf(tidy);
  const { work: _work, sets: _sets, holdS, tempo, ...rest } = before;
  // A hold and a pace belong to repetitions: counted in another way, there is nothing that they could hold or pace.
  const paced =
    said.work.kind === 'repetitions' ? { ...(holdS !== undefined && { holdS }), ...(tempo && { tempo }) } : {};
  const alternates = rest.sides === 'alternating' && said.work.kind !== 'repetitions';
  const dose: Dose = { ...USUAL, ...rest, ...(alternates && { sides: defaults.sides }), ...paced, ...said };
  const fault = checkDose(dose)[0];
  if (fault) throw new ShorthandError(text.trim(), sentence(fault));
  return dose;
}

/** What is not said. */
const USUAL = { sets: 1, restS: 0 };

/** A slip like “3 x 8” or “L, R” is no reason to refuse what is plainly meant. */
const tidied = (text: string) =>
  text
    .trim()
    .replace(/[×*]/g, 'x')
    .replace(/(\d)\s*x\s*(\d)/gi, '$1x$2')
    .replace(/([LR])\s*([,/])\s*([LR])/gi, '$1$2$3')
    .replace(/\b(rest|tempo)\s+(\d)/gi, '$1$2')
    .replace(/@\s+/g, '@')
    .replace(/(\d),(\d)/g, '$1.$2');

type Said = Partial<Dose> & Pick<Dose, 'work'>;

/** What the parts say, the first of them sets and amount; each thing once. */
function partsOf(tidy: string): Said {
  const [first = '', ...others] = tidy.split(/\s+/);
  const seen = new Map<Slot, string>([['work', first]]);
  let said: Said = readAmount(first);
  for (const part of others) {
    const { slot, values } = readPart(part);
    const before = seen.get(slot);
    if (before !== undefined) throw new ShorthandError(part, `“${part}” says again what “${before}” said: keep one.`);
    seen.set(slot, part);
    if (slot === 'tempo' && values.holdS !== undefined) {
      if (seen.has('hold')) throw new ShorthandError(part, `“${part}” and “${seen.get('hold')}” both give the hold.`);
      seen.set('hold', part);
    }
    said = { ...said, ...values };
  }
  return said;
}

type Slot = 'work' | 'sides' | 'directions' | 'effort' | 'rest' | 'hold' | 'tempo';

function readAmount(part: string): Said {
  const amount = /^(?:(\d+)x)?(?:(\d+):(\d{2})|(\d+)(s|min|br)?)$/i.exec(part);
  if (!amount) {
    throw new ShorthandError(part, `Start with sets and amount, like 3x8, 2x30s or 3x5br; “${part}” is neither.`);
  }
  const [, sets, minutes, rest, count, unit] = amount;
  return { ...(sets && { sets: Number(sets) }), work: readWork(minutes, rest, count, unit) };
}

function readPart(part: string): { slot: Slot; values: Partial<Dose> } {
  const side = SIDE_WORDS[part.toUpperCase()];
  if (side) return { slot: 'sides', values: { sides: side } };
  const directions = DIRECTION_WORDS[part];
  if (directions) return { slot: 'directions', values: { directions } };
  const effort = /^@(\d+)%?$/.exec(part);
  if (effort) return { slot: 'effort', values: { effortPercent: Number(effort[1]) } };
  const rest = /^rest(\d+)s?$/i.exec(part);
  if (rest) return { slot: 'rest', values: { restS: Number(rest[1]) } };
  const hold = /^(\d+(?:\.\d+)?)s$/i.exec(part);
  if (hold) return { slot: 'hold', values: { holdS: Number(hold[1]) } };
  const tempo = /^tempo(\d+(?:\.\d+)?)-(?:(\d+(?:\.\d+)?)-)?(\d+(?:\.\d+)?)$/i.exec(part);
  if (tempo) {
    const [, outS, holdS, backS] = tempo;
    const values = {
      tempo: { outS: Number(outS), backS: Number(backS) },
      ...(Number(holdS) && { holdS: Number(holdS) }),
    };
    return { slot: 'tempo', values };
  }
  throw new ShorthandError(
    part,
    `“${part}” is not a part of a dose: use @40% for effort, 2s for a hold, tempo1-3, rest20, L R L,R LR L/R for hands, > < <> for directions.`,
  );
}

function readWork(minutes?: string, seconds?: string, count?: string, unit?: string): Work {
  if (minutes !== undefined) return { kind: 'time', seconds: Number(minutes) * 60 + Number(seconds) };
  const amount = Number(count);
  switch (unit?.toLowerCase()) {
    case 's':
      return { kind: 'time', seconds: amount };
    case 'min':
      return { kind: 'time', seconds: amount * 60 };
    case 'br':
      return { kind: 'breaths', count: amount };
    default:
      return { kind: 'repetitions', count: amount };
  }
}

/**
 * Prints a dose as shorthand that `parseDose` reads back to the same dose under the same defaults.
 * Sides and directions are always spelt out unless the dose is plain and the defaults are too.
 */
export function printDose(dose: Dose, defaults: DoseDefaults = PLAIN): string {
  const parts = [`${dose.sets}x${amountOf(dose.work)}${UNIT_LETTERS[UNIT_OF[dose.work.kind]]}`];
  if (dose.effortPercent !== undefined) parts.push(`@${dose.effortPercent}%`);
  if (dose.holdS !== undefined) parts.push(`${dose.holdS}s`);
  if (dose.tempo) parts.push(printTempo(dose.tempo));
  if (dose.restS > 0) parts.push(`rest${dose.restS}`);
  if (dose.sides !== 'together' || defaults.sides !== 'together') parts.push(wordFor(SIDE_WORDS, dose.sides));
  if (dose.directions !== 'none') parts.push(wordFor(DIRECTION_WORDS, dose.directions));
  return parts.join(' ');
}

function printTempo({ outS, backS }: Tempo): string {
  return `tempo${outS}-${backS}`;
}

function wordFor<T>(words: Record<string, T>, value: T): string {
  return must(
    Object.keys(words).find((word) => words[word] === value),
    `a word for ${String(value)}`,
  );
}
