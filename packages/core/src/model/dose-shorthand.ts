import { must } from '../vocabulary/lists.js';
import { sentence } from '../vocabulary/fault.js';
import type { SidePlan } from '../vocabulary/hands.js';
import { OWN_LOAD_NAMES, type OwnLoadName } from '../vocabulary/own-load.js';
import { POUND_KG } from '../vocabulary/units.js';
import { type DirectionPlan, OPEN_WORDS, UNIT_LETTERS, UNIT_OF } from '../vocabulary/work.js';
import { amountOf, checkDose, type Dose, type OwnLoad, type SetGroup, setGroupsOf, type Tempo } from './dose.js';
import { type Part, partsIn } from './dose-parts.js';
import { impliedCeiling, readSets } from './dose-sets.js';
import { isKilograms, withoutKilograms } from './effort-or-load.js';
import { ShorthandError } from './shorthand-error.js';

export { ShorthandError };

/**
 * The dose shorthand a coach types.
 *
 * | part | means |
 * |---|---|
 * | `3x8` `3x30s` `2x1:30` `3x5br` `3x40m` | sets × repetitions, seconds, minutes:seconds, breaths, metres; `8` alone is one set |
 * | `5x6s,5x8s` `2x10,1xmax` | sets that differ, in their order |
 * | `1xmax20` `1xmax60s` `1xmax` | open: as long as the form lasts, at most so much; without a number twice the set before, or 20 |
 * | `1xease90s` `1xease10br` | open: until it eases, at most so long |
 * | `@40%` | effort, percent of the own maximum |
 * | `2s` | hold at the far end of each repetition |
 * | `tempo1-3` | seconds out and back; `tempo1-2-3` has the hold in the middle |
 * | `pause2` | seconds between two repetitions |
 * | `rest20` | seconds of rest after each set but the last |
 * | `12kg` `spring12kg` `band3kg` `edge20` `handle50` `pinch40` | what is lifted, squeezed or held instead of the level's own |
 * | `26lb` `spring30lb` | the same in pounds, kept in kilograms |
 * | `wedge15` `hands0.48m` `away0.9m` | a wedge under the heel of the hand, how high and how far away the hands stand |
 * | `LR` `L` `R` `L,R` `R,L` `L/R` | both together, left, right, left then right, right then left, alternating |
 * | `>` `<` `<>` | first direction, second direction, each |
 *
 * @example printDose(parseDose('3 x 8 @40% 2s rest20')) → '3x8 @40% 2s rest20'
 */

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
/** How each thing of a dose's own load is typed: a word before its number, and a unit behind it. */
export const OWN_LOAD_WORDS: Record<OwnLoadName, { readonly word: string; readonly unit: string }> = {
  massKg: { word: '', unit: 'kg' },
  springKg: { word: 'spring', unit: 'kg' },
  bandKg: { word: 'band', unit: 'kg' },
  edgeMm: { word: 'edge', unit: '' },
  handleMm: { word: 'handle', unit: '' },
  pinchMm: { word: 'pinch', unit: '' },
  wedgeDeg: { word: 'wedge', unit: '' },
  handHeightM: { word: 'hands', unit: 'm' },
  awayM: { word: 'away', unit: 'm' },
};

/**
 * Reads a dose shorthand.
 * @throws ShorthandError naming the part, its position and what would be right, for unknown parts, doubled parts and values outside the limits.
 */
export function parseDose(text: string, defaults: DoseDefaults = PLAIN): Dose {
  const parts = partsIn(text);
  if (parts.length === 0) throw new ShorthandError('', 'Type a dose, for example 3x8 @40% rest20 or 2x30s L,R.', 0);
  return checked({ ...USUAL, ...defaults, ...saidIn(parts) }, text);
}

/**
 * Reads what is typed over an existing dose: whatever is not typed stays as it was. Only where parts of the existing dose were deleted
 * and nothing else was typed are those parts meant to go.
 * @example printDose(retypeDose('3x12 rest60', parseDose('2x12 tempo1-2 rest30'))) → '3x12 tempo1-2 rest60'
 * @example printDose(retypeDose('2x12 rest30', parseDose('2x12 tempo1-2 rest30'))) → '2x12 rest30'
 * @throws as `parseDose`
 */
export function retypeDose(text: string, before: Dose, defaults: DoseDefaults = PLAIN): Dose {
  const parts = partsIn(text);
  if (parts.length === 0) return parseDose(text, defaults);
  const stood = printDose(before).split(' ');
  if (parts.every(({ tidy }) => stood.includes(tidy))) {
    // Hands together and no direction are not printed, so they cannot have been taken away.
    const sides = before.sides === PLAIN.sides ? before.sides : defaults.sides;
    const directions = before.directions === PLAIN.directions ? before.directions : defaults.directions;
    return parseDose(text, { sides, directions });
  }
  const said = saidIn(parts);
  return checked({ ...USUAL, ...keptOf(before, said, defaults), ...said, ...loadKept(before, said) }, text);
}

/** What of a dose that stood there what was typed leaves as it was: all but the sets, and what they have no place for. */
function keptOf(before: Dose, { work, load }: handPoseOf, { sides }: DoseDefaults): Omit<Dose, 'work' | 'sets'> {
  const { work: _work, sets: _sets, then: _then, load: _load, holdS, pauseS, tempo, effortPercent, ...plain } = before;
  const rest = { ...plain, ...(effortPercent !== undefined && !namesKilograms(load) && { effortPercent }) };
  if (work.kind !== 'repetitions') {
    // A hold, a pause and a pace belong to repetitions: counted in another way, there is nothing that they could hold or pace.
    return rest.sides === 'alternating' ? { ...rest, sides } : rest;
  }
  const paced = {
    ...(holdS !== undefined && { holdS }),
    ...(pauseS !== undefined && { pauseS }),
    ...(tempo && { tempo }),
  };
  return { ...rest, ...paced };
}

/** The load that stays beside what was typed. Of the weight and the effort that finds it, the one that is typed takes the place of the other. */
function loadKept(before: Dose, { load, effortPercent }: handPoseOf): Pick<Dose, 'load'> {
  const stays = effortPercent === undefined ? before.load : withoutKilograms(before.load);
  const loaded = { ...(namesKilograms(load) ? withoutKilograms(stays) : stays), ...load };
  return Object.keys(loaded).length > 0 ? { load: loaded } : {};
}

const namesKilograms = (load: OwnLoad = {}) => OWN_LOAD_NAMES.some((name) => isKilograms(name) && load[name] !== undefined);

/** What is not said. */
const USUAL = { sets: 1, restS: 0 };

function checked(dose: Dose, text: string): Dose {
  const fault = checkDose(dose)[0];
  if (!fault) return dose;
  const tidy = text.trim();
  throw new ShorthandError(tidy, sentence(fault), text.indexOf(tidy));
}

type handPoseOf = Partial<Dose> & Pick<Dose, 'work'>;
type Slot = 'sides' | 'directions' | 'effort' | 'rest' | 'hold' | 'tempo' | 'pause' | OwnLoadName;

/** What the parts say, each thing once: sets and amount, and in any order the rest. */
function saidIn(parts: readonly Part[]): handPoseOf {
  const named = parts.find(({ sets }) => sets !== null) ?? parts.find(({ tidy }) => /^\d/.test(tidy));
  const work = named ?? must(parts[0], 'a part');
  let said: handPoseOf = readSets(work);
  const seen = new Map<Slot, string>();
  for (const part of parts) {
    if (part === work) continue;
    const { slot, values } = readPart(part);
    const before = seen.get(slot);
    if (before !== undefined) throw unreadable(part, `“${part.text}” repeats what “${before}” already says. Keep one.`);
    seen.set(slot, part.text);
    if (slot === 'tempo' && values.holdS !== undefined) {
      if (seen.has('hold')) throw unreadable(part, `“${part.text}” and “${seen.get('hold')}” both give the hold. Keep one.`);
      seen.set('hold', part.text);
    }
    const load = values.load && { load: { ...said.load, ...values.load } };
    said = { ...said, ...values, ...load };
  }
  return said;
}

const unreadable = ({ text, at }: Part, message: string) => new ShorthandError(text, message, at);

const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const ofWord = (name: OwnLoadName) => {
  const { word, unit } = OWN_LOAD_WORDS[name];
  const behind = { kg: word ? '(?:kg)?' : 'kg', m: 'm?', '': '(?:mm|°)?' }[unit];
  return new RegExp(`^${word}${NUMBER}${behind}$`, 'i');
};
const OWN_LOAD_PATTERNS = OWN_LOAD_NAMES.map((name) => [name, ofWord(name)] as const);

function readPart(part: Part): { slot: Slot; values: Partial<Dose> } {
  const { tidy } = part;
  const side = SIDE_WORDS[tidy.toUpperCase()];
  if (side) return { slot: 'sides', values: { sides: side } };
  const directions = DIRECTION_WORDS[tidy];
  if (directions) return { slot: 'directions', values: { directions } };
  const number = (pattern: RegExp) => {
    const found = pattern.exec(tidy);
    return found ? Number(found[1]) : null;
  };
  const effortPercent = number(/^@(\d+)%?$/);
  if (effortPercent !== null) return { slot: 'effort', values: { effortPercent } };
  const restS = number(/^rest(\d+)s?$/i);
  if (restS !== null) return { slot: 'rest', values: { restS } };
  const pauseS = number(/^pause(\d+(?:\.\d+)?)s?$/i);
  if (pauseS !== null) return { slot: 'pause', values: { pauseS } };
  const holdS = number(/^(\d+(?:\.\d+)?)s$/i);
  if (holdS !== null) return { slot: 'hold', values: { holdS } };
  const tempo = /^tempo(\d+(?:\.\d+)?)-(?:(\d+(?:\.\d+)?)-)?(\d+(?:\.\d+)?)$/i.exec(tidy);
  if (tempo) {
    const [, outS, middleS, backS] = tempo;
    const pace = { tempo: { outS: Number(outS), backS: Number(backS) } };
    return { slot: 'tempo', values: { ...pace, ...(Number(middleS) && { holdS: Number(middleS) }) } };
  }
  const pounds = /^(spring|band)?(\d+(?:\.\d+)?)lbs?$/i.exec(tidy);
  if (pounds) {
    const name = pounds[1] === undefined ? 'massKg' : pounds[1].toLowerCase() === 'spring' ? 'springKg' : 'bandKg';
    return { slot: name, values: { load: { [name]: Number((Number(pounds[2]) * POUND_KG).toFixed(2)) } } };
  }
  for (const [name, pattern] of OWN_LOAD_PATTERNS) {
    const value = number(pattern);
    if (value !== null) return { slot: name, values: { load: { [name]: value } } };
  }
  throw unreadable(
    part,
    `Can’t read “${part.text}” in a dose. Use @40% for effort, 2s for a hold, tempo1-3, pause2, rest20, 12kg, spring12kg, band3kg, edge20, handle50, pinch40, wedge15, hands0.48m, away0.9m, L R L,R LR L/R for hands, > < <> for directions.`,
  );
}

/**
 * Prints a dose as shorthand that `parseDose` reads back to the same dose under the same defaults.
 * Sides and directions are always spelt out unless the dose is plain and the defaults are too.
 */
export function printDose(dose: Dose, defaults: DoseDefaults = PLAIN): string {
  const parts = [printSets(dose)];
  if (dose.effortPercent !== undefined) parts.push(`@${dose.effortPercent}%`);
  parts.push(...printOwnLoad(dose.load));
  if (dose.holdS !== undefined) parts.push(`${dose.holdS}s`);
  if (dose.tempo) parts.push(printTempo(dose.tempo));
  if (dose.pauseS !== undefined) parts.push(`pause${dose.pauseS}`);
  if (dose.restS > 0) parts.push(`rest${dose.restS}`);
  if (dose.sides !== 'together' || defaults.sides !== 'together') parts.push(printSides(dose.sides));
  if (dose.directions !== 'none') parts.push(wordFor(DIRECTION_WORDS, dose.directions));
  return parts.join(' ');
}

/** Sets and amounts alone. @example printSets(parseDose('2x10,1xmax rest30')) → '2x10,1xmax' */
export function printSets(dose: Dose): string {
  const groups = setGroupsOf(dose);
  return groups.map((group, index) => `${group.sets}x${printWork(group, groups[index - 1])}`).join(',');
}

function printWork({ work }: SetGroup, before: SetGroup | undefined): string {
  const amount = `${amountOf(work)}${UNIT_LETTERS[UNIT_OF[work.kind]]}`;
  if (!work.open) return amount;
  const word = OPEN_WORDS[work.open];
  const implied = impliedCeiling(before?.work);
  const isImplied = work.open === 'form' && implied.kind === work.kind && amountOf(implied) === amountOf(work);
  return isImplied ? word : `${word}${amount}`;
}

/** A dose's own load, each thing as it is typed. */
export function printOwnLoad(load: OwnLoad = {}): string[] {
  return OWN_LOAD_NAMES.flatMap((name) => {
    const value = load[name];
    const { word, unit } = OWN_LOAD_WORDS[name];
    return value === undefined ? [] : [`${word}${value}${unit}`];
  });
}

/** Hands as they are typed. @example printSides('left-then-right') → 'L,R' */
export const printSides = (plan: SidePlan): string => wordFor(SIDE_WORDS, plan);

const printTempo = ({ outS, backS }: Tempo): string => `tempo${outS}-${backS}`;

function wordFor<T>(words: Record<string, T>, value: T): string {
  return must(
    Object.keys(words).find((word) => words[word] === value),
    `a word for ${String(value)}`,
  );
}
